import { FetchError } from 'ofetch'
import { type HistoryEntry, type Job, MOST_ENTRIES, type UnsentEntry } from '#core/job'
import type { ContentOf, Entry } from './entry'
import type { Refused, Sender } from './send'

/** A change as the office tells of it, and by whom. */
export type RemoteEntry = HistoryEntry & { version: number, personId: string, personName: string, role: 'owner' | 'planner' | 'lead' }

/** What happened since our version: the entries, or, where they are many, the job as it is. */
export interface Behind { since: RemoteEntry[] | null, job: Job | null }

/** The page that has a job open: on what its edits stand, and what it does with the office's answer. */
export interface OpenJob {
  version: () => number
  /** The office has these, on top of what else happened. */
  took: (entries: UnsentEntry[], version: number, behind: Behind) => void
  /** Somebody else changed the same fact: ours go on top of theirs, and it is said. */
  overtaken: (version: number, behind: Behind, ours: UnsentEntry[]) => void
  /** Another window of this device has sent what waited here too. */
  sentElsewhere: () => void
}

const openJobs = new Map<string, OpenJob>()
/** Tells the queue that a job is open here; returns what tells that it is not any more. */
export function watchEdits(jobId: string, open: OpenJob): () => void {
  openJobs.set(jobId, open)
  return () => {
    if (openJobs.get(jobId) === open) openJobs.delete(jobId)
  }
}

export const sentElsewhere = (jobId: string): void => openJobs.get(jobId)?.sentElsewhere()

export const unsentEntry = ({ id, content }: Entry): UnsentEntry => ({ id, kind: (content as ContentOf<'edits'>).kind, edit: (content as ContentOf<'edits'>).edit })

/** Edits of one job, in order. Those of a job that is not open go on top of whatever it is by now. */
export const editSender: Sender = {
  most: MOST_ENTRIES,
  together: () => '',
  async send(batch, settled) {
    const { jobId } = batch[0]!
    const entries = batch.map(unsentEntry)
    let insist = false
    for (;;) {
      const open = openJobs.get(jobId)
      const stillOpen = () => openJobs.get(jobId) === open ? open : undefined
      try {
        const { version, refused, ...behind } = await $fetch<Behind & { version: number, refused: Refused }>(`/api/jobs/${jobId}/edits`, {
          method: 'POST',
          body: { baseVersion: open?.version() ?? null, insist, entries },
        })
        const away = new Set(refused.map(one => one.id))
        stillOpen()?.took(entries.filter(entry => !away.has(entry.id)), version, behind)
        settled(refused)
        return
      }
      catch (error) {
        const { data } = (error instanceof FetchError ? error.data : null) as { data?: Behind & { version?: number } } | null ?? {}
        if (!(error instanceof FetchError) || error.statusCode !== 409 || !open || data?.version === undefined) throw error
        // A job that was closed meanwhile has nothing to put ours on: the next try goes by what is open then.
        stillOpen()?.overtaken(data.version, data, entries)
        // Whoever made ours is told now; ours stand.
        insist = true
      }
    }
  },
}
