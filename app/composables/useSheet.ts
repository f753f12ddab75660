import type { Job } from '#core/job'
import type { Plan } from '#core/plan'

/** A job as the server planned it, for sheets: read again whenever the last edit has reached it. */
export function useSheet(jobId: string) {
  const store = useJobStore()
  const { data, error, refresh } = useFetch<{ job: Job, plan: Plan, version: number, updatedAt: string }>(`/api/jobs/${jobId}/sheet`, { key: `sheet-${jobId}` })
  watch(() => [store.saveState, store.job] as const, ([state]) => {
    if (state === 'saved') void refresh()
  })
  return { sheet: data, error }
}
