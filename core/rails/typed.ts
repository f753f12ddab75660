import type { PlainEdit } from '../job'
import type { RowPlan } from '../rows'
import type { RailPlan } from './rail'

/**
 * What a person types to place a rail, mm: across the roof its height above its row's lower edge; up the slope how far it lies in
 * from its modules' side, for all columns at once. Null for lines of frames, which lie where the frames do.
 */
export function typedPlace({ holds, way, lineMm, row }: RailPlan, rows: RowPlan[]): number | null {
  if (!holds) return null
  return way === 'up' ? holds.fromCornerMm : lineMm - rows[row]!.bottomMm
}

/** A line of the face, mm, as it would be typed for a rail. */
export function placeOfLine(rail: RailPlan, rows: RowPlan[], lineMm: number): number | null {
  const now = typedPlace(rail, rows)
  return now === null ? null : now + (rail.side === 'right' ? -1 : 1) * (lineMm - rail.lineMm)
}

/** Edits that place several rails, each once: rails up the slope are all placed by one. */
export const placeRailEdits = (faceId: string, rails: { rail: RailPlan, mm: number | null }[]): PlainEdit[] =>
  [...new Map(rails.map(({ rail, mm }) => placeRailEdit(faceId, rail, mm)).map(edit => [JSON.stringify(edit), edit])).values()]

/** The edit that places a rail; null as `mm` leaves it to the rule. */
export function placeRailEdit(faceId: string, { way, side, row }: RailPlan, mm: number | null): PlainEdit {
  if (way === 'up') return { type: 'set-array', faceId, values: { railInMm: mm } }
  return { type: 'set-row', faceId, row, values: side === 'lower' ? { lowerRailMm: mm } : { upperRailMm: mm } }
}
