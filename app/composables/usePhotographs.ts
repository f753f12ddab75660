import { FetchError } from 'ofetch'
import { v4 as newId } from 'uuid'
import { type Photograph, photoProblem } from '#core/job'
import { isRefusal } from '../queue/send'

/**
 * A job's photographs: what is there, and taking in, naming and taking away. Failures become a sentence. Captions go by the
 * device's queue: the page may go, or the signal, before the server has them.
 */
export function usePhotographs(jobId: string) {
  const onServer = ref<Photograph[]>([])
  const queue = useQueue()
  const waiting = computed(() => new Map(queue.of(jobId, 'captions').map(({ content }) => [content.photoId, content.caption])))
  const photographs = computed(() => onServer.value.map(photo => ({ ...photo, caption: waiting.value.get(photo.photoId) ?? photo.caption })))
  const said = ref<string[]>([])
  const captionProblem = computed(() => waiting.value.size && queue.standing === 'offline' ? 'The server can’t be reached. The caption is kept on this device and sent as soon as it can be.' : '')
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
        else await $fetch(path, { method: 'POST', body: file, headers: { 'content-type': file.type }, query: { caption: '', id: newId() } })
      }
      catch (error) {
        if (error instanceof FetchError && isRefusal(error)) said.value.push(`${file.name}: ${sentencesFrom(error, `The server answered ${error.statusCode}.`)}`)
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
  function setCaption(photoId: string, caption: string) {
    // Here it stands from now on; whether the office has it the queue knows.
    onServer.value = onServer.value.map(photo => photo.photoId === photoId ? { ...photo, caption } : photo)
    queue.add(jobId, { channel: 'captions', photoId, caption })
  }
  async function remove(photoId: string) {
    said.value = []
    if (await tried(() => $fetch(`${path}/${photoId}`, { method: 'DELETE' }), 'The server can’t be reached, so the photograph is still there: try again in a minute.')) await refresh()
  }
  const small = (photoId: string) => `${path}/${photoId}?size=small`
  const whole = (photoId: string) => `${path}/${photoId}`
  onMounted(async () => {
    void queue.open()
    await refresh()
  })
  return { photographs, problems: computed(() => [...said.value, captionProblem.value].filter(Boolean)), busy, add, setCaption, remove, small, whole }
}
