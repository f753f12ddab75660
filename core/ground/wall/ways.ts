import type { Ground } from '../../job'

type Passage = Ground['passages'][number]
type Spot = Passage['from']

/** Passages that a run may take one after another. */
const MOST_PASSAGES = 3

/** A way from one wall to another: where it leaves the first, where it comes out on the last, and how far it is between the two, mm. */
export interface Way { leaves: Spot, comes: Spot, betweenMm: number, /** Its legs on walls between the two. */ between: [Spot, Spot][], parts: { what: string, mm: number }[] }

const onWall = (a: { xMm: number, yMm: number }, b: { xMm: number, yMm: number }): number => Math.abs(a.xMm - b.xMm) + Math.abs(a.yMm - b.yMm)

/** Every way from one wall to another by the passages somebody measured, none of them twice; the shortest between its ends first. */
export function waysFrom(fromId: string, toId: string, passages: Passage[]): Way[] {
  const ends = passages.flatMap(one => [{ id: one.id, mm: one.mm, here: one.from, there: one.to }, { id: one.id, mm: one.mm, here: one.to, there: one.from }])
  function on(way: Way | null, at: string, used: string[]): Way[] {
    if (way && at === toId) return [way]
    if (used.length === MOST_PASSAGES) return []
    return ends.filter(one => one.here.wallId === at && !used.includes(one.id)).flatMap((one) => {
      const along = way ? [{ what: 'on the wall', mm: onWall(way.comes, one.here) }] : []
      const parts = [...way?.parts ?? [], ...along, { what: 'through', mm: one.mm }]
      return on({ leaves: way?.leaves ?? one.here, comes: one.there, betweenMm: parts.reduce((sum, part) => sum + part.mm, 0), between: way ? [...way.between, [way.comes, one.here]] : [], parts }, one.there.wallId, [...used, one.id])
    })
  }
  return on(null, fromId, []).sort((a, b) => a.betweenMm - b.betweenMm)
}
