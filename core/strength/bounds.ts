import { adjusted } from '../capacity'
import type { LocalRules } from '../fixings'
import { type Combination, spanAreaMm2 } from '../loads'
import { preparedOf, type RailSetting } from './setting'

/** What no choice of fixings can go past, whatever the rest of the rail does. */
export interface StrengthBounds {
  /** No span between fixings longer than this can pass, mm; Infinity where nothing is known. */
  spanMm: number
  overhangMm: number
  /** No rail with fewer fixings can pass. */
  fixings: number
}

/** Net load of a combination along each stretch, N/mm, for an effective area, without drifts: no greater than it can be. */
const lineOf = (setting: RailSetting, { dead, snow, wind, windActs }: Combination, areaMm2: (bearsMm: number) => number): number[] => setting.line.map((one, i) => {
  const { kinds, kindOf } = preparedOf(setting)
  const kind = kinds[kindOf[i]!]!
  const { up, down } = kind.at(areaMm2(kind.bearsMm))
  return dead * one.dead + snow * one.snow + (windActs === 'up' ? -wind * up : windActs === 'down' ? wind * down : 0)
})

/** Steps in which spans are tried for the bound, mm. */
const STEP_MM = 20

/**
 * The greatest span that a moment growing as w L²/c does not put past M, where w is the least load of any stretch under that
 * span's own area; Infinity where `mostMm` itself passes. From the top down, so that nothing is assumed of what lies between.
 */
function longest(setting: RailSetting, combination: Combination, share: number, mostMm: number): number {
  for (let spanMm = mostMm; spanMm > STEP_MM; spanMm -= STEP_MM) {
    // All of a step is excluded by the load at its longer end, where the area is largest, over its shorter length.
    const along = lineOf(setting, combination, bearsMm => spanAreaMm2(spanMm, bearsMm))
    const least = along.every(w => w > 0) ? Math.min(...along) : along.every(w => w < 0) ? -Math.max(...along) : 0
    if (least * (spanMm - STEP_MM) ** 2 <= share * setting.strength.momentX) return spanMm === mostMm ? Infinity : spanMm
  }
  return STEP_MM
}

/**
 * Bounds that every passing rail keeps. A span of length L under at least w a length, with end moments no greater than M, has
 * at least w L²/8 − M at its middle: so L² ≤ 16 M/w. An overhang has w c²/2 at its support. All fixings together bear the whole
 * load; that is counted only where the rail has one kind of wind along it, at the least pressure of the largest area, since each
 * fixing has its own. They only prune what is tried; they never pass anything.
 * @param rules what is forbidden anyway
 */
export function strengthBounds(setting: RailSetting, { maxSpanMm, maxOverhangMm }: LocalRules): StrengthBounds {
  const { capacity, loadPath, loads, reach, line } = setting
  const lengthMm = reach.toMm - reach.fromMm
  let spanMm = Infinity
  let overhangMm = Infinity
  let fixings = 2
  const alike = new Set(line.map(one => JSON.stringify(one.strips))).size === 1
  for (const combination of loads.combinations.strength) {
    if (loadPath === 'line') {
      spanMm = Math.min(spanMm, longest(setting, combination, 16, Math.min(maxSpanMm, lengthMm)))
      overhangMm = Math.min(overhangMm, longest(setting, combination, 2, Math.min(maxOverhangMm, lengthMm)))
    }
    if (!alike && combination.windActs !== 'none') continue
    const total = lineOf(setting, combination, bearsMm => (maxSpanMm + maxOverhangMm) * bearsMm).reduce((sum, w, i) => sum + w * (line[i]!.toMm - line[i]!.fromMm), 0)
    const one = total < 0 ? upOf(setting, combination) : capacity.held.downN ?? capacity.maker?.downN ?? Infinity
    if (one > 0 && Number.isFinite(one)) fixings = Math.max(fixings, Math.ceil(Math.abs(total) / one - 1e-9))
  }
  // Beyond any rail's own count the bound says nothing useful.
  return { spanMm, overhangMm, fixings: Math.min(fixings, Math.max(2, Math.ceil(lengthMm / 50))) }
}

function upOf({ capacity }: RailSetting, { shortest }: Combination): number {
  if (capacity.held.upN) return capacity.held.upN
  const screws = capacity.timber ? adjusted(capacity.timber, capacity.format, shortest).withdrawalN / capacity.timber.prying : Infinity
  return Math.min(capacity.maker?.upN ?? Infinity, screws)
}

/** Local rules made narrower by what strength alone forbids. */
export const narrowed = (rules: LocalRules, bounds: StrengthBounds) =>
  ({ maxSpanMm: Math.min(rules.maxSpanMm, bounds.spanMm), maxOverhangMm: Math.min(rules.maxOverhangMm, bounds.overhangMm) })
