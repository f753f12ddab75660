import { type Edit, inverseOf, runOn } from './edits'
import type { Job } from './schema'

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)
const isRecord = (one: unknown): one is Record<string, unknown> => typeof one === 'object' && one !== null && !Array.isArray(one)
/** Facts of which each says which others stand beside it: of two kinds nothing can be joined. */
const TELLS = ['kind', 'edition', 'form', 'system', 'id']
/** Where an edit has what it puts in place of what was. */
const PUTS = ['values', 'group', 'end', 'task', 'thing', 'wall', 'run'] as const

/** What somebody made of a fact as he saw it, and what it has become since: both where they changed different parts of it, else his. */
function joined(seen: unknown, mine: unknown, now: unknown): unknown {
  if (same(seen, now)) return mine
  if (same(seen, mine)) return now
  if (Array.isArray(seen) && Array.isArray(mine) && Array.isArray(now)) return joinedLists(seen, mine, now)
  if (!isRecord(seen) || !isRecord(mine) || !isRecord(now)) return mine
  if (TELLS.some(key => !same(seen[key], mine[key]) || !same(seen[key], now[key]))) return mine
  return Object.fromEntries(Object.keys(mine).map(key => [key, joined(seen[key], mine[key], now[key])]))
}

const isNamed = (one: unknown): one is { id: string } => isRecord(one) && typeof one.id === 'string'
const nameOf = (one: unknown): string | null => typeof one === 'string' ? one : isNamed(one) ? one.id : null

/** Lists of words or of members with ids: what was put in or taken out on either side stays so. Others go by place, and as mine where their lengths differ. */
function joinedLists(seen: unknown[], mine: unknown[], now: unknown[]): unknown[] {
  if (![...seen, ...mine, ...now].every(one => nameOf(one) !== null)) {
    return seen.length === mine.length && seen.length === now.length ? mine.map((one, i) => joined(seen[i], one, now[i])) : mine
  }
  const [before, own, since] = [seen, mine, now].map(list => new Map(list.map(one => [nameOf(one)!, one])))
  return [
    ...mine.filter(one => since!.has(nameOf(one)!) || !before!.has(nameOf(one)!)).map(one => joined(before!.get(nameOf(one)!), one, since!.get(nameOf(one)!) ?? one)),
    ...now.filter(one => !own!.has(nameOf(one)!) && !before!.has(nameOf(one)!)),
  ]
}

/** What stands on a job where an edit puts something; undefined where that is not there. */
function standing(job: Job, edit: Edit, at: typeof PUTS[number]): unknown {
  // It is taken back as a whole where nobody chose anything before.
  if (edit.type === 'set-run') return runOn(job, edit)
  try {
    return (inverseOf(job, edit) as Partial<Record<typeof at, unknown>>)[at]
  }
  catch {
    // What it is about is not there any more, or was not yet: reading the edit says so.
    return undefined
  }
}

/**
 * An edit made on the job as somebody saw it, for the job as it has become since: the screen follows the plan, which takes its
 * time, and a fact of many parts, as the sides of a taped face, is replaced whole. Typed one after the other quickly, each would
 * take the one before back; so of such facts only what the edit changed itself is replaced. A plain fact is taken as it was typed.
 */
export function rebased(edit: Edit, seen: Job, now: Job): Edit {
  if (seen === now) return edit
  if (edit.type === 'batch') return { ...edit, edits: edit.edits.map(one => rebased(one, seen, now)) as typeof edit.edits }
  const at = PUTS.find(one => one in edit)
  const mine = at && (edit as unknown as Record<string, unknown>)[at]
  if (!at || !isRecord(mine)) return edit
  const [before, after] = [standing(seen, edit, at), standing(now, edit, at)]
  if (!isRecord(before) || !isRecord(after)) return edit
  // A plain fact of its own is taken as it was typed, also back to what is still shown.
  const put = at === 'values' ? Object.fromEntries(Object.entries(mine).map(([key, one]) => [key, isRecord(one) || Array.isArray(one) ? joined(before[key], one, after[key]) : one])) : joined(before, mine, after)
  return { ...edit, [at]: put } as Edit
}
