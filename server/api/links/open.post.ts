import { z } from 'zod'
import { inTransaction } from '../../db/pool'
import { openLink, sawLink } from '../../db/links'
import { sameHash } from '../../secrets/token'

const bodySchema = z.object({ token: z.string().max(200) })
const over = (): never => refuse(410, [{ path: 'token', sentence: 'This link has run out or was taken back. Ask whoever gave it to you for another.' }])

/** Opens a link: from now on its holder reads what it shows. Whoever works for the firm stays signed in as who they are. */
export default defineEventHandler(async (event) => {
  const { firmId, id, hash } = await tokenOf(event, (await readChecked(event, bodySchema, 1000)).token, over)
  const { jobId, revision, pack } = await orAway(() => inTransaction({ firmId }, async (client) => {
    const link = await openLink(client, id)
    if (!link || !sameHash(link.hash, hash)) return over()
    await sawLink(client, id)
    return link
  }))
  record(event, 'link-opened', { firmId, linkId: id })
  if (!await worksFor(event, firmId)) await setCookieFor(event, { firmId, linkId: id })
  return { jobId, revision, pack }
})
