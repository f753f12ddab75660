import { formatPower } from '../units'
import type { PlanTotals } from './layout'

const sign = (n: number): string => n > 0 ? `+${n}` : `−${Math.abs(n)}`

/** What a change did to the plan, in words such as `fixings +2`; empty when no total moved. */
export function changesBetween(before: PlanTotals, after: PlanTotals): string[] {
  const named: [keyof PlanTotals, string][] = [['modules', 'modules'], ['fixings', 'fixings'], ['sticks', 'sticks'], ['splices', 'splices'], ['stops', 'stops']]
  const changes = named.filter(([key]) => before[key] !== after[key]).map(([key, name]) => `${name} ${sign(after[key] - before[key])}`)
  if (before.powerW !== after.powerW) changes.push(`power ${after.powerW > before.powerW ? '+' : '−'}${formatPower(Math.abs(after.powerW - before.powerW))}`)
  return changes
}
