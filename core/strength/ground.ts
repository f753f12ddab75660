import { FULL } from '../fixings'
import { type DraftFinding, onFace, plural, sentenceCase, writer } from '../trade'
import { force, formatQuantity, length, moment, type Quantity } from '../units'
import type { BattenCheck } from './battens'
import type { StrengthAsk } from './findings'

/** Nothing counts in a member that nobody has measured. */
export function noThickness(ask: StrengthAsk): DraftFinding[] {
  const { face: { supports }, plan } = ask
  if (!plan.rails.length || supports.kind !== 'purlins' || !plan.parts.mount.fasteners || supports.thicknessMm !== null) return []
  return [{
    ...onFace(ask, 'rails', 'no-thickness'),
    severity: plan.strength ? 'stop' : 'caution',
    sentence: `Nobody has measured how thick the ${supports.member}s are, so no thread counts in them. Measure one and type it.`,
  }]
}

/** Screws count only in the member that is there. */
export function shortThread(ask: StrengthAsk): DraftFinding[] {
  const { face, plan } = ask
  const { mount } = plan.parts
  const hold = plan.strength?.capacity.timber
  if (!plan.rails.length || !hold?.tooShort || noThickness(ask).length) return []
  const say = writer(ask)
  return [{
    ...onFace(ask, 'rails', 'short-thread'), severity: 'stop', measured: length(hold.penetrationMm), limit: length(hold.leastMm),
    sentence: `Only ${say(hold.penetrationMm)} of a screw of ${mount.name} is in the ${face.supports.kind === 'purlins' ? face.supports.member : 'rafter'}, and under ${say(hold.leastMm)} the code counts nothing: it holds nothing. ${face.supports.kind === 'purlins' ? 'Fix into something thicker' : 'A longer screw is needed'}.`,
  }]
}

/** Screws outside the European code hold what their maker's approval says, and nothing is known of one. */
export function outsideCode(ask: StrengthAsk): DraftFinding[] {
  if (!ask.plan.rails.length) return []
  const outside = ask.plan.strength?.capacity.timber?.outside ?? []
  if (!outside.length) return []
  const say = writer(ask)
  const worst = outside[0]!
  return [{
    ...onFace(ask, 'rails', 'screw-approval'), severity: 'stop', measured: length(worst.isMm), limit: length(worst.asksMm),
    sentence: `The screws of ${ask.plan.parts.mount.name} are outside EN 1995-1-1 here: ${outside.map(one => `${one.what} ${say(one.asksMm)}, here ${say(one.isMm)}`).join('; ')}. Only their maker’s approval can say what they hold, and the catalogue has none.`,
  }]
}

const battenWords: Record<BattenCheck, { name: string, of: (value: number) => Quantity }> = {
  bending: { name: 'bending of the batten', of: moment }, shear: { name: 'shear in the batten', of: force }, nails: { name: 'the pull on its nails at one rafter', of: force },
}

/** The face's battens, where loads are known and its fixings go into them. */
const onBattens = ({
  face: { supports },
  plan,
}: StrengthAsk): boolean => plan.rails.length > 0 && plan.strength !== null && supports.kind === 'purlins' && supports.member === 'batten'

export const battensNotKnown = (ask: StrengthAsk): DraftFinding[] => onBattens(ask) && !ask.plan.battens
  ? [{
      ...onFace(ask, 'rails', 'battens-not-known'),
      severity: 'stop',
      sentence: 'The fixings go into battens. How thick they are, how far apart the rafters under them stand and how they are nailed must be known before anything is fixed.',
    }]
  : []

/** A batten carries the array from rafter to rafter, and its nails hold it down. */
export function battenOver(ask: StrengthAsk): DraftFinding[] {
  const { plan, job } = ask
  if (!onBattens(ask) || !plan.battens) return []
  return plan.battens.shares.filter(one => one.share > FULL).map((one): DraftFinding => ({
    ...onFace(ask, 'rails', `batten-${one.check}`), severity: 'stop', measured: battenWords[one.check].of(one.value), limit: battenWords[one.check].of(one.limit),
    sentence: one.limit > 0
      ? `${sentenceCase(one.member)}: ${battenWords[one.check].name} is ${formatQuantity(battenWords[one.check].of(one.value), job.units)} under ${one.combination}, and it bears ${formatQuantity(battenWords[one.check].of(one.limit), job.units)}. Fix into the rafters, or have heavier battens put in.`
      : `${sentenceCase(one.member)}: its nails hold nothing against suction: too little of them is in the rafter. Fix into the rafters.`,
  }))
}

export function battenEnd(ask: StrengthAsk): DraftFinding[] {
  const nearEnd = onBattens(ask) ? ask.plan.battens?.nearEnd ?? [] : []
  if (!nearEnd.length) return []
  return [{
    ...onFace(ask, 'rails', 'batten-end'), severity: 'stop',
    sentence: `${plural(nearEnd.length, 'fixing')} ${nearEnd.length === 1 ? 'stands' : 'stand'} so near the end of a batten (${nearEnd[0]!.member}) that there are not two rafters’ nails on that side. Move the array in, or fix into the rafters.`,
  }]
}
