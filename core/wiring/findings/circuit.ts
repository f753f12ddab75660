import { conductorSizes, isAwg, offered } from '../../catalogue'
import type { Edit } from '../../job'
import { type Cure, type DraftFinding, noCures, onJob, sentenceCase, writer } from '../../trade'
import { count, current, length, share, voltage } from '../../units'
import type { WiringAsk } from '../ask'
import type { Branch, Circuit, WireString } from '../layout'
import { circuitName, moduleWords, percent } from '../words'

/** A batch holds so many edits. */
const MOST_IN_BATCH = 60
const branches = ({ wiring }: WiringAsk): Branch[] => wiring.circuits.filter(one => one.kind === 'branch')
const strings = ({ wiring }: WiringAsk): WireString[] => wiring.circuits.filter(one => one.kind === 'string')
const on = (ask: WiringAsk, id: string, circuit: Circuit) => ({ ...onJob(ask, 'wiring', `${id}:${circuit.number}`), faceId: circuit.faceIds[0]!, about: { kind: 'circuit' as const, id: String(circuit.number) } })
const groupOf = ({ wiring }: WiringAsk, circuit: Circuit) => wiring.groups.find(one => one.group.id === circuit.groupId)!

/** The modules of a circuit that a person put there, back to where the school has them. */
function putBack({ job }: WiringAsk, circuit: Circuit): Cure[] {
  const own = job.wiring.putIn.filter(one => one.circuit === circuit.number)
  return own.length ? [{ label: own.length === 1 ? `Put ${moduleWords(own[0]!.moduleId)} back` : `Put ${own.length} modules back`, edit: { type: 'batch', edits: own.slice(0, MOST_IN_BATCH).map(({ faceId, moduleId }) => ({ type: 'put-in-circuit' as const, faceId, moduleId, circuit: null })) } }] : []
}
const allBack = ({ job }: WiringAsk): Cure[] => job.wiring.putIn.length ? [{ label: 'Put all modules back that were moved by hand', edit: { type: 'batch', edits: job.wiring.putIn.slice(0, MOST_IN_BATCH).map(({ faceId, moduleId }) => ({ type: 'put-in-circuit' as const, faceId, moduleId, circuit: null })) } }] : []

/** Modules that somebody put into a circuit that is not there, or is of another group: they stay where they were, and that is said. */
export function putNowhere(ask: WiringAsk): DraftFinding[] {
  const holds = (circuit: Circuit, faceId: string, moduleId: string) => circuit.kind === 'branch'
    ? circuit.units.some(unit => unit.faceId === faceId && unit.modules.includes(moduleId))
    : circuit.modules.some(one => one.faceId === faceId && one.id === moduleId)
  const astray = ask.job.wiring.putIn.filter(put => !ask.wiring.circuits.some(one => one.number === put.circuit && holds(one, put.faceId, put.moduleId)))
  const [first] = astray
  return first
    ? [{
        ...onJob(ask, 'wiring', 'wiring-put'), severity: 'caution', measured: count(astray.length, 'modules'),
        sentence: `${astray.length === 1 ? 'One module was' : `${astray.length} modules were`} put by hand where the plan now has no such place, as ${moduleWords(first.moduleId)} in circuit ${first.circuit}: ${astray.length === 1 ? 'it stands' : 'they stand'} where the split has ${astray.length === 1 ? 'it' : 'them'}, if at all.`,
        propose: () => [{ label: astray.length === 1 ? 'Forget that it was moved' : 'Forget that they were moved', edit: { type: 'batch', edits: astray.slice(0, MOST_IN_BATCH).map(({ faceId, moduleId }) => ({ type: 'put-in-circuit' as const, faceId, moduleId, circuit: null })) } }],
      }]
    : []
}

export const branchOver = (ask: WiringAsk): DraftFinding[] => branches(ask).filter(one => one.units.length > one.limit.most).map(one => ({
  ...on(ask, 'wiring-over', one), severity: 'stop', measured: count(one.units.length, 'units'), limit: count(one.limit.most, 'units'),
  sentence: `Branch ${one.number} has ${one.units.length} units; ${one.limit.most} may stand on it, by ${{ unit: 'the unit’s maker', trunk: 'the trunk’s listed current', device: 'its device' }[one.limit.governs]}.`,
  propose: () => [...putBack(ask, one), ...allBack(ask)],
}))

