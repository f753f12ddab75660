import { FetchError } from 'ofetch'
import { type Photograph, photoProblem } from '#core/job'

const RETRY_MS = 4000

/**
 * A job's photographs: what is there, and taking in, naming and taking away. Failures become a sentence. Captions are kept
 * on this device until the server has them: the page may go, or the signal, before it does.
 */
export function usePhotographs(jobId: string) {
  const onServer = ref<Photograph[]>([])
  const kept = useLocalStorage<Record<string, string>>(`upper-deck/captions/${jobId}`, {}, { flush: 'sync', writeDefaults: false })
  const photographs = computed(() => onServer.value.map(photo => ({ ...photo, caption: kept.value[photo.photoId] ?? photo.caption })))
  const said = ref<string[]>([])
  const captionProblem = ref('')
  const busy = ref('')
  const path = `/api/jobs/${jobId}/photographs`

  /** Does something on the server; false with a sentence when it can't be done. */
  async function tried(work: () => Promise<unknown>, unreached: string): Promise<boolean> {
    try {
      await work()
      return true
    }
    catch (error) {
      said.value.push(sentencesFrom(error, unreached))
      return false
    }
  }
  const refresh = () => tried(async () => onServer.value = await $fetch<Photograph[]>(path), 'The server can’t be reached, so the photographs can’t be shown. Open this page again in a minute.')

  /** Takes files in one after the other. One that is refused is named and holds up no other. */
  async function add(files: File[]) {
    said.value = []
    for (const [i, file] of files.entries()) {
      busy.value = files.length > 1 ? `Sending ${i + 1} of ${files.length}…` : 'Sending…'
      try {
        const early = photoProblem(file.type, file.size)
        if (early) said.value.push(`${file.name}: ${early}`)
        else await $fetch(path, { method: 'POST', body: file, headers: { 'content-type': file.type }, query: { caption: '' } })
      }
      catch (error) {
        if (error instanceof FetchError && refusesTheFile(error.statusCode)) said.value.push(`${file.name}: ${sentencesFrom(error, `The server answered ${error.statusCode}.`)}`)
        else {
          const left = files.length - i
          said.value.push(`${sentencesFrom(error, 'The server can’t be reached.')} ${left === 1 ? 'One photograph was' : `${left} photographs were`} not sent: choose ${left === 1 ? 'it' : 'them'} again in a minute.`)
          busy.value = ''
          return
        }
      }
      await refresh()
    }
    busy.value = ''
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
    catch (error) {
      captionProblem.value = `${sentencesFrom(error, 'The server can’t be reached.')} The caption is kept on this device and sent as soon as it can be.`
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
    said.value = []
    if (await tried(() => $fetch(`${path}/${photoId}`, { method: 'DELETE' }), 'The server can’t be reached, so the photograph is still there: try again in a minute.')) await refresh()
  }
  const small = (photoId: string) => `${path}/${photoId}?size=small`
  const whole = (photoId: string) => `${path}/${photoId}`
  onMounted(async () => {
    await refresh()
    void sendCaptions()
  })
  return { photographs, problems: computed(() => [...said.value, captionProblem.value].filter(Boolean)), busy, add, setCaption, remove, small, whole }
}

/** Whether an answer is about what was sent: not that nobody is signed in, nor that the server is in trouble. */
const refusesTheFile = (status = 0): boolean => status >= 400 && status < 500 && status !== 401
