import { goesWith, offered } from '../catalogue'
import type { Supports } from '../job'
import { rafterName, safeStrip } from '../supports'
import { type DraftFinding, type JobAsk, noCures, onFace, plural, type Ref, writer } from '../trade'
import { count, length, share } from '../units'
import type { FixingsAsk } from './findings'
import type { FixingsLayout } from './layout'

/** Fixings on supports that are not proved. */
export function guessed(ask: FixingsAsk): DraftFinding[] {
  const { face, plan } = ask
  const fixings = plan.fixings.rails.flatMap(rail => rail.fixings)
  const onGuesses = fixings.filter(fixing => fixing.state === 'guessed')
  const members = [...new Set(onGuesses.map(fixing => fixing.member))]
  const misses = fixings.reduce((sum, fixing) => sum + 1 - fixing.timber, 0)
  const edges = fixings.reduce((sum, fixing) => sum + Math.max(0, fixing.timber - fixing.chance), 0)
  const said = (n: number) => n.toFixed(n < 10 ? 1 : 0)
  if (!members.length) return []
  return [{
    stage: 'rafters', faceId: face.id, id: `rafters-guessed:${face.id}`, severity: 'caution', about: supportOf(ask, members[0]!), measured: count(onGuesses.length, 'fixings'), limit: null, propose: noCures,
    sentence: `${onGuesses.length} of ${plural(fixings.length, 'fixing')} ${onGuesses.length === 1 ? 'stands' : 'stand'} on ${plural(members.length, memberWord(face.supports))} that nobody has found: ${members.length > 3 ? `${members.slice(0, 3).join(', ')} and others` : members.join(', ')}. As things stand about ${said(misses)} of all would miss the timber, and about ${said(edges)} more would be in it but too near its edge. Find several, and drill a pilot before every fixing.`,
  }]
}

/** What is driven into, where it can be taken hold of by itself. */
function supportOf({ plan }: FixingsAsk, member: string): Ref {
  const rafter = plan.supports.rafters.find(one => rafterName(one.number) === member)
  return rafter ? { kind: 'rafter', number: rafter.number } : { kind: 'rafters' }
}

const memberWord = (supports: Supports): string => supports.kind === 'rafters' ? 'rafter' : supports.kind === 'purlins' ? supports.member : 'support'

/** Timber too narrow for the screws' edge distances. */
export function emptyStrip(ask: FixingsAsk): DraftFinding[] {
  const { face, plan } = ask
  const { fasteners } = plan.parts.mount
  if (!fasteners || (face.supports.kind !== 'rafters' && face.supports.kind !== 'purlins') || !plan.rails.length) return []
  const { widthMm } = face.supports
  if (safeStrip(widthMm, face.supports.kind === 'rafters' ? fasteners : { ...fasteners, acrossMm: [0] })) return []
  const say = writer(ask)
  const need = 2 * fasteners.edgeDiameters * fasteners.diameterMm + (face.supports.kind === 'rafters' ? Math.max(...fasteners.acrossMm) - Math.min(...fasteners.acrossMm) : 0)
  return [{
    stage: 'rafters', faceId: face.id, id: `strip-empty:${face.id}`, severity: 'stop', about: { kind: 'rafters' }, measured: length(widthMm), limit: length(need),
    sentence: `Timber ${say(widthMm)} wide has no sound strip for the ${plan.parts.mount.screw.name} of ${plan.parts.mount.name}: ${fasteners.edgeDiameters} diameters from both edges need ${say(need)}. Only the screw’s own approval can allow less; ask its maker, or choose another mount.`,
    propose: () => offered(ask.catalogue.mounts).filter(mount => mount.id !== plan.parts.mount.id && goesWith(ask.catalogue, plan.parts.rail.id, mount.id)).map(mount => ({
      label: `Use ${mount.name}`,
      edit: { type: 'set-array', faceId: face.id, values: { mountId: mount.id } },
    })),
  }]
}

/** A fixing in a thousand that is expected to miss decides nothing; one or more a job is worth more finds. */
const TELLS = 1

/** What the readings leave open where no fixing stands on a guess. */
export function unproved({ faces }: JobAsk<FixingsLayout>): DraftFinding[] {
  const railed = faces.filter(({ plan }) => plan.rails.length)
  const proved = railed.map(({ plan }) => plan.fixings.rails.flatMap(rail => rail.fixings)).filter(fixings => fixings.every(fixing => fixing.state !== 'guessed')).flat()
  const misses = proved.reduce((sum, fixing) => sum + 1 - fixing.timber, 0)
  const edges = proved.reduce((sum, fixing) => sum + Math.max(0, fixing.timber - fixing.chance), 0)
  if (misses + edges < TELLS) return []
  const said = (n: number) => n.toFixed(n < 10 ? 1 : 0)
  return [{
    id: 'rafters-unproved', severity: 'note', stage: 'rafters', faceId: railed[0]!.face.id, about: null, limit: null, propose: noCures,
    sentence: `By the readings about ${said(misses)} of ${proved.length} fixings would still miss the timber and about ${said(edges)} be in it but too near its edge, though none stands on a guess. A pilot before every fixing tells.`,
    measured: count(Math.round(misses + edges), 'fixings'),
  }]
}

/** Sheathing thinner than the mount was tested on. */
export function thinSheathing(ask: FixingsAsk): DraftFinding[] {
  const { face, plan: { parts: { mount }, rails } } = ask
  const say = writer(ask)
  if (!rails.length || face.supports.kind !== 'sheathing' || mount.leastSheathingMm === null || face.supports.thicknessMm >= mount.leastSheathingMm - 0.1) return []
  return [{
    ...onFace(ask, 'rails', 'thin-sheathing'),
    severity: 'stop',
    sentence: `The sheathing is ${say(face.supports.thicknessMm)} thick. ${mount.name} was tested on ${say(mount.leastSheathingMm)} and more.`,
    measured: length(face.supports.thicknessMm),
    limit: length(mount.leastSheathingMm),
  }]
}

export function pilotOff(ask: FixingsAsk): DraftFinding[] {
  const { fasteners } = ask.plan.parts.mount
  if (!ask.plan.rails.length || fasteners?.kind !== 'lag' || fasteners.pilotMm === null) return []
  const of = fasteners.pilotMm / fasteners.diameterMm
  if (of >= 0.4 && of <= 0.7) return []
  return [{
    ...onFace(ask, 'rails', 'pilot'),
    severity: 'caution',
    sentence: `A pilot of ${writer(ask)(fasteners.pilotMm)} is ${Math.round(100 * of)} % of the lag’s diameter. In this timber it should be 40 to 70 % (NDS 12.1.4): ${of > 0.7 ? 'a larger one holds less' : 'a smaller one splits the rafter'}.`,
    measured: share(of),
    limit: share(0.7),
  }]
}
