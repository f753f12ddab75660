import { verifyRegistrationResponse } from '@simplewebauthn/server'
import { z } from 'zod'
import { addPasskey, takeChallenge } from '../../../db/passkeys'
import { inTransaction } from '../../../db/pool'

const bodySchema = z.object({ key: z.looseObject({ id: z.string().max(1400) }), name: z.string().trim().max(120, 'A name has at most 120 letters.') })
const wrong = (): never => refuse(400, [{ path: 'key', sentence: 'This device’s key can’t be taken. Try it once more.' }])

/** Takes the key that a device has made. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { key, name } = await readChecked(event, bodySchema, 20_000)
  const { email } = await accountOf(event)
  const { rpID, origin } = keySite(event)
  return await orAway(() => inTransaction({ email }, async (client) => {
    const { verified, registrationInfo } = await verifyRegistrationResponse({
      response: key as unknown as Parameters<typeof verifyRegistrationResponse>[0]['response'], expectedChallenge: challenge => takeChallenge(client, challenge, email), expectedOrigin: origin, expectedRPID: rpID, requireUserVerification: true,
    }).catch(wrong)
    if (!verified || !registrationInfo) return wrong()
    await addPasskey(client, email, registrationInfo.credential, name || deviceOf(event))
    setResponseStatus(event, 201)
    return { added: registrationInfo.credential.id }
  }))
})
