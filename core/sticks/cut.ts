import type { Rail } from '../catalogue'
import { TOLERANCE_MM } from '../geometry'
import type { SpliceKind, Van } from '../job'
import { count, length, words } from '../units'
import type { Working } from '../working'
import { type Packing, MOST_NODES, pack, type Shop } from './pack'
import { type LeastCutting, leastCutting } from './bound'
import { cutGroup, type CutStick } from './group'
import { splitChoices, type SplitRules } from './splits'
import { type Piece, KERF_MM, type Split, type RailToCut, type StockLength } from './stock'

/** A stick with the pieces cut from it in order, and what is left over. */
export interface Stick { stockMm: number, fromYard: boolean, price: number, pieces: Piece[], offcutMm: number }

export interface Splice { railId: string, atMm: number, bridged: boolean }

export interface SticksPlan {
  sticks: Stick[]
  /** Middles of the joints, mm along each rail. */
  splices: Splice[]
  /** Rails that can't be spliced clear of their fixings from this stock; they are shown spliced wherever the stick ends. */
  unspliceable: string[]
  /** Of bought sticks and splices, in the catalogue's currency. */
  cost: number
  /** No cutting costs less; where something lies in the yard or joints are bridged, none in the ways that the windows leave. */
  leastCost: number
  /** No cutting uses fewer sticks than this: the total length needs as many of the longest. */
  leastSticks: number
  /** Cheaper cuttings, and as cheap ones with fewer sticks, are excluded wherever spliced; in the ways that were searched through; or not. */
  proof: 'whole' | 'searched' | 'open'
  /** Whether they are excluded in either way. */
  proved: boolean
  /** True when no stick of this rail is short enough for the van: then all lengths are used. */
  tooLongForVan: boolean
  working: Working
}

export interface CutRules { rail: Rail, spliceAs: SpliceKind, van: Van }

/**
 * Cuts rails from stock for least cost and then fewest sticks: first the ways in which each may be spliced, then which way
 * for each and which piece from which stick. Lengths longer than the van takes are left in the shop; the yard's offcuts cost nothing.
 */
export function cutSticks(rails: RailToCut[], { rail, spliceAs, van }: CutRules, mostNodes = MOST_NODES): SticksPlan {
  if (!rails.length) return nothingToCut
  const carried = rail.stock.filter(one => van.longestMm === null || one.mm <= van.longestMm)
  const tooLongForVan = carried.length === 0
  const stock: StockLength[] = tooLongForVan ? rail.stock : carried
  const shop: Shop = { stock, splicePrice: rail.splice.price, yard: van.offcuts.filter(one => one.railId === rail.id && (van.longestMm === null || one.mm <= van.longestMm)) }
  const rules: SplitRules = {
    stock, splicePrice: rail.splice.price, lengthsMm: [...stock.map(one => one.mm), ...shop.yard.map(one => one.mm)],
    leastPieceMm: rail.splice.barMm * 2, bridgeMm: spliceAs === 'bridged' ? rail.splice.bridgeMm : 0,
  }
  // What lies in the yard costs nothing, and a bridged joint shortens what is cut: then only the ways that are searched are bounded.
  const least = rules.bridgeMm <= 0 && !shop.yard.length ? leastCutting(rails.map(one => one.toMm - one.fromMm), stock, shop.splicePrice) : null
  const { splits, packing, unspliceable } = (least && cutByGroups(rails, least, rules.leastPieceMm)) ?? searched(rails, rules, shop, mostNodes)
  const meets = least !== null && packing.cost <= least.cost + 1e-9 && packing.sticks.length <= least.sticks
  const proof = unspliceable.length ? 'open' : meets ? 'whole' : packing.proved ? 'searched' : 'open'
  const leastCost = Math.min(packing.cost, proof === 'searched' ? packing.cost : least?.cost ?? packing.leastCost)
  const sticks = packing.sticks.map((stick): Stick => {
    const pieces = stick.cuts.map(({ rail: r, piece }): Piece => ({ railId: rails[r]!.railId, ...splits[r]![packing.choice[r]!]!.pieces[piece]! }))
    const used = pieces.reduce((sum, piece) => sum + piece.toMm - piece.fromMm + KERF_MM, 0)
    return { stockMm: stick.mm, fromYard: stick.fromYard, price: stick.price, pieces, offcutMm: Math.max(0, stick.mm - used) }
  })
  const splices = rails.flatMap((one, r): Splice[] => {
    const split = splits[r]![packing.choice[r]!]
    return split ? split.pieces.slice(1).map((piece, i) => ({ railId: one.railId, atMm: (split.pieces[i]!.toMm + piece.fromMm) / 2, bridged: split.bridged })) : []
  })
  const gaps = splices.filter(splice => splice.bridged).length * rail.splice.bridgeMm
  const totalMm = rails.reduce((sum, one) => sum + one.toMm - one.fromMm, 0) - gaps
  const leastSticks = Math.max(0, Math.ceil((totalMm - TOLERANCE_MM) / Math.max(...stock.map(one => one.mm), ...shop.yard.map(one => one.mm))))
  return {
    sticks,
    splices,
    unspliceable,
    leastSticks,
    cost: packing.cost,
    leastCost,
    proof,
    proved: proof !== 'open',
    tooLongForVan,
    working: sticksWorking(rails, stock, { cost: packing.cost, leastCost, proof }, sticks),
  }
}

