import type { Covering, Job } from '../job'
import { shapeOf } from '../roof'
import { type DraftFinding, type FindingAsk, noCures, onFace, writer } from '../trade'
import { count, formatPitch, length } from '../units'
import { coursesUp } from './courses'
import { coursesOf, headLapMm } from './gauge'
import type { CoveringLayout } from './layout'
import { countedBeside } from './limits'

type Ask = FindingAsk<CoveringLayout>

/** Courses that were counted and those that gauge and slope make may differ by so many: the top one is cut. */
const COUNT_PLAY = 1

/** A gauge and a slope that contradict the courses counted: one of the three is misread. */
export function gaugeApart(ask: Ask): DraftFinding[] {
  const { face } = ask
  const beside = countedBeside(face.covering, face.outline)
  const courses = coursesOf(face.covering)
  if (!beside || !courses || Math.abs(beside.counted - beside.made) <= COUNT_PLAY) return []
  const say = writer(ask)
  const slopeMm = shapeOf(face.outline).up.toMm
  const gaugeMm = (slopeMm - courses.firstMm) / Math.max(1, beside.counted - 1.5)
  return [{
    ...onFace(ask, 'survey', 'gauge-apart'), severity: 'caution', measured: count(beside.counted, 'courses'), limit: count(beside.made, 'courses'),
    sentence: `${beside.counted} courses were counted to the top; a gauge of ${say(courses.gaugeMm)} over a slope of ${say(slopeMm)} makes ${beside.made}. So many courses would be about ${say(gaugeMm)} each: measure a course again, the slope, or count again.`,
    propose: noCures,
  }]
}

/** Roofs in the open or by the sea are driven rain's (BS 5534's severe exposure, from memory). */
const isSevere = ({ site }: Pick<Job, 'site'>): boolean => site.exposure === 'open' || site.exposure === 'coast'

/** Least head lap of slates by pitch, mm, moderate and severe exposure: BS 5534 for natural slate, from memory. */
const SLATE_LAPS: [pitchDeg: number, moderateMm: number, severeMm: number][] = [[20, 115, 130], [22.5, 105, 120], [25, 100, 110], [27.5, 90, 100], [30, 80, 90], [35, 75, 80], [40, 65, 75], [45, 60, 70]]

/** Least head lap and least pitch that are usual for a covering; null where nobody sets one. BS 5534, from memory; the maker's own figure comes first. */
export function usualLimits(covering: Covering, pitchDeg: number, severe: boolean): { lapMm: number, pitchDeg: number } | null {
  switch (covering.kind) {
    case 'slate': {
      const row = [...SLATE_LAPS].reverse().find(([from]) => pitchDeg >= from - 1e-9) ?? SLATE_LAPS[0]!
      return { lapMm: row[severe ? 2 : 1], pitchDeg: SLATE_LAPS[0]![0] }
    }
    case 'plain-tile': return { lapMm: severe ? 75 : 65, pitchDeg: 35 }
    case 'interlocking-tile': return { lapMm: 75, pitchDeg: 22.5 }
    default: return null
  }
}

/** Laps shorter than usual for the pitch and exposure: what is lifted there and laid again leaks first. */
export function lapShort(ask: Ask): DraftFinding[] {
  const { face, job } = ask
  const limits = usualLimits(face.covering, face.pitchDeg, isSevere(job))
  const lapMm = headLapMm(face.covering)
  if (!limits || lapMm === null || face.array.rowCount === 0 || lapMm >= limits.lapMm - 0.5) return []
  const say = writer(ask)
  return [{
    ...onFace(ask, 'covering', 'lap-short'), severity: 'caution', measured: length(lapMm), limit: length(limits.lapMm),
    sentence: `The head lap is ${say(lapMm)}; at ${formatPitch(face.pitchDeg, job.units)} in ${isSevere(job) ? 'severe' : 'moderate'} exposure ${say(limits.lapMm)} at least is usual (BS 5534, from memory; the maker comes first). Openings there want care: read the gauge again.`,
    propose: noCures,
  }]
}

export function pitchLow(ask: Ask): DraftFinding[] {
  const { face, job } = ask
  const limits = usualLimits(face.covering, face.pitchDeg, isSevere(job))
  if (!limits || face.array.rowCount === 0 || face.pitchDeg >= limits.pitchDeg - 0.05) return []
  return [{
    ...onFace(ask, 'covering', 'pitch-low'), severity: 'caution',
    sentence: `At ${formatPitch(face.pitchDeg, job.units)} this covering lies below the usual ${formatPitch(limits.pitchDeg, job.units)} (BS 5534, from memory; the maker comes first): its underlay keeps the rain out, and every opening goes through that too.`,
  }]
}

/** Courses shorten up an old roof: read at one height only, slates and plain tiles may lie elsewhere than planned at the top. */
export function gaugeOnce(ask: Ask): DraftFinding[] {
  const { face, job } = ask
  const { covering } = face
  if ((covering.kind !== 'slate' && covering.kind !== 'plain-tile') || covering.coursesRead.length > 0 || face.array.rowCount === 0 || (face.inRoof?.battensRead.length ?? 0) > 2) return []
  if (job.site.coveringState !== 'worn' && (job.site.coveringAgeYears ?? 0) < OLD_YEARS) return []
  const top = coursesUp(covering, face.outline).at(-1)
  return [{
    ...onFace(ask, 'survey', 'gauge-once'), severity: 'note',
    sentence: `The gauge was read at one height only. Courses shorten up an old roof: read the lower edges of a few courses near the middle and the top${top ? ` (course ${top.number} is taken to lie at ${writer(ask)(top.fromMm)})` : ''}.`,
  }]
}
const OLD_YEARS = 30
