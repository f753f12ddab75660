/** What is held in a hand. */
const PHONE = '(max-width: 767.98px)'
const AFTER_MS = 4000

/** Beside the page's own requests, so that nothing waits for it: who is signed in here, or where they can sign in. */
export default defineNuxtPlugin(() => {
  const router = useRouter()
  const me = useMe()
  // A page that is opened by its address has no route before the router is ready.
  void router.isReady().then(async () => {
    if (isOpenPage(router.currentRoute.value.path)) return
    await me.refresh()
    // After what the page itself asks for; without a signal what is here stays.
    if (window.matchMedia(PHONE).matches && me.may('log')) setTimeout(() => void takeOwnJobs().catch(() => {}), AFTER_MS)
  })
})
