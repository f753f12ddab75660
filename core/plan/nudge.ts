import { type Edit, type Face, type Obstruction, plainRow } from '../job'
import { placeOfLine, placeRailEdit, type RailPlan } from '../rails'
import { gapBelow, type RowPlan } from '../rows'
import { rafterAt, rafterName } from '../supports'
import { TOLERANCE_MM } from '../geometry'
import type { FacePlan } from './face'

/** A push in one direction of the face: along the eave to the right, up the slope. */
export type Direction = 'left' | 'right' | 'up' | 'down'

/**
 * The edit that pushes the selection by `stepMm`, or to the next thing worth stopping at with `snap`: a rafter, a
 * course, or an end of the clamp zone. Null when the selection can't go that way.
 * @param selection as in `tapeReadings`
 */
export function nudgeEdit(face: Face, plan: FacePlan, selection: string, direction: Direction, stepMm: number | 'snap'): Edit | null {
  const across = direction === 'left' || direction === 'right'
  const sign = direction === 'right' || direction === 'up' ? 1 : -1
  const rafter = plan.supports.rafters.find(one => rafterName(one.number) === selection)
  if (rafter) {
    const typed = face.supports.kind === 'rafters' && face.supports.layout === 'nominal'
    return typed && across && stepMm !== 'snap' ? { type: 'move-rafter', faceId: face.id, rafter: rafter.number, centreMm: rafter.centreMm + sign * stepMm } : null
  }
  const rail = plan.rails.find(one => one.id === selection)
  if (rail) return across === (rail.way === 'across') ? null : pushRail(face, plan, rail, sign, stepMm)
  const obstruction = face.obstructions.find(one => one.id === selection)
  if (obstruction) return stepMm === 'snap' ? null : moveObstruction(face, obstruction, across ? sign * stepMm : 0, across ? 0 : sign * stepMm)
  const row = plan.rows.rows.find(one => `row ${one.index + 1}` === selection) ?? null
  const first = plan.rows.rows[0]
  if (!first || (!row && selection !== 'rows')) return null
  return across ? slideRow(face, plan, row, first, sign, stepMm) : raiseRow(face, plan, row ?? first, sign, stepMm)
}

const moveObstruction = (face: Face, { id }: Obstruction, xMm: number, yMm: number): Edit => ({
  type: 'set-face', faceId: face.id,
  values: { obstructions: face.obstructions.map(one => one.id === id ? { ...one, xMm: one.xMm + xMm, yMm: Math.max(0, one.yMm + yMm) } : one) },
})

/** The nearest of `stops` beyond `fromMm` in a direction; null when there is none. */
function nextStop(stops: number[], fromMm: number, sign: number): number | null {
  const ahead = stops.filter(stop => sign * (stop - fromMm) > TOLERANCE_MM)
  return ahead.length ? ahead.reduce((a, b) => Math.abs(b - fromMm) < Math.abs(a - fromMm) ? b : a) : null
}

const moveBy = (stops: number[], fromMm: number, sign: number, stepMm: number | 'snap'): number | null => {
  if (stepMm !== 'snap') return sign * stepMm
  const stop = nextStop(stops, fromMm, sign)
  return stop === null ? null : stop - fromMm
}

/** One row, or the whole array when `row` is null; what snaps is the left edge. */
function slideRow(face: Face, plan: FacePlan, row: RowPlan | null, first: RowPlan, sign: number, stepMm: number | 'snap'): Edit | null {
  const byMm = moveBy(plan.supports.rafters.map(rafter => rafterAt(rafter, (row ?? first).bottomMm)), (row ?? first).leftMm, sign, stepMm)
  if (byMm === null) return null
  return row
    ? { type: 'set-row', faceId: face.id, row: row.index, values: { shiftMm: (face.array.rows[row.index] ?? plainRow).shiftMm + byMm } }
    : { type: 'set-array', faceId: face.id, values: { shiftMm: plan.shiftMm + byMm } }
}

/** Rows above follow, since each lies on the gap below it. */
function raiseRow(face: Face, plan: FacePlan, row: RowPlan, sign: number, stepMm: number | 'snap'): Edit | null {
  const byMm = moveBy(plan.courses, row.bottomMm, sign, stepMm)
  if (byMm === null) return null
  return { type: 'set-row', faceId: face.id, row: row.index, values: { gapBelowMm: Math.max(0, gapBelow(plan.rows, row.index) + byMm) } }
}

function pushRail(face: Face, plan: FacePlan, rail: RailPlan, sign: number, stepMm: number | 'snap'): Edit | null {
  const lineEnds = plan.railLines.flatMap(height => [height.fromMm, height.toMm]).filter(mm => mm > rail.zone.fromMm && mm < rail.zone.toMm)
  const byMm = moveBy([rail.zone.fromMm, ...lineEnds, rail.zone.toMm], rail.lineMm, sign, stepMm)
  if (byMm === null) return null
  const placeMm = placeOfLine(rail, plan.rows.rows, rail.lineMm + byMm)
  return placeMm === null ? null : placeRailEdit(face.id, rail, Math.max(0, placeMm))
}
