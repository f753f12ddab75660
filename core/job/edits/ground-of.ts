import { z } from 'zod'
import type { Ground, Job } from '../schema'

export const noGround = (job: Job): string | null => job.ground ? null : 'Nothing stands between the roof and the grid yet: begin with one way of connecting it.'
export const withGround = (job: Job, change: (own: Ground) => Ground): Job => ({ ...job, ground: job.ground && change(job.ground) })
export const byId = <T extends { id: string }>(list: T[] | undefined, id: string): T | null => list?.find(one => one.id === id) ?? null

/** Where in its list something new stands: letters on the wall go by it, so that undo puts it back where it was. The end where nothing is said. */
export const at = z.number().int().min(0).max(100).optional()
/** A list with one of its members replaced where it stands, put in, or taken out. */
export function placed<T>(list: T[], is: (one: T) => boolean, one: T | null, where: number | undefined): T[] {
  if (one === null) return list.filter(old => !is(old))
  return list.some(is) ? list.map(old => is(old) ? one : old) : list.toSpliced(where ?? list.length, 0, one)
}
/** What takes a change of a list back: the member as it was, and where it stood. */
export function before<T>(list: T[] | undefined, is: (one: T) => boolean): { old: T | null, where: { at: number } | object } {
  const i = list?.findIndex(is) ?? -1
  return i < 0 ? { old: null, where: {} } : { old: list![i]!, where: { at: i } }
}

export const isRun = (one: { fromId: string, toId: string }, other: { fromId: string, toId: string }): boolean => one.fromId === other.fromId && one.toId === other.toId
