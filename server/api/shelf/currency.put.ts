import { z } from 'zod'
import { catalogueSchema } from '#core/catalogue'
import { setCurrency } from '../../db/catalogue'
import { changedCatalogue } from '../../db/job-list'

const bodySchema = z.object({ currency: catalogueSchema.shape.currency })

/** The currency in which the shelf's prices are read; the figures stay as they are. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { currency } = await readChecked(event, bodySchema)
  await inFirm(event, 'shelf', async ({ client }) => {
    await setCurrency(client, currency)
    await changedCatalogue(client)
  })
  return { currency }
})
