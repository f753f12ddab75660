import { type Ask, type MarkStep, markStepKinds, type MarkStepKind, stepMaker } from '../trade'
import { type FaceLayout, tradesOn } from '../trades'

/** What is struck on a face that carries nothing yet. */
const BEFORE_ROWS: MarkStepKind[] = ['datum', 'keep-clear']

/** The lines and marks of one face in the order in which a crew strikes them, as the trades say them; those without a mark or a check are left out. */
export function marksOf(ask: Ask<FaceLayout>): MarkStep[] {
  const make = stepMaker(ask.face)
  const kinds = ask.plan.rows.rows.length ? markStepKinds : BEFORE_ROWS
  return kinds.flatMap(kind => tradesOn(ask.plan).flatMap(trade => trade.face?.marks?.[kind]?.(ask, make) ?? [])).filter(step => step.marks.length > 0 || step.checks.length > 0)
}
