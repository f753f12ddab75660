import { conductorSizes, isAwg } from '../../catalogue'
import type { Job, PutIn } from '../../job'
import { type Cure, type DraftFinding, onJob } from '../../trade'
import { count, current, share } from '../../units'
import type { WiringAsk } from '../ask'
import type { Circuit } from '../layout'
import { circuitName, moduleWords, percent } from '../words'
import { allBack, backCure, branchesIn, onCircuit, putBack } from './on'

const wires = (label: string, values: Partial<Omit<Job['wiring'], 'groups' | 'putIn' | 'ends'>>): Cure => ({ label, edit: { type: 'set-wiring', values } })

const holds = (circuit: Circuit, { faceId, moduleId }: PutIn): boolean => circuit.kind === 'branch'
  ? circuit.units.some(unit => unit.faceId === faceId && unit.modules.includes(moduleId))
  : circuit.modules.some(one => one.faceId === faceId && one.id === moduleId)

/** Modules that somebody put into a circuit that is not there, or is of another group: they stay where they were, and that is said. */
export function putNowhere(ask: WiringAsk): DraftFinding[] {
  const astray = ask.job.wiring.putIn.filter(put => !ask.wiring.circuits.some(one => one.number === put.circuit && holds(one, put)))
  const [first] = astray
  if (!first) return []
  const one = astray.length === 1
  const [were, stand, it] = one ? ['One module was', 'it stands', 'it'] : [`${astray.length} modules were`, 'they stand', 'them']
  return [{
    ...onJob(ask, 'wiring', 'wiring-put'), severity: 'caution', measured: count(astray.length, 'modules'),
    sentence: `${were} put by hand where the plan now has no such place, as ${moduleWords(first.moduleId)} in circuit ${first.circuit}: ${stand} where the split has ${it}, if at all.`,
    propose: () => backCure(one ? 'Forget that it was moved' : 'Forget that they were moved', astray),
  }]
}

export const branchOver = (ask: WiringAsk): DraftFinding[] => branchesIn(ask).filter(one => one.units.length > one.limit.most).map(one => ({
  ...onCircuit(ask, 'wiring-over', one), severity: 'stop', measured: count(one.units.length, 'units'), limit: count(one.limit.most, 'units'),
  sentence: `Branch ${one.number} has ${one.units.length} units; ${one.limit.most} may stand on it, by ${{ unit: 'the unit’s maker', trunk: 'the trunk’s listed current', device: 'its device' }[one.limit.governs]}.`,
  propose: () => [...putBack(ask, one), ...allBack(ask)],
}))

/** Volts lost past the one budget. */
export const dropOver = (ask: WiringAsk): DraftFinding[] => ask.wiring.circuits.filter(one => one.drop.share > one.drop.limit + 1e-9).map(one => ({
  ...onCircuit(ask, 'wiring-drop', one), severity: 'caution', measured: share(one.drop.share), limit: share(one.drop.limit),
  sentence: `${circuitName(one)} loses ${percent(one.drop.share)} of its volts; the budget is ${percent(one.drop.limit)}: ${one.drop.parts.map(({ what, volts }) => `${what} ${volts.toFixed(2)} V`).join(', ')}.`,
  propose: () => dropCures(ask, one),
}))

function dropCures({ job: { wiring } }: WiringAsk, circuit: Circuit): Cure[] {
  const size = circuit.kind === 'branch' ? circuit.home.size : circuit.plus.size
  const sizes = conductorSizes.filter(other => isAwg(other) === isAwg(size))
  const thicker = sizes.slice(sizes.indexOf(size) + 1)
  const fedAtEnd = circuit.kind === 'branch' && wiring.feed === 'end'
  return [
    ...fedAtEnd && circuit.units.length > 2 ? [wires('Feed trunks at their middle', { feed: 'middle' })] : [],
    ...thicker.map(homeSize => wires(`Home runs of ${homeSize}`, { homeSize })),
    ...fedAtEnd ? thicker.map(homeSize => wires(`Feed at the middle, home runs of ${homeSize}`, { feed: 'middle', homeSize })) : [],
  ]
}

/** Home runs are carried so high over the roof where heat is the trouble, mm; lower ones count as lying on it (common practice). */
const CARRIED_MM = 60
const LOW_MM = 25

/** A conductor that does not carry what runs through it up there. */
export const tooThin = (ask: WiringAsk): DraftFinding[] => ask.wiring.circuits.flatMap((one): DraftFinding[] => {
  const home = one.kind === 'branch' ? one.home : one.plus
  const { homeSize, overRoofMm } = ask.job.wiring
  if (home.carries) return []
  return [{
    ...onCircuit(ask, 'wiring-thin', one), severity: 'stop', measured: current(home.amps),
    sentence: `The home run of ${circuitName(one).toLowerCase()}, ${home.size}, does not carry its ${home.amps.toFixed(1)} A with the heat and the company it lies in.`,
    propose: () => [
      ...homeSize ? [wires('Take the thinnest that carries it', { homeSize: null })] : [],
      ...overRoofMm < LOW_MM ? [wires(`Carry home runs ${CARRIED_MM} mm over the roof`, { overRoofMm: CARRIED_MM })] : [],
      wires('Lay each home run apart', { together: 2 }),
    ],
  }]
})
