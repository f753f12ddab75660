import { type GroundPlan, labelMade } from '../../ground'
import type { PackLabel } from '../pages'
import { letterOf } from './elevation'

/** Labels as a pack prints them: numbered, each with the letter of what it is put on. */
export const packLabels = (grid: GroundPlan): PackLabel[] => grid.labels.map((one, i) => ({
  text: one.text, where: one.thingId === null ? `L${i + 1}, ${one.where}` : `L${i + 1}, at ${letterOf(grid, one.thingId)}: ${one.where}`, clause: one.clause, made: labelMade(one, grid.rules.us), reflective: one.reflective,
}))
