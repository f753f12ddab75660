import { z } from 'zod'
import { type Item, shelves } from '#core/catalogue'
import { applyChanges, type Change } from '#core/shelf'
import { changedCatalogue } from '../../db/job-list'
import { lockCatalogue, saveItem, usedParts } from '../../db/catalogue'

const MOST_CHANGES = 5000
const bodySchema = z.object({
  changes: z.array(z.object({ shelf: z.enum(shelves), item: z.unknown(), was: z.unknown().transform(was => (was ?? null) as Item | null) }))
    .min(1, 'Nothing was changed.').max(MOST_CHANGES, `At most ${MOST_CHANGES} parts at once.`),
})

/** Puts parts on the shelf, or changes them: all or none. Answers 409 with each problem and the change it is in. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { changes } = await readChecked(event, bodySchema, 8_000_000)
  return await inFirm(event, 'shelf', async ({ client, firmId }) => {
    const catalogue = await lockCatalogue(client)
    const applied = applyChanges(catalogue, changes as Change[], await usedParts(client, catalogue))
    if (!applied.ok) refuse(409, applied.problems)
    for (const { shelf, item } of applied.value.items) await saveItem(client, firmId, shelf, item)
    await changedCatalogue(client)
    return { taken: applied.value.items.length }
  })
})
