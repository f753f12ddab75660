import type { ChosenParts } from '../catalogue'
import { type ArrayRules, plainRow } from '../job'
import type { RailLines, RowPlan } from '../rows'
import type { RailPlan } from './rail'
import { leverShares, lineIn } from './zone'

/** Two rails along the eave for every run of a row, each inside its module's clamp zone. */
export function railsAcross(rows: RowPlan[], array: ArrayRules, { module, clamps }: ChosenParts, lines: RailLines): RailPlan[] {
  let number = 0
  return rows.flatMap((row) => {
    const rule = array.rows[row.index] ?? plainRow
    const edge = row.orientation === 'upright' ? 'long' as const : 'short' as const
    const zone = edge === 'long' ? module.clampZones.longEdge : module.clampZones.shortEdge
    const { bottomMm, topMm, moduleHeightMm } = row
    const reaches = row.blocks.map(({ leftMm, rightMm }) => ({ fromMm: leftMm, toMm: rightMm }))
    const typed = (mm: number | null) => mm === null ? null : bottomMm + mm
    const lower = lineIn({ fromMm: bottomMm + zone.fromMm, toMm: bottomMm + zone.toMm }, lines, typed(rule.lowerRailMm), reaches)
    const upper = lineIn({ fromMm: topMm - zone.toMm, toMm: topMm - zone.fromMm }, lines, typed(rule.upperRailMm), reaches)
    const shares = leverShares(lower.lineMm - bottomMm, upper.lineMm - bottomMm, moduleHeightMm)
    const middleMm = (bottomMm + topMm) / 2
    let first = 0
    return row.blocks.flatMap((block, b) => {
      const modules = block.moduleLeftsMm.map((fromMm, i) => ({ row: row.index, module: first + i, fromMm, toMm: fromMm + row.moduleWidthMm }))
      first += block.count
      return ([
        ['lower', lower, shares.low, { fromMm: bottomMm, toMm: middleMm }, lower.lineMm - bottomMm],
        ['upper', upper, shares.high, { fromMm: middleMm, toMm: topMm }, topMm - upper.lineMm],
      ] as const).map(([side, line, share, band, fromCornerMm]): RailPlan => ({
        id: `row${row.index + 1}${b ? `-${b + 1}` : ''}-${side}`, number: ++number, way: 'across', row: row.index, block: b, side, ...line,
        reach: { fromMm: block.leftMm, toMm: block.rightMm }, fromMm: block.leftMm - clamps.railPastMm, toMm: block.rightMm + clamps.railPastMm,
        carries: modules.map(one => ({ ...one, band, bearsMm: moduleHeightMm * share })), holds: { edge, fromCornerMm }, couplers: [], keepsOff: [],
      }))
    })
  })
}
