import { z } from 'zod'
import { type ArrayRules, type Face, type Job, type RowRule, arraySchema, faceSchema, jobSchema, plainRow, rowRuleSchema } from './schema'

const faceId = faceSchema.shape.id
const MOST_ROWS = 40

/** Facts of a face that an edit replaces whole; the array and the id have edits of their own or none. */
const faceFacts = faceSchema.omit({ id: true, array: true }).partial()
const arrayFacts = arraySchema.omit({ rows: true }).partial()
const rowFacts = rowRuleSchema.partial()
const jobFacts = z.object({ title: jobSchema.shape.title, place: jobSchema.shape.place, units: jobSchema.shape.units }).partial()

const plainEditSchema = z.discriminatedUnion('type', [
  z.object({ type: z.literal('set-job'), values: jobFacts }),
  z.object({ type: z.literal('set-face'), faceId, values: faceFacts }),
  z.object({ type: z.literal('set-array'), faceId, values: arrayFacts }),
  /** `row` counts from the eave, 0 first. */
  z.object({ type: z.literal('set-row'), faceId, row: z.number().int().min(0).max(MOST_ROWS - 1), values: rowFacts }),
  /** Says where a rafter was found; null puts it back to its nominal place. `rafter` counts from the left rake, 1 first. */
  z.object({ type: z.literal('move-rafter'), faceId, rafter: z.number().int().min(1).max(400), centreMm: z.number().min(-2000).max(62_000).nullable() }),
])

/** One change of a job. `batch` holds several that are made and undone as one. */
export const editSchema = z.union([
  plainEditSchema,
  z.object({ type: z.literal('batch'), edits: z.array(plainEditSchema).min(1).max(50) }),
])

export type PlainEdit = z.infer<typeof plainEditSchema>
export type Edit = z.infer<typeof editSchema>

/**
 * Makes one change to a job and returns the new job; the old one is left as it was.
 * @throws when the edit names a face the job does not have
 */
export function applyEdit(job: Job, edit: Edit): Job {
  switch (edit.type) {
    case 'batch': return edit.edits.reduce<Job>(applyEdit, job)
    case 'set-job': return { ...job, ...edit.values }
    case 'set-face': return withFace(job, edit.faceId, face => ({ ...face, ...edit.values }))
    case 'set-array': return withFace(job, edit.faceId, face => ({ ...face, array: { ...face.array, ...edit.values } }))
    case 'set-row': return withFace(job, edit.faceId, face => ({ ...face, array: { ...face.array, rows: withRow(face.array.rows, edit.row, edit.values) } }))
    case 'move-rafter': return withFace(job, edit.faceId, face => ({
      ...face,
      supports: {
        ...face.supports,
        found: [
          ...face.supports.found.filter(find => find.rafter !== edit.rafter),
          ...(edit.centreMm === null ? [] : [{ rafter: edit.rafter, centreMm: edit.centreMm }]),
        ].sort((a, b) => a.rafter - b.rafter),
      },
    }))
  }
}

/**
 * The edit that takes `edit` back, worked out on the job as it was before it.
 * applyEdit(applyEdit(job, edit), inverseOf(job, edit)) describes the same job.
 */
export function inverseOf(job: Job, edit: Edit): Edit {
  if (edit.type !== 'batch') return inverseOfPlain(job, edit)
  const inverses: PlainEdit[] = []
  let state = job
  for (const one of edit.edits) {
    inverses.unshift(inverseOfPlain(state, one))
    state = applyEdit(state, one)
  }
  return { type: 'batch', edits: inverses }
}

function inverseOfPlain(job: Job, edit: PlainEdit): PlainEdit {
  switch (edit.type) {
    case 'set-job': return { ...edit, values: oldValues(job, edit.values) }
    case 'set-face': return { ...edit, values: oldValues(faceOf(job, edit.faceId), edit.values) }
    case 'set-array': return { ...edit, values: oldValues(faceOf(job, edit.faceId).array, edit.values) }
    case 'set-row': return { ...edit, values: oldValues(faceOf(job, edit.faceId).array.rows[edit.row] ?? plainRow, edit.values) }
    case 'move-rafter': {
      const found = faceOf(job, edit.faceId).supports.found.find(find => find.rafter === edit.rafter)
      return { ...edit, centreMm: found?.centreMm ?? null }
    }
  }
}

/** The values that `holder` has for the keys of `changes`. */
function oldValues<T extends object>(holder: T, changes: Partial<T>): Partial<T> {
  return Object.fromEntries(Object.keys(changes).map(key => [key, holder[key as keyof T]])) as Partial<T>
}

/**
 * The face with this id.
 * @throws when there is none
 */
export function faceOf(job: Job, id: string): Face {
  const face = job.faces.find(one => one.id === id)
  if (!face) throw new Error(`The job has no face “${id}”.`)
  return face
}

function withFace(job: Job, id: string, change: (face: Face) => Face): Job {
  faceOf(job, id)
  return { ...job, faces: job.faces.map(face => face.id === id ? change(face) : face) }
}

function withRow(rows: ArrayRules['rows'], row: number, values: Partial<RowRule>): RowRule[] {
  const next = Array.from({ length: Math.max(rows.length, row + 1) }, (_, i) => ({ ...(rows[i] ?? plainRow) }))
  next[row] = { ...next[row]!, ...values }
  // Trailing rows without a rule are dropped, so that undoing an edit gives back the very same job.
  while (next.length && isPlain(next.at(-1)!)) next.pop()
  return next
}

const isPlain = (rule: RowRule): boolean =>
  (Object.keys(plainRow) as (keyof RowRule)[]).every(key => rule[key] === plainRow[key])

/** The facts an edit touches, as paths such as `face main/pitchDeg`: two edits collide where they share one. */
export function touches(edit: Edit): string[] {
  switch (edit.type) {
    case 'batch': return [...new Set(edit.edits.flatMap(touches))]
    case 'set-job': return Object.keys(edit.values).map(key => `job/${key}`)
    case 'set-face': return Object.keys(edit.values).map(key => `face ${edit.faceId}/${key}`)
    case 'set-array': return Object.keys(edit.values).map(key => `face ${edit.faceId}/array/${key}`)
    case 'set-row': return Object.keys(edit.values).map(key => `face ${edit.faceId}/row ${edit.row + 1}/${key}`)
    case 'move-rafter': return [`face ${edit.faceId}/rafter ${edit.rafter}`]
  }
}
