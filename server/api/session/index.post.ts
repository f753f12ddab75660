import { z } from 'zod'
import { asFirm } from '../../db/pool'

const bodySchema = z.object({ email: emailSchema, passphrase: passphraseSchema, /** Which, for somebody who works for several. */ firmId: z.uuid().optional() })

/** Signs somebody in. Whoever works for several firms and has not said for which is asked, by their names. */
export default defineEventHandler(async (event) => {
  const { email, passphrase, firmId } = await readChecked(event, bodySchema, 10_000)
  const firms = await checkAccount(event, email, passphrase)
  const here = firmId ? firms.filter(one => one.firmId === firmId) : firms
  if (!here.length) refuse(403, [{ path: 'email', sentence: 'You belong to no firm here any more. Ask its owner for an invitation.' }])
  if (here.length > 1) {
    const named = await Promise.all(here.map(async one => ({ firmId: one.firmId, name: await asFirm(one.firmId, async client => (await client.query<{ name: string }>('select name from firms where firm_id = current_firm()')).rows[0]!.name) })))
    return { firms: named }
  }
  await signIn(event, here[0]!.firmId, here[0]!.personId)
  return { firms: [] }
})
