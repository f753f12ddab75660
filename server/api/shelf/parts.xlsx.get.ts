import { loadCatalogue } from '../../db/catalogue'

/** The shelf as a workbook that is read back as it is. */
export default defineEventHandler(async (event) => {
  const { firmId, catalogue } = await inFirm(event, 'read-shelf', async ({ client, firmId }) => ({ firmId, catalogue: await loadCatalogue(client) }))
  return sendFile(event, 'shelf', 'parts.xlsx', 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', await workFor(firmId, 'partsXlsx', catalogue, 'The shelf takes too long to write out.'))
})
