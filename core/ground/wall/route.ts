import type { Ground } from '../../job'
import type { RunLength } from '../layout'

/** A place on a wall where cable enters. */
export interface Entry { wallId: string, x: number, y: number }

/** Cable goes along walls and up them; from wall to wall by the passages somebody measured, three of them at most. */
export function wayBetween(a: Entry, b: Entry, { passages }: Pick<Ground, 'passages'>): RunLength['parts'] | null {
  const ends = passages.flatMap(one => [{ ...one, from: one.from, to: one.to }, { ...one, from: one.to, to: one.from }])
  const on = (from: { x: number, y: number }, to: { x: number, y: number }) => Math.abs(from.x - to.x) + Math.abs(from.y - to.y)
  function best(from: Entry, left: number, used: string[]): { mm: number, parts: RunLength['parts'] } | null {
    if (from.wallId === b.wallId) return { mm: on(from, b), parts: [{ what: 'on the wall', mm: on(from, b) }] }
    if (left === 0) return null
    let found: ReturnType<typeof best> = null
    for (const one of ends) {
      if (one.from.wallId !== from.wallId || used.includes(one.id)) continue
      const rest = best({ wallId: one.to.wallId, x: one.to.xMm, y: one.to.yMm }, left - 1, [...used, one.id])
      if (!rest) continue
      const here = on(from, { x: one.from.xMm, y: one.from.yMm })
      const mm = here + one.mm + rest.mm
      if (!found || mm < found.mm) found = { mm, parts: [{ what: 'on the wall', mm: here }, { what: 'through', mm: one.mm }, ...rest.parts] }
    }
    return found
  }
  return best(a, 3, [])?.parts ?? null
}
