import type { ChosenParts } from '../catalogue'
import type { ArrayRules } from '../job'
import type { RailLines, RowPlan } from '../rows'
import type { RailPlan } from './rail'
import { leverShares, lineIn } from './zone'

/** A module with its place on the face. */
interface Standing { row: RowPlan, module: number, leftMm: number }

/** Modules straight over one another, from the lowest up: what one pair of rails up the slope carries. */
export type Column = Standing[]

/** A rail runs through from one row to the next over a gap no wider than this, mm; past it each row has rails of its own (common practice). */
const GAP_BRIDGED_MM = 300
const ALIKE_MM = 1

/** Columns of an array from the left, those over one another from the eave up. */
export function columnsOf(rows: RowPlan[]): Column[] {
  const columns: Column[] = []
  let open: Column[] = []
  for (const row of rows) {
    const next: Column[] = []
    row.moduleLeftsMm.forEach((leftMm, module) => {
      const below = open.find((column) => {
        const top = column.at(-1)!
        return Math.abs(top.leftMm - leftMm) < ALIKE_MM && Math.abs(top.row.moduleWidthMm - row.moduleWidthMm) < ALIKE_MM && row.bottomMm - top.row.topMm <= GAP_BRIDGED_MM
      })
      const column = below ?? []
      if (!below) columns.push(column)
      column.push({ row, module, leftMm })
      next.push(column)
    })
    open = next
  }
  return columns.sort((a, b) => a[0]!.leftMm - b[0]!.leftMm || a[0]!.row.index - b[0]!.row.index)
}

/** Two rails up the slope for every column, each inside its modules' clamp zone. */
export function railsUp(rows: RowPlan[], array: ArrayRules, { module, clamps }: ChosenParts, lines: RailLines): RailPlan[] {
  let number = 0
  return columnsOf(rows).flatMap((column, c) => {
    const [{ row, leftMm }] = column as [Standing, ...Column]
    const edge = row.orientation === 'upright' ? 'short' as const : 'long' as const
    const zone = edge === 'long' ? module.clampZones.longEdge : module.clampZones.shortEdge
    const widthMm = row.moduleWidthMm
    const rightMm = leftMm + widthMm
    const typed = array.railInMm
    const left = lineIn({ fromMm: leftMm + zone.fromMm, toMm: leftMm + zone.toMm }, lines, typed === null ? null : leftMm + typed)
    const right = lineIn({ fromMm: rightMm - zone.toMm, toMm: rightMm - zone.fromMm }, lines, typed === null ? null : rightMm - typed)
    const shares = leverShares(left.lineMm - leftMm, right.lineMm - leftMm, widthMm)
    const middleMm = (leftMm + rightMm) / 2
    const reach = { fromMm: row.bottomMm, toMm: column.at(-1)!.row.topMm }
    return ([
      ['left', left, shares.low, { fromMm: leftMm, toMm: middleMm }, left.lineMm - leftMm],
      ['right', right, shares.high, { fromMm: middleMm, toMm: rightMm }, rightMm - right.lineMm],
    ] as const).map(([side, line, share, band, fromCornerMm]): RailPlan => ({
      id: `column${c + 1}-${side}`, number: ++number, way: 'up', row: row.index, block: c, side, ...line,
      reach, fromMm: reach.fromMm - clamps.railPastMm, toMm: reach.toMm + clamps.railPastMm,
      carries: column.map(one => ({ row: one.row.index, module: one.module, fromMm: one.row.bottomMm, toMm: one.row.topMm, band, bearsMm: widthMm * share })),
      holds: { edge, fromCornerMm }, couplers: [], keepsOff: [],
    }))
  })
}
