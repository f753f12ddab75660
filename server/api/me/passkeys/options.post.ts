import { generateRegistrationOptions } from '@simplewebauthn/server'
import { addChallenge, passkeysOf } from '../../../db/passkeys'
import { inTransaction } from '../../../db/pool'
import { hashOf } from '../../../secrets/token'

/** What a device needs to make a key for whoever is signed in. */
export default defineEventHandler(async (event) => {
  const { email, personName } = await accountOf(event)
  const { rpID } = keySite(event)
  return await orAway(() => inTransaction({ email }, async (client) => {
    const options = await generateRegistrationOptions({
      rpName: 'Upper Deck', rpID, userName: email, userDisplayName: personName,
      // The device keeps it: an address would tell whoever finds it whose it is.
      userID: new Uint8Array(Buffer.from(hashOf(email), 'hex')),
      excludeCredentials: (await passkeysOf(client, email)).map(({ credentialId }) => ({ id: credentialId })),
      authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
    })
    await addChallenge(client, options.challenge, email)
    return options
  }))
})
