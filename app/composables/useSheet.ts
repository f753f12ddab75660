import type { Job } from '#core/job'
import type { Loadout } from '#core/sheets/loadout'
import type { FaceChanges } from '#core/sheets/markout'
import type { Plan } from '#core/plan'

/** One issued revision of the mark-out, without its pages. */
export interface IssuedRevision { revision: number, issuedBy: string, issuedAt: string, jobVersion: number, note: string, despite: { reason: string, stops: string[] } | null }

/** What a job's sheets show. */
export interface JobSheet { job: Job, plan: Plan, version: number, updatedAt: string, loadout: Loadout, issued: IssuedRevision[], changes: FaceChanges[] }

/**
 * A job as the server planned it, for sheets: read again whenever the last edit has reached it.
 * @param restMs so long after the last of many: a crew logs all day, and each reading is a plan for the office
 */
export function useSheet(jobId: string, restMs = 0) {
  const store = useJobStore()
  const { data, error, refresh } = useFetch<JobSheet>(`/api/jobs/${jobId}/sheet`, { key: `sheet-${jobId}` })
  const again = restMs ? useDebounceFn(() => refresh(), restMs, { maxWait: restMs * 6 }) : refresh
  watch(() => [store.saveState, store.job] as const, ([state]) => {
    if (state === 'saved') void again()
  })
  useNews(news => news.jobId === jobId && news.sheet !== undefined && void refresh())
  return { sheet: data, error, refresh }
}
