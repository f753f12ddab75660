import type { ChosenParts, Rail } from '../catalogue'
import { type Interval, middleOf, unite } from '../geometry'
import type { RailLines, RowPlan } from '../rows'
import type { CarriedModule, RailPlan, RailSide } from './rail'
import { lineIn } from './zone'

/** Rows whose gap is this near to the kit's share one line of mounts, mm. */
const GAP_PLAY_MM = 2
const ALIKE_MM = 1

/** Where frame edges lie in one line, and the modules that meet there. */
interface EdgeLine { side: RailSide, lineMm: number, carries: CarriedModule[] }

/** The modules of a row as the line along their lower or upper edge carries them: half each. */
const halfOf = (row: RowPlan, half: 'lower' | 'upper'): CarriedModule[] => {
  const middleMm = (row.bottomMm + row.topMm) / 2
  const band: Interval = half === 'lower' ? { fromMm: row.bottomMm, toMm: middleMm } : { fromMm: middleMm, toMm: row.topMm }
  return row.moduleLeftsMm.map((fromMm, module) => ({ row: row.index, module, fromMm, toMm: fromMm + row.moduleWidthMm, band, bearsMm: row.moduleHeightMm / 2 }))
}

/** Lines of frame edges from the eave up. Between rows that stand the kit's gap apart one line of mounts holds both. */
function edgeLines(rows: RowPlan[], kit: NonNullable<Rail['frame']>): EdgeLine[] {
  const joined = (i: number) => i > 0 && i < rows.length && Math.abs(rows[i]!.bottomMm - rows[i - 1]!.topMm - kit.rowGapMm) <= GAP_PLAY_MM
  return rows.flatMap((row, i): EdgeLine[] => [
    joined(i)
      ? { side: 'between', lineMm: (rows[i - 1]!.topMm + row.bottomMm) / 2, carries: [...halfOf(rows[i - 1]!, 'upper'), ...halfOf(row, 'lower')] }
      : { side: 'lower', lineMm: row.bottomMm, carries: halfOf(row, 'lower') },
    ...(joined(i + 1) ? [] : [{ side: 'upper' as const, lineMm: row.topMm, carries: halfOf(row, 'upper') }]),
  ])
}

/**
 * Lines of coupled frames: mounts stand under the modules' own edges, clear of corners and couplers. Each line of frames is
 * taken as one beam of one frame's section, also where two rows share its mounts.
 */
export function frameLines(rows: RowPlan[], { rail, clamps }: ChosenParts, lines: RailLines): RailPlan[] {
  const kit = rail.frame!
  let number = 0
  return edgeLines(rows, kit).flatMap((line) => {
    const stretches = unite(line.carries.map(({ fromMm, toMm }) => ({ fromMm: fromMm - clamps.gapMm, toMm: toMm + clamps.gapMm })))
      .map(({ fromMm, toMm }) => ({ fromMm: fromMm + clamps.gapMm, toMm: toMm - clamps.gapMm }))
    const row = line.side === 'between' ? line.carries[0]!.row : line.carries[0]?.row ?? 0
    return stretches.map((reach, b): RailPlan => {
      const carries = line.carries.filter(one => one.fromMm >= reach.fromMm - ALIKE_MM && one.toMm <= reach.toMm + ALIKE_MM)
      const couplers = couplersOf(carries)
      const half = rail.splice.barMm / 2 + rail.splice.clearMm
      const around = (mm: number, offMm: number): Interval => ({ fromMm: mm - offMm, toMm: mm + offMm })
      const at = lineIn({ fromMm: line.lineMm, toMm: line.lineMm }, lines, null)
      return {
        id: `frames${row + 1}-${line.side}${b ? `-${b + 1}` : ''}`, number: ++number, way: 'across', row, block: b, side: line.side, ...at, reach, fromMm: reach.fromMm, toMm: reach.toMm,
        carries, holds: null, couplers,
        keepsOff: unite([...couplers.map(mm => around(mm, half)), ...carries.flatMap(one => [around(one.fromMm, kit.cornerMm), around(one.toMm, kit.cornerMm)])]),
      }
    })
  })
}

/** Middles of the gaps between neighbours, each once though two rows meet at it. */
function couplersOf(carries: CarriedModule[]): number[] {
  const rows = [...new Set(carries.map(one => one.row))]
  const gaps = rows.flatMap((row) => {
    const own = carries.filter(one => one.row === row).sort((a, b) => a.fromMm - b.fromMm)
    return own.slice(1).map((one, i) => middleOf({ fromMm: own[i]!.toMm, toMm: one.fromMm }))
  }).sort((a, b) => a - b)
  return gaps.filter((mm, i) => i === 0 || mm - gaps[i - 1]! > ALIKE_MM)
}

/** Lines of frames along which the lowest edges show: what gets the kit's skirt. */
export const skirtedLines = (rails: RailPlan[]): RailPlan[] => rails.filter(rail => rail.holds === null && rail.side === 'lower')
