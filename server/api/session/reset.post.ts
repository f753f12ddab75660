import { z } from 'zod'
import { passphraseProblem } from '#core/people'
import { firmsOf, setPassphrase, takeReset } from '../../db/accounts'
import { asFirm, inTransaction } from '../../db/pool'
import { endSessionsOf } from '../../db/sessions'
import { tellChanged } from '../../mail/changed'
import { hashOf } from '../../secrets/token'
import { addressOf, countTry } from '../../secrets/tries'

const bodySchema = z.object({ email: emailSchema, secret: z.string().max(200), passphrase: passphraseSchema })

/** Sets a new passphrase by the way back in that was sent; ends every session there was. */
export default defineEventHandler(async (event) => {
  const { email, secret, passphrase } = await readChecked(event, bodySchema, 10_000)
  await countTry(event, [['token', addressOf(event)], ['sign-in-person', email]])
  const problem = passphraseProblem(passphrase, [email])
  if (problem) refuse(400, [{ path: 'passphrase', sentence: problem }])
  const hash = await hashPassword(passphrase)
  const firms = await orAway(() => inTransaction({ email }, async (client) => {
    if (!await takeReset(client, email, hashOf(secret))) refuse(410, [{ path: 'secret', sentence: 'This link has been used or has run out. Ask for another.' }])
    await setPassphrase(client, email, hash)
    return await firmsOf(client, email)
  }))
  for (const { firmId, personId } of firms) await orAway(() => asFirm(firmId, client => endSessionsOf(client, personId)))
  tellChanged(email, firms)
  record(event, 'passphrase-reset', { email })
  await clearUserSession(event)
  return { changed: true }
})