/** How every rail is split, and what is cut from which stick. */
interface Cutting { splits: Split[][], packing: Packing, unspliceable: string[] }

/** The groups of the bound, each cut from just its sticks; null where one of them can't be found so. */
function cutByGroups(rails: RailToCut[], { cost, groups }: LeastCutting, leastPieceMm: number): Cutting | null {
  const cut: CutStick[] = []
  for (const group of groups) {
    const own = cutGroup(rails, group, leastPieceMm)
    if (!own) return null
    cut.push(...own)
  }
  const splits = rails.map((_, r): Split[] => [{
    bridged: false, pieces: cut.flatMap(stick => stick.pieces).filter(piece => piece.rail === r).map(({ fromMm, toMm }) => ({ fromMm, toMm })).sort((a, b) => a.fromMm - b.fromMm),
  }])
  const sticks = cut.map(({ stock, pieces }) => ({
    mm: stock.mm, price: stock.price, fromYard: false, cuts: pieces.map(({ rail, fromMm }) => ({ rail, piece: splits[rail]![0]!.pieces.findIndex(piece => piece.fromMm === fromMm) })),
  }))
  return { splits, unspliceable: [], packing: { choice: rails.map(() => 0), sticks, cost, leastCost: cost, proved: true } }
}

/** Ways to splice each rail, and the best packing of them that is found. Cut short, the search is made again from its other end: ways that use up leftovers first. */
function searched(rails: RailToCut[], rules: SplitRules, shop: Shop, mostNodes: number): Cutting {
  const { splits, thrifty, unspliceable, start } = splitChoices(rails, rules, mostNodes > 1)
  const first = pack(splits, shop, Math.ceil(mostNodes / 3), start)
  return { splits, unspliceable, packing: first.proved || mostNodes <= 1 ? first : pack(splits, shop, mostNodes, first, thrifty) }
}

/** Where there is no rail, as with coupled frames or an empty face. */
const nothingToCut: SticksPlan = {
  sticks: [], splices: [], unspliceable: [], leastSticks: 0, cost: 0, leastCost: 0, proof: 'whole', proved: true, tooLongForVan: false,
  working: { what: 'Sticks of rail', formula: 'none', values: [], result: count(0, 'sticks'), source: 'No rail to cut', basis: 'arithmetic' },
}

const sticksWorking = (rails: RailToCut[], stock: StockLength[], { cost, leastCost, proof }: Pick<SticksPlan, 'cost' | 'leastCost' | 'proof'>, sticks: Stick[]): Working => ({
  what: 'Sticks of rail', formula: 'least Σ price of sticks and splices, every piece in a stick, pieces + cuts ≤ stick',
  values: [
    { symbol: 'Σℓ', what: 'length of all rails with their trim tails', value: length(rails.reduce((sum, rail) => sum + rail.toMm - rail.fromMm, 0)) },
    { symbol: 'S', what: 'longest stick', value: length(Math.max(...stock.map(one => one.mm))) },
    { symbol: 'k', what: 'one saw cut', value: length(KERF_MM) },
    { symbol: 'c', what: 'cost of what is bought; no cutting costs less than', value: words(`${cost.toFixed(2)}; ${leastCost.toFixed(2)}`) },
  ],
  result: count(sticks.length, sticks.length === 1 ? 'stick' : 'sticks'),
  source: claims[proof](cost, leastCost), basis: proof === 'open' ? 'best of those tried' : 'solved exactly',
})

const claims: Record<SticksPlan['proof'], (cost: number, least: number) => string> = {
  whole: () => 'No cutting of these rails from these lengths costs less, nor as little with fewer sticks, wherever it is spliced: k sticks of one group of rails need k − 1 splices and cover them',
  searched: () => 'Searched through: no cutting in the ways the windows leave costs less, nor as little with fewer sticks',
  open: (cost, least) => `${cost.toFixed(2)} found, less than ${least.toFixed(2)} excluded`,
}
