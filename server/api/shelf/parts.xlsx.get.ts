import { loadCatalogue } from '../../db/catalogue'
import { partsXlsx } from '../../documents/parts-file'

/** The shelf as a workbook that is read back as it is. */
export default defineEventHandler(async (event) => {
  const catalogue = await inFirm(event, ({ client }) => loadCatalogue(client))
  return sendFile(event, 'shelf', 'parts.xlsx', 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', await partsXlsx(catalogue))
})
