import { freeIntervals, type Interval } from '../geometry'
import type { RowPlan } from '../rows'
import type { FaceShape } from '../roof'

/** What exposure is judged by. */
export interface ExposureSetting {
  shape: FaceShape
  /** Mean roof height, mm. */
  heightMm: number
  /** Plan length of a length up the slope: cosine of the pitch. */
  flat: number
  /** In plan from the face's ridge to the roof's far edge, mm; 0 where the ridge is the roof's edge. */
  beyondRidgeMm: number
}

/** Farther than this from the next module, an end of an array stands free, mm: 4 ft. */
const FREE_MM = 4 * 304.8

/**
 * Exposed modules by ASCE 7-16, 29.4.4 (from memory): those within 1.5 of their length up the slope of an end of the
 * array that is over half the roof's height from the roof's edge and over 4 ft from the next module.
 * @returns for each row, for each of its modules from the left
 */
export function exposedModules(rows: RowPlan[], { shape, heightMm, flat, beyondRidgeMm }: ExposureSetting): boolean[][] {
  const modules = rows.flatMap((row, r) => row.moduleLeftsMm.map((leftMm, i) => ({
    r,
    i,
    along: { fromMm: leftMm, toMm: leftMm + row.moduleWidthMm },
    up: { fromMm: row.bottomMm, toMm: row.topMm },
  })))
  const halfHeightMm = heightMm / 2
  const reachMm = (row: RowPlan) => 1.5 * row.moduleHeightMm
  return rows.map((row, r) => row.moduleLeftsMm.map((leftMm, i) => {
    const me = modules.find(one => one.r === r && one.i === i)!
    const edges = edgeDistances(shape, me, flat, beyondRidgeMm)
    const ends = [['along', -1, edges.left], ['along', 1, edges.right], ['up', -1, edges.down], ['up', 1, edges.up]] as const
    return ends.some(([axis, sign, toEdgeMm]) => {
      const across = axis === 'along' ? 'up' : 'along'
      // From this module to the end of what stands unbroken in this direction.
      let endMm = sign < 0 ? me[axis].fromMm : me[axis].toMm
      const beside = modules.filter(one => one[across].fromMm < me[across].toMm && one[across].toMm > me[across].fromMm && one !== me)
        .sort((a, b) => sign * (a[axis].fromMm - b[axis].fromMm))
      for (const next of beside) {
        const gapMm = sign < 0 ? endMm - next[axis].toMm : next[axis].fromMm - endMm
        if (gapMm > -1 && gapMm <= FREE_MM) endMm = sign < 0 ? Math.min(endMm, next[axis].fromMm) : Math.max(endMm, next[axis].toMm)
      }
      const mineMm = sign < 0 ? me[axis].fromMm : me[axis].toMm
      const throughMm = Math.abs(endMm - mineMm)
      const planMm = throughMm * (axis === 'up' ? flat : 1)
      return throughMm < reachMm(row) && toEdgeMm - planMm > halfHeightMm
    })
  }))
}

/** Plan distances from a module's edges to the roof's edges on its four sides, mm. */
function edgeDistances(shape: FaceShape, { along, up }: { along: Interval, up: Interval }, flat: number, beyondRidgeMm: number) {
  const middle = { fromMm: (up.fromMm + up.toMm) / 2 - 1, toMm: (up.fromMm + up.toMm) / 2 + 1 }
  const own = freeIntervals(shape.region, middle).find(one => one.fromMm <= along.fromMm + 1 && one.toMm >= along.toMm - 1) ?? along
  return {
    left: along.fromMm - own.fromMm, right: own.toMm - along.toMm,
    down: (up.fromMm - shape.up.fromMm) * flat, up: (shape.up.toMm - up.toMm) * flat + beyondRidgeMm,
  }
}
