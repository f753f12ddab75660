import { createGlobalState, useLocalStorage } from '@vueuse/core'
import { FetchError } from 'ofetch'
import { may, type Right, type Role, type SignedIn } from '#core/people'
import { forgetKept } from '../queue/kept'
import { useTicked } from '../queue/ticked'

/** Pages that nobody need be signed in for. */
const OPEN_PAGES = /^\/(sign-in|join|passphrase|shared)(\/|$)/
export const isOpenPage = (path: string): boolean => OPEN_PAGES.test(path)

/** Whoever is signed in, as the office said last: kept on the device, so that a page knows it without a signal. The office itself asks again at every request. */
export const useMe = createGlobalState(() => {
  const known = useLocalStorage<SignedIn | null>('upper-deck/me', null, { serializer: { read: text => JSON.parse(text) as SignedIn, write: me => JSON.stringify(me) } })

  const keptFor = useLocalStorage('upper-deck/kept-for', '')

  /** Asks the office; whoever is not signed in is led to where they can, and back. */
  async function refresh(): Promise<void> {
    try {
      known.value = await $fetch<SignedIn>('/api/me')
      // A device that passes to somebody else shows him nothing of what was read for the one before.
      if (keptFor.value && keptFor.value !== known.value.personId) await forgetKept().catch(() => {})
      keptFor.value = known.value.personId ?? ''
    }
    catch (error) {
      if (error instanceof FetchError && error.statusCode === 401) {
        known.value = null
        await toSignIn()
      }
    }
  }
  async function toSignIn(): Promise<void> {
    const { fullPath, path } = useRouter().currentRoute.value
    if (!isOpenPage(path)) await navigateTo({ path: '/sign-in', query: path === '/' ? {} : { to: fullPath } })
  }
  async function signOut(): Promise<void> {
    await $fetch('/api/session', { method: 'DELETE' })
    known.value = null
    // What was only read goes; what the office lacks stays until it has it.
    useTicked().value = {}
    await forgetKept().catch(() => {})
    await navigateTo('/sign-in')
  }

  // As long as nobody knows who is here everything is shown: the office decides.
  const rights = computed(() => ({ role: known.value?.role ?? 'owner' as Role, vouches: known.value?.vouches ?? true }))
  return reactive({
    me: known, rights, personId: computed(() => known.value?.personId ?? ''),
    may: (right: Right): boolean => may(rights.value.role, right),
    refresh, toSignIn, signOut,
  })
})