/** Volts lost past the one budget. */
export const dropOver = (ask: WiringAsk): DraftFinding[] => ask.wiring.circuits.filter(one => one.drop.share > one.drop.limit + 1e-9).map(one => ({
  ...on(ask, 'wiring-drop', one), severity: 'caution', measured: share(one.drop.share), limit: share(one.drop.limit),
  sentence: `${circuitName(one)} loses ${percent(one.drop.share)} of its volts; the budget is ${percent(one.drop.limit)}: ${one.drop.parts.map(({ what, volts }) => `${what} ${volts.toFixed(2)} V`).join(', ')}.`,
  propose: () => {
    const edits: { label: string, edit: Edit }[] = []
    if (one.kind === 'branch' && ask.job.wiring.feed === 'end' && one.units.length > 2) edits.push({ label: 'Feed trunks at their middle', edit: { type: 'set-wiring', values: { feed: 'middle' } } })
    const size = one.kind === 'branch' ? one.home.size : one.plus.size
    const thicker = conductorSizes.filter(other => isAwg(other) === isAwg(size))
    for (const next of thicker.slice(thicker.indexOf(size) + 1)) edits.push({ label: `Home runs of ${next}`, edit: { type: 'set-wiring', values: { homeSize: next } } })
    if (one.kind === 'branch' && ask.job.wiring.feed === 'end') for (const next of thicker.slice(thicker.indexOf(size) + 1)) edits.push({ label: `Feed at the middle, home runs of ${next}`, edit: { type: 'set-wiring', values: { feed: 'middle', homeSize: next } } })
    return edits
  },
}))

/** A conductor that does not carry what runs through it up there. */
export const tooThin = (ask: WiringAsk): DraftFinding[] => ask.wiring.circuits.flatMap((one): DraftFinding[] => {
  const home = one.kind === 'branch' ? one.home : one.plus
  return home.carries
    ? []
    : [{
        ...on(ask, 'wiring-thin', one), severity: 'stop', measured: current(home.amps),
        sentence: `The home run of ${circuitName(one).toLowerCase()}, ${home.size}, does not carry its ${home.amps.toFixed(1)} A with the heat and the company it lies in.`,
        propose: () => [...ask.job.wiring.homeSize ? [{ label: 'Take the thinnest that carries it', edit: { type: 'set-wiring' as const, values: { homeSize: null } } }] : [], ...ask.job.wiring.overRoofMm < 25 ? [{ label: 'Carry home runs 60 mm over the roof', edit: { type: 'set-wiring' as const, values: { overRoofMm: 60 } } }] : [], { label: 'Lay each home run apart', edit: { type: 'set-wiring' as const, values: { together: 2 } } }],
      }]
})

