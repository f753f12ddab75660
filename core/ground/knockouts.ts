import { holeMm, holesApartMm, type RacewaySize } from '../electrical'
import type { Ground, Thing } from '../job'
import type { Knockout, Placing, Run } from './layout'
import { entryOf } from './wall/body'

type Side = Knockout['side']
const SIDES: Side[] = ['top', 'right', 'bottom', 'left']

/** Where a run comes to a box: from above by default, as from the roof. */
function sideOf(thing: Thing, run: Run, { stood }: Placing, things: Thing[]): Side {
  const other = things.find(one => one.id === (run.fromId === thing.id ? run.toId : run.fromId))!
  const [mine, theirs] = [stood.find(one => one.thingId === thing.id), stood.find(one => one.thingId === other.id)]
  if (!mine || !theirs || mine.wallId !== theirs.wallId) return run.toId === thing.id ? 'top' : 'bottom'
  const [a, b] = [entryOf(thing, mine), entryOf(other, theirs)]
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  // A run is drawn down or up first from where it begins, and comes in from the side.
  if (run.toId === thing.id) return Math.abs(dx) > 1 ? dx < 0 ? 'left' : 'right' : dy > 0 ? 'top' : 'bottom'
  return Math.abs(dy) > 1 ? dy > 0 ? 'top' : 'bottom' : dx < 0 ? 'left' : 'right'
}

/** Holes for the raceways of new runs, side by side about the middle of each side, by running reading from its left or lower end. */
export function knockoutsOf({ things }: Ground, runs: Run[], placing: Placing): Knockout[] {
  return things.flatMap(thing => SIDES.flatMap((side) => {
    const own = runs.filter(run => !run.existing && run.raceway?.filled && (run.fromId === thing.id || run.toId === thing.id) && sideOf(thing, run, placing, things) === side)
    const sizes = own.map(run => run.raceway!.filled!.size)
    const gaps = sizes.slice(1).map((size, i) => holesApartMm(sizes[i]!, size))
    const across = gaps.reduce((sum, gap) => sum + gap, 0)
    const sideMm = side === 'top' || side === 'bottom' ? thing.wideMm : thing.highMm
    // Each hole keeps half a locknut within its side; they stand about its middle.
    const needsMm = Math.max(0, ...sizes.map((size, i) => 2 * (Math.abs(gaps.slice(0, i).reduce((sum, gap) => sum + gap, 0) - across / 2) + edgeMm(size))))
    let at = (sideMm - across) / 2
    return own.map((run, i): Knockout => {
      if (i) at += gaps[i - 1]!
      return { thingId: thing.id, side, run: run.number, readingMm: at, holeMm: holeMm(sizes[i]!), trade: sizes[i]!, sideMm, needsMm, fits: needsMm <= sideMm + 1e-6 }
    })
  }))
}
/** Half a locknut, mm: it stays within its side. */
const edgeMm = (size: RacewaySize): number => holesApartMm(size, size) / 2
