import { type DraftFinding, noCures, onJob, writer } from '../../trade'
import { count, length } from '../../units'
import type { WiringAsk } from '../ask'
import { moduleWords } from '../words'
import { onUnit } from './on'

/** So many are named; the rest are counted. */
const NAMED = 3

/** Units for which nothing is free under their module. */
export const unitsAstray = (ask: WiringAsk): DraftFinding[] => ask.faces.flatMap(({ face, plan }): DraftFinding[] => {
  const blocked = plan.wiring?.units.filter(unit => !unit.clear) ?? []
  if (!blocked.length) return []
  const named = blocked.slice(0, NAMED).map(one => moduleWords(one.under)).join('; ')
  return [{
    ...onUnit(ask, 'wiring-place', face, blocked[0]!.id), severity: 'caution', measured: count(blocked.length, 'units'),
    sentence: `No place is clear of fixings, splices and the junction box for the unit under ${named}${blocked.length > NAMED ? ` and ${blocked.length - NAMED} more` : ''}: hang it on the other rail or the frame, and look.`,
    propose: noCures,
  }]
})

/** Leads that don't reach their unit by the way they have to go. */
export const leadsShort = (ask: WiringAsk): DraftFinding[] => ask.faces.flatMap(({ face, plan }): DraftFinding[] => {
  const short = plan.wiring?.units.flatMap(unit => unit.short.map(one => ({ ...one, unit }))) ?? []
  const worst = short.reduce<typeof short[number] | null>((a, b) => !a || b.mm > a.mm ? b : a, null)
  if (!worst) return []
  return [{
    ...onUnit(ask, 'wiring-leads', face, worst.unit.id), severity: 'caution', measured: length(worst.mm),
    sentence: `Leads of ${short.length === 1 ? 'one module don’t' : `${short.length} modules don’t`} reach their unit by the way they have to go; the worst, ${moduleWords(worst.moduleId)}, is ${writer(ask)(worst.mm)} short. Extension leads are counted, two a module.`,
    propose: noCures,
  }]
})

/** Nobody has said how long leads are, or where they leave: whether they reach is not checked. */
export function leadsUnknown(ask: WiringAsk): DraftFinding[] {
  const unknown = ask.faces.filter(({ plan: { wiring, parts: { module } } }) => wiring?.circuits.length && (module.leadMm === null || !module.junctionBox))
  if (!unknown.length) return []
  const names = [...new Set(unknown.map(({ plan }) => plan.parts.module.name))].join(' and ')
  return [{
    ...onJob(ask, 'wiring', 'wiring-leads-unknown'), severity: 'caution', propose: noCures,
    sentence: `The shelf does not say how long the leads of ${names} are, or where its junction box is: whether leads reach and units hang clear of it is not checked.`,
  }]
}
