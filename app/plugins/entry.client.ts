/** Beside the page's own requests, so that nothing waits for it: who is signed in here, or where they can sign in. */
export default defineNuxtPlugin(() => {
  const router = useRouter()
  const me = useMe()
  // A page that is opened by its address has no route before the router is ready.
  void router.isReady().then(() => isOpenPage(router.currentRoute.value.path) ? undefined : me.refresh())
})
