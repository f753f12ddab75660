import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import { passphraseProblem } from '#core/people'
import { joinFirm, openAccount, passphraseHash } from '../../db/accounts'
import { acceptInvitation } from '../../db/invitations'
import { addPerson, nameFirm, worksUnder } from '../../db/people'
import { inTransaction } from '../../db/pool'

const bodySchema = z.object({
  token: z.string().max(200),
  name: z.string('Type your name.').trim().min(1, 'Type your name.').max(120, 'A name has at most 120 letters.'),
  /** Asked only of a firm's first owner; anybody else was invited by address. */
  email: emailSchema.optional(), firmName: z.string().trim().min(1, 'Type the firm’s name.').max(120, 'A firm’s name has at most 120 letters.').optional(),
  passphrase: passphraseSchema,
})

/** Takes an invitation up: a new account with its passphrase, or one that is there already and shows its own. Signs in. */
export default defineEventHandler(async (event) => {
  const body = await readChecked(event, bodySchema, 10_000)
  const token = await tokenOf(event, body.token)
  const offered = await atInvitation(token, undefined, async (_, invited) => invited)
  const email = offered.email ?? body.email ?? refuse(400, [{ path: 'email', sentence: 'Type your e-mail address.' }])
  const known = await orAway(() => inTransaction({ email }, client => passphraseHash(client, email)))
  if (known) await checkAccount(event, email, body.passphrase)
  else {
    const problem = passphraseProblem(body.passphrase, [email, body.name, body.firmName ?? offered.firmName])
    if (problem) refuse(400, [{ path: 'passphrase', sentence: problem }])
  }
  const hash = known ?? await hashPassword(body.passphrase)
  const personId = await atInvitation(token, email, async (client, { role, vouches, licence, jobId, invitedBy }) => {
    // Of two invitations the second must not make an owner a yard hand.
    if (await worksUnder(client, email)) refuse(409, [{ path: 'token', sentence: 'You work here already: sign in. What you are in the firm its owner changes.' }])
    await openAccount(client, email, hash)
    // A firm without anybody yet has no name of its own either.
    if (!invitedBy && body.firmName) await nameFirm(client, body.firmName)
    const id = await addPerson(client, token.firmId, { personId: randomUUID(), name: body.name, role, email, vouches, licence, jobId })
    await joinFirm(client, email, token.firmId, id)
    await acceptInvitation(client, token.id)
    return id
  })
  record(event, 'joined', { firmId: token.firmId, personId })
  await signIn(event, token.firmId, personId)
  return { jobId: offered.jobId }
})
