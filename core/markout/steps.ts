import { datumStep, keepClearSteps, railLines, rowSteps, supportSteps } from './lines'
import type { MarkoutInput } from './input'
import { boltSteps, electronicsSteps, fixingSteps, moduleSteps, spliceSteps, trimSteps, trunkSteps } from './points'
import { type MarkStep, stepMaker } from './step'

/**
 * The lines and marks of one face in the order in which a crew strikes them: datum and square, supports, rows, rails, fixings,
 * splices, bolts, electronics and trunk, modules, trim; from the eave up or from the ridge down.
 */
export function markoutSteps(input: MarkoutInput): MarkStep[] {
  const make = stepMaker(input.face)
  const rows = input.rows.rows.length ? rowSteps(input, make) : null
  const steps = [
    datumStep(input, make),
    ...keepClearSteps(input, make),
    ...(rows
      ? [
          ...rows.square, ...supportSteps(input, make), ...rows.lines, railLines(input, make), ...fixingSteps(input, make), ...spliceSteps(input, make), ...boltSteps(input, make),
          ...electronicsSteps(input, make), ...trunkSteps(input, make), ...moduleSteps(input, make), ...trimSteps(input, make),
        ]
      : []),
  ]
  return steps.filter(step => step.marks.length > 0 || step.checks.length > 0)
}
