import { z } from 'zod'
import { type Broken, brokenSchema, faceSchema, MOST_BROKEN, shortId, suppliers } from '../schema'
import { faceOf, noSuchFace, withFace } from './face-of'
import { editKind } from './kind'

const faceId = faceSchema.shape.id
const logSchema = z.object({ type: z.literal('log-broken'), faceId, broken: z.array(brokenSchema).min(1).max(MOST_BROKEN) })
const dropSchema = z.object({ type: z.literal('drop-broken'), faceId, brokenIds: z.array(shortId).min(1).max(MOST_BROKEN) })
const key = (face: string, id: string) => `face ${face}/broken ${id}`
const inWords = ({ course, unit }: Broken) => `the broken unit ${unit} of course ${course}`

/** Units found broken; those already told by their id are passed over. */
export const logBroken = editKind({
  schema: logSchema,
  obstacle: noSuchFace,
  apply: (job, edit) => withFace(job, edit.faceId, (face) => {
    const known = new Set(face.broken.map(one => one.id))
    return { ...face, broken: [...face.broken, ...edit.broken.filter(one => !known.has(one.id))] }
  }),
  invert: (_, edit): z.infer<typeof dropSchema> => ({ type: 'drop-broken', faceId: edit.faceId, brokenIds: edit.broken.map(one => one.id) }),
  touches: edit => edit.broken.map(one => key(edit.faceId, one.id)),
  words: edit => edit.broken.map(inWords),
  example: (job, { pick, whole }) => ({
    type: 'log-broken' as const, faceId: pick(job.faces).id, broken: [{ id: `b${whole(1, 1e6)}`, course: whole(1, 12), unit: whole(1, 20), by: 'A roofer', supplies: pick(suppliers), on: '2026-05-04' }],
  }),
})

export const dropBroken = editKind({
  schema: dropSchema,
  obstacle: noSuchFace,
  apply: (job, edit) => withFace(job, edit.faceId, face => ({ ...face, broken: face.broken.filter(one => !edit.brokenIds.includes(one.id)) })),
  invert: (job, edit): z.infer<typeof logSchema> | z.infer<typeof dropSchema> => {
    const broken = faceOf(job, edit.faceId).broken.filter(one => edit.brokenIds.includes(one.id))
    return broken.length ? { type: 'log-broken', faceId: edit.faceId, broken } : edit
  },
  touches: edit => edit.brokenIds.map(id => key(edit.faceId, id)),
  words: () => ['a broken unit'],
  example: (job, { pick }) => {
    const face = pick(job.faces)
    return { type: 'drop-broken' as const, faceId: face.id, brokenIds: [pick([...face.broken.map(one => one.id), 'gone']), 'gone-too'] }
  },
})
