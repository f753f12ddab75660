import { z } from 'zod'
import { type Face, faceSchema, faceWords, MOST_FACES } from '../schema'
import { faceOf, noSuchFace, withFace } from './face-of'
import { editKind, keysOf, oldValues, wordsOfValues } from './kind'

const faceId = faceSchema.shape.id
const addFaceSchema = z.object({ type: z.literal('add-face'), /** The face's place in the list. */ at: z.number().int().min(0).max(MOST_FACES), face: faceSchema })
const removeFaceSchema = z.object({ type: z.literal('remove-face'), faceId })
const whole = (id: string) => [`face ${id}/whole`]

export const addFace = editKind({
  schema: addFaceSchema,
  obstacle: (job, edit) => edit.at > job.faces.length ? 'The new face’s place in the list is past its end.' : null,
  apply: (job, edit) => ({ ...job, faces: [...job.faces.slice(0, edit.at), edit.face, ...job.faces.slice(edit.at)] }),
  invert: (_, edit): z.infer<typeof removeFaceSchema> => ({ type: 'remove-face', faceId: edit.face.id }),
  touches: edit => whole(edit.face.id),
  words: () => ['a face added'],
  example: (job, { whole: number }) => ({ type: 'add-face' as const, at: job.faces.length, face: { ...job.faces[0]!, id: `f${number(1, 1e6)}`, name: 'Another' } }),
})

export const removeFace = editKind({
  schema: removeFaceSchema,
  obstacle: (job, edit) => noSuchFace(job, edit) ?? (job.faces.length < 2 ? 'This is the job’s only face, and a job has at least one.' : null),
  apply: (job, edit) => ({ ...job, faces: job.faces.filter(face => face.id !== edit.faceId) }),
  invert: (job, edit): z.infer<typeof addFaceSchema> => ({ type: 'add-face', at: job.faces.findIndex(face => face.id === edit.faceId), face: faceOf(job, edit.faceId) }),
  touches: edit => whole(edit.faceId),
  words: () => ['a face removed'],
  example: (job, { pick }) => ({ type: 'remove-face' as const, faceId: pick(job.faces).id }),
})

/** Facts of a face, each replaced whole; the array and what is in the roof have edits of their own, the id none. */
export const setFace = editKind({
  schema: z.object({ type: z.literal('set-face'), faceId, values: faceSchema.omit({ id: true, array: true, inRoof: true, following: true }).partial() }),
  obstacle: noSuchFace,
  apply: (job, edit) => withFace(job, edit.faceId, face => ({ ...face, ...edit.values })),
  invert: (job, edit) => ({ ...edit, values: oldValues<Omit<Face, 'id' | 'array' | 'inRoof' | 'following'>>(faceOf(job, edit.faceId), edit.values) }),
  touches: edit => keysOf(`face ${edit.faceId}`, edit.values),
  words: edit => wordsOfValues(faceWords, edit.values),
  example: (job, { pick, between }) => ({ type: 'set-face' as const, faceId: pick(job.faces).id, values: { pitchDeg: between(5, 60), datum: pick(['left', 'right'] as const) } }),
})
