import { Matrix, solve } from 'ml-matrix'
import { ON_LINE_MM } from '../../fixings'
import type { LogEntry, LogOf } from '../../job'
import { onFace } from '../../rails'
import type { SticksLayout } from '../../sticks'
import type { Foot } from './foot'

/** Feet with a reading, those of one plane together: all that the meter read, or those along one string. */
export interface ReadFeet { from: LogOf<'gap'>['from'], feet: Foot[] }

/** A reading belongs to the fixing that it was taken at, within this, mm. */
const AT_FOOT_MM = 60

/** The last reading at each foot. */
function readingsAt(log: LogEntry[], faceId: string, plan: Pick<SticksLayout, 'rails' | 'fixings'>, from: LogOf<'gap'>['from']): (Omit<Foot, 'roofMm'> & { gapMm: number, rail: string })[] {
  const gaps = log.filter((entry): entry is LogOf<'gap'> => entry.kind === 'gap' && entry.faceId === faceId && entry.from === from)
  return plan.rails.flatMap((rail, r) => plan.fixings.rails[r]!.fixings.flatMap((fixing) => {
    const place = onFace(rail, fixing.atMm)
    const own = gaps.filter(gap => Math.hypot(gap.xMm - place.xMm, gap.yMm - place.yMm) < Math.max(AT_FOOT_MM, ON_LINE_MM)).at(-1)
    return own ? [{ id: fixing.id, line: rail.id, rail: rail.id, ...place, gapMm: own.gapMm }] : []
  }))
}

/** Heights against the mean plane, or line, of what was read: what a laser or a string hangs at does not matter. */
function overMean(points: { xMm: number, yMm: number, gapMm: number }[], plane: boolean): number[] {
  const heights = points.map(one => -one.gapMm)
  if (points.length < (plane ? 4 : 3)) return heights.map(mm => mm - heights.reduce((a, b) => a + b, 0) / heights.length)
  const rows = points.map(one => plane ? [1, one.xMm / 1000, one.yMm / 1000] : [1, one.xMm / 1000])
  const fitted = solve(new Matrix(rows), Matrix.columnVector(heights), true)
  return points.map((_, i) => heights[i]! - rows[i]!.reduce((sum, value, k) => sum + value * fitted.get(k, 0), 0))
}

/**
 * What was read on a face: with the meter, one plane for all feet; by a string, each line for itself, since strings of two lines do not
 * know of each other.
 */
export function feetRead(log: LogEntry[], faceId: string, plan: Pick<SticksLayout, 'rails' | 'fixings'>): ReadFeet[] {
  const meter = readingsAt(log, faceId, plan, 'meter')
  const strings = readingsAt(log, faceId, plan, 'string')
  const lines = [...new Set(strings.map(one => one.rail))].map(rail => strings.filter(one => one.rail === rail))
  const footOf = (group: typeof meter, plane: boolean): Foot[] => {
    const roof = overMean(group, plane)
    return group.map(({ id, line, xMm, yMm }, i) => ({ id, line, xMm, yMm, roofMm: roof[i]! }))
  }
  const along = (group: typeof meter, way: 'across' | 'up') => group.map(one => way === 'across' ? { ...one, yMm: 0 } : { ...one, xMm: one.yMm, yMm: 0 })
  const wayOf = (rail: string) => plan.rails.find(one => one.id === rail)!.way
  return [
    ...meter.length > 1 ? [{ from: 'meter' as const, feet: footOf(meter, true) }] : [],
    ...lines.filter(group => group.length > 1).map((group): ReadFeet => ({ from: 'string', feet: footOf(along(group, wayOf(group[0]!.rail)), false) })),
  ]
}
