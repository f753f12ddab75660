import { z } from 'zod'
import type { Job } from '../schema'
import type { EditKind, EditSchema } from './kind'
import { editKinds } from './kinds'

type SchemasOf<Kinds> = { -readonly [K in keyof Kinds]: Kinds[K] extends { schema: infer S } ? S : never }
const plainEditSchema = z.discriminatedUnion('type', editKinds.map(kind => kind.schema) as unknown as SchemasOf<typeof editKinds>)

/** One change of a job. `batch` holds several that are made and undone as one. */
export const editSchema = z.union([
  plainEditSchema,
  z.object({ type: z.literal('batch'), edits: z.array(plainEditSchema).min(1).max(60) }),
])

export type PlainEdit = z.infer<typeof plainEditSchema>
export type Edit = z.infer<typeof editSchema>

/** Kinds by name. The list ties each edit to its own kind's functions, which a lookup by name can't say in types. */
const byType = new Map(editKinds.map(kind => [kind.schema.shape.type.value, kind as unknown as EditKind<EditSchema, PlainEdit>]))
const kindOf = (edit: PlainEdit) => byType.get(edit.type)!
const steps = (edit: Edit): PlainEdit[] => edit.type === 'batch' ? edit.edits : [edit]

/**
 * Makes one change to a job and returns the new job; the old one is left as it was.
 * @throws when the edit names a face the job does not have
 */
export const applyEdit = (job: Job, edit: Edit): Job => steps(edit).reduce((state, one) => kindOf(one).apply(state, one), job)

/**
 * The edit that takes `edit` back, worked out on the job as it was before it.
 * applyEdit(applyEdit(job, edit), inverseOf(job, edit)) describes the same job.
 */
export function inverseOf(job: Job, edit: Edit): Edit {
  if (edit.type !== 'batch') return kindOf(edit).invert(job, edit)
  const inverses: PlainEdit[] = []
  let state = job
  for (const one of edit.edits) {
    inverses.unshift(kindOf(one).invert(state, one))
    state = applyEdit(state, one)
  }
  return { type: 'batch', edits: inverses }
}

/** The first obstacle to an edit, a batch's steps taken in order; null when all of it can be made. */
export function obstacleIn(job: Job, edit: Edit): string | null {
  let state = job
  for (const one of steps(edit)) {
    const obstacle = kindOf(one).obstacle(state, one)
    if (obstacle) return obstacle
    state = applyEdit(state, one)
  }
  return null
}

/** The facts an edit touches, as keys that are only compared: two edits collide where they share one. */
export const touches = (edit: Edit): string[] => [...new Set(steps(edit).flatMap(one => kindOf(one).touches(one)))]

/** An edit in a few words, such as `the setbacks` or `row 2: the number of modules`. */
export function wordsFor(edit: Edit): string {
  const parts = [...new Set(steps(edit).flatMap(one => kindOf(one).words(one)))]
  return parts.length > 3 ? `${parts.slice(0, 2).join(', ')} and ${parts.length - 2} more` : parts.join(', ')
}