/** Units for which nothing is free under their module, and leads that don't reach. */
export const unitsAstray = (ask: WiringAsk): DraftFinding[] => ask.faces.flatMap(({ face, plan }): DraftFinding[] => {
  const blocked = plan.wiring?.units.filter(unit => !unit.clear) ?? []
  return blocked.length
    ? [{
        ...onJob(ask, 'wiring', `wiring-place:${face.id}`), faceId: face.id, severity: 'caution', about: { kind: 'unit', id: blocked[0]!.id }, measured: count(blocked.length, 'units'),
        sentence: `No place is clear of fixings, splices and the junction box for the unit under ${blocked.slice(0, 3).map(one => moduleWords(one.under)).join('; ')}${blocked.length > 3 ? ` and ${blocked.length - 3} more` : ''}: hang it on the other rail or the frame, and look.`,
        propose: noCures,
      }]
    : []
})
export const leadsShort = (ask: WiringAsk): DraftFinding[] => ask.faces.flatMap(({ face, plan }): DraftFinding[] => {
  const short = plan.wiring?.units.flatMap(unit => unit.short.map(one => ({ ...one, unit }))) ?? []
  const worst = short.reduce<typeof short[number] | null>((a, b) => !a || b.mm > a.mm ? b : a, null)
  return worst
    ? [{
        ...onJob(ask, 'wiring', `wiring-leads:${face.id}`), faceId: face.id, severity: 'caution', about: { kind: 'unit', id: worst.unit.id }, measured: length(worst.mm),
        sentence: `Leads of ${short.length === 1 ? 'one module don’t' : `${short.length} modules don’t`} reach their unit by the way they have to go; the worst, ${moduleWords(worst.moduleId)}, is ${writer(ask)(worst.mm)} short. Extension leads are counted, two a module.`, propose: noCures,
      }]
    : []
})
/** Nobody has said how long leads are, or where they leave: whether they reach is not checked. */
export const leadsUnknown = (ask: WiringAsk): DraftFinding[] => {
  const modules = [...new Set(ask.faces.filter(({ plan }) => plan.wiring?.circuits.length && (plan.parts.module.leadMm === null || !plan.parts.module.junctionBox)).map(({ plan }) => plan.parts.module.name))]
  return modules.length ? [{ ...onJob(ask, 'wiring', 'wiring-leads-unknown'), severity: 'caution', sentence: `The shelf does not say how long the leads of ${modules.join(' and ')} are, or where its junction box is: whether leads reach and units hang clear of it is not checked.`, propose: noCures }] : []
}

/** A string past its voltages, or too short to start, as it is when somebody has moved modules. */
export const stringLength = (ask: WiringAsk): DraftFinding[] => strings(ask).flatMap((one): DraftFinding[] => {
  const { inverter } = groupOf(ask, one)
  if (!inverter) return []
  const { range } = one
  const n = one.modules.length
  const limitV = Math.min(inverter.mostV, ask.wiring.rules.mostV)
  const base = { ...on(ask, 'wiring-string', one), severity: 'stop' as const, propose: () => [...putBack(ask, one), ...allBack(ask)] }
  if (inverter.heldV === null && one.coldV > limitV + 1e-6) return [{ ...base, measured: voltage(one.coldV), limit: voltage(limitV), sentence: `String ${one.number}, ${n} modules, reaches ${one.coldV.toFixed(0)} V at the coldest; ${limitV === inverter.mostV ? inverter.name : 'this building'} allows ${limitV} V.` }]
  if (n > range.most) return [{ ...base, measured: count(n, 'modules'), limit: count(range.most, 'modules'), sentence: `String ${one.number} has ${n} modules; at most ${range.most} by ${range.mostBy}.` }]
  return n < range.least ? [{ ...base, measured: count(n, 'modules'), limit: count(range.least, 'modules'), sentence: `String ${one.number} has ${n} modules; at least ${range.least} by ${range.leastBy}.` }] : []
})

/** Strings side by side on one tracker as long as each other. */
export const unequal = (ask: WiringAsk): DraftFinding[] => strings(ask).flatMap((one): DraftFinding[] => {
  const beside = strings(ask).filter(other => other.groupId === one.groupId && other.inverter === one.inverter && other.tracker === one.tracker)
  // At a held voltage each string is brought to it by its own electronics.
  return groupOf(ask, one).inverter?.heldV === null && beside[0] === one && new Set(beside.map(other => other.modules.length)).size > 1
    ? [{ ...on(ask, 'wiring-unequal', one), severity: 'stop', sentence: `Strings ${beside.map(other => other.number).join(' and ')} lie side by side on one tracker and have ${beside.map(other => other.modules.length).join(' and ')} modules: the longer one drives current into the shorter.`, propose: () => allBack(ask) }]
    : []
})

