import { z } from 'zod'
import { type Catalogue, catalogueSchema, type Shelf, shelves, type Source } from '../catalogue'
import type { Reading } from '../outcome'
import { findItem } from './check'
import type { RawLine } from './lines'

/** A shelf as a file: the firm's parts, or some of them. */
export const shelfFileSchema = catalogueSchema.partial().required({ currency: true }).extend({ format: z.literal('upper-deck-shelf'), formatVersion: z.literal(1) })

export const shelfFile = (catalogue: Catalogue): z.infer<typeof shelfFileSchema> => ({ format: 'upper-deck-shelf', formatVersion: 1, ...catalogue })

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value)

/** Reads a shelf file part by part, each to be judged by itself; refuses what is no shelf file at all. */
export function readShelfFile(data: unknown, catalogue: Catalogue, source: Source | null): Reading<{ lines: RawLine[], notes: string[] }> {
  const refuse = (sentence: string) => ({ ok: false as const, problems: [{ path: '(whole)', sentence }] })
  if (!isObject(data) || data.format !== 'upper-deck-shelf') return refuse('This JSON is not a shelf file: it has no format “upper-deck-shelf”.')
  if (data.formatVersion !== 1) return refuse(`This shelf file is of version ${JSON.stringify(data.formatVersion)}; version 1 is read here.`)
  if (data.currency !== catalogue.currency) return refuse(`Its prices are in ${JSON.stringify(data.currency)}, those of this shelf in ${catalogue.currency}. Change the prices, or the shelf’s currency, first.`)
  const known: string[] = ['format', 'formatVersion', 'currency', ...shelves]
  const notes = Object.keys(data).filter(key => !known.includes(key)).map(key => `“${key}” was left out: there is no such shelf.`)
  const lines: RawLine[] = []
  for (const shelf of shelves) {
    const items = data[shelf] ?? []
    if (!Array.isArray(items)) notes.push(`“${shelf}” was left out: it is not a list.`)
    else items.forEach((item: unknown, i) => lines.push(rawLine(shelf, i + 1, item, catalogue, source)))
  }
  return { ok: true, value: { lines, notes } }
}

function rawLine(shelf: Shelf, line: number, data: unknown, catalogue: Catalogue, source: Source | null): RawLine {
  const item: Record<string, unknown> = isObject(data) ? { ...data } : {}
  if (source) item.source ??= source
  return {
    table: shelf, line, shelf, item, was: typeof item.id === 'string' ? findItem(catalogue, shelf, item.id) : null,
    problems: isObject(data) ? [] : ['This is not a part: it is no object at all.'], late: [], goesWith: [], source,
  }
}
