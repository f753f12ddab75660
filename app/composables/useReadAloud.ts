/**
 * Reads aloud what is called out, each time another thing is; the choice is this device's.
 * @param key what is called out, whatever its words
 */
export function useReadAloud(spoken: Ref<string>, key: Ref<string | undefined>) {
  const aloud = useLocalStorage('read-marks-aloud', false)
  const { isSupported, speak, stop } = useSpeechSynthesis(spoken, { rate: 0.95, lang: 'en-GB' })
  function say() {
    stop()
    // The voice needs a moment to let go of what it was saying.
    setTimeout(() => speak(), 60)
  }
  watch(key, () => {
    if (aloud.value && isSupported.value) say()
  })
  function toggle() {
    aloud.value = !aloud.value
    if (aloud.value) say()
    else stop()
  }
  onBeforeUnmount(stop)
  return { isSupported, aloud, toggle }
}
