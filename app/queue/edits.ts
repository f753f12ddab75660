import { FetchError } from 'ofetch'
import { type HistoryEntry, type Job, MOST_ENTRIES, type UnsentEntry } from '#core/job'
import type { ContentOf, Entry } from './entry'
import type { Refused, Sender } from './send'

/** A change made elsewhere, as the office tells of it. */
export type RemoteEntry = HistoryEntry & { version: number, personName: string }

/** The page that has a job open: on what its edits stand, and what it does with the office's answer. */
export interface OpenJob {
  version: () => number
  /** The office has these. */
  took: (entries: UnsentEntry[], version: number) => void
  /** Somebody else was faster: ours go on top of theirs. */
  overtaken: (theirs: { version: number, job: Job, entries: RemoteEntry[] }) => void
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
    for (;;) {
      const open = openJobs.get(jobId)
      try {
        const { version, refused } = await $fetch<{ version: number, refused: Refused }>(`/api/jobs/${jobId}/edits`, {
          method: 'POST',
          body: { baseVersion: open?.version() ?? null, entries },
        })
        const away = new Set(refused.map(one => one.id))
        if (open && openJobs.get(jobId) === open) open.took(entries.filter(entry => !away.has(entry.id)), version)
        settled(refused)
        return
      }
      catch (error) {
        if (!(error instanceof FetchError) || error.statusCode !== 409 || !open) throw error
        // A job that was closed meanwhile has nothing to put ours on: the next try goes by what is open then.
        if (openJobs.get(jobId) === open) open.overtaken((error.data as { data: Parameters<OpenJob['overtaken']>[0] }).data)
      }
    }
  },
}
