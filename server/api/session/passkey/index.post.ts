import { randomBytes } from 'node:crypto'
import { verifyAuthenticationResponse } from '@simplewebauthn/server'
import { z } from 'zod'
import { firmsOf } from '../../../db/accounts'
import { addChallenge, findPasskey, takeChallenge, usedPasskey } from '../../../db/passkeys'
import { inTransaction } from '../../../db/pool'
import { addressOf, countTry } from '../../../secrets/tries'

const bodySchema = z.union([
  z.object({ key: z.looseObject({ id: z.string().max(1400) }) }),
  /** For whoever works for several firms and has shown their key: for which they come. */
  z.object({ ticket: z.string().max(100), email: emailSchema, firmId: z.uuid() }),
])
const wrong = (): never => refuse(401, [{ path: 'key', sentence: 'This device’s key is not known here. Sign in with your passphrase, and add it under your sign-in.' }])

/** Signs somebody in by the key of their device; whoever works for several firms is asked for which. */
export default defineEventHandler(async (event) => {
  const body = await readChecked(event, bodySchema, 20_000)
  await countTry(event, [['token', addressOf(event)]])
  if ('ticket' in body) {
    const { ticket, email, firmId } = body
    const firm = await orAway(() => inTransaction({ email }, async client => await takeChallenge(client, ticket, email) ? (await firmsOf(client, email)).find(one => one.firmId === firmId) : undefined)) ?? wrong()
    await signIn(event, firm.firmId, firm.personId)
    return { firms: [] }
  }
  const { rpID, origin } = keySite(event)
  const response = body.key as unknown as Parameters<typeof verifyAuthenticationResponse>[0]['response']
  const email = await orAway(() => inTransaction({ credential: response.id }, async (client) => {
    const known = await findPasskey(client, response.id) ?? wrong()
    const { verified, authenticationInfo } = await verifyAuthenticationResponse({
      response, expectedChallenge: challenge => takeChallenge(client, challenge, null), expectedOrigin: origin, expectedRPID: rpID, requireUserVerification: true,
      credential: { id: response.id, publicKey: new Uint8Array(known.publicKey), counter: known.counter },
    }).catch(wrong)
    if (!verified) wrong()
    await usedPasskey(client, response.id, authenticationInfo.newCounter)
    return known.email
  }))
  const ticket = randomBytes(24).toString('base64url')
  const firms = await orAway(() => inTransaction({ email }, async (client) => {
    const all = await firmsOf(client, email)
    if (all.length > 1) await addChallenge(client, ticket, email)
    return all
  }))
  if (!firms.length) refuse(403, [{ path: 'email', sentence: 'You belong to no firm here any more. Ask its owner for an invitation.' }])
  if (firms.length > 1) return { firms: await namesOf(firms), ticket, email }
  await signIn(event, firms[0]!.firmId, firms[0]!.personId)
  return { firms: [] }
})
