import type { DraftFinding } from '../../trade'
import { formatLength, length } from '../../units'
import { judged, onThing, thingOf, withRun, withThing } from './on'

/** Boxes come in steps of so much, mm (common practice). */
const STEP_MM = 50

/** More holes at one side of a box than its side has room for. */
export const holesTooMany = judged((ask, grid) => {
  const crowded = grid.knockouts.filter((one, i, all) => !one.fits && all.findIndex(other => other.thingId === one.thingId && other.side === one.side) === i)
  return crowded.map(({ thingId, side, sideMm, needsMm }): DraftFinding => {
    const thing = thingOf(grid, thingId)
    const own = grid.knockouts.filter(one => one.thingId === thingId && one.side === side)
    const across = side === 'top' || side === 'bottom' ? 'wideMm' as const : 'highMm' as const
    const enough = Math.ceil(needsMm / STEP_MM - 1e-9) * STEP_MM
    return {
      ...onThing(ask, `holes-${side}`, thingId), severity: 'stop', measured: length(sideMm), limit: length(needsMm),
      sentence: `The ${side === 'left' || side === 'right' ? `${side} side` : side} of ${thing.name} has no room for ${own.length === 1 ? 'the hole' : `the ${own.length} holes`} of run${own.length === 1 ? '' : 's'} ${own.map(one => one.run).join(', ')} with locknuts: that takes ${formatLength(needsMm, ask.job.units)}.`,
      propose: () => [
        ...thing.existing || thing.kind === 'inverter' || thing.kind === 'storage' ? [] : [withThing(`A box ${formatLength(enough, ask.job.units)} ${across === 'wideMm' ? 'wide' : 'high'}`, thing, { [across]: enough })],
        ...own.flatMap(({ run: number }) => {
          const run = grid.runs.find(one => one.number === number)!
          return run.choice.trade !== null ? [withRun(`The smallest raceway that may in run ${number}`, run, { trade: null })] : []
        }),
      ],
    }
  })
})
