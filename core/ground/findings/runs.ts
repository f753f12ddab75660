import { isAmerican, isMetal, racewayNames, wiresOf } from '../../electrical'
import { angle, current, length, share } from '../../units'
import { hasLoads } from '../flows'
import { noCures } from '../../trade'
import { judged, onGrid, onRun, thingOf, withRun, withThing } from './on'

/** Conductors that don't carry what runs through them. */
export const thin = judged((ask, grid) => grid.runs.filter(run => !run.existing && !run.carries).map(run => ({
  ...onRun(ask, 'thin', run), severity: 'stop' as const, measured: current(run.carried.amps), limit: current(Math.max(...run.flows.map(one => one.deviceA ?? one.afterA))),
  sentence: `Run ${run.number}, ${run.name}: ${run.size} carries ${run.carried.amps.toFixed(1)} A there; ${run.flows.map(one => `${one.name} has ${one.amps.toFixed(1)} A${one.deviceA === null ? '' : ` on ${one.deviceA} A`}`).slice(0, 2).join(', ')}.`,
  propose: () => run.choice.size === null ? [] : [withRun('Take the thinnest that carries it', run, { size: null })],
})))

/** A run that loses more volts than its share of the budget. */
export const dropped = judged((ask, grid) => {
  const over = grid.drops.filter(one => one.share > one.limit + 1e-9).sort((a, b) => b.share - a.share)
  const [worst] = over
  if (!worst) return []
  const most = [...worst.runs].sort((a, b) => b.share - a.share)[0]!
  const run = grid.runs.find(one => one.id === most.run)!
  const sizes = wiresOf(grid.rules.us)
  return [{
    // Its name is no run's: another run that is worst now has not cured it.
    ...onGrid(ask, 'drop'), about: { kind: 'run', id: run.id }, severity: 'caution', measured: share(worst.share), limit: share(worst.limit),
    sentence: `${worst.name} loses ${(100 * worst.share).toFixed(2)} % from the roof to where it is connected; the budget is ${(100 * worst.limit).toFixed(2)} %. ${(100 * worst.roofShare).toFixed(2)} % on the roof, ${worst.runs.map(one => `${(100 * one.share).toFixed(2)} % in run ${grid.runs.find(other => other.id === one.run)!.number}`).join(', ')}.`,
    propose: () => [
      ...run.choice.size !== null ? [withRun(`Run ${run.number} as thick as it has to be`, run, { size: null })] : [],
      ...sizes.slice(sizes.indexOf(run.size) + 1).slice(0, 4).map(size => withRun(`${size} in run ${run.number}`, run, { size })),
      ...worst.share < 0.03 ? [{ label: `A budget of ${Math.ceil(1000 * worst.share) / 10} %`, edit: { type: 'set-wiring' as const, values: { dropShare: Math.ceil(1000 * worst.share) / 1000 } } }] : [],
    ],
  }]
})

/** A raceway too narrow for what lies in it, or none wide enough. */
export const overfull = judged((ask, grid) => grid.runs.filter(run => !run.existing && run.raceway && !run.raceway.filled?.fits).map(run => ({
  ...onRun(ask, 'fill', run), severity: 'stop' as const, ...run.raceway!.filled ? { measured: share(run.raceway!.filled.share), limit: share(run.raceway!.filled.limit) } : {},
  sentence: run.raceway!.filled
    ? `Run ${run.number}: ${run.conductors.length} conductors fill ${(100 * run.raceway!.filled.share).toFixed(1)} % of ${racewayNames[run.raceway!.kind]} ${run.raceway!.filled.size}; ${(100 * run.raceway!.filled.limit).toFixed(0)} % may be filled (${grid.rules.figures['fill-more'].clause}).`
    : `Run ${run.number}: ${run.conductors.length} conductors of ${run.size} fit in no ${racewayNames[run.raceway!.kind]} that is made.`,
  propose: () => run.raceway!.asked ? [withRun('The narrowest that holds them', run, { trade: null })] : [],
})))

/** Direct current inside a house lies in metal, in the United States. */
export const notMetal = judged((ask, grid) => grid.rules.us
  ? grid.runs.filter(run => run.dc && !run.existing && run.raceway && !isMetal(run.raceway.kind) && run.choice.ways.some(way => way === 'attic' || way === 'inside')).map(run => ({
      ...onRun(ask, 'metal', run), severity: 'stop' as const, sentence: `Run ${run.number} takes direct current through the house in ${racewayNames[run.raceway!.kind]}: there it lies in metal raceway, metal-clad cable or metal boxes up to its first disconnect (NEC ${grid.rules.set}, ${grid.rules.set === '2017' ? '690.31(G)' : '690.31(D)'}).`,
      propose: () => [withRun('Lay it in EMT', run, { raceway: 'emt' })],
    }))
  : [])

