import { keepJob, type KeptJob, leaveKept, listKept } from '../queue/kept'

/** Takes one job along: as it stands, its sheet, its photographs. */
async function takeJob(jobId: string, byHand: boolean): Promise<void> {
  const opened = await $fetch<Pick<KeptJob, 'job' | 'version' | 'shelf' | 'stacks'> & { catalogue: Parameters<typeof keepJob>[1] }>(`/api/jobs/${jobId}` as string)
  await keepJob({ jobId, title: opened.job.title, place: opened.job.place, at: new Date().toISOString(), ...byHand ? { byHand } : {}, job: opened.job, version: opened.version, shelf: opened.shelf, stacks: opened.stacks }, opened.catalogue)
  // Read once, these are on the device: the worker that stands before the office keeps them.
  const [, photographs] = await Promise.all([$fetch<unknown>(`/api/jobs/${jobId}/sheet` as string), $fetch<{ photoId: string }[]>(`/api/jobs/${jobId}/photographs` as string)])
  await Promise.all(photographs.map(({ photoId }) => fetch(`/api/jobs/${jobId}/photographs/${photoId}?size=small`)))
}

/** On a phone: the jobs that somebody is on come along by themselves, those that are not here as they stand. */
export async function takeOwnJobs(): Promise<void> {
  const kept = new Map((await listKept()).map(one => [one.jobId, one.version]))
  for (const { jobId, version } of await $fetch<{ jobId: string, version: number }[]>('/api/me/jobs' as string)) if (kept.get(jobId) !== version) await takeJob(jobId, true)
}

/** What of the office is on this device, how fresh it is, and whether the device promises to keep it. */
export function useTaken() {
  const store = useJobStore()
  const kept = ref<KeptJob[]>([])
  const problem = ref('')
  /** Null where the browser does not say. */
  const persists = ref<boolean | null>(null)
  const refresh = async () => {
    kept.value = await listKept().catch(() => [])
    persists.value = 'storage' in navigator && navigator.storage?.persisted ? await navigator.storage.persisted() : null
  }
  /** Takes a job along with its sheet and photographs, and asks the device not to clear it away. */
  async function take(jobId: string) {
    problem.value = ''
    try {
      await takeJob(jobId, true)
      if ('storage' in navigator && navigator.storage?.persist && !await navigator.storage.persist()) problem.value = 'The browser does not promise to keep it: where room runs short it may be cleared away. Put the app on the home screen, and send what is logged whenever there is a signal.'
    }
    catch (error) {
      problem.value = sentencesFrom(error, 'The office can’t be reached, so the job can’t be taken along now. What is on the phone already stays.')
    }
    await refresh()
  }
  const leave = async (jobId: string) => {
    await leaveKept(jobId)
    await refresh()
  }
  onMounted(refresh)
  watch(() => store.job, refresh)
  return { kept, persists, problem, take, leave, refresh }
}

/** How long ago something was, in words. */
export function agoWords(at: string, now: Date = new Date()): string {
  const minutes = Math.max(0, Math.round((now.getTime() - new Date(at).getTime()) / 60_000))
  if (minutes < 2) return 'just now'
  if (minutes < 90) return `${minutes} minutes ago`
  const hours = Math.round(minutes / 60)
  return hours < 36 ? `${hours} hours ago` : `${Math.round(hours / 24)} days ago`
}
