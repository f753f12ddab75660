import { z } from 'zod'

const bodySchema = z.object({ email: emailSchema, passphrase: passphraseSchema, /** Which, for somebody who works for several. */ firmId: z.uuid().optional() })

/** Signs somebody in. Whoever works for several firms and has not said for which is asked, by their names. */
export default defineEventHandler(async (event) => {
  const { email, passphrase, firmId } = await readChecked(event, bodySchema, 10_000)
  const firms = await checkAccount(event, email, passphrase)
  const here = firmId ? firms.filter(one => one.firmId === firmId) : firms
  if (!here.length) refuse(403, [{ path: 'email', sentence: 'You belong to no firm here any more. Ask its owner for an invitation.' }])
  if (here.length > 1) return { firms: await namesOf(here) }
  await signIn(event, here[0]!.firmId, here[0]!.personId)
  return { firms: [] }
})