/** More bends than somebody can pull round. */
export const bent = judged((ask, grid) => grid.runs.flatMap((run) => {
  const limit = grid.rules.figures.bends.value
  const each = run.choice.bendsDeg / (run.choice.pullBoxes + 1)
  const needed = Math.ceil(run.choice.bendsDeg / limit) - 1
  return run.existing || !run.raceway || each <= limit + 1e-9
    ? []
    : [{ ...onRun(ask, 'bends', run), severity: 'stop' as const, measured: angle(each), limit: angle(limit), sentence: `Run ${run.number} bends ${Math.round(each)}° between two pulls; ${limit}° are the most (${grid.rules.figures.bends.clause}).`, propose: () => [withRun(needed === 1 ? 'A pull box on its way' : `${needed} pull boxes on its way`, run, { pullBoxes: needed })] }]
}))

/** Sizes typed of the other side of the ocean. */
export const otherSizes = judged((ask, grid) => grid.runs.filter(run => run.choice.size !== null && isAmerican(run.choice.size) !== grid.rules.us).map(run => ({
  ...onRun(ask, 'sizes', run), severity: 'stop' as const, sentence: `Run ${run.number} was given ${run.choice.size}, which is no size of ${grid.rules.us ? 'the NEC' : 'IEC 60228'}.`, propose: () => [withRun('Take the thinnest that carries it', run, { size: null })],
})))

/** A device on a run is none that is made, or under what has to be. */
export const deviceWrong = judged((ask, grid) => grid.runs.filter(run => !run.existing && run.flows.some(flow => flow.circuit === null && flow.deviceA !== null && flow.deviceA < flow.amps * (grid.rules.us ? grid.rules.figures.continuous.value : 1) - 1e-9)).map((run) => {
  const flow = run.flows.find(one => one.circuit === null)!
  const from = thingOf(grid, run.fromId)
  return {
    ...onRun(ask, 'device', run), severity: 'stop' as const, measured: current(flow.deviceA!), limit: current(flow.amps * (grid.rules.us ? grid.rules.figures.continuous.value : 1)), sentence: `Run ${run.number} has a device of ${flow.deviceA} A for ${flow.amps.toFixed(1)} A that flow for hours: ${(flow.amps * (grid.rules.us ? grid.rules.figures.continuous.value : 1)).toFixed(1)} A at least.`,
    propose: () => from.deviceA === null ? [] : [withThing('The least device that may', from, { deviceA: null })],
  }
}))

/** What meets a feeder on its way is a tap of it: to 10 ft a tenth of the feeder's device, to 25 ft a third of it with the source, and no longer (NEC 240.21(B)(1) and (2), 705.12(B)). */
export const feederTaps = judged((ask, grid) => {
  if (!grid.rules.us) return []
  return grid.runs.flatMap((run) => {
    const meeting = grid.runs.find(one => one.fromId === run.toId && !one.existing)
    const feeder = grid.runs.find(one => one.toId === run.toId && one.id !== run.id && hasLoads(thingOf(grid, one.fromId)))
    if (thingOf(grid, run.toId).kind !== 'junction' || !meeting || !feeder || hasLoads(thingOf(grid, run.fromId))) return []
    const device = Math.max(...feeder.flows.map(one => one.deviceA ?? 0))
    const source = run.flows.reduce((sum, one) => sum + one.amps, 0) * grid.rules.figures.continuous.value
    const least = run.length.mm <= 3048 ? device / 10 : (device + source) / 3
    const long = run.length.mm > 7620
    return !long && run.carried.amps >= least - 1e-9
      ? []
      : [{
          ...onRun(ask, 'feeder-tap', run), severity: 'stop' as const, measured: long ? length(run.length.mm) : current(run.carried.amps), limit: long ? length(7620) : current(least),
          sentence: `Run ${run.number} taps the feeder of ${thingOf(grid, feeder.fromId).name}, on ${device} A: ${long ? 'it is longer than 25 ft' : `it carries ${run.carried.amps.toFixed(1)} A, and ${least.toFixed(1)} A are the least at this length`} (NEC ${grid.rules.set}, 240.21(B)).`,
          propose: () => wiresOf(true).slice(wiresOf(true).indexOf(run.size) + 1).slice(0, 8).map(size => withRun(`${size} in run ${run.number}`, run, { size })),
        }]
  })
})

export const figuresTyped = judged((ask, grid) => grid.ground.figures.length
  ? [{ ...onGrid(ask, 'figures'), severity: 'note', onSheets: true, sentence: `${grid.ground.figures.length === 1 ? 'A figure of the code is' : `${grid.ground.figures.length} figures of the code are`} typed over: ${grid.ground.figures.map(one => `${grid.rules.figures[one.id].name.toLowerCase()} ${one.value} by ${one.by}`).join('; ')}.`, propose: noCures }]
  : [])
