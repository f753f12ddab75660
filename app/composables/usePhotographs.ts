import { FetchError } from 'ofetch'
import { type Photograph, photoProblem, type Problem } from '#core/job'

const RETRY_MS = 4000

/**
 * A job's photographs: what is there, and taking in, naming and taking away. Failures become a sentence. Captions are kept
 * on this device until the server has them: the page may go, or the signal, before it does.
 */
export function usePhotographs(jobId: string) {
  const onServer = ref<Photograph[]>([])
  const kept = useLocalStorage<Record<string, string>>(`upper-deck/captions/${jobId}`, {}, { flush: 'sync' })
  const photographs = computed(() => onServer.value.map(photo => ({ ...photo, caption: kept.value[photo.photoId] ?? photo.caption })))
  const problem = ref('')
  const captionProblem = ref('')
  const busy = ref('')
  const path = `/api/jobs/${jobId}/photographs`

  /** Does something on the server; false with a sentence when it can't be done. */
  async function tried(work: () => Promise<unknown>): Promise<boolean> {
    try {
      await work()
      return true
    }
    catch (error) {
      const problems = error instanceof FetchError ? (error.data as { data?: { problems?: Problem[] } } | undefined)?.data?.problems : undefined
      problem.value = problems?.map(one => one.sentence).join(' ') ?? 'The server can’t be reached. The photograph is still on this device: try again in a minute.'
      return false
    }
  }
  const refresh = () => tried(async () => onServer.value = await $fetch<Photograph[]>(path))

  async function add(files: File[]) {
    problem.value = ''
    for (const [i, file] of files.entries()) {
      const early = photoProblem(file.type, file.size)
      if (early) {
        problem.value = `${file.name}: ${early}`
        continue
      }
      busy.value = files.length > 1 ? `Sending ${i + 1} of ${files.length}…` : 'Sending…'
      if (!await tried(() => $fetch(path, { method: 'POST', body: file, headers: { 'content-type': file.type }, query: { caption: '' } }))) break
    }
    busy.value = ''
    await refresh()
  }
  let sending = false
  /** Sends what is kept, one caption after the other; what fails waits for the next try. */
  async function sendCaptions() {
    if (sending) return
    sending = true
    try {
      for (let [next] = Object.entries(kept.value); next; [next] = Object.entries(kept.value)) await sendCaption(...next)
      captionProblem.value = ''
    }
    catch {
      captionProblem.value = 'The server can’t be reached. The caption is kept on this device and sent as soon as it can be.'
      retry.start()
    }
    finally {
      sending = false
    }
  }
  async function sendCaption(photoId: string, caption: string) {
    try {
      await $fetch(`${path}/${photoId}`, { method: 'PATCH', body: { caption } })
      onServer.value = onServer.value.map(photo => photo.photoId === photoId ? { ...photo, caption } : photo)
    }
    catch (error) {
      // A photograph that somebody took away needs no caption any more.
      if (!(error instanceof FetchError) || error.statusCode !== 404) throw error
    }
    if (kept.value[photoId] === caption) kept.value = Object.fromEntries(Object.entries(kept.value).filter(([id]) => id !== photoId))
  }
  const retry = useTimeoutFn(() => void sendCaptions(), RETRY_MS, { immediate: false })
  useEventListener('online', () => void sendCaptions())

  function setCaption(photoId: string, caption: string) {
    kept.value = { ...kept.value, [photoId]: caption }
    void sendCaptions()
  }
  async function remove(photoId: string) {
    problem.value = ''
    if (await tried(() => $fetch(`${path}/${photoId}`, { method: 'DELETE' }))) await refresh()
  }
  const small = (photoId: string) => `${path}/${photoId}?size=small`
  const whole = (photoId: string) => `${path}/${photoId}`
  onMounted(async () => {
    await refresh()
    void sendCaptions()
  })
  return { photographs, problem: computed(() => problem.value || captionProblem.value), busy, add, setCaption, remove, small, whole }
}
