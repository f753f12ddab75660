import { applyEdit, collide, type Edit, inverseOf, obstacleIn, touches } from './edits'
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

/** The stacks once somebody else has changed something: what touches the same facts can't be taken back any more, for that would take back theirs. */
export function withoutTouched({ undo, redo }: UndoStacks, theirs: Edit): UndoStacks {
  const touched = touches(theirs)
  const stands = (edit: Edit) => !collide(touches(edit), touched)
  return { undo: undo.filter(stands), redo: redo.filter(stands) }
}

/** One person's stacks after a history of several, oldest entry first: the last `most` of what is their own. */
export function stacksOf(history: (Pick<HistoryEntry, 'kind' | 'edit' | 'inverse'> & { own: boolean })[], most: number): UndoStacks {
  const { undo, redo } = history.reduce<UndoStacks>((stacks, entry) => entry.own ? pushHistory(stacks, entry) : withoutTouched(stacks, entry.edit), { undo: [], redo: [] })
  return { undo: undo.slice(-most), redo: redo.slice(-most) }
}

/** So many entries are sent and taken at a time. */
export const MOST_ENTRIES = 200

/** An entry that has not reached the server yet. */
export type UnsentEntry = Pick<HistoryEntry, 'id' | 'kind' | 'edit'>

/**
 * A job and what can be undone on it, after entries have been put on top one by one. One that can no longer be made, because
 * somebody else has taken its face away meanwhile, is passed over: the server will refuse it and say why. Entries of somebody else can't
 * be undone here.
 */
export function foldEntries(start: { job: Job, stacks: UndoStacks }, entries: (UnsentEntry & { own?: boolean })[]): { job: Job, stacks: UndoStacks } {
  return entries.reduce(({ job, stacks }, { kind, edit, own = true }) => obstacleIn(job, edit) === null
    ? { job: applyEdit(job, edit), stacks: own ? pushHistory(stacks, { kind, inverse: inverseOf(job, edit) }) : withoutTouched(stacks, edit) }
    : { job, stacks }, start)
}
