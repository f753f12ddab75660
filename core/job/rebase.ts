import { type Edit, inverseOf } from './edits'
import type { Job } from './schema'

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)
const isRecord = (one: unknown): one is Record<string, unknown> => typeof one === 'object' && one !== null && !Array.isArray(one)
/** Facts of which each says which others stand beside it: of two kinds nothing can be joined. */
const TELLS = ['kind', 'edition', 'form', 'id']

/** What somebody made of a fact as he saw it, and what it has become since: both where they changed different parts of it, else his. */
function joined(seen: unknown, mine: unknown, now: unknown): unknown {
  if (same(seen, now)) return mine
  if (same(seen, mine)) return now
  if (Array.isArray(seen) && Array.isArray(mine) && Array.isArray(now)) {
    return seen.length === mine.length && seen.length === now.length ? mine.map((one, i) => joined(seen[i], one, now[i])) : mine
  }
  if (!isRecord(seen) || !isRecord(mine) || !isRecord(now)) return mine
  if (TELLS.some(key => !same(seen[key], mine[key]) || !same(seen[key], now[key]))) return mine
  return Object.fromEntries(Object.keys(mine).map(key => [key, joined(seen[key], mine[key], now[key])]))
}

/**
 * An edit made on the job as somebody saw it, for the job as it has become since: the screen follows the plan, which takes its
 * time, and a fact of many parts, as the sides of a taped face, is replaced whole. Typed one after the other quickly, each would
 * take the one before back; so of such facts only what the edit changed itself is replaced. A plain fact is taken as it was typed.
 */
export function rebased(edit: Edit, seen: Job, now: Job): Edit {
  if (seen === now) return edit
  if (edit.type === 'batch') return { ...edit, edits: edit.edits.map(one => rebased(one, seen, now)) as typeof edit.edits }
  if (!('values' in edit)) return edit
  let was: Edit, is: Edit
  try {
    [was, is] = [inverseOf(seen, edit), inverseOf(now, edit)]
  }
  catch {
    // What it is about is not there any more, or was not yet: reading the edit says so.
    return edit
  }
  if (!('values' in was) || !('values' in is)) return edit
  const [before, after] = [was.values, is.values] as [Record<string, unknown>, Record<string, unknown>]
  return {
    ...edit,
    values: Object.fromEntries(Object.entries(edit.values).map(([key, mine]) => [key, isRecord(mine) || Array.isArray(mine) ? joined(before[key], mine, after[key]) : mine])),
  } as Edit
}
