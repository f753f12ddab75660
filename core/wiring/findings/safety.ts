import { offered } from '../../catalogue'
import { onBranches } from '../../job'
import { type DraftFinding, listed, noCures, onJob } from '../../trade'
import { count, voltage } from '../../units'
import type { WiringAsk } from '../ask'
import { groupFor } from '../groups'

const wired = ({ wiring }: WiringAsk): boolean => wiring.circuits.length > 0

/** Stretches that stay over their limit 30 s after shutdown was begun. */
export const staysLive = (ask: WiringAsk): DraftFinding[] => ask.wiring.groups.flatMap((plan): DraftFinding[] => {
  const own = new Set(ask.wiring.circuits.filter(one => one.groupId === plan.group.id).map(one => String(one.number)))
  const over = ask.wiring.segments.filter(one => one.over !== null && own.has(one.id.split('-')[0]!))
  const [worst] = [...over].sort((a, b) => b.volts - b.limitV - (a.volts - a.limitV))
  if (!worst) return []
  const { group, inverter } = plan
  return [{
    ...onJob(ask, 'wiring', `wiring-shutdown:${group.id}`), severity: 'stop', measured: voltage(worst.volts), limit: voltage(worst.limitV),
    sentence: `Rapid shutdown (NEC 690.12, ${ask.wiring.rules.edition}): ${listed(over.slice(0, 3).map(one => one.name))}${over.length > 3 ? ` and ${over.length - 3} more` : ''} ${over.length === 1 ? 'keeps' : 'keep'} up to ${worst.volts.toFixed(0)} V 30 s after it was begun: ${worst.over}. ${worst.why[0]!.toUpperCase()}${worst.why.slice(1)}.`,
    propose: () => group.system === 'strings' || group.system === 'shutdown-units'
      ? offered(ask.catalogue.electronics).filter(one => one.kind === 'shutdown' && one.shutdown && inverter && (!inverter.unitIds.length || inverter.unitIds.includes(one.id))).map(one => ({ label: `A ${one.name} a module`, edit: { type: 'set-wire-group' as const, groupId: group.id, group: { ...group, system: 'shutdown-units' as const, unitId: one.id } } }))
      : onBranches(group.system)
        ? offered(ask.catalogue.electronics).filter(one => one.kind === 'ac-unit' && one.shutdown && one.modules === plan.unit?.modules && plan.trunk?.unitIds.includes(one.id)).map(one => ({ label: `Take ${one.name}`, edit: { type: 'set-wire-group' as const, groupId: group.id, group: { ...group, unitId: one.id } } }))
        : [],
  }]
})

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
        sentence: `${face.name}: no chain of listed links joins ${listed(bonding.loose.slice(0, 3).map(one => one.name))}${bonding.loose.length > 3 ? ` and ${bonding.loose.length - 3} more` : ''} to the earth wire${broken ? `: ${broken.why}` : ''}.`,
        propose: () => [{ label: 'A toothed washer a module', edit: { type: 'set-wiring', values: { bonding: 'washer' } } }, { label: 'A lug on every rail', edit: { type: 'set-wiring', values: { bonding: 'every-rail' } } }],
      }]
    })

/** Plugs of two makes that would be put together. */
export function mixedPlugs(ask: WiringAsk): DraftFinding[] {
  const pairs = ask.wiring.groups.flatMap(({ unit, group }) => unit ? [...new Set(ask.faces.filter(({ face, plan }) => plan.modules > 0 && groupFor(ask.job.wiring.groups, face.id)?.id === group.id).map(({ plan }) => plan.parts.module))].filter(module => module.plugs !== null && module.plugs !== unit.plugs).map(module => ({ unit, module })) : [])
  const ends = ask.job.wiring.ends.filter(one => one.plugs.toLowerCase() !== one.mate.toLowerCase())
  const said = [...pairs.map(({ unit, module }) => `${module.name} has ${module.plugs} plugs, ${unit.name} ${unit.plugs}`), ...ends.map(one => `at ${one.place} ${one.plugs} goes into ${one.mate}`)]
  return said.length ? [{ ...onJob(ask, 'wiring', 'wiring-plugs'), severity: 'caution', sentence: `Plugs of two makes together start fires: ${listed([...new Set(said)].slice(0, 3))}. Make both ends of one make.`, propose: noCures }] : []
}

/** Ends made on site of which something is not written down, or that nobody heard click. */
export function endsOpen(ask: WiringAsk): DraftFinding[] {
  const open = ask.job.wiring.ends.filter(one => !one.pin || !one.tool || !one.by || !one.clicked)
  return open.length
    ? [{
        ...onJob(ask, 'wiring', 'wiring-ends'), severity: 'caution', measured: count(open.length, 'plugs'),
        sentence: `${open.length === 1 ? 'A plug' : `${open.length} plugs`} made on site ${open.length === 1 ? 'is' : 'are'} not written down whole: ${listed(open.slice(0, 3).map(one => `${one.place} (${listed([...one.pin ? [] : ['pin'], ...one.tool ? [] : ['tool'], ...one.by ? [] : ['who'], ...one.clicked ? [] : ['not pushed until it clicked']])})`))}.`, propose: noCures,
      }]
    : []
}

export const fourCore = (ask: WiringAsk): DraftFinding[] => ask.job.wiring.fourCore && ask.wiring.circuits.some(one => one.kind === 'string')
  ? [{ ...onJob(ask, 'wiring', 'wiring-four-core'), severity: 'caution', sentence: 'Two strings in one four-core cable: IEC 62548 asks for double or reinforced insulation between + and −, which single cores of double-insulated cable side by side have.', propose: () => [{ label: 'Single cores side by side', edit: { type: 'set-wiring', values: { fourCore: false } } }] }]
  : []

export const codeUnsaid = (ask: WiringAsk): DraftFinding[] => ask.wiring.rules.codeUnsaid && wired(ask)
  ? [{ ...onJob(ask, 'wiring', 'wiring-code'), severity: 'note', sentence: `Nobody has said which code is adopted: it is wired by ${ask.wiring.rules.us ? `the NEC, ${ask.wiring.rules.edition}` : 'IEC 60364-7-712 and 62548'}, as the job’s units suggest.`, propose: () => [] }]
  : []

export const hotUnsaid = (ask: WiringAsk): DraftFinding[] => ask.job.wiring.hotC === null && wired(ask)
  ? [{ ...onJob(ask, 'wiring', 'wiring-hot'), severity: 'note', sentence: `Nobody has said how hot it gets here: conductors and strings are reckoned with ${ask.wiring.rules.hotC} °C.`, propose: () => [40, 35].filter(c => c !== ask.job.wiring.hotC).slice(0, 1).map(c => ({ label: `It is ${c} °C at most`, edit: { type: 'set-wiring' as const, values: { hotC: c } } })) }]
  : []
