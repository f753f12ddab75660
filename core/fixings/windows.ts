import type { Interval } from '../geometry'
import { costToEnd, type Steps } from './fewest'
import type { RailJudge } from './judge'

/** Windows over this are taken to fail whatever the rest of the rail does. */
const HOPELESS = 1.2

/**
 * Judges a rail window by window: a span with its two fixings, on a piece of rail one span longer at each end and one more like
 * it. What lies farther away hardly reaches it, so the worst window comes close to the worst of the whole rail. Close, not
 * equal: it only leads the search, the whole rail is always checked.
 */
export function windowsOf(xs: number[], reach: Interval, judge: Pick<RailJudge, 'worstOver'>) {
  const known = new Map<number, number>()
  const n = xs.length + 1
  const remembered = (a: number, b: number, c: number, d: number, work: () => number): number => {
    const key = (((a + 1) * n + b + 1) * n + c + 1) * n + d + 1
    const ready = known.get(key)
    if (ready !== undefined) return ready
    const share = work()
    known.set(key, share)
    return share
  }
  // One span more at each end, as long as the last one, where there is rail for it.
  const before = (a: number, b: number) => 2 * xs[a]! - xs[b]! > reach.fromMm ? [2 * xs[a]! - xs[b]!] : []
  const after = (c: number, d: number) => 2 * xs[d]! - xs[c]! < reach.toMm ? [2 * xs[d]! - xs[c]!] : []
  const judged = (places: number[], part: Interval, ends: { left?: boolean, right?: boolean } = {}) =>
    judge.worstOver(places, part, { fromMm: ends.left ? -Infinity : places[0]!, toMm: ends.right ? Infinity : places.at(-1)! })
  return {
    /** A span by itself, between two more as long as it is. */
    span: (b: number, c: number): number => judged([...before(b, c), xs[b]!, xs[c]!, ...after(b, c)], { fromMm: xs[b]!, toMm: xs[c]! }),
    start: (a: number, b: number, c: number): number => remembered(-1, a, b, c, () =>
      judged([xs[a]!, xs[b]!, xs[c]!, ...after(b, c)], { fromMm: -Infinity, toMm: xs[b]! }, { left: true })),
    middle: (a: number, b: number, c: number, d: number): number => remembered(a, b, c, d, () =>
      judged([...before(a, b), xs[a]!, xs[b]!, xs[c]!, xs[d]!, ...after(c, d)], { fromMm: xs[b]!, toMm: xs[c]! })),
    end: (b: number, c: number, d: number): number => remembered(b, c, d, -1, () =>
      judged([...before(b, c), xs[b]!, xs[c]!, xs[d]!], { fromMm: xs[c]!, toMm: Infinity }, { right: true })),
  }
}

/** The last three places of a choice of so many, with the least worst window of all choices that come to them. */
interface State { a: number, b: number, c: number, share: number }

/** Choices of up to a number of fixings by their windows: layers of states, one for each number of places so far. */
export interface WindowLayers {
  /** The least worst window of any choice with so many fixings; Infinity where every choice has a hopeless one. */
  leastOf: (count: number) => number
  /** Choices with so many fixings whose windows all stay under a share, the best first. */
  choices: (count: number, under: number, most: number) => number[][]
}

/** A span between neighbours as long as itself that is used this much is not tried: shorter neighbours ease it by half at most. */
const HOPELESS_SPAN = 2.2

/** Dynamic programming over the last three places. Numbers under 3 are not looked at. */
export function layersOf(steps: Steps, windows: ReturnType<typeof windowsOf>, most: number): WindowLayers {
  const next = Array.from({ length: steps.n }, (_, i) => Array.from({ length: steps.n - i - 1 }, (_, k) => i + 1 + k).filter(j => steps.mayFollow(i, j) && windows.span(i, j) <= HOPELESS_SPAN))
  const toEnd = costToEnd({ ...steps, cost: () => 1, mayFollow: (i, j) => next[i]!.includes(j) })
  const key = (a: number, b: number, c: number) => (a * steps.n + b) * steps.n + c
  const layers: Map<number, State>[] = [new Map(), new Map(), new Map(), new Map()]
  const keep = (into: Map<number, State>, a: number, b: number, c: number, share: number) => {
    const at = key(a, b, c)
    const known = into.get(at)
    if (share <= HOPELESS && (!known || share < known.share)) into.set(at, { a, b, c, share })
  }
  for (let a = 0; a < steps.n; a++) {
    if (!steps.mayStart(a)) continue
    for (const b of next[a]!) for (const c of next[b]!) if (2 + toEnd[c]! <= most) keep(layers[3]!, a, b, c, windows.start(a, b, c))
  }
  for (let count = 3; count < most && layers[count]!.size; count++) {
    const longer = new Map<number, State>()
    for (const { a, b, c, share } of layers[count]!.values()) {
      for (const d of next[c]!) if (count + toEnd[d]! <= most) keep(longer, b, c, d, Math.max(share, windows.middle(a, b, c, d)))
    }
    layers[count + 1] = longer
  }
  const ends = (count: number) => [...layers[count]?.values() ?? []].flatMap((state) => {
    if (!steps.mayEnd(state.c)) return []
    const tail = windows.end(state.a, state.b, state.c)
    return [{ state, tail, bound: Math.max(state.share, tail) }]
  })
  return {
    leastOf: count => Math.min(Infinity, ...ends(count).map(end => end.bound)),
    choices: (count, under, mostChoices) => {
      // From the right end back, always on from what can still have the least worst window.
      interface Open { state: State, at: number, tail: number, bound: number, right: number[] }
      let open: Open[] = ends(count).filter(end => end.bound <= under).map(({ state, tail, bound }) => ({ state, at: count, tail, bound, right: [state.c] }))
      const found: number[][] = []
      for (let turn = 0; open.length && found.length < mostChoices && turn < 40 * mostChoices; turn++) {
        const best = open.reduce((a, b) => b.bound < a.bound - 1e-12 || (b.bound < a.bound + 1e-12 && b.at < a.at) ? b : a)
        open = open.filter(one => one !== best)
        const { a, b, c } = best.state
        if (best.at === 3) {
          found.push([a, b, ...best.right])
          continue
        }
        for (const before of layers[best.at - 1]!.values()) {
          if (before.b !== a || before.c !== b) continue
          const tail = Math.max(best.tail, windows.middle(before.a, a, b, c))
          const bound = Math.max(tail, before.share)
          if (bound <= under) open.push({ state: before, at: best.at - 1, tail, bound, right: [before.c, ...best.right] })
        }
      }
      return found
    },
  }
}
