import { describe, expect, it } from 'vitest'
import { loadedRail, type LoadedRail, longLoadedRail } from '../../../tests/fixtures/loaded-rails'
import { type Random, seeded } from '../../../tests/fixtures/random'
import { singleSteps, stepsGiven } from '../../fixings'
import { checkRail } from '../check'
import type { RailSetting } from '../setting'
import { relaxedRail } from './relaxed'

/** Rails as they come besides: loaded through clamps, of coupled frames, up the slope, with drifted snow, under other codes' factors. */
function anyKind(random: Random): LoadedRail {
  const rail = random.next() < 0.5 ? loadedRail(random) : longLoadedRail(random)
  const { setting } = rail
  const { fromMm, toMm } = setting.reach
  const moduleMm = random.between(900, 1800)
  const modules = Array.from({ length: Math.ceil((toMm - fromMm) / moduleMm) }, (_, i) => ({ fromMm: fromMm + i * moduleMm, toMm: Math.min(toMm, fromMm + (i + 1) * moduleMm - 20) }))
  const couplers = random.next() < 0.3 ? Array.from({ length: random.whole(1, 3) }, () => ({ xMm: random.between(fromMm + 200, toMm - 200), stiffness: 0 })).sort((a, b) => a.xMm - b.xMm) : []
  const drift = random.next() < 0.3 ? random.between(0.1, 0.5) : 0
  const wide: RailSetting = {
    ...setting, modules, couplers, loadPath: random.pick(['line', 'clamps'] as const), slope: random.pick(['across', 'across', 'along', 'by-modules'] as const),
    line: setting.line.map((one, i) => ({ ...one, drift: i === 0 ? drift : 0 })),
    loads: { ...setting.loads, snow: { ...setting.loads.snow, uniformPa: 700, balancedPa: 500 } },
  }
  return { ...rail, setting: wide }
}

/** The same rail with all that it bears made so much more or less. */
function bearing(setting: RailSetting, by: number): RailSetting {
  const { strength, capacity, deflectionOver } = setting
  const { maker, timber, held, hook } = capacity
  const times = (n: number | null) => n === null ? null : n * by
  return {
    ...setting, deflectionOver: deflectionOver / by, strength: { ...strength, momentX: strength.momentX * by, momentY: strength.momentY * by, shearN: strength.shearN * by },
    capacity: {
      ...capacity, maker: maker && { ...maker, upN: maker.upN * by, downN: maker.downN * by, slopeN: maker.slopeN * by },
      timber: timber && { ...timber, withdrawalN: timber.withdrawalN * by, lateralN: timber.lateralN * by },
      held: { upN: times(held.upN), downN: times(held.downN), slopeN: times(held.slopeN) }, hook: hook && { ...hook, clearMm: hook.clearMm * by },
    },
  }
}

/** A walk over the places inside the local rules; null where it comes to no end. */
function placement(random: Random, steps: ReturnType<typeof stepsGiven>, n: number): number[] | null {
  const firsts = Array.from({ length: n }, (_, i) => i).filter(steps.mayStart)
  if (!firsts.length) return null
  const picks = [random.pick(firsts)]
  for (;;) {
    const at = picks.at(-1)!
    if (picks.length > 1 && steps.mayEnd(at) && (random.next() < 0.5 || !steps.next[at]!.length)) return picks
    if (!steps.next[at]!.length) return null
    // Short steps pass more often.
    picks.push(steps.next[at]![Math.floor(random.next() ** 2 * steps.next[at]!.length)]!)
  }
}

