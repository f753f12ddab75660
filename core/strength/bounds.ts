import { adjusted } from '../capacity'
import type { Combination } from '../loads'
import type { RailSetting } from './check'

/** What no choice of fixings can go past, whatever the rest of the rail does. */
export interface StrengthBounds {
  /** No span between fixings longer than this can pass, mm; Infinity where nothing is known. */
  spanMm: number
  overhangMm: number
  /** No rail with fewer fixings can pass. */
  fixings: number
}

const lineOf = (setting: RailSetting, { dead, snow, wind, windActs }: Combination, part: 'rail' | 'fixing'): number[] => setting.line.map((one) => {
  const [up, down] = part === 'rail' ? [one.railUp, one.railDown] : [one.fixingUp, one.fixingDown]
  return dead * one.dead + snow * one.snow + (windActs === 'up' ? -wind * up : windActs === 'down' ? wind * down : 0)
})

/**
 * Bounds that every passing rail keeps. A span of length L under at least w a length, with end moments no greater than M, has
 * at least w L²/8 − M at its middle: so L² ≤ 16 M/w. An overhang has w c²/2 at its support. All fixings together bear the
 * whole load. They only prune what is tried; they never pass anything.
 */
export function strengthBounds(setting: RailSetting): StrengthBounds {
  const { line, strength, capacity, loadPath, loads, reach } = setting
  let spanMm = Infinity
  let overhangMm = Infinity
  let fixings = 2
  for (const combination of loads.combinations.strength) {
    const along = lineOf(setting, combination, 'rail')
    const least = along.every(w => w > 0) ? Math.min(...along) : along.every(w => w < 0) ? -Math.max(...along) : 0
    if (least > 0 && loadPath === 'line') {
      spanMm = Math.min(spanMm, Math.sqrt(16 * strength.momentX / least))
      overhangMm = Math.min(overhangMm, Math.sqrt(2 * strength.momentX / least))
    }
    const total = lineOf(setting, combination, 'fixing').reduce((sum, w, i) => sum + w * (line[i]!.toMm - line[i]!.fromMm), 0)
    const one = total < 0 ? upOf(setting, combination) : capacity.held.downN ?? capacity.maker?.downN ?? Infinity
    if (one > 0 && Number.isFinite(one)) fixings = Math.max(fixings, Math.ceil(Math.abs(total) / one - 1e-9))
  }
  // Beyond any rail's own count the bound says nothing useful.
  return { spanMm, overhangMm, fixings: Math.min(fixings, Math.max(2, Math.ceil((reach.toMm - reach.fromMm) / 50))) }
}

function upOf({ capacity }: RailSetting, { shortest }: Combination): number {
  if (capacity.held.upN) return capacity.held.upN
  const screws = capacity.timber ? adjusted(capacity.timber, capacity.format, shortest).withdrawalN / capacity.timber.prying : Infinity
  return Math.min(capacity.maker?.upN ?? Infinity, screws)
}

/** Local rules made narrower by what strength alone forbids. */
export const narrowed = (rules: { maxSpanMm: number, maxOverhangMm: number }, bounds: StrengthBounds) =>
  ({ maxSpanMm: Math.min(rules.maxSpanMm, bounds.spanMm), maxOverhangMm: Math.min(rules.maxOverhangMm, bounds.overhangMm) })
