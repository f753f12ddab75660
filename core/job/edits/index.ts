/** What changes a job: a file for each family of edits, one definition for each kind. */
export { collide } from './collide'
export * from './edit'
export { faceOf } from './face-of'
export type { Chooser } from './kind'
export { editKinds } from './kinds'
export { type AssumableFact, assumableOnFace, assumedOn, CODES_KEY, COVERING_STATE_KEY, factKey } from './on-assumed'
export { logWords } from './on-log'
export { settled } from './settled'
