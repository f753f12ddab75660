/** Whether something has been open once: until then a dialog is neither made nor loaded. */
export function useOpened(open: Ref<boolean>): Readonly<Ref<boolean>> {
  const opened = ref(open.value)
  watch(open, (now) => {
    opened.value ||= now
  }, { flush: 'sync' })
  return opened
}
