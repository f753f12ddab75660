import type { Thing } from '../../job'
import { type Cure, type DraftFinding, noCures, sentenceCase } from '../../trade'
import { count } from '../../units'
import type { GroundAsk } from '../ask'
import { usualThing } from '../start'
import { judged, onGrid, onRun, onThing, withRun, withThing } from './on'

/** Circuits come down from the roof and nobody has said how they reach the grid. The page offers the ways: a cure would place boxes on a wall with every plan of every roof. */
export const unbegun = (ask: GroundAsk): DraftFinding[] => ask.grid || !ask.wiring.circuits.length
  ? []
  : [{
      ...onGrid(ask, 'unbegun'), severity: 'caution', sentence: `${ask.wiring.circuits.length === 1 ? 'One circuit comes' : `${ask.wiring.circuits.length} circuits come`} down from the roof; nothing stands between the roof box and the meter yet.`,
      propose: noCures,
    }]

/** The sheet bears a licensed electrician's name, or it is none. */
export const unsigned = judged((ask, { ground: { electrician } }) => electrician.name && electrician.licence
  ? []
  : [{ ...onGrid(ask, 'electrician'), severity: 'stop', sentence: 'No licensed electrician’s name and licence stand on this: electrical work and its sheets are theirs. Upper Deck computes, draws and checks; they answer for it.', propose: noCures }])

export const loose = judged((ask, { problems, ground }) => problems.map(({ thingId, why }, i) => {
  const thing = thingId === null ? null : ground.things.find(one => one.id === thingId)!
  // What stands before the grid is the nearest that a loose end may lead to.
  const targets = thing ? ground.things.filter(one => one.id !== thing.id && ['main-panel', 'sub-panel', 'combiner', 'ac-disconnect', 'meter'].includes(one.kind)) : []
  return {
    ...thing ? onThing(ask, `loose-${i}`, thing.id) : onGrid(ask, `loose-${i}`), severity: 'stop' as const, sentence: `${thing ? `${thing.name}: ` : ''}${thing ? why : sentenceCase(why)}.`,
    propose: () => thing && why.includes('need') ? inverterMore(ask, thing) : thing ? targets.map(to => withThing(`Lead it to ${to.name}`, thing, { leadsTo: to.id })) : [],
  }
}))

/** One inverter more of the group whose strings lack it, beside the one that is there or before the main panel. */
function inverterMore({ wiring, job }: GroundAsk, box: Thing): Cure[] {
  const beside = job.ground!.things.find(one => one.kind === 'inverter')?.leadsTo ?? job.ground!.things.find(one => one.kind === 'main-panel')?.id ?? null
  const group = wiring.groups.find(one => one.inverter && (box.groupId === null || box.groupId === one.group.id))
  if (!group?.inverter) return []
  return [{ label: `Another ${group.inverter.name}`, edit: { type: 'put-thing', thingId: `inv-${group.group.id}-more`.slice(0, 40), thing: usualThing('inverter', 'inverter', { name: 'Another inverter', groupId: group.group.id, wallId: box.wallId, leadsTo: beside, massKg: group.inverter.massKg }) } }]
}

/** A box at which conductors don't arrive as they leave. */
export const unbalanced = judged((ask, grid) => grid.joints.filter(one => !one.right).map((joint) => {
  const leaving = grid.runs.filter(run => run.fromId === joint.thingId)
  const lacking = leaving.filter(run => run.lacking.length)
  const unmarked = leaving.filter(run => run.unmarked.length)
  const wrong = joint.rows.filter(row => !row.right)
  const why = lacking.length
    ? lacking.map(run => `run ${run.number}’s cable has no core left for ${run.lacking.join(', ')}`)
    : unmarked.length
      ? unmarked.map(run => `in run ${run.number} a ${run.conductors.find(one => one.function === run.unmarked[0])?.colour ?? 'white'} core is live as ${run.unmarked.join(', ')} and nobody has said that it is marked at both ends`)
      : wrong.map(row => `${row.function}${row.circuit === null ? '' : ` of circuit ${row.circuit}`} arrives ${times(row.arrives)} and leaves ${times(row.leaves)}`)
  return {
    ...onThing(ask, 'joint', joint.thingId), severity: 'stop' as const, sentence: `At ${joint.name} conductors don’t leave as they arrive: ${why.join('; ')}.`, measured: count(Math.max(1, wrong.length), 'functions'),
    propose: () => [
      ...unmarked.map(run => withRun(`Mark the core in run ${run.number} at both ends`, run, { remarked: true })),
      ...[...lacking, ...unmarked].flatMap(run => [
        ...run.cable === 'us-2' ? [withRun(`Three-wire cable in run ${run.number}`, run, { cable: 'us-3' })] : run.cable === 'en-3g' ? [withRun(`Five-core cable in run ${run.number}`, run, { cable: 'en-5g' })] : [],
        withRun(`Single conductors in a raceway in run ${run.number}`, run, { cable: null }),
      ]),
    ],
  }
}))
const times = (n: number): string => n === 0 ? 'not at all' : n === 1 ? 'once' : `${n} times`

/** Neutral and earth joined where they may not be. */
export const neutralsJoined = judged((ask, grid) => grid.ground.things.filter(one => one.neutralLink && (one.kind === 'sub-panel' || one.kind === 'combiner' || one.kind === 'ac-disconnect')).map(thing => ({
  ...onThing(ask, 'neutral', thing.id), severity: 'stop' as const, sentence: `Neutral and earth are joined in ${thing.name}, after the main: current of the neutral would come back on the earth (${grid.rules.us ? `NEC ${grid.rules.set}, 250.24(A)(5), 408.40` : 'IEC 60364-4-44, 444.4.3'}).`,
  propose: () => [withThing(`Part them in ${thing.name}`, thing, { neutralLink: false })],
})))

/** In an island exactly one link. */
export const islandLinks = judged((ask, grid) => {
  const gateway = grid.ground.things.find(one => one.transfer)
  if (!grid.island || !gateway || grid.island.links.length === 1) return []
  const { links } = grid.island
  return [{
    ...onThing(ask, 'island', gateway.id), severity: 'stop', measured: count(links.length, 'links'), limit: count(1, 'link'),
    sentence: `While the grid is away neutral and earth are joined ${links.length === 0 ? 'nowhere' : `${links.length} times: ${links.join(', ')}`}; there must be exactly one link.`,
    propose: () => [
      withThing(gateway.transfer!.islandLink ? 'The gateway does not join them' : 'The gateway joins them while the grid is away', gateway, { transfer: { ...gateway.transfer!, islandLink: !gateway.transfer!.islandLink } }),
      withThing(gateway.transfer!.switchesNeutral ? 'The neutral is not switched' : 'The neutral is switched', gateway, { transfer: { ...gateway.transfer!, switchesNeutral: !gateway.transfer!.switchesNeutral } }),
    ],
  }]
})

/** Runs that nobody has measured and that lie on no wall. */
export const unmeasured = judged((ask, grid) => grid.runs.filter(run => !run.existing && !run.length.known).map(run => ({
  ...onRun(ask, 'length', run), severity: 'caution' as const, assumed: true as const, sentence: `Nobody has said how long run ${run.number} is, ${run.name}: only its loose ends are counted, and it is not on the walls.`, propose: noCures,
})))
