import { z } from 'zod'
import { type ArrayRules, arraySchema, arrayWords, faceSchema, plainRow, type RowRule, rowRuleSchema, rowWords } from '../schema'
import { faceOf, noSuchFace, withFace } from './face-of'
import { editKind, keysOf, oldValues, wordsOfValues } from './kind'

const faceId = faceSchema.shape.id
const MOST_ROWS = 40

export const setArray = editKind({
  schema: z.object({ type: z.literal('set-array'), faceId, values: arraySchema.omit({ rows: true }).partial() }),
  obstacle: noSuchFace,
  apply: (job, edit) => withFace(job, edit.faceId, face => ({ ...face, array: { ...face.array, ...edit.values } })),
  invert: (job, edit) => ({ ...edit, values: oldValues<Omit<ArrayRules, 'rows'>>(faceOf(job, edit.faceId).array, edit.values) }),
  touches: edit => keysOf(`face ${edit.faceId}/array`, edit.values),
  words: edit => wordsOfValues(arrayWords, edit.values),
  example: (job, { pick, between }) => ({
    type: 'set-array' as const, faceId: pick(job.faces).id,
    values: pick([{ shiftMm: between(-300, 300), rowCount: pick([null, 1, 2]) }, { railWay: pick(['across', 'up'] as const), railInMm: pick([null, 210]) }]),
  }),
})

export const setRow = editKind({
  schema: z.object({
    type: z.literal('set-row'), faceId,
    /** Counted from the eave, 0 first. */
    row: z.number().int().min(0).max(MOST_ROWS - 1),
    values: rowRuleSchema.partial(),
  }),
  obstacle: noSuchFace,
  apply: (job, edit) => withFace(job, edit.faceId, face => ({ ...face, array: { ...face.array, rows: withRow(face.array.rows, edit.row, edit.values) } })),
  invert: (job, edit) => ({ ...edit, values: oldValues<RowRule>(faceOf(job, edit.faceId).array.rows[edit.row] ?? plainRow, edit.values) }),
  touches: edit => keysOf(`face ${edit.faceId}/row ${edit.row}`, edit.values),
  words: edit => wordsOfValues(rowWords, edit.values).map(words => `row ${edit.row + 1}: ${words}`),
  example: (job, { pick, whole }) => ({
    type: 'set-row' as const, faceId: pick(job.faces).id, row: whole(0, 4),
    values: pick<Partial<RowRule>>([{ count: pick([null, 2, 5]), shiftMm: pick([0, 12]) }, { lowerRailMm: pick([null, 300]) }, { breaks: pick([[], [2]]) }]),
  }),
})

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
