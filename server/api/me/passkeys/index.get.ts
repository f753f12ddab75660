import { passkeysOf } from '../../../db/passkeys'
import { inTransaction } from '../../../db/pool'

/** The keys of one's own devices; none for somebody without an account. */
export default defineEventHandler(async (event) => {
  const email = await inFirm(event, 'read-sheet', async at => at.email)
  return email ? await orAway(() => inTransaction({ email }, client => passkeysOf(client, email))) : []
})
