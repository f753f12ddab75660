import { datumStep, keepClearSteps, railLines, rowSteps, supportSteps } from './lines'
import type { MarkoutInput } from './input'
import { boltSteps, fixingSteps, moduleSteps, spliceSteps, trimSteps } from './points'
import { type MarkStep, stepMaker } from './step'

/** The lines and marks of one face in the order in which a crew strikes them, from the eave up or from the ridge down. */
export function markoutSteps(input: MarkoutInput): MarkStep[] {
  const make = stepMaker(input.face)
  const steps = [
    datumStep(input, make),
    ...keepClearSteps(input, make),
    ...(input.rows.rows.length
      ? [
          ...rowSteps(input, make), railLines(input, make), ...supportSteps(input, make), ...fixingSteps(input, make), ...boltSteps(input, make),
          ...moduleSteps(input, make), ...spliceSteps(input, make), ...trimSteps(input, make),
        ]
      : []),
  ]
  return steps.filter(step => step.marks.length > 0 || step.checks.length > 0)
}
