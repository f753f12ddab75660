import { randomBytes } from 'node:crypto'
import { z } from 'zod'
import { addReset, firmsOf, passphraseHash } from '../../db/accounts'
import { inTransaction } from '../../db/pool'
import { NO_FIRM, sendMail } from '../../mail/mail'
import { hashOf } from '../../secrets/token'
import { addressOf, countTry } from '../../secrets/tries'

const bodySchema = z.object({ email: emailSchema })

/** Sends somebody a way back in. The answer is the same whether there is such an account or not. */
export default defineEventHandler(async (event) => {
  const { email } = await readChecked(event, bodySchema, 10_000)
  await countTry(event, [['mail', email], ['token', addressOf(event)]])
  const secret = randomBytes(24).toString('base64url')
  const firms = await orAway(() => inTransaction({ email }, async (client) => {
    if (!await passphraseHash(client, email)) return null
    await addReset(client, email, hashOf(secret))
    return await firmsOf(client, email)
  }))
  if (firms) {
    const link = `${siteOf(event)}/passphrase?email=${encodeURIComponent(email)}#${secret}`
    // An owner who sees the outbox must not get into another firm by it.
    void sendMail(firms.length === 1 ? firms[0]!.firmId : NO_FIRM, {
      to: email, subject: 'A new passphrase for Upper Deck',
      text: `Somebody, probably you, has asked for a new passphrase. This link lets you type one, once, within an hour:\n\n${link}\n\nIf it was not you, do nothing: your passphrase stays as it is.\n`,
    }).catch(error => console.error('A mail could not be sent:', error))
  }
  return { sent: true }
})
