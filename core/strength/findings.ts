import { isUnheld } from '../capacity'
import { goesOn, goesWith, mismatches, offered } from '../catalogue'
import { FULL } from '../fixings'
import { placeRailEdits, railNumbers } from '../rails'
import { type Cure, type DraftFinding, type FindingAsk, noCures, writer } from '../trade'
import { formatQuantity, formatShare, type Quantity, share } from '../units'
import type { CheckKind, CheckShare } from './check'
import type { StrengthLayout } from './layout'
import type { HoldKind } from './modules'
import { screenRafter, supportSums } from './rafters'
import { checkWords } from './words'

/** Rails, fixings, clamps and modules that are asked for more than they bear, and what the rafters below come to. */
export type StrengthAsk = FindingAsk<StrengthLayout>

const sizeOf = (kind: CheckKind | HoldKind, value: number): Quantity => checkWords[kind].of(Math.abs(value))

export function overused(ask: StrengthAsk): DraftFinding[] {
  const { face, plan, job } = ask
  const bad = plan.uses.flatMap((use, r) => use && use.worst > FULL && !plan.fixings.rails[r]!.shortfalls.length ? [{ use, rail: plan.rails[r]! }] : [])
  const kinds = [...new Set(bad.map(({ use }) => use.governs))]
  return kinds.map((kind): DraftFinding => {
    const own = bad.filter(({ use }) => use.governs === kind)
    const worst = own.reduce((a, b) => b.use.worst > a.use.worst ? b : a)
    const check = worst.use.shares[kind]!
    const unheld = isUnheld(worst.use.worst)
    return {
      id: `strength:${face.id}:${kind}`, severity: 'stop', stage: 'rails', faceId: face.id, about: { kind: 'rail', id: worst.rail.id },
      sentence: unheld
        ? `${railNumbers(plan, own.map(({ rail }) => rail.number))}: nothing is known that holds ${checkWords[kind].name} with ${plan.parts.mount.name} under ${plan.strength!.loads.format === 'asd' ? 'allowable' : 'design'} loads. Type the figure its maker or an engineer gives, or take another mount.`
        : `${railNumbers(plan, own.map(({ rail }) => rail.number))}: ${checkWords[kind].name} is at ${formatShare(worst.use.worst)} with the fixings shown, ${formatQuantity(sizeOf(kind, check.value), job.units)} of ${formatQuantity(sizeOf(kind, check.limit), job.units)} under ${check.combination}.`,
      measured: unheld ? null : sizeOf(kind, check.value), limit: unheld ? null : sizeOf(kind, check.limit),
      propose: () => [...otherParts(ask), ...aligned(ask), ...smallerOverhang(ask, kind)],
    }
  })
}

/** Rails that nothing keeps from turning over. */
export function cannotStand(ask: StrengthAsk): DraftFinding[] {
  const { face, plan } = ask
  if (!plan.strength) return []
  const stuck = plan.rails.filter((rail, r) => plan.uses[r] === null && plan.fixings.rails[r]!.fixings.length > 0 && !plan.fixings.rails[r]!.shortfalls.length)
  if (!stuck.length) return []
  return [{
    id: `cannot-stand:${face.id}`, severity: 'stop', stage: 'rails', faceId: face.id, about: { kind: 'rail', id: stuck[0]!.id }, measured: null, limit: null,
    sentence: `${railNumbers(plan, stuck.map(rail => rail.number))} can’t stand: a rail needs two fixings at least, and no hinged splice outside them.`, propose: () => otherParts(ask),
  }]
}

/** Rails and mounts of the catalogue that go with the rest; those that really hold are kept by planning with them. */
function otherParts({ catalogue, face, plan }: StrengthAsk): Cure[] {
  const ground = { covering: face.covering.kind, support: face.supports.kind }
  const others = offered(catalogue.rails).filter(rail => rail.id !== plan.parts.rail.id && !rail.frame)
  const rails = others.filter(rail => !mismatches(catalogue, { ...plan.parts, rail }, ground).length)
  const mounts = offered(catalogue.mounts).filter(mount => mount.id !== plan.parts.mount.id && goesOn(mount, ground) && goesWith(catalogue, plan.parts.rail.id, mount.id))
  const both = others.flatMap(rail => offered(catalogue.mounts).filter(mount => mount.id !== plan.parts.mount.id && !mismatches(catalogue, {
    ...plan.parts,
    rail,
    mount,
  }, ground).length).map(mount => ({ rail, mount })))
  return [
    ...rails.map((rail): Cure => ({ label: `Use ${rail.name}`, edit: { type: 'set-array', faceId: face.id, values: { railId: rail.id } } })),
    ...mounts.map((mount): Cure => ({ label: `Use ${mount.name}`, edit: { type: 'set-array', faceId: face.id, values: { mountId: mount.id } } })),
    ...both.slice(0, 2).map(({ rail, mount }): Cure => ({
      label: `Use ${rail.name} on ${mount.name}`,
      edit: { type: 'set-array', faceId: face.id, values: { railId: rail.id, mountId: mount.id } },
    })),
  ]
}