export const modulesLeft = (ask: WiringAsk): DraftFinding[] => ask.wiring.groups.filter(one => one.problem === null && one.left.length > 0).map(plan => ({
  ...onJob(ask, 'wiring', `wiring-left:${plan.group.id}`), severity: 'stop', measured: count(plan.left.length, 'modules'),
  sentence: `${plan.left.length === 1 ? 'One module stands' : `${plan.left.length} modules stand`} in no string: ${plan.stringRange && plan.stringRange.most < plan.stringRange.least ? `no length suits ${plan.inverter!.name}, at least ${plan.stringRange.least} by ${plan.stringRange.leastBy} and at most ${plan.stringRange.most} by ${plan.stringRange.mostBy}` : `${plan.inverter!.name} takes strings of ${plan.stringRange!.least} to ${plan.stringRange!.most} on ${plan.inverter!.trackers.length === 1 ? 'one tracker' : `${plan.inverter!.trackers.length} trackers`}, and of all ways compared none takes more`}.`,
  propose: () => offered(ask.catalogue.inverters).filter(one => one.id !== plan.inverter!.id && (one.heldV !== null) === (plan.inverter!.heldV !== null)).map(one => ({ label: `Take ${one.name}`, edit: { type: 'set-wire-group' as const, groupId: plan.group.id, group: { ...plan.group, inverterId: one.id } } })),
}))

export const mixedTracker = (ask: WiringAsk): DraftFinding[] => ask.wiring.groups.filter(one => one.sizes && one.sizes.mixed > 0).map(plan => ({
  ...onJob(ask, 'wiring', `wiring-mixed:${plan.group.id}`), severity: 'caution', measured: count(plan.sizes!.mixed, 'trackers'),
  sentence: `${plan.sizes!.mixed === 1 ? 'One tracker has' : `${plan.sizes!.mixed} trackers have`} strings that face or lie differently: the sun is not on both alike, and the tracker goes by their sum. Without it fewer modules are used.`, propose: noCures,
}))

/** More working current than a tracker takes: power is cut off at noon, nothing breaks. */
export const clipped = (ask: WiringAsk): DraftFinding[] => strings(ask).flatMap((one): DraftFinding[] => {
  const tracker = groupOf(ask, one).inverter!.trackers[one.tracker]!
  const beside = strings(ask).filter(other => other.groupId === one.groupId && other.inverter === one.inverter && other.tracker === one.tracker)
  const sum = beside.reduce((a, other) => a + other.currentA, 0)
  return beside[0] === one && sum > tracker.workingA + 1e-9
    ? [{ ...on(ask, 'wiring-clips', one), severity: 'note', measured: current(sum), limit: current(tracker.workingA), sentence: `Tracker ${one.tracker + 1} works to ${tracker.workingA} A; its strings give ${sum.toFixed(1)} A at best: what is over is cut off in full sun.`, propose: noCures }]
    : []
})

/** A string that can't be joined within its leads. */
export const walkShort = (ask: WiringAsk): DraftFinding[] => strings(ask).filter(one => one.walk.extensions.length).map((one) => {
  const worst = one.walk.extensions.reduce((a, b) => b.mm > a.mm ? b : a)
  return {
    ...on(ask, 'wiring-walk', one), severity: 'caution' as const, measured: length(worst.mm),
    sentence: `String ${one.number}: ${one.walk.proved ? 'no walk keeps' : 'no walk was found that keeps'} within the leads. ${sentenceCase(one.walk.extensions.map(({ after, mm }) => `${moduleWords(one.modules[after]!.id)} to ${moduleWords(one.modules[after + 1]!.id)} wants an extension lead of ${writer(ask)(mm)} at the least`).join('; '))}.`, propose: noCures,
  }
})

/** A fuse that strings side by side need and their modules don't stand. */
export const fuseOver = (ask: WiringAsk): DraftFinding[] => strings(ask).filter(one => one.fused && (one.fuseA === null || one.modules[0]!.plate!.seriesFuseA === null || one.fuseA > one.modules[0]!.plate!.seriesFuseA)).map((one) => {
  const { seriesFuseA } = one.modules[0]!.plate!
  return {
    ...on(ask, 'wiring-fuse', one), severity: 'stop' as const, measured: one.fuseA === null ? null : current(one.fuseA), limit: seriesFuseA === null ? null : current(seriesFuseA),
    sentence: `String ${one.number} is one of ${one.together} side by side and needs its own fuse of ${one.fuseA ?? 'more than any'} A; ${seriesFuseA === null ? 'the shelf does not say the module’s largest series fuse' : `the module’s largest series fuse is ${seriesFuseA} A`}.`, propose: noCures,
  }
})
