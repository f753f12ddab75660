import { emptyCatalogue } from '#core/catalogue'
import { loadCatalogue } from '../../db/catalogue'

/** A workbook with the headings of every kind of part, to be filled in. */
export default defineEventHandler(async (event) => {
  const { firmId, currency } = await inFirm(event, 'read-shelf', async ({ client, firmId }) => ({ firmId, currency: (await loadCatalogue(client)).currency }))
  return sendFile(event, 'blank', 'parts.xlsx', 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', await workFor(firmId, 'partsXlsx', emptyCatalogue(currency), 'The shelf takes too long to write out.'))
})
