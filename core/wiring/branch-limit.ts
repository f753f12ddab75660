import { type Electronics, type Service, serviceNames, type Trunk } from '../catalogue'
import { current } from '../units'
import type { Working } from '../working'
import { deviceFor, lastDevice, terminalAmps } from '../electrical'

/** So that 16 x 1.0 A on 20 A stays 16 in spite of rounding. */
const JUST = 1e-9

export interface LimitAsk {
  unit: Electronics
  trunk: Trunk | null
  service: Service
  us: boolean
  /** Device and enclosure listed for 100 % of the device's rating. */
  listedFull: boolean
  /** Share of their rating that devices side by side in the board keep (IEC 61439); not used in the US. */
  boardShare: number
  /** The device that somebody chose; null takes the largest allowed. */
  deviceA: number | null
}

export interface BranchLimit {
  /** Units at the most. */
  most: number
  /** A unit's rated continuous output at this service, A. */
  unitA: number
  deviceA: number
  /** The largest device that unit and trunk allow, A. */
  mostDeviceA: number
  governs: 'unit' | 'trunk' | 'device'
  working: Working
}

/**
 * Units on one branch: the floor of the least of three. The unit's current is taken once, at the service's voltage: its output is no source
 * current of 690.8(A), so nothing of 1.25 is on it but the device's own (NEC 690.8(A)(3), 690.9(B); 240.4(D) for small conductors). In Europe
 * Ib <= In <= Iz (IEC 60364-4-43, 433.1) with the board's grouping in the place of 80 %.
 * @returns null where the unit is not made for this service
 */
export function branchLimit({ unit, trunk, service, us, listedFull, boardShare, deviceA }: LimitAsk): BranchLimit | null {
  const unitA = unit.outA[service]
  if (unitA === null) return null
  const byTrunk = trunk ? us ? deviceFor(trunk.conductor) : Math.min(trunk.listedA, terminalAmps(trunk.conductor)) : Infinity
  const allowed = Math.min(unit.mostDeviceA ?? Infinity, byTrunk)
  const mostDeviceA = lastDevice(us, Number.isFinite(allowed) ? allowed : 20) ?? 0
  const device = Math.min(deviceA ?? mostDeviceA, mostDeviceA)
  const share = us ? listedFull ? 1 : 0.8 : boardShare
  const terms = [
    { by: 'unit' as const, most: unit.mostPerBranch[service] ?? Infinity },
    { by: 'trunk' as const, most: trunk ? Math.floor(trunk.listedA / unitA + JUST) : Infinity },
    { by: 'device' as const, most: Math.floor(device * share / unitA + JUST) },
  ]
  const least = terms.reduce((a, b) => b.most < a.most ? b : a)
  return {
    most: Math.max(0, least.most), unitA, deviceA: device, mostDeviceA, governs: least.by,
    working: {
      what: `Units on a branch of ${unit.name}`,
      formula: us ? `⌊min(n, It / I, ${listedFull ? 'Id' : 'Id / 1.25'} / I)⌋` : '⌊min(n, It / I, k Id / I)⌋',
      values: [
        { symbol: 'I', what: `rated continuous output at ${serviceNames[service]}, taken once`, value: current(unitA) },
        { symbol: 'n', what: 'most on a branch by its maker', value: Number.isFinite(terms[0]!.most) ? { kind: 'count', n: terms[0]!.most, of: 'units' } : { kind: 'words', text: 'none given' } },
        { symbol: 'It', what: trunk ? `listed current of ${trunk.name}: ${terms[1]!.most} units` : 'no trunk', value: trunk ? current(trunk.listedA) : { kind: 'words', text: 'none' } },
        { symbol: 'Id', what: `the branch’s own device: ${terms[2]!.most} units`, value: current(device) },
        ...us ? [] : [{ symbol: 'k', what: 'grouping in the board', value: { kind: 'factor' as const, value: boardShare } }],
      ],
      result: { kind: 'count', n: Math.max(0, least.most), of: 'units' },
      source: us ? 'NEC 690.8(A), 690.9(B), 240.4(D)' : 'IEC 60364-4-43, 433.1; IEC 61439 for the grouping',
      basis: 'code',
    },
  }
}

/** The device for branches that come together, A: their currents added up and 1.25 times that in the US; null past the largest. */
export const combinedA = (branchesA: number[], us: boolean): { sumA: number, leastA: number } => {
  const sumA = branchesA.reduce((sum, a) => sum + a, 0)
  return { sumA, leastA: us ? 1.25 * sumA : sumA }
}
