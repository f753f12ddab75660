import { applyEdit, type Edit, inverseOf, obstacleIn } from './edits'
import type { Job } from './schema'

/** One change in a job's append-only history. An undo or redo is itself a change, with the edit that was really made. */
export interface HistoryEntry {
  /** Made by the client, so that sending it twice does no harm. */
  id: string
  kind: 'edit' | 'undo' | 'redo'
  edit: Edit
  /** What takes `edit` back on the job it was made on. */
  inverse: Edit
}

/** Edits that can be taken back and made again, newest last. */
export interface UndoStacks { undo: Edit[], redo: Edit[] }

/** One entry's effect on the stacks: the inverse to offer, and whether older redos still hold. */
export function pushHistory(stacks: UndoStacks, entry: Pick<HistoryEntry, 'kind' | 'inverse'>): UndoStacks {
  switch (entry.kind) {
    case 'edit': return { undo: [...stacks.undo, entry.inverse], redo: [] }
    case 'undo': return { undo: stacks.undo.slice(0, -1), redo: [...stacks.redo, entry.inverse] }
    case 'redo': return { undo: [...stacks.undo, entry.inverse], redo: stacks.redo.slice(0, -1) }
  }
}

/** The stacks after a whole history, oldest entry first. */
export const stacksOf = (history: Pick<HistoryEntry, 'kind' | 'inverse'>[]): UndoStacks =>
  history.reduce(pushHistory, { undo: [], redo: [] })

/** So many entries are sent and taken at a time. */
export const MOST_ENTRIES = 200

/** An entry that has not reached the server yet. */
export type UnsentEntry = Pick<HistoryEntry, 'id' | 'kind' | 'edit'>

/**
 * A job and what can be undone on it, after entries have been put on top one by one. One that can no longer be made, because
 * somebody else has taken its face away meanwhile, is passed over: the server will refuse it and say why.
 */
export function foldEntries(start: { job: Job, stacks: UndoStacks }, entries: UnsentEntry[]): { job: Job, stacks: UndoStacks } {
  return entries.reduce(({ job, stacks }, { kind, edit }) => obstacleIn(job, edit) === null
    ? { job: applyEdit(job, edit), stacks: pushHistory(stacks, { kind, inverse: inverseOf(job, edit) }) }
    : { job, stacks }, start)
}
