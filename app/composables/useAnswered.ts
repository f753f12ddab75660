/**
 * What the planner's thread answers on the job and face as they stand. One question at a time: what changes meanwhile is asked when the
 * answer has come, so that a held key asks twice and not two hundred times.
 */
export function useAnswered<T>(ask: (faceId: string) => Promise<T>) {
  const { job, face } = useFace()
  const found = shallowRef<T | null>(null)
  const failed = ref(false)
  let asking = false
  let again = false
  async function begin() {
    again = asking
    if (asking) return
    asking = true
    const faceId = face.value.id
    try {
      const answer = await ask(faceId)
      failed.value = false
      // Another face's answer is none to this one's question.
      if (faceId === face.value.id) found.value = answer
    }
    catch {
      failed.value = true
    }
    asking = false
    if (again) await begin()
  }
  watch(job, begin)
  watch(() => face.value.id, () => {
    found.value = null
    void begin()
  })
  void begin()
  return { found, failed }
}
