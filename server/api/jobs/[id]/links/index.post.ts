import { z } from 'zod'
import { packsFor } from '#core/sheets/handover'
import { addLink } from '../../../../db/links'
import { findSheet } from '../../../../db/sheets'
import { handOut } from '../../../../secrets/token'

const MOST_DAYS = 365
const bodySchema = z.object({
  id: z.uuid('A link has an id of its own.'),
  /** The issued sheet that is shown; null shows the job. */
  revision: z.number().int().min(1).max(MOST_COUNT).nullable(),
  /** A hand-over pack instead. */
  pack: z.enum(packsFor).nullable().default(null),
  days: z.number('Say for how many days.').int('Whole days.').min(1, 'At least one day.').max(MOST_DAYS, `At most ${MOST_DAYS} days.`),
  note: z.string().trim().max(120, 'A note has at most 120 letters.'),
})

/** Makes a link to read this job, one issued sheet or one pack of it, until a day. Its secret is answered once and kept nowhere. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { id, ...link } = await readChecked(event, bodySchema, 10_000)
  return await inJob(event, 'share', async ({ client, firmId, personId, jobId }) => {
    if (link.revision !== null && link.pack !== null) refuse(400, [{ path: 'pack', sentence: 'A link shows a sheet or a pack, not both.' }])
    if (link.revision !== null && !await findSheet(client, jobId, link.revision)) refuse(404, [{ path: 'revision', sentence: 'This revision was never issued.' }])
    const { token, hash } = handOut(firmId, id)
    await addLink(client, firmId, personId, { linkId: id, secretHash: hash, jobId, ...link })
    record(event, 'link-made', { firmId, personId, linkId: id })
    setResponseStatus(event, 201)
    return { link: `${siteOf(event)}/shared#${token}` }
  })
})
