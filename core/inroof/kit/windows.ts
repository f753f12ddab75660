import type { InRoof } from '../../catalogue'
import { bounds } from '../../geometry'
import type { Obstruction } from '../../job'
import { boxOf, type Cell, clearBetween } from '../cells'
import type { Loop } from '../outline'
import type { WindowPlace } from './pieces'

const WINDOWS: Obstruction['kind'][] = ['roof-window', 'escape-window']

export const isWindow = ({ kind }: Pick<Obstruction, 'kind'>): boolean => WINDOWS.includes(kind)

/** The cover set for a window of some size. */
export const setFor = ({ windowSets }: InRoof, { widthMm, heightMm }: Obstruction): InRoof['windowSets'][number] | undefined =>
  windowSets.find(set => widthMm >= set.wideFromMm && widthMm <= set.wideToMm && heightMm >= set.highFromMm && heightMm <= set.highToMm)

/** Tells a window in a hole, by what stands in it alone, and which set covers it. */
export function windowsIn(system: InRoof, loops: Loop[], obstructions: Obstruction[], cells: Cell[]): { windows: WindowPlace[], covered: Set<Loop> } {
  const covered = new Set<Loop>()
  const windows = obstructions.filter(isWindow).map((one): WindowPlace => {
    const box = boxOf(one)
    const nearest = Math.min(...cells.map(cell => clearBetween(cell, box)), Infinity)
    const hole = loops.find((loop) => {
      const around = loop.hole ? bounds([loop.points]) : null
      return around && around.along.fromMm <= box.leftMm && around.along.toMm >= box.rightMm && around.up.fromMm <= box.bottomMm && around.up.toMm >= box.topMm
    })
    const near = nearest < system.window.nearMm - 1e-6
    if (!hole) return { id: one.id, set: null, covers: null, gaps: null, trouble: near ? 'near' : null }
    const around = bounds([hole.points])!
    const gaps = [box.leftMm - around.along.fromMm, around.along.toMm - box.rightMm, box.bottomMm - around.up.fromMm, around.up.toMm - box.topMm]
    const [leastMm, mostMm] = [Math.min(...gaps), Math.max(...gaps)]
    const alone
      = hole.corners.length === 4
        && obstructions.filter(other => other.xMm > around.along.fromMm && other.xMm < around.along.toMm && other.yMm > around.up.fromMm && other.yMm < around.up.toMm)
          .length === 1
    const set = alone && mostMm <= system.window.farMm + 1e-6 ? setFor(system, one) : undefined
    if (set && !near) covered.add(hole)
    return {
      id: one.id,
      set: set && !near ? set.name : null,
      covers: set && !near ? around : null,
      gaps: { leastMm, mostMm },
      trouble: near ? 'near' : set || leastMm >= system.window.tiledMm - 1e-6 ? null : alone && mostMm <= system.window.farMm + 1e-6 ? 'no-set' : 'between',
    }
  })
  return { windows, covered }
}
