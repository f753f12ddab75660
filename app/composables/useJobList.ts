import { v4 as newId } from 'uuid'
import { done, type Outcome, refused } from '#core/outcome'

/** So soon the list is asked for again while the server still works on it. */
const AGAIN_MS = 400

/** The firm's jobs, and what copies, archives and deletes one. */
export function useJobList() {
  const { data: jobs, error, refresh } = useFetch<JobLine[]>('/api/jobs', { deep: false })
  watch(jobs, (now) => {
    if (now?.some(job => !job.archived && !job.failed && !job.summary)) setTimeout(() => void refresh(), AGAIN_MS)
  })

  async function asked<T>(request: () => Promise<T>): Promise<Outcome<T>> {
    try {
      return done(await request())
    }
    catch (failure) {
      return refused(sentencesFrom(failure, 'The server can’t be reached. Try again in a minute.'))
    }
  }
  async function then<T>(request: () => Promise<T>): Promise<Outcome<T>> {
    const outcome = await asked(request)
    if (outcome.ok) await refresh()
    return outcome
  }
  return {
    jobs, error,
    copy: (jobId: string) => then(() => $fetch<{ jobId: string }>(`/api/jobs/${jobId}/copy`, { method: 'POST', body: { id: newId() } })),
    archive: (jobId: string, archived: boolean) => then(() => $fetch(`/api/jobs/${jobId}`, { method: 'PATCH', body: { archived } })),
    remove: (jobId: string) => then(() => $fetch(`/api/jobs/${jobId}`, { method: 'DELETE' })),
  }
}
