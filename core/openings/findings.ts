import { type Closure, goesOn, goesWith, offered, profileNames } from '../catalogue'
import { type Cure, type DraftFinding, type FindingAsk, listed, onFace, plural, type Ref, writer } from '../trade'
import { formatShare, share, words } from '../units'
import type { OpeningsLayout } from './layout'
import type { Opening, OpeningFault } from './opening'
import { unitWords } from './words'

export type OpeningsAsk = FindingAsk<OpeningsLayout>
const refOf = ({ fixingId }: Opening): Ref => ({ kind: 'fixing', id: fixingId })
/** A name inside a sentence. */
const lowered = (name: string): string => `${name[0]!.toLowerCase()}${name.slice(1)}`
const carries = ({ plan }: OpeningsAsk): boolean => plan.fixings.total > 0

/** Other ways of the same mount, and other mounts on the shelf with their usual way, of which a closure does. */
function otherWays({ catalogue, face, plan }: OpeningsAsk, does: (closure: Closure) => boolean): Cure[] {
  const { covering: { kind }, array, supports } = face
  const ways = (closures: Closure[]) => closures.filter(one => one.coverings.includes(kind) && does(one))
  const own = ways(plan.parts.mount.closures).filter(one => one.id !== (array.closureId ?? plan.through.usual?.closure.id))
  const mounts = offered(catalogue.mounts).filter(mount => mount.id !== plan.parts.mount.id && goesOn(mount, { covering: kind, support: supports.kind }) && goesWith(catalogue, plan.parts.rail.id, mount.id))
  return [
    ...own.map((one): Cure => ({ label: one.name, edit: { type: 'set-array', faceId: face.id, values: { closureId: one.id } } })),
    ...mounts.flatMap(mount => ways(mount.closures).slice(0, 1).map((one): Cure => ({ label: `Use ${mount.name}: ${lowered(one.name)}`, edit: { type: 'set-array', faceId: face.id, values: { mountId: mount.id, closureId: one.id } } }))),
  ]
}

/** Nobody has said on the shelf how the mount goes through this covering. */
export const waysUnsaid = (ask: OpeningsAsk): DraftFinding[] => !carries(ask) || ask.plan.through.usual
  ? []
  : [{
      ...onFace(ask, 'covering', 'way-unsaid'), severity: 'caution',
      sentence: `The shelf does not say how ${ask.plan.parts.mount.name} goes through this covering: no opening is planned, no course limits the rails but for shingle, and its flashings and sealant are not counted. Put its maker’s way on the shelf, or take another mount.`,
      propose: () => otherWays(ask, () => true),
    }]

/** Old covering that breaks when it is lifted, and a mount whose way lifts it. */
export function brittle(ask: OpeningsAsk): DraftFinding[] {
  const { usual } = ask.plan.through
  if (!carries(ask) || !usual?.closure.lifts || ask.job.site.coveringState !== 'brittle') return []
  return [{
    ...onFace(ask, 'covering', 'brittle'), severity: 'stop', measured: words('brittle'), limit: words('must lift'),
    sentence: `The covering is brittle and ${usual.mount.name}, ${lowered(usual.closure.name)}, has it lifted: it will break. Take a way that lifts nothing and say that it is surface-sealed, or re-roof first.`,
    propose: () => [...otherWays(ask, one => !one.lifts), { label: 'Re-roof first; it is then sound', edit: { type: 'set-site', values: { decision: 're-roof-first', coveringState: 'sound' } } }],
  }]
}

/** Slates that must not be cut, and a way that cuts them. */
export function mustNotCut(ask: OpeningsAsk): DraftFinding[] {
  const { covering } = ask.face
  if (!carries(ask) || covering.kind !== 'slate' || covering.mayCut || !ask.plan.openings.some(one => one.cut)) return []
  return [{
    ...onFace(ask, 'covering', 'must-not-cut'), severity: 'stop',
    sentence: 'These slates must not be cut: they are asbestos cement, or nobody can tell. Stop until a licensed surveyor has tested them; slot, notch and drill nothing.',
    propose: () => [{ label: 'Tested: natural slate, may be cut', edit: { type: 'set-face', faceId: ask.face.id, values: { covering: { ...covering, mayCut: true } } } }],
  }]
}

/** Seams and metal tiles of a kind that the clamp or bracket is not made for. */
export function otherProfile(ask: OpeningsAsk): DraftFinding[] {
  const { covering } = ask.face
  const { usual } = ask.plan.through
  if (!carries(ask) || !usual || !('profile' in covering) || !usual.closure.profiles.length || usual.closure.profiles.includes(covering.profile)) return []
  const fits = listed(usual.closure.profiles.map(one => profileNames[one].toLowerCase()))
  return [{
    ...onFace(ask, 'covering', 'other-profile'), severity: 'stop', measured: words(profileNames[covering.profile].toLowerCase()), limit: words(fits),
    sentence: `${usual.mount.name} is made for ${fits}; this roof has ${profileNames[covering.profile].toLowerCase()}. What it holds there nobody has tested.`,
    propose: () => otherWays(ask, one => !one.profiles.length || one.profiles.includes(covering.profile)),
  }]
}

