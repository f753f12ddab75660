import type { ChosenParts } from '../catalogue'
import type { Interval } from '../geometry'
import { bearsOver, windAlong } from '../loads'
import type { RailPlan } from '../rails'
import { radians } from '../units'
import type { CheckShare } from './check'
import type { FaceStrength } from './rails'

export const holdKinds = ['module-up', 'module-down', 'clamp-up', 'clamp-slope'] as const
export type HoldKind = typeof holdKinds[number]

/** How far modules and clamps along one rail are used: pressures against the module's declared ones, clamps against their maker's. */
export type ModuleUse = Partial<Record<HoldKind, CheckShare>>

/** The best rating whose stretch holds a rail at this distance from the module's corner; null outside them all. */
export const ratingAt = ({ ratings }: ChosenParts['module'], edge: 'long' | 'short', fromCornerMm: number) =>
  ratings.filter(one => one.edge === edge && fromCornerMm >= one.fromMm - 0.5 && fromCornerMm <= one.toMm + 0.5).sort((a, b) => b.upPa - a.upPa)[0] ?? null

/** One clamp: the middle of half a module on either side of it, or of one at a row's end, with what of the line it holds. */
interface ClampShare { xMm: number, halves: Interval[] }

/** Clamps stand at the modules' edges: between two modules one holds half of each, at a row's end half of one. */
function clampShares(modules: Interval[]): ClampShare[] {
  const sorted = [...modules].sort((a, b) => a.fromMm - b.fromMm)
  const half = ({ fromMm, toMm }: Interval, end: 'left' | 'right'): Interval => end === 'left' ? { fromMm, toMm: (fromMm + toMm) / 2 } : { fromMm: (fromMm + toMm) / 2, toMm }
  return sorted.flatMap((module, i) => {
    const next = sorted[i + 1]
    const joined = next && next.fromMm - module.toMm <= WIDEST_CLAMP_GAP_MM
    const before = i > 0 && module.fromMm - sorted[i - 1]!.toMm <= WIDEST_CLAMP_GAP_MM
    return [
      ...(before ? [] : [{ xMm: module.fromMm, halves: [half(module, 'left')] }]),
      { xMm: module.toMm, halves: joined ? [half(module, 'right'), half(next, 'left')] : [half(module, 'right')] },
    ]
  })
}

/** Modules farther apart than this have clamps of their own at that edge, mm. */
const WIDEST_CLAMP_GAP_MM = 60

/**
 * Modules and clamps along one rail, at their worst. A module's declared pressures are unfactored, so they are set against the
 * unfactored combinations, its effective area being one module; a clamp holds its own tributary area and takes that area's pressure.
 */
export function moduleUse({ loads, lines }: FaceStrength, r: number, { holds, carries }: RailPlan, { module, clamps, rail }: ChosenParts): ModuleUse {
  const use: ModuleUse = {}
  const note = (kind: HoldKind, value: number, limit: number | undefined, combination: string, xMm: number) => {
    if (limit === undefined || value <= 0) return
    const share = value / limit
    if (share > (use[kind]?.share ?? -1)) use[kind] = { share, combination, xMm, value, limit }
  }
  const angle = radians(loads.pitchDeg)
  const rating = holds ? ratingAt(module, holds.edge, holds.fromCornerMm) : rail.frame
  const line = lines[r]!
  for (const stretch of line) {
    const xMm = (stretch.fromMm + stretch.toMm) / 2
    const driftPa = stretch.drift > 0 ? loads.snow.drift!.pa : 0
    for (const { name, dead, snow, wind, windActs } of loads.combinations.service) {
      const snowPa = Math.max(loads.snow.uniformPa, driftPa > 0 ? loads.snow.balancedPa + driftPa : 0)
      const gravity = dead * loads.deadPa * Math.cos(angle) + snow * snowPa * Math.cos(angle) ** 2
      const pa = gravity + (windActs === 'up' ? -wind * stretch.modulePa.upPa : windActs === 'down' ? wind * stretch.modulePa.downPa : 0)
      note(pa < 0 ? 'module-up' : 'module-down', Math.abs(pa), pa < 0 ? rating?.upPa : rating?.downPa, name, xMm)
    }
  }
  // Coupled frames have no clamps of their own: the mount's grip is part of what the mount holds.
  const held = holds ? clamps.resistances.find(one => one.format === loads.format) : undefined
  if (!held) return use
  for (const { xMm, halves } of clampShares(carries)) {
    const parts = line.flatMap(stretch => halves.flatMap((half) => {
      const lengthMm = Math.min(half.toMm, stretch.toMm) - Math.max(half.fromMm, stretch.fromMm)
      return lengthMm > 0 ? [{ stretch, lengthMm }] : []
    }))
    const areaMm2 = parts.reduce((sum, { stretch, lengthMm }) => sum + lengthMm * bearsOver(stretch), 0)
    for (const { name, dead, snow, wind, windActs } of loads.combinations.strength) {
      let [upN, slopeN] = [0, 0]
      for (const { stretch, lengthMm } of parts) {
        const uniform = stretch.snow
        const drifted = loads.snow.uniformPa > 0 ? uniform * loads.snow.balancedPa / loads.snow.uniformPa + stretch.drift : 0
        const gravity = dead * stretch.dead + snow * Math.max(uniform, drifted)
        slopeN += gravity * Math.tan(angle) * lengthMm
        upN += lengthMm * ((windActs === 'up' ? wind * windAlong(loads, stretch, areaMm2).up : 0) - dead * stretch.dead)
      }
      if (windActs === 'up') note('clamp-up', upN, held.upN, name, xMm)
      note('clamp-slope', slopeN, held.slopeN, name, xMm)
    }
  }
  return use
}
