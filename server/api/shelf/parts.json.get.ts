import { shelfFile } from '#core/shelf'
import { loadCatalogue } from '../../db/catalogue'

/** The shelf as a shelf file. */
export default defineEventHandler(async (event) => {
  const catalogue = await inFirm(event, 'read-shelf', ({ client }) => loadCatalogue(client))
  return sendFile(event, 'shelf', 'parts.json', 'application/json; charset=utf-8', `${JSON.stringify(shelfFile(catalogue), null, 2)}\n`)
})
