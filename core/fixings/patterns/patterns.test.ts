import { describe, expect, it } from 'vitest'
import { asCandidate, everyChoice, smallRail, type SmallRail } from '../../../tests/fixtures/rails'
import { type Random, seeded } from '../../../tests/fixtures/random'
import { choosePattern } from './index'

/** A few rails over the same irregular rafters, some shorter than others. */
function someRails(random: Random, n: number): SmallRail[] {
  for (;;) {
    const base = smallRail(random)
    if (base.candidates.length < 4 || base.candidates.length > 9) continue
    const rails = Array.from({ length: n }, () => {
      const reach = { fromMm: base.reach.fromMm, toMm: base.reach.toMm - (random.next() < 0.3 ? random.between(0, 900) : 0) }
      return { ...base, reach, candidates: base.candidates.filter(one => one.atMm <= reach.toMm) }
    })
    if (rails.every(rail => everyChoice(rail).length > 0)) return rails
  }
}

/** Every way to take one choice a rail. */
function combinations(lists: number[][][]): number[][][] {
  return lists.reduce<number[][][]>((all, options) => all.flatMap(chosen => options.map(option => [...chosen, option])), [[]])
}

const leastOnly = (lists: number[][]) => lists.filter(picks => picks.length === Math.min(...lists.map(one => one.length)))
const membersOf = (rails: SmallRail[], picks: number[][]) => picks.map((own, r) => own.map(i => rails[r]!.candidates[i]!.member))

describe('patterns over several rails, against every combination', () => {
  it('soft stagger: the fewest on every rail, and of those the most distinct rafters', () => {
    const random = seeded(11)
    for (let i = 0; i < 120; i++) {
      const rails = someRails(random, 3)
      const result = choosePattern('soft-stagger', rails, rails[0]!.rules)!
      const every = combinations(rails.map(rail => leastOnly(everyChoice(rail))))
      const most = Math.max(...every.map(picks => new Set(membersOf(rails, picks).flat()).size))
      expect(result.picks.map(picks => picks.length)).toEqual(every[0]!.map(picks => picks.length))
      expect(result.spreadProved).toBe(true)
      expect(result.members).toBe(most)
    }
  })

  it('hard stagger: no rafter shared by neighbours, at the least total', () => {
    const random = seeded(12)
    let had = 0
    for (let i = 0; i < 120; i++) {
      // Generous rules, so that there is room for two sets of rafters.
      const rails = someRails(random, 3).map(rail => ({ ...rail, rules: { maxSpanMm: rail.rules.maxSpanMm * 1.8, maxOverhangMm: rail.rules.maxOverhangMm * 2.2 } }))
      const lists = rails.map(everyChoice)
      if (lists.some(list => list.length > 60)) continue
      const result = choosePattern('hard-stagger', rails, rails[0]!.rules)
      const disjoint = combinations(lists).filter((picks) => {
        const members = membersOf(rails, picks)
        return members.slice(1).every((own, r) => !own.some(member => members[r]!.includes(member)))
      })
      const least = Math.min(...disjoint.map(picks => picks.flat().length))
      if (result?.proved.every(Boolean)) {
        had++
        expect(result.total).toBe(least)
        const members = membersOf(rails, result.picks)
        members.slice(1).forEach((own, r) => expect(own.filter(member => members[r]!.includes(member))).toEqual([]))
      }
      if (!result) expect(least - rails.reduce((sum, rail) => sum + leastOnly(everyChoice(rail))[0]!.length, 0)).toBeGreaterThan(3)
    }
    expect(had).toBeGreaterThan(10)
  })

  it('aligned: the same rafters on every rail that reaches them, at the least total', () => {
    const random = seeded(13)
    for (let i = 0; i < 120; i++) {
      const rails = someRails(random, 3)
      const result = choosePattern('aligned', rails, rails[0]!.rules)!
      const keys = [...new Set(rails.flatMap(rail => rail.candidates.map(one => one.key)))]
      let least = Infinity
      for (let mask = 1; mask < 2 ** keys.length; mask++) {
        const chosen = new Set(keys.filter((_, k) => mask & (1 << k)))
        const picks = rails.map(rail => rail.candidates.flatMap((one, c) => chosen.has(one.key) ? [c] : []))
        const good = picks.every((own, r) => everyChoice({ ...rails[r]!, candidates: own.map(c => rails[r]!.candidates[c]!) }).some(choice => choice.length === own.length))
        if (good) least = Math.min(least, picks.flat().length)
      }
      expect(result.picks.flat().length).toBe(least)
      expect(result.total).toBe(least)
      const chosen = rails.map((rail, r) => new Set(result.picks[r]!.map(c => rail.candidates[c]!.key)))
      for (const [r, rail] of rails.entries()) {
        for (const one of rail.candidates) if (chosen.some(set => set.has(one.key))) expect(chosen[r]!.has(one.key)).toBe(true)
      }
    }
  })

  it('copes with rails that have no support and with no rails', () => {
    const none = { reach: { fromMm: 0, toMm: 1000 }, candidates: [], judge: null, even: null, finite: true }
    const rules = { maxSpanMm: 1000, maxOverhangMm: 500 }
    for (const pattern of ['soft-stagger', 'aligned', 'hard-stagger'] as const) {
      expect(choosePattern(pattern, [], rules)).toMatchObject({ total: 0, picks: [] })
      expect(choosePattern(pattern, [none, { ...none, candidates: [asCandidate(500, 0)] }], rules)).toMatchObject({ picks: [[], [0]] })
    }
  })
})
