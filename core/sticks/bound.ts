import { TOLERANCE_MM } from '../geometry'
import { KERF_MM, type StockLength } from './stock'

/** Some rails cut from some sticks that they share with no other. */
export interface Group { rails: number[], sticks: StockLength[] }

/** What no cutting goes below: in cost, and among cuttings of that cost in sticks; and a parting into groups that would come to just that. */
export interface LeastCutting { cost: number, sticks: number, groups: Group[] }

/** A group by how many rails of each kind it takes. */
interface Best { cost: number, sticks: number, parts: { take: number, bought: number[] }[] }

/** Rails of one length, and how many there are. */
interface Kind { mm: number, rails: number[] }

/** More ways to take some rails of each length than this are not gone through. */
const MOST_TAKES = 700
/** Costs nearer than this are one. */
const SAME = 1e-9

const less = (a: Pick<Best, 'cost' | 'sticks'>, b: Pick<Best, 'cost' | 'sticks'>): boolean => a.cost < b.cost - SAME || (a.cost < b.cost + SAME && a.sticks < b.sticks)

/**
 * A bound on cutting rails from bought sticks, wherever they are spliced. Take any cutting, and join every two pieces that lie in one
 * stick or in one rail: the rails fall into groups. A group of r rails from k sticks has at least r + k − 1 pieces, since it hangs together:
 * so at least k − 1 splices and r − 1 saw cuts, and its sticks cover its rails and those cuts; and every rail has at least the splices of its
 * own length. The cheapest parting of the rails into groups bounds every cutting.
 * Null where there are too many lengths of rail to go through.
 * @param lengthsMm of the rails, mm
 */
export function leastCutting(lengthsMm: number[], stock: StockLength[], splicePrice: number): LeastCutting | null {
  const kinds = ALIKE_MM.map(alikeMm => kindsOf(lengthsMm, alikeMm)).find(some => takesOf(some) <= MOST_TAKES)
  if (!kinds) return null
  const takes = takesOf(kinds)
  const longestMm = Math.max(...stock.map(one => one.mm))
  // Every way to take some rails of each kind, as one number.
  const places = kinds.map((_, i) => takesOf(kinds.slice(0, i)))
  const counts = Array.from({ length: takes }, (_, take) => kinds.map(({ rails }, i) => Math.floor(take / places[i]!) % (rails.length + 1)))
  const groups = counts.map((own, take): Best => {
    const rails = own.reduce((sum, n) => sum + n, 0)
    if (!rails) return { cost: 0, sticks: 0, parts: [] }
    const mm = own.reduce((sum, n, i) => sum + n * kinds[i]!.mm, 0) + KERF_MM * (rails - 1)
    const ownSplices = own.reduce((sum, n, i) => sum + n * Math.max(0, Math.ceil((kinds[i]!.mm - TOLERANCE_MM) / longestMm) - 1), 0)
    const { cost, sticks, bought } = cheapestOf(mm, ownSplices, stock, splicePrice)
    return { cost, sticks, parts: [{ take, bought }] }
  })
  const best = groups.slice()
  for (let take = 1; take < takes; take++) {
    const own = counts[take]!
    // The first kind that is left goes into the group: every parting is met once by its first group.
    const first = own.findIndex(n => n > 0)
    for (let part = 1; part < take; part++) {
      const taken = counts[part]!
      if (!taken[first] || taken.some((n, i) => n > own[i]!)) continue
      const [one, rest] = [groups[part]!, best[take - part]!]
      const whole = { cost: one.cost + rest.cost, sticks: one.sticks + rest.sticks }
      if (less(whole, best[take]!)) best[take] = { ...whole, parts: [...one.parts, ...rest.parts] }
    }
  }
  const { cost, sticks, parts } = best[takes - 1]!
  const used = kinds.map(() => 0)
  return {
    cost, sticks, groups: parts.map(({ take, bought }): Group => ({
      rails: counts[take]!.flatMap((n, i) => kinds[i]!.rails.slice(used[i]!, used[i]! += n)),
      sticks: stock.flatMap((one, i) => Array.from({ length: bought[i] ?? 0 }, () => one)),
    })),
  }
}

/** Rails that differ by no more than this are taken as alike, the shortest standing for all of them: as little as the number of kinds allows, mm. */
const ALIKE_MM = [0.01, 1, 5, 25, 100]

const takesOf = (kinds: Kind[]): number => kinds.reduce((product, { rails }) => product * (rails.length + 1), 1)

function kindsOf(lengthsMm: number[], alikeMm: number): Kind[] {
  const kinds: Kind[] = []
  const order = lengthsMm.map((mm, rail) => ({ mm, rail })).sort((a, b) => a.mm - b.mm)
  for (const { mm, rail } of order) {
    const last = kinds.at(-1)
    if (last && mm - last.mm <= alikeMm) last.rails.push(rail)
    else kinds.push({ mm, rails: [rail] })
  }
  return kinds
}

/** The cheapest sticks that cover a length, with a splice for each but one, or as many as the rails need by themselves. */
function cheapestOf(mm: number, ownSplices: number, stock: StockLength[], splicePrice: number): { cost: number, sticks: number, bought: number[] } {
  let best = { cost: Infinity, sticks: 0, bought: [] as number[] }
  const add = (bought: number[], covered: number, cost: number, sticks: number) => {
    if (covered >= mm - TOLERANCE_MM) {
      const whole = { cost: cost + splicePrice * Math.max(sticks - 1, ownSplices), sticks, bought }
      if (less(whole, best)) best = whole
      return
    }
    const i = bought.length
    if (i === stock.length || cost > best.cost + SAME) return
    const most = Math.ceil((mm - TOLERANCE_MM - covered) / stock[i]!.mm)
    for (let n = 0; n <= most; n++) add([...bought, n], covered + n * stock[i]!.mm, cost + n * stock[i]!.price, sticks + n)
  }
  add([], 0, 0, 0)
  return best
}
