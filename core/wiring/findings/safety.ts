import { offered } from '../../catalogue'
import { onBranches, type SiteEnd, type WireGroup } from '../../job'
import { type Cure, type DraftFinding, listed, noCures, onJob, sentenceCase } from '../../trade'
import { count, voltage } from '../../units'
import type { WiringAsk } from '../ask'
import { groupFor } from '../groups'
import type { GroupPlan } from '../layout'

const wired = ({ wiring }: WiringAsk): boolean => wiring.circuits.length > 0

/** So many are named; the rest are counted. */
const NAMED = 3
const named = (names: string[]): string => `${listed(names.slice(0, NAMED))}${names.length > NAMED ? ` and ${names.length - NAMED} more` : ''}`

/** Stretches that stay over their limit 30 s after shutdown was begun. */
export const staysLive = (ask: WiringAsk): DraftFinding[] => ask.wiring.groups.flatMap((plan): DraftFinding[] => {
  const { group } = plan
  const own = new Set(ask.wiring.circuits.filter(one => one.groupId === group.id).map(one => String(one.number)))
  const over = ask.wiring.segments.filter(one => one.over !== null && own.has(one.id.split('-')[0]!))
  const [worst] = [...over].sort((a, b) => b.volts - b.limitV - (a.volts - a.limitV))
  if (!worst) return []
  return [{
    ...onJob(ask, 'wiring', `wiring-shutdown:${group.id}`), severity: 'stop', measured: voltage(worst.volts), limit: voltage(worst.limitV),
    sentence: `Rapid shutdown (NEC 690.12, ${ask.wiring.rules.edition}): ${named(over.map(one => one.name))} ${over.length === 1 ? 'keeps' : 'keep'} up to ${worst.volts.toFixed(0)} V 30 s after it was begun: ${worst.over}. ${sentenceCase(worst.why)}.`,
    propose: () => shutdownCures(ask, plan),
  }]
})

/** Listed electronics that go with what is chosen: a shutdown unit a module for strings, other units of the same trunk for branches. */
function shutdownCures({ catalogue }: WiringAsk, { group, unit, trunk, inverter }: GroupPlan): Cure[] {
  const listedOnes = offered(catalogue.electronics).filter(one => one.shutdown)
  const take = (label: string, group: WireGroup): Cure => ({ label, edit: { type: 'set-wire-group', groupId: group.id, group } })
  if (group.system === 'strings' || group.system === 'shutdown-units') {
    return listedOnes.filter(one => one.kind === 'shutdown' && inverter && (!inverter.unitIds.length || inverter.unitIds.includes(one.id)))
      .map(one => take(`A ${one.name} a module`, { ...group, system: 'shutdown-units', unitId: one.id }))
  }
  if (!onBranches(group.system)) return []
  return listedOnes.filter(one => one.kind === 'ac-unit' && one.modules === unit?.modules && trunk?.unitIds.includes(one.id))
    .map(one => take(`Take ${one.name}`, { ...group, unitId: one.id }))
}

export const initiationUnsaid = (ask: WiringAsk): DraftFinding[] => !ask.wiring.rules.us || !wired(ask) || ask.job.wiring.initiation
  ? []
  : [{ ...onJob(ask, 'wiring', 'wiring-initiation'), severity: 'caution', sentence: 'Nobody has said where rapid shutdown is begun: outside, at a readily accessible place, on one- and two-family houses (NEC 690.12(C)).', propose: noCures }]

/** Metal that no chain of listed links joins to the earth wire. */
export const bondBroken = (ask: WiringAsk): DraftFinding[] => !ask.wiring.earth
  ? []
  : ask.faces.flatMap(({ face, plan }): DraftFinding[] => {
      const bonding = plan.wiring?.bonding
      if (!bonding?.loose.length) return []
      const broken = bonding.links.find(link => !link.holds && bonding.loose.some(one => one.id === link.to || one.id === link.from))
      return [{
        ...onJob(ask, 'wiring', `wiring-bond:${face.id}`), faceId: face.id, severity: 'stop', measured: count(bonding.loose.length, 'parts'),
        sentence: `${face.name}: no chain of listed links joins ${named(bonding.loose.map(one => one.name))} to the earth wire${broken ? `: ${broken.why}` : ''}.`,
        propose: () => [{ label: 'A toothed washer a module', edit: { type: 'set-wiring', values: { bonding: 'washer' } } }, { label: 'A lug on every rail', edit: { type: 'set-wiring', values: { bonding: 'every-rail' } } }],
      }]
    })

