import { copperMm2, type WireSize, wiresOf } from '../electrical'
import { type Laid, lossV } from './lay'

/** A run to be sized: the sizes that carry it, thinnest first, and how long it is. */
export interface Sizable { laid: Laid, able: WireSize[], mm: number }

/** One circuit's way down: what it has lost on the roof, and where its current is in each run it goes through. */
export interface Way { circuit: number, name: string, roofShare: number, steps: { run: number, flow: number }[] }

/** Thicker than this many sizes over what carries it, copper is not made for volts' sake. */
const MOST_STEPS = 6
const MOST_NODES = 60_000

const shareIn = ({ laid, mm }: Sizable, flow: number, size: WireSize): number => lossV(laid.flows[flow]!, size, mm) / laid.flows[flow]!.ofV

/**
 * Sizes of all runs with the least copper that keeps every circuit within the one budget of volts; where none does, the thinnest that carry: copper
 * would not mend it. Runs somebody sized stay. Every choice is looked at but those that can't be better.
 */
export function sizesWithin(runs: Sizable[], ways: Way[], budget: number, us: boolean): WireSize[] {
  const order = wiresOf(us)
  const choices = runs.map(({ able, laid }) => laid.choice.size !== null || laid.existing ? able.slice(0, 1) : able.slice(0, MOST_STEPS + 1)).map(list => list.length ? list : [order.at(-1)!])
  const least = choices.map(list => list[0]!)
  const lost = (way: Way, sizes: WireSize[]) => way.roofShare + way.steps.reduce((sum, { run, flow }) => sum + shareIn(runs[run]!, flow, sizes[run]!), 0)
  if (ways.every(way => lost(way, least) <= budget + 1e-9)) return least
  const thickest = choices.map(list => list.at(-1)!)
  // What no copper can mend is left out; the rest still gets what it needs.
  const mendable = ways.filter(way => lost(way, thickest) <= budget + 1e-9)
  if (!mendable.length) return least
  const copper = (i: number, size: WireSize) => copperMm2(size) * runs[i]!.mm * runs[i]!.laid.flows.reduce((sum, flow) => sum + flow.functions.length, 0)
  let best: { sizes: WireSize[], copper: number } | null = null
  let nodes = 0
  const sizes = [...thickest]
  function go(i: number, used: number) {
    if (best && used >= best.copper - 1e-9) return
    if (i === runs.length) {
      best = { sizes: [...sizes], copper: used }
      return
    }
    for (const size of choices[i]!) {
      if (++nodes > MOST_NODES) return
      sizes[i] = size
      // Runs not yet chosen stand at their thickest: where even that loses too much, thicker is needed here.
      if (mendable.every(way => lost(way, sizes) <= budget + 1e-9)) go(i + 1, used + copper(i, size))
    }
    sizes[i] = thickest[i]!
  }
  go(0, 0)
  return (best as { sizes: WireSize[] } | null)?.sizes ?? thickest
}
