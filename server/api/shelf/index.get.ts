import { loadCatalogue, usedParts } from '../../db/catalogue'

/** The firm's shelf, and in how many jobs each part stands. */
export default defineEventHandler(event => inFirm(event, 'read-shelf', async ({ client }) => {
  const catalogue = await loadCatalogue(client)
  return { catalogue, used: await usedParts(client, catalogue) }
}))
