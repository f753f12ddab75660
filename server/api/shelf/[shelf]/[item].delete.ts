import { keptBy } from '#core/shelf'
import { changedCatalogue } from '../../../db/job-list'
import { lockCatalogue, removeItem, usedParts } from '../../../db/catalogue'

/** Takes a part from the shelf for good: one that no job uses and no other part names. */
export default defineEventHandler(event => inFirm(event, 'shelf', async ({ client }) => {
  const catalogue = await lockCatalogue(client)
  const { shelf, id } = shelfItemOf(event, catalogue)
  const kept = keptBy(catalogue, shelf, id, await usedParts(client, catalogue))
  if (kept) refuse(409, [{ path: 'id', sentence: kept }])
  await removeItem(client, shelf, id)
  await changedCatalogue(client)
  return { removed: id }
}))