/** A pattern that forbids fixings keeps the rail from the ones it needs. */
const aligned = ({ face }: StrengthAsk): Cure[] => face.array.fixingPattern === 'soft-stagger'
  ? []
  : [{ label: 'Keep the soft stagger', edit: { type: 'set-array', faceId: face.id, values: { fixingPattern: 'soft-stagger' } } }]

/** An overhang that sags is mended by a fixing nearer its end. */
function smallerOverhang(ask: StrengthAsk, kind: CheckKind): Cure[] {
  if (kind !== 'overhang-deflection') return []
  const { face, plan } = ask
  const say = writer(ask)
  return [0.75, 0.5, 0.33].map((part): Cure => {
    const mm = Math.round(plan.limits.maxOverhangMm * part)
    return { label: `Keep overhangs to ${say(mm)}`, edit: { type: 'set-array', faceId: face.id, values: { allowedOverhangMm: mm } } }
  })
}

/** Modules and clamps asked for more than their makers let them bear. */
export function overheld(ask: StrengthAsk): DraftFinding[] {
  const { face, plan, job } = ask
  const all = plan.holds.flatMap((hold, r) => (Object.entries(hold) as [HoldKind, CheckShare][]).filter(([, one]) => one.share > FULL).map(([kind, one]) => ({
    kind,
    one,
    rail: plan.rails[r]!,
  })))
  return [...new Set(all.map(({ kind }) => kind))].map((kind): DraftFinding => {
    const own = all.filter(one => one.kind === kind)
    const worst = own.reduce((a, b) => b.one.share > a.one.share ? b : a)
    const what = kind.startsWith('module') ? `${plan.parts.module.name} held there may take` : `one of ${plan.parts.clamps.name} takes`
    return {
      id: `hold:${face.id}:${kind}`, severity: 'stop', stage: 'rails', faceId: face.id, about: { kind: 'rail', id: worst.rail.id },
      sentence: `${railNumbers(plan, [...new Set(own.map(({ rail }) => rail.number))])}: ${checkWords[kind].name} is ${formatQuantity(sizeOf(kind, worst.one.value), job.units)} under ${worst.one.combination}, and ${what} ${formatQuantity(sizeOf(kind, worst.one.limit), job.units)}.`,
      measured: sizeOf(kind, worst.one.value), limit: sizeOf(kind, worst.one.limit),
      propose: () => kind.startsWith('module') ? betterPlace(ask) : otherClamps(ask),
    }
  })
}

/** All rails of the face moved to where their modules are rated highest. */
function betterPlace({ face, plan }: StrengthAsk): Cure[] {
  const edits = placeRailEdits(face.id, plan.rails.flatMap((rail) => {
    const best = plan.parts.module.ratings.filter(one => one.edge === rail.holds?.edge).sort((a, b) => b.upPa - a.upPa)[0]
    if (!best) return []
    const inMm = (best.fromMm + best.toMm) / 2
    return [{ rail, mm: rail.side === 'upper' ? plan.rows.rows[rail.row]!.moduleHeightMm - inMm : inMm }]
  }))
  return edits.length ? [{ label: 'Move the rails to where the module is rated highest', edit: { type: 'batch', edits } }] : []
}

const otherClamps = ({ catalogue, face, plan }: StrengthAsk): Cure[] => offered(catalogue.clamps)
  .filter(set => set.id !== plan.parts.clamps.id && !mismatches(catalogue, { ...plan.parts, clamps: set }, { covering: face.covering.kind, support: face.supports.kind }).length)
  .map((set): Cure => ({ label: `Use ${set.name}`, edit: { type: 'set-array', faceId: face.id, values: { clampsId: set.id } } }))

/** What the array does to the rafter that is there already: a first look for whoever signs, never a sign-off. */
export function screening(ask: StrengthAsk): DraftFinding[] {
  const { face, plan } = ask
  if (!plan.strength || face.supports.kind !== 'rafters' || !plan.rails.length) return []
  const sums = supportSums(plan.uses.flatMap((use, r) => use ? use.fixings.map((duty, i) => ({ duty, member: plan.fixings.rails[r]!.fixings[i]!.member })) : []))
  const found = screenRafter(face, plan.strength.loads, sums)
  if (!found) return []
  return [{
    id: `screening:${face.id}`, severity: found.after > 1 ? 'caution' : 'note', stage: 'rails', faceId: face.id, about: null, propose: noCures, measured: share(found.after), limit: share(1),
    sentence: `A first look at the rafter: its bending strength is used ${formatShare(found.before)} by roof and snow and ${formatShare(found.after)} with the array on it.${found.after > 1 ? ' That is more than it has: an engineer must look.' : ''} This is a screening, not a sign-off.`,
  }]
}
