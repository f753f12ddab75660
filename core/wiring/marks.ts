import type { StrengthLayout } from '../strength'
import { type Ask, inBuildOrder, type MarkStep, type StepMaker } from '../trade'
import { length } from '../units'

type Built = Ask<StrengthLayout>

const upperRail = ({ plan: { rails } }: Built, row: number) => rails.find(rail => rail.row === row && rail.side === 'upper')

/** A unit near the middle of every module, along one line a row. */
export function electronicsSteps(ask: Built, make: StepMaker): MarkStep[] {
  return inBuildOrder(ask.face, ask.plan.rows.rows).map((row) => {
    const upper = upperRail(ask, row.index)
    return make({
      id: `electronics-row${row.index + 1}`, kind: 'electronics', title: `Electronics, row ${row.index + 1}`, tape: 'along', lineMm: upper?.lineMm ?? null,
      instruction: `${upper ? 'On the upper rail' : ask.plan.rails.length ? 'On a rail or the frame' : 'On the frame, or on a batten beside it'}, near the middle of each module, not under its junction box and not across two modules.`,
      marks: row.moduleLeftsMm.map((leftMm, i) => ({ label: `Unit ${i + 1}`, mm: leftMm + row.moduleWidthMm / 2 })),
    })
  })
}

/** The trunk cable: along each row from its first unit to its last, and from row to row. */
export function trunkSteps(ask: Built, make: StepMaker): MarkStep[] {
  const rows = inBuildOrder(ask.face, ask.plan.rows.rows).filter(row => row.count > 0)
  if (!rows.length) return []
  const heightOf = (row: typeof rows[number]) => upperRail(ask, row.index)?.lineMm ?? (row.bottomMm + row.topMm) / 2
  return [make({
    id: 'trunk', kind: 'trunk', title: 'Trunk cable', tape: 'along', lineMm: null, marks: [],
    instruction: `Clip the trunk to the ${ask.plan.rails.length ? 'rail under the units' : 'frames beside the units'}, clear of the roof, slack at every joint. Cap what stays unused with the maker’s caps and close the end with its terminator.`,
    checks: [
      ...rows.map(row => ({ label: `Row ${row.index + 1}, first unit to last`, value: length(row.moduleLeftsMm.at(-1)! - row.moduleLeftsMm[0]!), note: '' })),
      ...rows.slice(1).map((row, i) => ({
        label: `Row ${rows[i]!.index + 1} to row ${row.index + 1}`,
        value: length(Math.abs(heightOf(row) - heightOf(rows[i]!))),
        note: 'Up the slope',
      })),
    ],
  })]
}
