import { loadCatalogue } from '../../db/catalogue'
import { partsJson } from '../../documents/parts-file'

/** The shelf as a shelf file. */
export default defineEventHandler(async (event) => {
  const catalogue = await inFirm(event, ({ client }) => loadCatalogue(client))
  return sendFile(event, 'shelf', 'parts.json', 'application/json; charset=utf-8', partsJson(catalogue))
})
