import { z } from 'zod'
import { type Face, faceWords, type Job, jobSchema, jobWords, siteFactWords, wallWords } from '../schema'
import { editKind } from './kind'

/** Facts of a face that a new job stands at a usual size until somebody reads them, by their keys below the face's own. */
export const assumableOnFace = ['outline/eaveLengthMm', 'outline/slopeLengthMm', 'pitchDeg', 'place/azimuthDeg', 'place/eaveHeightMm', 'covering', 'covering/courses', 'supports'] as const
export type AssumableFact = typeof assumableOnFace[number]
/** Key of a face's fact, as edits touch it. */
export const factKey = (faceId: string, fact: AssumableFact): string => `face ${faceId}/${fact}`
export const CODES_KEY = 'job/codes'
export const COVERING_STATE_KEY = 'site/coveringState'

/** Facts of a wall that stand at a usual size until somebody reads them, by the same keys that its edits touch. */
const assumableOnWall = ['wideMm', 'highMm'] as const
export const wallSizeKeys = (wallId: string): string[] => assumableOnWall.map(fact => `wall ${wallId}/${fact}`)
/** Whether nobody has read that size of a wall. */
export const wallSizeAssumed = ({ assumed }: Pick<Job, 'assumed'>, wallId: string, fact: typeof assumableOnWall[number]): boolean => assumed.includes(`wall ${wallId}/${fact}`)

/** What of a face nobody has read yet. */
export const assumedOn = ({ assumed }: Pick<Job, 'assumed'>, { id }: Pick<Face, 'id'>): AssumableFact[] => assumableOnFace.filter(fact => assumed.includes(factKey(id, fact)))

/** A fact in words, the same as those of the edit that settles it. */
function wordsOfKey(key: string): string {
  if (key === CODES_KEY) return jobWords.codes
  if (key === COVERING_STATE_KEY) return siteFactWords.coveringState
  const fact = key.split('/')[1]!
  return key.startsWith('wall ') ? wallWords[fact as keyof typeof wallWords] : faceWords[fact as keyof typeof faceWords] ?? 'a fact'
}

const sorted = (keys: Iterable<string>): string[] => [...new Set(keys)].sort()

/** Says of facts that they are assumed, or that somebody has read or decided them. */
export const setAssumed = editKind({
  schema: z.object({ type: z.literal('set-assumed'), keys: jobSchema.shape.assumed, assumed: z.boolean() }),
  obstacle: () => null,
  apply: (job, edit) => ({ ...job, assumed: edit.assumed ? sorted([...job.assumed, ...edit.keys]) : job.assumed.filter(key => !edit.keys.includes(key)) }),
  invert: (job, edit) => ({ ...edit, assumed: !edit.assumed, keys: edit.keys.filter(key => job.assumed.includes(key) !== edit.assumed) }),
  touches: edit => edit.keys.map(key => `assumed ${key}`),
  words: edit => edit.keys.map(wordsOfKey),
  example: (job, { pick }) => ({ type: 'set-assumed' as const, keys: [factKey(pick(job.faces).id, pick(assumableOnFace)), CODES_KEY], assumed: pick([true, false]) }),
})