/** Plugs of two makes that would be put together. */
export function mixedPlugs(ask: WiringAsk): DraftFinding[] {
  const onModules = ask.wiring.groups.flatMap(({ unit, group }) => unit === null
    ? []
    : ask.faces.filter(({ face, plan }) => plan.modules > 0 && groupFor(ask.job.wiring.groups, face.id)?.id === group.id).map(({ plan }) => plan.parts.module)
        .filter(module => module.plugs !== null && module.plugs !== unit.plugs).map(module => `${module.name} has ${module.plugs} plugs, ${unit.name} ${unit.plugs}`))
  const atEnds = ask.job.wiring.ends.filter(one => one.plugs.toLowerCase() !== one.mate.toLowerCase()).map(one => `at ${one.place} ${one.plugs} goes into ${one.mate}`)
  const said = [...new Set([...onModules, ...atEnds])]
  if (!said.length) return []
  return [{ ...onJob(ask, 'wiring', 'wiring-plugs'), severity: 'caution', sentence: `Plugs of two makes together start fires: ${named(said)}. Make both ends of one make.`, propose: noCures }]
}

const lacks = ({ pin, tool, by, clicked }: SiteEnd): string[] => [...pin ? [] : ['pin'], ...tool ? [] : ['tool'], ...by ? [] : ['who'], ...clicked ? [] : ['not pushed until it clicked']]

/** Ends made on site of which something is not written down, or that nobody heard click. */
export function endsOpen(ask: WiringAsk): DraftFinding[] {
  const open = ask.job.wiring.ends.filter(one => lacks(one).length)
  if (!open.length) return []
  return [{
    ...onJob(ask, 'wiring', 'wiring-ends'), severity: 'caution', measured: count(open.length, 'plugs'), propose: noCures,
    sentence: `${open.length === 1 ? 'A plug made on site is' : `${open.length} plugs made on site are`} not written down whole: ${named(open.map(one => `${one.place} (${listed(lacks(one))})`))}.`,
  }]
}

export const fourCore = (ask: WiringAsk): DraftFinding[] => ask.job.wiring.fourCore && ask.wiring.circuits.some(one => one.kind === 'string')
  ? [{ ...onJob(ask, 'wiring', 'wiring-four-core'), severity: 'caution', sentence: 'Two strings in one four-core cable: IEC 62548 asks for double or reinforced insulation between + and −, which single cores of double-insulated cable side by side have.', propose: () => [{ label: 'Single cores side by side', edit: { type: 'set-wiring', values: { fourCore: false } } }] }]
  : []

export const codeUnsaid = (ask: WiringAsk): DraftFinding[] => ask.wiring.rules.codeUnsaid && wired(ask)
  ? [{ ...onJob(ask, 'wiring', 'wiring-code'), severity: 'note', sentence: `Nobody has said which code is adopted: it is wired by ${ask.wiring.rules.us ? `the NEC, ${ask.wiring.rules.edition}` : 'IEC 60364-7-712 and 62548'}, as the job’s units suggest.`, propose: () => [] }]
  : []

/** A common summer’s worst, proposed where nobody has said it, °C (common practice). */
const HOT_C = 40
export const hotUnsaid = (ask: WiringAsk): DraftFinding[] => ask.job.wiring.hotC === null && wired(ask)
  ? [{ ...onJob(ask, 'wiring', 'wiring-hot'), severity: 'note', sentence: `Nobody has said how hot it gets here: conductors and strings are reckoned with ${ask.wiring.rules.hotC} °C.`, propose: () => [{ label: `It is ${HOT_C} °C at most`, edit: { type: 'set-wiring', values: { hotC: HOT_C } } }] }]
  : []
