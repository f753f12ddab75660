import { isIP } from 'node:net'
import type { H3Event } from 'h3'

/** The name and the origin that a device's key is for: those of the page it is asked on. An address of numbers has none. */
export function keySite(event: H3Event): { rpID: string, origin: string } {
  const proxied = Boolean(useRuntimeConfig().behindProxy)
  const { hostname, origin } = getRequestURL(event, { xForwardedHost: proxied, xForwardedProto: proxied })
  if (isIP(hostname.replace(/^\[|\]$/g, ''))) refuse(409, [{ path: 'address', sentence: 'A device’s own key needs a name in the address, not numbers: browsers allow no other. Sign in with your passphrase here.' }])
  return { rpID: hostname, origin }
}

/** The address of whoever is signed in by an account of their own; answers 409 for others. */
export async function accountOf(event: H3Event): Promise<{ email: string, personName: string }> {
  const { email, personName } = await inFirm(event, 'read-sheet', async ({ client: _, ...me }) => me)
  return email ? { email, personName } : refuse(409, [{ path: 'email', sentence: 'You came in without an account; there is none to add a key to.' }])
}
