import { type AssumableFact, assumedOn, type Face, factKey, type Job } from '../job'
import { shapeOf } from '../roof'
import { type DraftFinding, type FindingAsk, listed, onFace } from '../trade'
import { formatDirection, formatLength, formatPitch } from '../units'
import { coveringNames } from '../catalogue'
import type { SurveyLayout } from './layout'

/** Facts of the survey that a tape or an eye gives; what the face is fixed to has a rung of its own. */
type SurveyFact = Exclude<AssumableFact, 'supports' | 'covering/courses'>
const surveyFacts: SurveyFact[] = ['outline/eaveLengthMm', 'outline/slopeLengthMm', 'pitchDeg', 'place/eaveHeightMm', 'covering', 'place/azimuthDeg']

const names: Record<SurveyFact, string> = { 'outline/eaveLengthMm': 'the eave', 'outline/slopeLengthMm': 'the slope', 'pitchDeg': 'the pitch', 'place/eaveHeightMm': 'the eave above ground', 'covering': 'the covering', 'place/azimuthDeg': 'which way it faces' }

/** How an assumed fact stands meanwhile. */
function standsAt(fact: SurveyFact, { outline, pitchDeg, covering, place }: Face, { units }: Job): string {
  const { eave, up } = shapeOf(outline)
  switch (fact) {
    case 'outline/eaveLengthMm': return formatLength(eave.toMm - eave.fromMm, units)
    case 'outline/slopeLengthMm': return formatLength(up.toMm - up.fromMm, units)
    case 'pitchDeg': return formatPitch(pitchDeg, units)
    case 'covering': return coveringNames[covering.kind].toLowerCase()
    case 'place/azimuthDeg': return formatDirection(place.azimuthDeg)
    case 'place/eaveHeightMm': return formatLength(place.eaveHeightMm, units)
  }
}

/** Facts of a face with modules that nobody has read: rows and marks on them are no more than a guess. */
export function assumed(ask: FindingAsk<SurveyLayout>): DraftFinding[] {
  const { job, face } = ask
  const open = assumedOn(job, face).filter((fact): fact is SurveyFact => (surveyFacts as string[]).includes(fact))
  // Which way a face looks moves no module.
  const moves = open.filter(fact => fact !== 'place/azimuthDeg')
  if (face.array.rowCount === 0 || !moves.length) return []
  return [{
    ...onFace(ask, 'survey', 'assumed'), severity: 'stop', assumed: true,
    sentence: `Nobody has read ${listed(open.map(fact => names[fact]))} of ${face.name.toLowerCase()} yet. Assumed meanwhile: ${open.map(fact => `${names[fact]} ${standsAt(fact, face, job)}`).join(', ')}. Type what the tape reads.`,
    propose: () => [{ label: 'It is so: nothing to change', edit: { type: 'set-assumed', keys: open.map(fact => factKey(face.id, fact)), assumed: false } }],
  }]
}

/** Courses at usual sizes: rails, hooks and flashings depend on where they begin. */
export function coursesAssumed(ask: FindingAsk<SurveyLayout>): DraftFinding[] {
  const { job, face } = ask
  const keys = [factKey(face.id, 'covering/courses')]
  if (face.array.rowCount === 0 || !job.assumed.includes(keys[0]!)) return []
  return [{
    ...onFace(ask, 'survey', 'courses-assumed'), severity: 'caution', assumed: true, onSheets: true,
    sentence: `Courses of ${face.name.toLowerCase()} stand at the usual sizes of ${coveringNames[face.covering.kind].toLowerCase()}: measure a course and where the first begins before the first hole, under Covering.`,
    propose: () => [{ label: 'They are so', edit: { type: 'set-assumed', keys, assumed: false } }],
  }]
}
