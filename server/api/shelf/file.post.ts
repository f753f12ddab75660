import { z } from 'zod'
import { shelves, sourceSchema } from '#core/catalogue'
import { judgedLines } from '#core/shelf'
import { loadCatalogue, usedParts } from '../../db/catalogue'

const MOST_BYTES = 4_000_000
const querySchema = z.object({
  /** The file's name: its ending says how it is read. */
  name: z.string().min(1).max(200),
  shelf: z.enum(shelves).optional(),
  ...sourceSchema.partial().shape,
})

/** Reads a file of parts and answers line by line what would be taken and what is wrong with it; nothing is taken. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const query = querySchema.safeParse(getQuery(event))
  if (!query.success) refuse(400, [{ path: 'source', sentence: query.error.issues[0]!.message }])
  const { name, shelf, by, note, on } = query.data
  const bytes = await readLimited(event, MOST_BYTES) ?? refuse(413, [{ path: '(body)', sentence: 'A file of parts is at most 4 MB.' }])
  const given = { shelf: shelf ?? null, source: by && note && on ? { by, note, on } : null }
  const { firmId, catalogue, used } = await inFirm(event, 'shelf', async ({ client, firmId }) => {
    const all = await loadCatalogue(client)
    return { firmId, catalogue: all, used: await usedParts(client, all) }
  })
  const read = await workFor(firmId, 'readPartsFile', { bytes, name, catalogue, given }, 'This file takes too long to read. Send fewer parts at a time.')
  if (!read.ok) refuse(422, read.problems)
  return { lines: judgedLines(read.value.lines, catalogue, used), notes: read.value.notes }
})
