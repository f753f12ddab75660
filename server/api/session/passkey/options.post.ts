import { generateAuthenticationOptions } from '@simplewebauthn/server'
import { addChallenge } from '../../../db/passkeys'
import { inTransaction } from '../../../db/pool'
import { addressOf, countTry } from '../../../secrets/tries'

/** What a device has to sign to let its owner in; it knows itself whose key it has. */
export default defineEventHandler(async (event) => {
  await countTry(event, [['token', addressOf(event)]])
  const { rpID } = keySite(event)
  return await orAway(() => inTransaction({}, async (client) => {
    const options = await generateAuthenticationOptions({ rpID, userVerification: 'required' })
    await addChallenge(client, options.challenge, null)
    return options
  }))
})