describe('what is thrown away of a rail', () => {
  it('is never one that just passes: placements on 700 rails of every kind, with all that bears them scaled to what they use; and nearly always one that just fails', { timeout: 240_000 }, () => {
    const random = seeded(616)
    const governed = new Map<string, number>()
    const failing = { asked: 0, thrown: 0 }
    const kept = (setting: RailSetting, xs: number[], steps: ReturnType<typeof stepsGiven>, picks: number[], longestMm: number) => {
      const relaxed = relaxedRail(setting, xs, steps, picks.length, longestMm)
      let part = relaxed.begin(picks[0]!)
      for (const i of picks.slice(1)) part &&= relaxed.extend(part, i)
      return part !== null && relaxed.mayEnd(part)
    }
    for (let k = 0; k < 700; k++) {
      const { setting, candidates, rules } = anyKind(random)
      const xs = candidates.map(one => one.atMm)
      if (xs.length < 3) continue
      const steps = stepsGiven(singleSteps({ candidates, reach: setting.reach }, rules), xs)
      const picks = placement(random, steps, xs.length)
      const places = picks?.map(i => xs[i]!) ?? []
      const use = picks && checkRail(setting, places)
      if (!picks || !use || use.worst > 50) continue
      const own = bearing(setting, use.worst * 1.0005)
      const scaled = checkRail(own, places)!
      expect(scaled.worst).toBeLessThanOrEqual(1)
      expect(scaled.worst).toBeGreaterThan(0.99)
      governed.set(scaled.governs, (governed.get(scaled.governs) ?? 0) + 1)
      expect(kept(own, xs, steps, picks, rules.maxSpanMm), `${k} ${scaled.governs} ${picks.join()}`).toBe(true)
      // By itself a placement is known to its end: what is a hundredth over is seen, but where it hangs over or modules press through clamps.
      if (setting.loadPath === 'clamps' || scaled.governs === 'overhang-deflection') continue
      failing.asked++
      if (!kept(bearing(setting, use.worst / 1.01), xs, steps, picks, rules.maxSpanMm)) failing.thrown++
    }
    console.log('Rails that just pass, by what governs:', [...governed], 'just failing:', failing)
    expect(failing.thrown).toBeGreaterThan(0.9 * failing.asked)
    for (const kind of ['bending', 'fixing-up', 'fixing-slope']) expect(governed.get(kind) ?? 0, kind).toBeGreaterThan(20)
  })
  it('is never one that passes the whole check, alone or taken together with others, on 900 rails of every kind', { timeout: 240_000 }, () => {
    const random = seeded(515)
    let passed = 0
    let together = 0
    let thrown = 0
    let failed = 0
    const kinds = { clamps: 0, couplers: 0, along: 0, drift: 0 }
    for (let k = 0; k < 900; k++) {
      const rail = anyKind(random)
      const { setting, candidates, rules } = rail
      const xs = candidates.map(one => one.atMm)
      if (xs.length < 3) continue
      const steps = stepsGiven(singleSteps({ candidates, reach: setting.reach }, rules), xs)
      const relaxed = relaxedRail(setting, xs, steps, xs.length, rules.maxSpanMm)
      const others = new Map<number, NonNullable<ReturnType<typeof relaxed.begin>>>()
      for (let walk = 0; walk < 8; walk++) {
        const picks = placement(random, steps, xs.length)
        if (!picks) continue
        const passes = (checkRail(setting, picks.map(i => xs[i]!), [], { quick: true })?.worst ?? 99) <= 1
        let part = relaxed.begin(picks[0]!)
        for (const i of picks.slice(1)) {
          const last = part && others.get(part.last)
          // Now and then in company of another that came to the same place.
          if (part && last && last.settled === part.settled && last.before === part.before && random.next() < 0.4) {
            part = relaxed.hull(part, last)
            if (passes) together++
          }
          if (part) others.set(part.last, part)
          part &&= relaxed.extend(part, i)
        }
        const kept = part !== null && relaxed.mayEnd(part)
        if (passes) {
          expect(kept, JSON.stringify([k, walk, picks])).toBe(true)
          passed++
          if (setting.loadPath === 'clamps') kinds.clamps++
          if (setting.couplers.length) kinds.couplers++
          if (setting.slope === 'along') kinds.along++
          if (setting.line[0]!.drift > 0) kinds.drift++
        }
        else {
          failed++
          if (!kept) thrown++
        }
      }
    }
    console.log(`Relaxed rails: ${passed} that pass all kept, ${together} times in company; of ${failed} that fail ${thrown} thrown away before the whole check`, kinds)
    expect(passed).toBeGreaterThan(600)
    expect(together).toBeGreaterThan(200)
    expect(Math.min(...Object.values(kinds))).toBeGreaterThan(80)
    // It must throw away nearly all that fails, or it proves nothing.
    expect(thrown).toBeGreaterThan(0.85 * failed)
  })
})
