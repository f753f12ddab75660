import { count, length, mass } from '../../units'
import { entryOf } from '../wall/body'
import { wayBetween } from '../wall/route'
import { noCures } from '../../trade'
import { judged, onGrid, onThing, thingOf, withThing } from './on'

/** Things that find no place on their wall. */
export const placeless = judged((ask, grid) => [...grid.placing.without, ...grid.placing.unfinished].map((id) => {
  const thing = thingOf(grid, id)
  const others = grid.ground.walls.filter(one => one.id !== thing.wallId)
  return { ...onThing(ask, 'placeless', id), severity: 'stop' as const, sentence: grid.placing.unfinished.includes(id) ? `No place for ${thing.name} and the others was found on ${grid.ground.walls.find(one => one.id === thing.wallId)!.name} within the search; whether there is one is not known. Type some of them where they go.` : `${thing.name} finds no place on ${grid.ground.walls.find(one => one.id === thing.wallId)!.name} that keeps all distances with what stands there, on a grid of 25 mm.`, propose: () => others.map(wall => withThing(`Hang it on ${wall.name}`, thing, { wallId: wall.id })) }
}))

/** Things somebody put where they may not stand. */
export const crowded = judged((ask, grid) => grid.crowded.map(({ thingId, why, measuredMm, limitMm }) => {
  const thing = thingOf(grid, thingId)
  return {
    ...onThing(ask, 'crowded', thingId), severity: 'stop' as const, ...measuredMm === null ? {} : { measured: length(measuredMm) }, ...limitMm === null ? {} : { limit: length(limitMm) },
    sentence: `${thing.name} may not stand where it was put: ${why}.`, propose: () => [withThing('Find it a place', thing, { at: null })],
  }
}))

/** Nobody has said on which wall it hangs. */
export const unhung = judged((ask, grid) => {
  const loose = grid.ground.things.filter(one => one.wallId === null && one.kind !== 'roof-box')
  return loose.length ? [{ ...onGrid(ask, 'unhung'), severity: 'caution', assumed: true, measured: count(loose.length, 'things'), sentence: `Nobody has said on which wall ${loose.map(one => one.name).join(', ')} ${loose.length === 1 ? 'hangs' : 'hang'}.`, propose: noCures }] : []
})

/** A search that came to its limit says how far it got. */
export const notProved = judged((ask, { placing: { proved, allWays, cost, boundCost } }) => proved && allWays
  ? []
  : [{ ...onGrid(ask, 'places'), severity: 'note', sentence: `Places on the walls: the best found costs ${cost.toFixed(2)}${proved ? '' : `; nothing under ${boundCost.toFixed(2)} is possible${allWays ? '' : ' by these ways between walls'}, and between the two not everything was looked at`}.${allWays ? '' : ' There are too many choices of ways between walls: only the shortest of each were tried.'}`, propose: noCures }])

/** Over what one person lifts. */
export const heavy = judged((ask, grid) => {
  const limit = grid.rules.figures['two-person'].value
  const lifted = grid.ground.things.filter(one => !one.existing && one.massKg !== null && one.massKg > limit)
  return lifted.length ? [{ ...onGrid(ask, 'heavy'), severity: 'note', measured: mass(Math.max(...lifted.map(one => one.massKg!))), limit: mass(limit), onSheets: true, sentence: `Two people lift ${lifted.map(one => `${one.name} (${one.massKg} kg)`).join(', ')}; batteries and inverters always.`, propose: noCures }] : []
})

/** The utility looks for its disconnect beside the meter, outside and in reach. */
export const outOfSight = judged((ask, grid) => {
  const { ground, placing, rules } = grid
  const meter = ground.things.find(one => one.kind === 'meter')
  const disconnects = ground.things.filter(one => one.kind === 'ac-disconnect')
  const at = (id: string) => placing.stood.find(one => one.thingId === id)
  const from = meter && at(meter.id)
  if (!meter || !from || !disconnects.length || !rules.us) return []
  const seen = disconnects.map((one) => {
    const own = at(one.id)
    const outside = ground.walls.find(wall => wall.id === own?.wallId)?.place === 'outside'
    const way = own && wayBetween({ wallId: own.wallId, ...entryOf(one, own) }, { wallId: from.wallId, ...entryOf(meter, from) }, ground)
    return { one, mm: own && outside && way ? way.reduce((sum, part) => sum + part.mm, 0) : null }
  })
  if (seen.some(({ mm }) => mm !== null && mm <= rules.figures.sight.value + 1e-6)) return []
  const [{ one, mm }] = [...seen].sort((a, b) => (a.mm ?? Infinity) - (b.mm ?? Infinity)) as [typeof seen[number]]
  return [{
    ...onThing(ask, 'sight', one.id), severity: 'caution', ...mm === null ? {} : { measured: length(mm) }, limit: length(rules.figures.sight.value),
    sentence: `${one.name} is ${mm === null ? 'not outside where the utility finds it' : `${(mm / 304.8).toFixed(1)} ft from the meter`}: many utilities want a disconnect in sight and reach of it, within ${(rules.figures.sight.value / 304.8).toFixed(0)} ft (${rules.figures.sight.clause}).`,
    propose: () => one.wallId === from.wallId && !one.at ? [] : [withThing('Hang it on the meter’s wall, where it is cheapest', one, { wallId: from.wallId, at: null })],
  }]
})
