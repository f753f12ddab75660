import { loadCatalogue } from '../../../db/catalogue'

/** One kind of part as a table. */
export default defineEventHandler(async (event) => {
  const shelf = shelfOfAddress(event)
  const { firmId, catalogue } = await inFirm(event, 'read-shelf', async ({ client, firmId }) => ({ firmId, catalogue: await loadCatalogue(client) }))
  return sendFile(event, shelf, 'parts.csv', 'text/csv; charset=utf-8', await workFor(firmId, 'partsCsv', { catalogue, shelf }, 'The shelf takes too long to write out.'))
})
