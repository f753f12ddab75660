import { offered } from '../../catalogue'
import { type DraftFinding, noCures, onJob, sentenceCase, writer } from '../../trade'
import { count, current, length, voltage } from '../../units'
import type { WiringAsk } from '../ask'
import type { GroupPlan, WireString } from '../layout'
import { moduleWords } from '../words'
import { allBack, groupOf, onCircuit, putBack, stringsIn } from './on'

/** Strings of a tracker, itself among them. */
const besideIn = (ask: WiringAsk, { groupId, inverter, tracker }: WireString): WireString[] => stringsIn(ask).filter(other => other.groupId === groupId && other.inverter === inverter && other.tracker === tracker)

/** A string past its voltages, or too short to start, as it is when somebody has moved modules. */
export const stringLength = (ask: WiringAsk): DraftFinding[] => stringsIn(ask).flatMap((one): DraftFinding[] => {
  const { inverter } = groupOf(ask, one)
  if (!inverter) return []
  const { range: { least, leastBy, most, mostBy }, number, coldV } = one
  const n = one.modules.length
  const limitV = Math.min(inverter.mostV, ask.wiring.rules.mostV)
  const base = { ...onCircuit(ask, 'wiring-string', one), severity: 'stop' as const, propose: () => [...putBack(ask, one), ...allBack(ask)] }
  if (inverter.heldV === null && coldV > limitV + 1e-6) {
    const whose = limitV === inverter.mostV ? inverter.name : 'this building'
    return [{ ...base, measured: voltage(coldV), limit: voltage(limitV), sentence: `String ${number}, ${n} modules, reaches ${coldV.toFixed(0)} V at the coldest; ${whose} allows ${limitV} V.` }]
  }
  if (n > most) return [{ ...base, measured: count(n, 'modules'), limit: count(most, 'modules'), sentence: `String ${number} has ${n} modules; at most ${most} by ${mostBy}.` }]
  if (n < least) return [{ ...base, measured: count(n, 'modules'), limit: count(least, 'modules'), sentence: `String ${number} has ${n} modules; at least ${least} by ${leastBy}.` }]
  return []
})

/** Strings side by side on one tracker as long as each other. */
export const unequal = (ask: WiringAsk): DraftFinding[] => stringsIn(ask).flatMap((one): DraftFinding[] => {
  const beside = besideIn(ask, one)
  const lengths = beside.map(other => other.modules.length)
  // At a held voltage each string is brought to it by its own electronics.
  if (groupOf(ask, one).inverter?.heldV !== null || beside[0] !== one || new Set(lengths).size <= 1) return []
  return [{
    ...onCircuit(ask, 'wiring-unequal', one), severity: 'stop', propose: () => allBack(ask),
    sentence: `Strings ${beside.map(other => other.number).join(' and ')} lie side by side on one tracker and have ${lengths.join(' and ')} modules: the longer one drives current into the shorter.`,
  }]
})

/** Why modules of a group stand in no string. */
function leftWhy({ stringRange, inverter }: GroupPlan): string {
  const { least, leastBy, most, mostBy } = stringRange!
  const { name, trackers } = inverter!
  return most < least
    ? `no length suits ${name}, at least ${least} by ${leastBy} and at most ${most} by ${mostBy}`
    : `${name} takes strings of ${least} to ${most} on ${trackers.length === 1 ? 'one tracker' : `${trackers.length} trackers`}, and of all ways compared none takes more`
}

export const modulesLeft = (ask: WiringAsk): DraftFinding[] => ask.wiring.groups.filter(one => one.problem === null && one.left.length > 0).map((plan) => {
  const { group, inverter, left } = plan
  const others = offered(ask.catalogue.inverters).filter(one => one.id !== inverter!.id && (one.heldV !== null) === (inverter!.heldV !== null))
  return {
    ...onJob(ask, 'wiring', `wiring-left:${group.id}`), severity: 'stop' as const, measured: count(left.length, 'modules'),
    sentence: `${left.length === 1 ? 'One module stands' : `${left.length} modules stand`} in no string: ${leftWhy(plan)}.`,
    propose: () => others.map(one => ({ label: `Take ${one.name}`, edit: { type: 'set-wire-group' as const, groupId: group.id, group: { ...group, inverterId: one.id } } })),
  }
})

export const mixedTracker = (ask: WiringAsk): DraftFinding[] => ask.wiring.groups.flatMap(({ group, sizes }): DraftFinding[] => {
  if (!sizes?.mixed) return []
  return [{
    ...onJob(ask, 'wiring', `wiring-mixed:${group.id}`), severity: 'caution', measured: count(sizes.mixed, 'trackers'), propose: noCures,
    sentence: `${sizes.mixed === 1 ? 'One tracker has' : `${sizes.mixed} trackers have`} strings that face or lie differently: the sun is not on both alike, and the tracker goes by their sum. Without it fewer modules are used.`,
  }]
})

/** More working current than a tracker takes: power is cut off at noon, nothing breaks. */
export const clipped = (ask: WiringAsk): DraftFinding[] => stringsIn(ask).flatMap((one): DraftFinding[] => {
  const { workingA } = groupOf(ask, one).inverter!.trackers[one.tracker]!
  const beside = besideIn(ask, one)
  const sum = beside.reduce((a, other) => a + other.currentA, 0)
  if (beside[0] !== one || sum <= workingA + 1e-9) return []
  return [{
    ...onCircuit(ask, 'wiring-clips', one), severity: 'note', measured: current(sum), limit: current(workingA), propose: noCures,
    sentence: `Tracker ${one.tracker + 1} works to ${workingA} A; its strings give ${sum.toFixed(1)} A at best: what is over is cut off in full sun.`,
  }]
})

/** A string that can't be joined within its leads. */
export const walkShort = (ask: WiringAsk): DraftFinding[] => stringsIn(ask).filter(one => one.walk.extensions.length).map((one) => {
  const { number, modules, walk } = one
  const worst = walk.extensions.reduce((a, b) => b.mm > a.mm ? b : a)
  const wants = walk.extensions.map(({ after, mm }) => `${moduleWords(modules[after]!.id)} to ${moduleWords(modules[after + 1]!.id)} wants an extension lead of ${writer(ask)(mm)} at the least`)
  return {
    ...onCircuit(ask, 'wiring-walk', one), severity: 'caution' as const, measured: length(worst.mm), propose: noCures,
    sentence: `String ${number}: ${walk.proved ? 'no walk keeps' : 'no walk was found that keeps'} within the leads. ${sentenceCase(wants.join('; '))}.`,
  }
})

/** A fuse that strings side by side need and their modules don't stand. */
export const fuseOver = (ask: WiringAsk): DraftFinding[] => stringsIn(ask).flatMap((one): DraftFinding[] => {
  const { fused, fuseA, together, modules } = one
  const seriesFuseA = modules[0]!.plate?.seriesFuseA ?? null
  if (!fused || (fuseA !== null && seriesFuseA !== null && fuseA <= seriesFuseA)) return []
  return [{
    ...onCircuit(ask, 'wiring-fuse', one), severity: 'stop', measured: fuseA === null ? null : current(fuseA), limit: seriesFuseA === null ? null : current(seriesFuseA), propose: noCures,
    sentence: `String ${one.number} is one of ${together} side by side and needs its own fuse of ${fuseA ?? 'more than any'} A; ${seriesFuseA === null ? 'the shelf does not say the module’s largest series fuse' : `the module’s largest series fuse is ${seriesFuseA} A`}.`,
  }]
})
