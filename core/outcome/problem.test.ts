import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { jobSchema } from '../job'
import { threeRowsOfSix } from '../../tests/fixtures/jobs'
import { problemsOf } from './index'

const said = (schema: z.ZodType, data: unknown): string[] => {
  const read = schema.safeParse(data)
  return read.success ? [] : problemsOf(read.error).map(one => one.sentence)
}

describe('what a schema was given no words for is said in plain ones', () => {
  it.each<[z.ZodType, unknown, string]>([
    [z.string().max(80), 'x'.repeat(81), 'This is too long: at most 80 letters.'],
    [z.string().min(1), '', 'This must not be empty.'],
    [z.array(z.number()).max(2), [1, 2, 3], 'There may be 2 of these at most.'],
    [z.array(z.number()).min(1), [], 'There must be 1 of these at least.'],
    [z.number().max(5), 6, 'This may be 5 at most.'],
    [z.number().positive(), 0, 'This must be above 0.'],
    [z.number().int(), 1.5, 'This must be a whole number.'],
    [z.string(), undefined, 'This is missing.'],
    [z.string(), 7, 'This must be a string.'],
    [z.enum(['left', 'right']), 'up', 'This must be left or right.'],
    [z.uuid(), 'x', 'This can’t be read.'],
  ])('%#', (schema, data, sentence) => expect(said(schema, data)).toEqual([sentence]))
  it('in a job whose names are too long, whose numbers are none, and whose lists are too many', () => {
    const job = threeRowsOfSix()
    const odd = { ...job, title: 'x'.repeat(90), units: 'cubits', faces: job.faces.map(face => ({ ...face, name: 'y'.repeat(70), datum: 5, array: { ...face.array, rowCount: 1.5 } })) }
    const sentences = said(jobSchema, odd)
    expect(sentences.length).toBeGreaterThan(3)
    for (const sentence of sentences) expect(sentence).not.toMatch(/Too (big|small)|Invalid|expected|received/)
  })
})
