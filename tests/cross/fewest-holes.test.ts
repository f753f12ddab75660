import { describe, expect, it } from 'vitest'
import { FULL, isProved, shortfalls, type Ways, waysFor } from '../../core/fixings'
import { checkRail, judgeOf, strengthBounds } from '../../core/strength'
import { loadedRail, type LoadedRail, stronger, windier } from '../fixtures/loaded-rails'
import { seeded } from '../fixtures/random'
import { keeps } from '../fixtures/rails'

const waysOf = ({ setting, candidates, rules }: LoadedRail): Ways => waysFor({ candidates, reach: setting.reach, judge: judgeOf(setting, rules), even: null, finite: true }, rules, 0)
const usable = ({ candidates, setting, rules }: LoadedRail) => candidates.length >= 2 && !shortfalls(candidates, setting.reach, rules).length

/** Every subset of places by brute force: the fewest that keep the local rules and pass every check of the whole rail; null where none does. */
function byEnumeration({ setting, candidates, rules }: LoadedRail): number | null {
  let best: number | null = null
  for (let mask = 1; mask < 2 ** candidates.length; mask++) {
    const xs = candidates.filter((_, i) => mask & (1 << i)).map(one => one.atMm)
    if (best !== null && xs.length >= best) continue
    if (keeps(xs, { reach: setting.reach, rules }) && (checkRail(setting, xs)?.worst ?? 99) <= FULL) best = xs.length
  }
  return best
}

describe('the fewest fixings of a loaded rail', () => {
  it('are those that trying every subset of places with beam checks finds, on 500 small rails', { timeout: 240_000 }, () => {
    const random = seeded(808)
    let compared = 0
    let impossible = 0
    let byStrength = 0
    let proved = 0
    while (compared < 500) {
      const rail = loadedRail(random)
      if (!usable(rail)) continue
      compared++
      const ours = waysOf(rail)
      const best = byEnumeration(rail)
      if (best === null) {
        impossible++
        expect(ours.over).toBeGreaterThan(1)
        continue
      }
      expect(ours.over).toBeNull()
      expect(ours.options.some(ours.passes)).toBe(true)
      expect(ours.fewest).toBeGreaterThanOrEqual(best)
      if (isProved(ours)) {
        proved++
        expect(ours.fewest).toBe(best)
      }
      const loose = waysFor({ candidates: rail.candidates, reach: rail.setting.reach, judge: null, even: null, finite: true }, rail.rules, 0)
      if (ours.fewest > loose.fewest) byStrength++
    }
    console.log(`Fixings: 500 small rails, ${proved} proved and equal to enumeration, ${byStrength} need more than the local rules ask, ${impossible} can’t be had`)
    expect(proved).toBeGreaterThan(0.97 * (500 - impossible))
    expect(byStrength).toBeGreaterThan(40)
    expect(impossible).toBeGreaterThan(10)
  })

  it('never fall when the wind rises, never rise when the section grows or places are added, on proved optima', { timeout: 120_000 }, () => {
    const random = seeded(4)
    const fewest = (rail: LoadedRail): number | null => {
      const ways = waysOf(rail)
      return ways.over !== null ? Infinity : isProved(ways) ? ways.fewest : null
    }
    let compared = 0
    for (let i = 0; i < 260; i++) {
      const rail = loadedRail(random)
      if (!usable(rail)) continue
      const own = fewest(rail)
      const [more, strong] = [fewest(windier(rail, 1.35)), fewest(stronger(rail, 1.5))]
      const fewer = { ...rail, candidates: rail.candidates.filter((_, k) => k % 4 !== 2) }
      const without = usable(fewer) ? fewest(fewer) : null
      if (own !== null && more !== null) expect(more).toBeGreaterThanOrEqual(own)
      if (own !== null && strong !== null) expect(strong).toBeLessThanOrEqual(own)
      if (own !== null && without !== null) expect(without).toBeGreaterThanOrEqual(own)
      compared++
    }
    expect(compared).toBeGreaterThan(80)
  })

  it('are bounded from below by no span, overhang or count that a passing rail goes past', () => {
    const random = seeded(51)
    for (let i = 0; i < 120; i++) {
      const rail = loadedRail(random)
      if (!usable(rail)) continue
      const bounds = strengthBounds(rail.setting, rail.rules)
      for (let mask = 3; mask < 2 ** Math.min(8, rail.candidates.length); mask++) {
        const xs = rail.candidates.filter((_, k) => mask & (1 << k)).map(one => one.atMm)
        if (xs.length < 2 || (checkRail(rail.setting, xs)?.worst ?? 99) > 1) continue
        expect(xs.length).toBeGreaterThanOrEqual(bounds.fixings)
        xs.slice(1).forEach((x, k) => expect(x - xs[k]!).toBeLessThanOrEqual(bounds.spanMm + 1e-6))
        expect(Math.max(xs[0]! - rail.setting.reach.fromMm, rail.setting.reach.toMm - xs.at(-1)!)).toBeLessThanOrEqual(bounds.overhangMm + 1e-6)
      }
    }
  })
})
