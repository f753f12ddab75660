import { z } from 'zod'
import { type ArrayRules, arraySchema, type Face, faceSchema, hitSchema, hitUses, type Job, jobSchema, keepClearSchema, loadoutSchema, loadsSchema, MOST_FACES, MOST_HITS, plainRow, rafterFacts, type RafterSupports, type RowRule, rowRuleSchema, shortId, siteSchema, vanSchema } from './schema'

const faceId = faceSchema.shape.id
const MOST_ROWS = 40

/** Facts of a face that an edit replaces whole; the array and the id have edits of their own or none. */
const faceFacts = faceSchema.omit({ id: true, array: true }).partial()
const arrayFacts = arraySchema.omit({ rows: true }).partial()
const rowFacts = rowRuleSchema.partial()
const jobFacts = z.object({ title: jobSchema.shape.title, place: jobSchema.shape.place, units: jobSchema.shape.units }).partial()
/** A hit with its place in the log, so that taking an edit back puts it where it was. */
const placedHit = z.object({ at: z.number().int().min(0).max(MOST_HITS), hit: hitSchema })

const plainEditSchema = z.discriminatedUnion('type', [
  z.object({ type: z.literal('set-job'), values: jobFacts }),
  z.object({ type: z.literal('set-site'), values: siteSchema.partial() }),
  z.object({ type: z.literal('set-keep-clear'), values: keepClearSchema.partial() }),
  z.object({ type: z.literal('set-loads'), values: loadsSchema.partial() }),
  z.object({ type: z.literal('set-van'), values: vanSchema.partial() }),
  z.object({ type: z.literal('set-loadout'), values: loadoutSchema.partial() }),
  /** `at` is the face's place in the list. */
  z.object({ type: z.literal('add-face'), at: z.number().int().min(0).max(MOST_FACES), face: faceSchema }),
  z.object({ type: z.literal('remove-face'), faceId }),
  z.object({ type: z.literal('set-face'), faceId, values: faceFacts }),
  z.object({ type: z.literal('set-array'), faceId, values: arrayFacts }),
  /** `row` counts from the eave, 0 first. */
  z.object({ type: z.literal('set-row'), faceId, row: z.number().int().min(0).max(MOST_ROWS - 1), values: rowFacts }),
  z.object({ type: z.literal('set-rafters'), faceId, values: rafterFacts }),
  /** Says where a rafter was found; null puts it back to its nominal place. `rafter` counts from the left rake, 1 first. */
  z.object({ type: z.literal('move-rafter'), faceId, rafter: z.number().int().min(1).max(400), centreMm: z.number().min(-2000).max(62_000).nullable() }),
  /** Adds hits to the log; those already in it by their id are passed over. */
  z.object({ type: z.literal('log-hits'), faceId, hits: z.array(placedHit).min(1).max(MOST_HITS) }),
  z.object({ type: z.literal('drop-hits'), faceId, hitIds: z.array(shortId).min(1).max(MOST_HITS) }),
  z.object({ type: z.literal('use-hit'), faceId, hitId: shortId, use: z.enum(hitUses) }),
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
    case 'set-site': return { ...job, site: { ...job.site, ...edit.values } }
    case 'set-keep-clear': return { ...job, keepClear: { ...job.keepClear, ...edit.values } }
    case 'set-loads': return { ...job, loads: { ...job.loads, ...edit.values } }
    case 'set-van': return { ...job, van: { ...job.van, ...edit.values } }
    case 'set-loadout': return { ...job, loadout: { ...job.loadout, ...edit.values } }
    case 'add-face': return { ...job, faces: [...job.faces.slice(0, edit.at), edit.face, ...job.faces.slice(edit.at)] }
    case 'remove-face': return { ...job, faces: job.faces.filter(face => face !== faceOf(job, edit.faceId)) }
    case 'set-face': return withFace(job, edit.faceId, face => ({ ...face, ...edit.values }))
    case 'set-array': return withFace(job, edit.faceId, face => ({ ...face, array: { ...face.array, ...edit.values } }))
    case 'set-row': return withFace(job, edit.faceId, face => ({ ...face, array: { ...face.array, rows: withRow(face.array.rows, edit.row, edit.values) } }))
    case 'set-rafters': return withRafters(job, edit.faceId, rafters => ({ ...rafters, ...edit.values }))
    case 'move-rafter': return withRafters(job, edit.faceId, rafters => ({
      ...rafters,
      found: [
        ...rafters.found.filter(find => find.rafter !== edit.rafter),
        ...(edit.centreMm === null ? [] : [{ rafter: edit.rafter, centreMm: edit.centreMm }]),
      ].sort((a, b) => a.rafter - b.rafter),
    }))
    case 'log-hits': return withRafters(job, edit.faceId, (rafters) => {
      const known = new Set(rafters.hits.map(hit => hit.id))
      const hits = [...rafters.hits]
      for (const { at, hit } of edit.hits) if (!known.has(hit.id)) hits.splice(at, 0, hit)
      return { ...rafters, hits }
    })
    case 'drop-hits': return withRafters(job, edit.faceId, rafters => ({ ...rafters, hits: rafters.hits.filter(hit => !edit.hitIds.includes(hit.id)) }))
    case 'use-hit': return withRafters(job, edit.faceId, rafters => ({ ...rafters, hits: rafters.hits.map(hit => hit.id === edit.hitId ? { ...hit, use: edit.use } : hit) }))
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
    case 'set-site': return { ...edit, values: oldValues(job.site, edit.values) }
    case 'set-keep-clear': return { ...edit, values: oldValues(job.keepClear, edit.values) }
    case 'set-loads': return { ...edit, values: oldValues(job.loads, edit.values) }
    case 'set-van': return { ...edit, values: oldValues(job.van, edit.values) }
    case 'set-loadout': return { ...edit, values: oldValues(job.loadout, edit.values) }
    case 'add-face': return { type: 'remove-face', faceId: edit.face.id }
    case 'remove-face': return { type: 'add-face', at: job.faces.findIndex(face => face.id === edit.faceId), face: faceOf(job, edit.faceId) }
    case 'set-face': return { ...edit, values: oldValues(faceOf(job, edit.faceId), edit.values) }
    case 'set-array': return { ...edit, values: oldValues(faceOf(job, edit.faceId).array, edit.values) }
    case 'set-row': return { ...edit, values: oldValues(faceOf(job, edit.faceId).array.rows[edit.row] ?? plainRow, edit.values) }
    case 'set-rafters': return { ...edit, values: oldValues(raftersOfFace(job, edit.faceId), edit.values) }
    case 'move-rafter': {
      const found = raftersOfFace(job, edit.faceId).found.find(find => find.rafter === edit.rafter)
      return { ...edit, centreMm: found?.centreMm ?? null }
    }
    case 'log-hits': return { type: 'drop-hits', faceId: edit.faceId, hitIds: edit.hits.map(({ hit }) => hit.id) }
    case 'drop-hits': {
      const hits = raftersOfFace(job, edit.faceId).hits.flatMap((hit, at) => edit.hitIds.includes(hit.id) ? [{ at, hit }] : [])
      return hits.length ? { type: 'log-hits', faceId: edit.faceId, hits } : edit
    }
    case 'use-hit': return { ...edit, use: raftersOfFace(job, edit.faceId).hits.find(hit => hit.id === edit.hitId)?.use ?? edit.use }
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

/**
 * The rafters of a face.
 * @throws when the face is fixed to something else
 */
function raftersOfFace(job: Job, id: string): RafterSupports {
  const { supports } = faceOf(job, id)
  if (supports.kind !== 'rafters') throw new Error(`Face “${id}” is not fixed to rafters.`)
  return supports
}

const withRafters = (job: Job, id: string, change: (rafters: RafterSupports) => RafterSupports): Job => {
  const changed = change(raftersOfFace(job, id))
  return withFace(job, id, face => ({ ...face, supports: changed }))
}

/** Why a plain edit can't be made to this job at all; null when it can. */
function obstacleTo(job: Job, edit: PlainEdit): string | null {
  if (edit.type === 'add-face') return edit.at > job.faces.length ? 'The new face’s place in the list is past its end.' : null
  if (!('faceId' in edit)) return null
  const face = job.faces.find(one => one.id === edit.faceId)
  if (!face) return `The job has no face “${edit.faceId}”. It may have been removed meanwhile.`
  if (edit.type === 'remove-face') return job.faces.length < 2 ? 'This is the job’s only face, and a job has at least one.' : null
  const ofRafters = ['set-rafters', 'move-rafter', 'log-hits', 'drop-hits', 'use-hit'].includes(edit.type)
  return ofRafters && face.supports.kind !== 'rafters' ? 'This face is not fixed to rafters, so it has no hit log. Choose rafters first.' : null
}

/** The first obstacle to an edit, a batch's steps taken in order; null when all of it can be made. */
export function obstacleIn(job: Job, edit: Edit): string | null {
  let state = job
  for (const one of edit.type === 'batch' ? edit.edits : [edit]) {
    const obstacle = obstacleTo(state, one)
    if (obstacle) return obstacle
    state = applyEdit(state, one)
  }
  return null
}

function withRow(rows: ArrayRules['rows'], row: number, values: Partial<RowRule>): RowRule[] {
  const next = Array.from({ length: Math.max(rows.length, row + 1) }, (_, i) => ({ ...(rows[i] ?? plainRow) }))
  next[row] = { ...next[row]!, ...values }
  // Trailing rows without a rule are dropped, so that undoing an edit gives back the very same job.
  while (next.length && isPlain(next.at(-1)!)) next.pop()
  return next
}

const isPlain = (rule: RowRule): boolean =>
  (Object.keys(plainRow) as (keyof RowRule)[]).every((key) => {
    const value = rule[key]
    return Array.isArray(value) ? value.length === 0 : value === plainRow[key]
  })

/** The facts an edit touches, as paths such as `face main/pitchDeg`: two edits collide where they share one. */
export function touches(edit: Edit): string[] {
  const of = (values: object, path: string) => Object.keys(values).map(key => `${path}/${key}`)
  switch (edit.type) {
    case 'batch': return [...new Set(edit.edits.flatMap(touches))]
    case 'set-job': return of(edit.values, 'job')
    case 'set-site': return of(edit.values, 'site')
    case 'set-keep-clear': return of(edit.values, 'keep-clear')
    case 'set-loads': return of(edit.values, 'loads')
    case 'set-van': return of(edit.values, 'van')
    case 'set-loadout': return of(edit.values, 'loadout')
    case 'add-face': return [`face ${edit.face.id}/whole`]
    case 'remove-face': return [`face ${edit.faceId}/whole`]
    case 'set-face': return of(edit.values, `face ${edit.faceId}`)
    case 'set-array': return of(edit.values, `face ${edit.faceId}/array`)
    case 'set-row': return of(edit.values, `face ${edit.faceId}/row ${edit.row + 1}`)
    case 'set-rafters': return of(edit.values, `face ${edit.faceId}/rafters`)
    case 'move-rafter': return [`face ${edit.faceId}/rafter ${edit.rafter}`]
    case 'log-hits': return edit.hits.map(({ hit }) => `face ${edit.faceId}/hit ${hit.id}`)
    case 'drop-hits': return edit.hitIds.map(id => `face ${edit.faceId}/hit ${id}`)
    case 'use-hit': return [`face ${edit.faceId}/hit ${edit.hitId}`]
  }
}