const because: Record<OpeningFault, (ask: OpeningsAsk, one: Opening) => string> = {
  'out-of-reach': ask => `no course lets ${ask.plan.parts.mount.name} reach the rail there`,
  'beside-timber': (ask, one) => `a screw would stand ${writer(ask)(-Math.min(...one.screws.map(screw => screw.insideMm ?? 0)))} outside the sound strip of ${one.member}, which is elsewhere at the plate than under the rail`,
  'batten-in-way': () => 'the plate would lie on a batten that its maker does not let be cut',
  'arm-bears': (ask, one) => one.arm!.clearMm <= 0 ? 'the arm can’t be packed up over the batten and the unit below: it would bear on it' : `the arm gives ${writer(ask)(one.arm!.givesMm ?? 0)} under load and has ${writer(ask)(one.arm!.clearMm)}: it would bear on the unit below`,
  'flashing-short': (ask, one) => `the flashing’s head would end ${writer(ask)(one.flashing!.needMm! - one.flashing!.headMm)} short of where it has to reach`,
  'near-edge': ask => `it would go through too near the edge of a ${unitWords[ask.face.covering.kind].one}`,
  'past-course': (ask, one) => `the flashing’s foot would pass its own course by ${writer(ask)(one.course!.fromMm - one.flashing!.footMm)}`,
}

/** Openings that can't be made as they are planned, one finding a reason. Rails that no course reaches have a finding of their own. */
export function cannotOpen(ask: OpeningsAsk): DraftFinding[] {
  const faults = [...new Set(ask.plan.openings.flatMap(one => one.faults))].filter(fault => fault !== 'out-of-reach')
  return faults.map((fault) => {
    const own = ask.plan.openings.filter(one => one.faults.includes(fault))
    const [first] = own as [Opening, ...Opening[]]
    return {
      ...onFace(ask, 'covering', `cannot-open:${fault}`), severity: 'stop' as const, about: refOf(first),
      sentence: `${plural(own.length, 'fixing')} can’t be opened as planned: on rail ${first.rail}, fixing ${first.place}, ${because[fault](ask, first)}.`,
      propose: () => otherWays(ask, () => true),
    }
  })
}

/** Surface-sealed fixings are never called lapped, and every sheet says so. */
export function surfaceSealed(ask: OpeningsAsk): DraftFinding[] {
  const { usual } = ask.plan.through
  if (!carries(ask) || usual?.closure.seal !== 'surface') return []
  return [{
    ...onFace(ask, 'covering', 'surface-sealed'), severity: 'caution', onSheets: true,
    sentence: `The ${plural(ask.plan.fixings.total, 'fixing')} of ${ask.face.name.toLowerCase()} ${ask.plan.fixings.total === 1 ? 'is' : 'are'} surface-sealed on the covering, with nothing lapped: the sealant alone keeps them dry, and has to be looked at again.`,
    propose: () => otherWays(ask, one => one.way === 'lapped'),
  }]
}

/** The mount with which the first fixings are opened, where nobody has said how, or it is not made for this roof or rail. */
export function firstUnsaid(ask: OpeningsAsk): DraftFinding[] {
  const { face, plan, catalogue } = ask
  const { openFirst } = face.array
  if (!openFirst || !carries(ask)) return []
  const mount = catalogue.mounts.find(one => one.id === openFirst.mountId)
  const goes = mount && goesOn(mount, { covering: face.covering.kind, support: face.supports.kind }) && goesWith(catalogue, plan.parts.rail.id, mount.id)
  const said = plan.through.first !== null
  if (goes && said && face.supports.kind === 'rafters') return []
  return [{
    ...onFace(ask, 'covering', 'first-unsaid'), severity: 'stop',
    sentence: face.supports.kind !== 'rafters' ? 'Fixings are opened first to see rafters, and there are none here.' : `${mount?.name ?? 'The mount'} that is to be opened first ${!goes ? 'does not go with this roof and rail' : 'has no way through this covering on the shelf'}.`,
    propose: () => [{ label: 'Make all fixings alike', edit: { type: 'set-array', faceId: face.id, values: { openFirst: null } } }],
  }]
}

export function firstTooWeak(ask: OpeningsAsk): DraftFinding[] {
  const { face, plan } = ask
  if (!plan.firstWeak.length) return []
  const worst = plan.firstWeak.reduce((a, b) => b.share > a.share ? b : a)
  const { first } = plan.through
  return [{
    ...onFace(ask, 'covering', 'first-weak'), severity: 'stop', about: { kind: 'fixing', id: worst.fixingId }, measured: share(worst.share), limit: share(1),
    sentence: `${first?.mount.name ?? 'The mount that opens first'} is used to ${formatShare(worst.share)} of what it holds at ${plural(plan.firstWeak.length, 'fixing')}.`,
    propose: () => [{ label: 'Make all fixings alike', edit: { type: 'set-array', faceId: face.id, values: { openFirst: null } } }],
  }]
}
