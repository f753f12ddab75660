import { type DBSchema, openDB } from 'idb'
import { toRaw } from 'vue'
import type { Catalogue } from '#core/catalogue'
import type { Job, UndoStacks } from '#core/job'

/** A job as this device knows it: what the office had when it was heard of last. What was done here since waits in the queue. */
export interface KeptJob { jobId: string, title: string, place: string, /** When the office was heard of last. */ at: string, /** Taken along by somebody, or kept because it was open. */ byHand: boolean, job: Job, version: number, shelf: number, stacks: UndoStacks }
interface KeptDb extends DBSchema {
  jobs: { key: string, value: KeptJob }
  shelf: { key: number, value: { state: number, catalogue: Catalogue } }
}

/** Jobs that were only open are kept while they are among so many. */
const MOST_OPENED = 8

const open = () => openDB<KeptDb>('upper-deck-kept', 1, {
  upgrade: (fresh) => {
    fresh.createObjectStore('jobs', { keyPath: 'jobId' })
    fresh.createObjectStore('shelf', { keyPath: 'state' })
  },
})

/** Writes down a job with the shelf it is planned with; of jobs nobody took along the oldest go. */
export async function keepJob(kept: Omit<KeptJob, 'byHand'> & { byHand?: boolean }, catalogue: Catalogue): Promise<void> {
  const db = await open()
  const before = await db.get('jobs', kept.jobId)
  // What comes late is never put over what is newer.
  const newer = before && before.version > kept.version ? before : toRaw(kept)
  await db.put('jobs', { ...newer, byHand: kept.byHand ?? before?.byHand ?? false })
  if (newer !== before && !await db.getKey('shelf', kept.shelf)) await db.put('shelf', { state: kept.shelf, catalogue: toRaw(catalogue) })
  const all = await db.getAll('jobs')
  const opened = all.filter(one => !one.byHand).sort((a, b) => b.at.localeCompare(a.at))
  for (const old of opened.slice(MOST_OPENED)) await db.delete('jobs', old.jobId)
  const used = new Set((await db.getAll('jobs')).map(one => one.shelf))
  for (const state of await db.getAllKeys('shelf')) if (!used.has(state)) await db.delete('shelf', state)
  db.close()
}

/** A job that is kept here, with its shelf; null where it is not. */
export async function readKept(jobId: string): Promise<{ kept: KeptJob, catalogue: Catalogue } | null> {
  const db = await open()
  const kept = await db.get('jobs', jobId)
  const shelf = kept && await db.get('shelf', kept.shelf)
  db.close()
  return kept && shelf ? { kept, catalogue: shelf.catalogue } : null
}

/** What is kept here, the freshest first. */
export async function listKept(): Promise<KeptJob[]> {
  const db = await open()
  const all = await db.getAll('jobs')
  db.close()
  return all.sort((a, b) => b.at.localeCompare(a.at))
}

export async function leaveKept(jobId: string): Promise<void> {
  const db = await open()
  await db.delete('jobs', jobId)
  db.close()
}

/** Whoever signs out leaves nothing that was only read. */
export async function forgetKept(): Promise<void> {
  const db = await open()
  await Promise.all([db.clear('jobs'), db.clear('shelf')])
  db.close()
  if (typeof caches !== 'undefined') await Promise.all(['upper-deck-read', 'upper-deck-photographs'].map(name => caches.delete(name)))
}
