import { z } from 'zod'
import { passphraseProblem } from '#core/people'
import { firmsOf, setPassphrase } from '../../db/accounts'
import { asFirm, inTransaction } from '../../db/pool'
import { endSessionsOf } from '../../db/sessions'
import { tellChanged } from '../../mail/changed'

const bodySchema = z.object({ now: passphraseSchema, next: passphraseSchema })

/** Changes one's own passphrase; every session but this one ends. */
export default defineEventHandler(async (event) => {
  const cookie = await requireCookie(event)
  const { now, next } = await readChecked(event, bodySchema, 10_000)
  const { email, personName, firmName } = await inFirm(event, 'read-sheet', async ({ client: _, ...me }) => me)
  if (!email) refuse(409, [{ path: 'email', sentence: 'You came in without a passphrase; there is none to change.' }])
  await checkAccount(event, email, now)
  const problem = passphraseProblem(next, [email, personName, firmName])
  if (problem) refuse(400, [{ path: 'next', sentence: problem }])
  const hash = await hashPassword(next)
  const firms = await orAway(() => inTransaction({ email }, async (client) => {
    await setPassphrase(client, email, hash)
    return await firmsOf(client, email)
  }))
  const kept = 'sessionId' in cookie ? cookie.sessionId : null
  for (const { firmId, personId } of firms) await orAway(() => asFirm(firmId, client => endSessionsOf(client, personId, kept)))
  tellChanged(email, firms)
  record(event, 'passphrase-changed', { email })
  return { changed: true }
})
