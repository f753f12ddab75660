import { type Bounds, leastFixingUse } from '../../capacity'
import { radians } from '../../units'
import { tributariesOf } from '../cases'
import type { PreparedSetting, RailSetting } from '../setting'
import { type Boxes, leastTimes, mostTimes } from './boxes'
import { type RelaxedBeams, systems, totalOf } from './beams'
import { OUTWARD } from './outward'

/** No fixing on that side. */
export const NONE = -1

/** What one fixing bears under each system, N: r + s M, M a moment that is known within bounds; and the wind by its own tributary area. */
export interface Watched { r: Boxes, sLo: number, sHi: number, wind: Float64Array }

/**
 * Whether a fixing can bear what presses on it, each system's share of it being r + s M within bounds, with the wind by its own tributary
 * area between its neighbours.
 */
export function fixingsOf(setting: RailSetting, own: PreparedSetting, beams: RelaxedBeams, xs: number[], most: number) {
  const { capacity, slope } = setting
  const tangent = Math.tan(radians(setting.loads.pitchDeg))
  const n = xs.length
  const kinds = own.kinds.length
  const drifts = own.drift !== null
  // Along a rail up the slope its fixings share what pulls down it: each at least this with the most of them.
  const along = slope === 'along' ? own.strength.map(one => totalOf(own.gravity) * one.gravity + (own.drift ? totalOf(own.drift) * one.drift : 0)) : []
  const { hook } = capacity
  const hookN = hook ? hook.clearMm * hook.stiffnessNPerMm * OUTWARD : Infinity
  const lo = new Float64Array(beams.systemCount)
  const hi = new Float64Array(beams.systemCount)
  const press: Bounds = { lo: 0, hi: 0 }
  const down: Bounds = { lo: 0, hi: 0 }
  const winds = new Map<number, Float64Array>()

  /** Wind on each kind of stretch for the fixing at i, by its tributary area: up and down in turn, N/mm. */
  function windAt(before: number, i: number, after: number): Float64Array {
    const key = ((before + 1) * n + i) * (n + 1) + after + 1
    const ready = winds.get(key)
    if (ready) return ready
    const near = [...before === NONE ? [] : [xs[before]!], xs[i]!, ...after === NONE ? [] : [xs[after]!]]
    const tributaryMm = tributariesOf(setting, near)[before === NONE ? 0 : 1]!
    const made = new Float64Array(2 * kinds)
    own.kinds.forEach((kind, k) => {
      const { up, down } = kind.at(tributaryMm * kind.bearsMm)
      made[2 * k] = up
      made[2 * k + 1] = down
    })
    winds.set(key, made)
    return made
  }

  function bearsCase(c: number, wind: Float64Array): boolean {
    const serves = c >= own.strength.length
    const one = serves ? own.service[c - own.strength.length]! : own.strength[c]!
    let least = one.gravity * (one.gravity >= 0 ? lo[0]! : hi[0]!)
    let greatest = one.gravity * (one.gravity >= 0 ? hi[0]! : lo[0]!)
    if (drifts && one.drift > 0) {
      least += one.drift * lo[systems.drift]!
      greatest += one.drift * hi[systems.drift]!
    }
    down.lo = slope === 'along' ? (along[c] ?? 0) / most * tangent : Math.max(0, least) * tangent
    down.hi = slope === 'along' ? (along[c] ?? 0) * tangent : Math.max(0, greatest) * tangent
    const { wind: times, windActs, shortest } = one.combination
    if (windActs !== 'none') {
      for (let k = 0; k < kinds; k++) {
        const by = windActs === 'up' ? -times * wind[2 * k]! : times * wind[2 * k + 1]!
        const s = systems.kinds + k
        least += by * (by >= 0 ? lo[s]! : hi[s]!)
        greatest += by * (by >= 0 ? hi[s]! : lo[s]!)
      }
    }
    if (serves) return least <= hookN
    press.lo = least
    press.hi = greatest
    return leastFixingUse(capacity, press, down, shortest) <= OUTWARD
  }

  const cases = own.strength.length + (hook ? own.service.length : 0)
  const mayBear = ({ r, sLo, sHi, wind }: Watched, m: Boxes): boolean => {
    for (let s = 0; s < beams.systemCount; s++) {
      const q = beams.ofSystem[s]!
      if (q < 0) continue
      lo[s] = r.lo[s]! + leastTimes(sLo, sHi, m.lo[q]!, m.hi[q]!)
      hi[s] = r.hi[s]! + mostTimes(sLo, sHi, m.lo[q]!, m.hi[q]!)
    }
    for (let c = 0; c < cases; c++) if (!bearsCase(c, wind)) return false
    return true
  }
  return { windAt, mayBear }
}
