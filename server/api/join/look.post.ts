import { z } from 'zod'
import { passphraseHash } from '../../db/accounts'
import { inTransaction } from '../../db/pool'

const bodySchema = z.object({ token: z.string().max(200) })

/** What an invitation offers, to whoever holds its link. */
export default defineEventHandler(async (event) => {
  const token = await tokenOf(event, (await readChecked(event, bodySchema, 1000)).token)
  const { email, role, firmName, invitedBy } = await atInvitation(token, undefined, async (_, invited) => invited)
  return {
    email, role, invitedBy, firmName,
    // Whoever holds the link reads this address's mail: that it has a passphrase here is no secret to them.
    known: email !== null && await orAway(() => inTransaction({ email }, client => passphraseHash(client, email))) !== null,
  }
})
