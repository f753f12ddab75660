import { formatPower } from '../units'
import type { Circuit, Drop, WiringPlan } from './layout'

export const circuitName = ({ kind, number }: Pick<Circuit, 'kind' | 'number'>): string => `${kind === 'branch' ? 'Branch' : 'String'} ${number}`
/** Modules on a circuit. */
export const modulesIn = (circuit: Circuit): number => circuit.kind === 'branch' ? circuit.units.reduce((sum, unit) => sum + unit.modules.length, 0) : circuit.modules.length

export const amps = (a: number): string => `${Number(a.toFixed(2))} A`
export const volts = (v: number): string => `${v < 10 ? Number(v.toFixed(2)) : v.toFixed(0)} V`
export const percent = (share: number): string => `${(100 * share).toFixed(2)} %`
export const dropWords = ({ volts: v, share, limit }: Drop): string => `${v.toFixed(2)} V, ${percent(share)} of ${percent(limit)}`

/** `row 2, 3rd from the left` as short as it can be. */
export const moduleWords = (id: string): string => {
  const [row, place] = id.replace('row', '').split('-')
  return `row ${row}, module ${place}`
}

/** What the array and its inverters come to, direct over alternating power. */
export function ratioWords({ groups, circuits }: Pick<WiringPlan, 'groups' | 'circuits'>, group: WiringPlan['groups'][number]): string | null {
  const { inverter, sizes } = groups.find(one => one === group)!
  if (!inverter || !sizes) return null
  const dcW = circuits.flatMap(one => one.kind === 'string' && one.groupId === group.group.id ? one.modules : []).reduce((sum, one) => sum + one.powerW, 0)
  const acW = inverter.acW * sizes.inverters
  return `${formatPower(dcW)} of modules on ${formatPower(acW)} of inverter: ${(dcW / acW).toFixed(2)}`
}
