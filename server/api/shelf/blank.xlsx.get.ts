import { emptyCatalogue } from '#core/catalogue'
import { loadCatalogue } from '../../db/catalogue'
import { partsXlsx } from '../../documents/parts-file'

/** A workbook with the headings of every kind of part, to be filled in. */
export default defineEventHandler(async (event) => {
  const { currency } = await inFirm(event, ({ client }) => loadCatalogue(client))
  return sendFile(event, 'blank', 'parts.xlsx', 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', await partsXlsx(emptyCatalogue(currency)))
})
