import { FetchError } from 'ofetch'
import { type Photograph, photoProblem, type Problem } from '#core/job'

/** A job's photographs: what is there, and taking in, naming and taking away. Failures become a sentence. */
export function usePhotographs(jobId: string) {
  const photographs = ref<Photograph[]>([])
  const problem = ref('')
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
  const refresh = () => tried(async () => photographs.value = await $fetch<Photograph[]>(path))

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
  async function setCaption(photoId: string, caption: string) {
    problem.value = ''
    if (await tried(() => $fetch(`${path}/${photoId}`, { method: 'PATCH', body: { caption } }))) await refresh()
  }
  async function remove(photoId: string) {
    problem.value = ''
    if (await tried(() => $fetch(`${path}/${photoId}`, { method: 'DELETE' }))) await refresh()
  }
  const small = (photoId: string) => `${path}/${photoId}?size=small`
  const whole = (photoId: string) => `${path}/${photoId}`
  onMounted(refresh)
  return { photographs, problem, busy, add, setCaption, remove, small, whole }
}
