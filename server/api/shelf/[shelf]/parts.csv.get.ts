import { shelves } from '#core/catalogue'
import { writeTables } from '#core/shelf'
import { loadCatalogue } from '../../../db/catalogue'
import { partsCsv } from '../../../documents/parts-file'

/** One kind of part as a table. */
export default defineEventHandler(async (event) => {
  const shelf = shelfOfAddress(event)
  const catalogue = await inFirm(event, ({ client }) => loadCatalogue(client))
  return sendFile(event, shelf, 'parts.csv', 'text/csv; charset=utf-8', partsCsv(writeTables(catalogue)[shelves.indexOf(shelf)]!))
})
