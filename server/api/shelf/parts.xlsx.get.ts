import { loadCatalogue } from '../../db/catalogue'
import { work } from '../../work/pool'

/** The shelf as a workbook that is read back as it is. */
export default defineEventHandler(async (event) => {
  const { firmId, catalogue } = await inFirm(event, 'read-shelf', async ({ client, firmId }) => ({ firmId, catalogue: await loadCatalogue(client) }))
  return sendFile(event, 'shelf', 'parts.xlsx', 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', await work(firmId, 'partsXlsx', catalogue))
})
