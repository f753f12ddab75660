import { FULL } from '../fixings'
import type { BattenCheck } from '../strength'
import { force, formatQuantity, type Quantity, length, moment, share } from '../units'
import { type FindingContext, plural, writer } from './context'
import type { DraftFinding } from './finding'
import { noCures } from './finding'

/** What the mount needs of what it stands on: sheathing, pilots, thread in the member that is there, battens and their nails. */
export const groundFindings = (context: FindingContext): DraftFinding[] =>
  context.plan.rails.length ? [...sheathing(context), ...pilot(context), ...thread(context), ...outsideCode(context), ...battens(context)] : []

const base = (context: FindingContext, id: string) => ({ id: `${id}:${context.face.id}`, stage: 'rails' as const, faceId: context.face.id, about: '', measured: null, limit: null, propose: noCures })

function sheathing(context: FindingContext): DraftFinding[] {
  const { face, plan: { parts: { mount } } } = context
  const say = writer(context)
  if (face.supports.kind !== 'sheathing' || mount.leastSheathingMm === null || face.supports.thicknessMm >= mount.leastSheathingMm - 0.1) return []
  return [{ ...base(context, 'thin-sheathing'), severity: 'stop', sentence: `The sheathing is ${say(face.supports.thicknessMm)} thick. ${mount.name} was tested on ${say(mount.leastSheathingMm)} and more.`, measured: length(face.supports.thicknessMm), limit: length(mount.leastSheathingMm) }]
}

function pilot(context: FindingContext): DraftFinding[] {
  const { fasteners } = context.plan.parts.mount
  if (fasteners?.kind !== 'lag' || fasteners.pilotMm === null) return []
  const of = fasteners.pilotMm / fasteners.diameterMm
  if (of >= 0.4 && of <= 0.7) return []
  return [{ ...base(context, 'pilot'), severity: 'caution', sentence: `A pilot of ${writer(context)(fasteners.pilotMm)} is ${Math.round(100 * of)} % of the lag’s diameter. In this timber it should be 40 to 70 % (NDS 12.1.4): ${of > 0.7 ? 'a larger one holds less' : 'a smaller one splits the rafter'}.`, measured: share(of), limit: share(0.7) }]
}

/** Screws count only in the member that is there. */
function thread(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const { mount } = plan.parts
  const say = writer(context)
  if (face.supports.kind === 'purlins' && mount.fasteners && face.supports.thicknessMm === null) {
    return [{ ...base(context, 'no-thickness'), severity: plan.strength ? 'stop' : 'caution', sentence: `Nobody has measured how thick the ${face.supports.member}s are, so no thread counts in them. Measure one and type it.` }]
  }
  const hold = plan.strength?.capacity.timber
  if (!hold?.tooShort) return []
  return [{
    ...base(context, 'short-thread'), severity: 'stop', measured: length(hold.penetrationMm), limit: length(hold.leastMm),
    sentence: `Only ${say(hold.penetrationMm)} of a screw of ${mount.name} is in the ${face.supports.kind === 'purlins' ? face.supports.member : 'rafter'}, and under ${say(hold.leastMm)} the code counts nothing: it holds nothing. ${face.supports.kind === 'purlins' ? 'Fix into something thicker' : 'A longer screw is needed'}.`,
  }]
}

/** Screws outside the European code hold what their maker's approval says, and nothing is known of one. */
function outsideCode(context: FindingContext): DraftFinding[] {
  const outside = context.plan.strength?.capacity.timber?.outside ?? []
  if (!outside.length) return []
  const say = writer(context)
  const worst = outside[0]!
  return [{
    ...base(context, 'screw-approval'), severity: 'stop', measured: length(worst.isMm), limit: length(worst.asksMm),
    sentence: `The screws of ${context.plan.parts.mount.name} are outside EN 1995-1-1 here: ${outside.map(one => `${one.what} ${say(one.asksMm)}, here ${say(one.isMm)}`).join('; ')}. Only their maker’s approval can say what they hold, and the catalogue has none.`,
  }]
}

const battenWords: Record<BattenCheck, { name: string, of: (value: number) => Quantity }> = {
  bending: { name: 'bending of the batten', of: moment }, shear: { name: 'shear in the batten', of: force }, nails: { name: 'the pull on its nails at one rafter', of: force },
}

/** A batten carries the array from rafter to rafter, and its nails hold it down. */
function battens(context: FindingContext): DraftFinding[] {
  const { face, plan, job } = context
  if (face.supports.kind !== 'purlins' || face.supports.member !== 'batten' || !plan.strength) return []
  if (!plan.battens) {
    return [{ ...base(context, 'battens-not-known'), severity: 'stop', sentence: 'The fixings go into battens. How thick they are, how far apart the rafters under them stand and how they are nailed must be known before anything is fixed.' }]
  }
  const { shares, nearEnd } = plan.battens
  const over = shares.filter(one => one.share > FULL).map((one): DraftFinding => ({
    ...base(context, `batten-${one.check}`), severity: 'stop', measured: battenWords[one.check].of(one.value), limit: battenWords[one.check].of(one.limit),
    sentence: one.limit > 0
      ? `${one.member[0]!.toUpperCase()}${one.member.slice(1)}: ${battenWords[one.check].name} is ${formatQuantity(battenWords[one.check].of(one.value), job.units)} under ${one.combination}, and it bears ${formatQuantity(battenWords[one.check].of(one.limit), job.units)}. Fix into the rafters, or have heavier battens put in.`
      : `${one.member[0]!.toUpperCase()}${one.member.slice(1)}: its nails hold nothing against suction: too little of them is in the rafter. Fix into the rafters.`,
  }))
  if (!nearEnd.length) return over
  return [...over, {
    ...base(context, 'batten-end'), severity: 'stop',
    sentence: `${plural(nearEnd.length, 'fixing')} ${nearEnd.length === 1 ? 'stands' : 'stand'} so near the end of a batten (${nearEnd[0]!.member}) that there are not two rafters’ nails on that side. Move the array in, or fix into the rafters.`,
  }]
}
