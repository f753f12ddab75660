/** What changes a job: a file for each family of edits, one definition for each kind. */
export * from './edit'
export { faceOf } from './face-of'
export type { Chooser } from './kind'
export { editKinds } from './kinds'
