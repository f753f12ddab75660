/** Signing in by a key that the device keeps and opens with a finger, a face or its own code; where it and the address allow it. */
export function useDeviceKeys() {
  const numbers = /^(\[.*\]|[\d.]+)$/.test(location.hostname)
  const can = !numbers && isSecureContext && typeof PublicKeyCredential !== 'undefined'
  // Fetched when somebody uses it: most come in by passphrase, or are in already.
  const library = () => import('@simplewebauthn/browser')
  type Options<K extends 'startRegistration' | 'startAuthentication'> = Parameters<Awaited<ReturnType<typeof library>>[K]>[0]['optionsJSON']
  return {
    can,
    async add(name: string): Promise<void> {
      const optionsJSON = await $fetch<Options<'startRegistration'>>('/api/me/passkeys/options', { method: 'POST' })
      const key = await (await library()).startRegistration({ optionsJSON })
      await $fetch('/api/me/passkeys', { method: 'POST', body: { key, name } })
    },
    async signIn(): Promise<{ firms: { firmId: string, name: string }[], ticket?: string, email?: string }> {
      const optionsJSON = await $fetch<Options<'startAuthentication'>>('/api/session/passkey/options', { method: 'POST' })
      const key = await (await library()).startAuthentication({ optionsJSON })
      return await $fetch('/api/session/passkey', { method: 'POST', body: { key } })
    },
  }
}
