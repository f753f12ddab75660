import { removePasskey } from '../../../db/passkeys'
import { inTransaction } from '../../../db/pool'

/** Forgets the key of a device: it opens nothing from now on. */
export default defineEventHandler(async (event) => {
  const { email } = await accountOf(event)
  const id = getRouterParam(event, 'key') ?? ''
  if (!await orAway(() => inTransaction({ email }, client => removePasskey(client, email, id)))) refuse(404, [{ path: 'key', sentence: 'There is no such key. It may have been taken away.' }])
  return { removed: id }
})
