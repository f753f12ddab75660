import { describe, expect, it } from 'vitest'
import { everyChoice, smallRail } from '../../tests/fixtures/rails'
import { seeded } from '../../tests/fixtures/random'
import { candidatesOf } from './candidates'
import { fewest, shortfalls, stepsFor } from './fewest'
import { listPaths } from './options'

describe('the fewest fixings of one rail', () => {
  it('equals full enumeration on 800 random small rails, and so does the list of all such choices', () => {
    const random = seeded(20_261)
    let possible = 0
    let tried = 0
    while (tried < 800) {
      const rail = smallRail(random)
      if (!rail.candidates.length || rail.candidates.length > 14) continue
      tried++
      const all = everyChoice(rail)
      const missing = shortfalls(rail.candidates, rail.reach, rail.rules)
      expect(missing.length === 0).toBe(all.length > 0)
      if (missing.length) continue
      possible++
      const steps = stepsFor(rail.candidates.length, [{ atMm: rail.candidates.map(one => one.atMm), reach: rail.reach }], rail.rules)
      const least = Math.min(...all.map(picks => picks.length))
      expect(fewest(steps)).toBe(least)
      const listed = listPaths(steps, least, 100_000)
      expect(listed.complete).toBe(true)
      const sorted = (lists: number[][]) => lists.map(String).sort()
      expect(sorted(listed.paths)).toEqual(sorted(all.filter(picks => picks.length === least)))
    }
    // Both kinds of rail must really have been met.
    expect(possible).toBeGreaterThan(300)
    expect(tried - possible).toBeGreaterThan(50)
  })

  it('lets follow in shared columns what each rail’s own places let, with gaps and with columns that cross, on 400 random arrays', () => {
    const random = seeded(41)
    const rules = { maxSpanMm: 1200, maxOverhangMm: 600 }
    let crossed = 0
    for (let k = 0; k < 400; k++) {
      const n = random.whole(2, 14)
      const rails = Array.from({ length: random.whole(1, 4) }, () => ({
        atMm: Array.from({ length: n }, (_, i) => random.next() < 0.25 ? null : 300 + i * 400 + random.between(-260, 260)),
        reach: { fromMm: 0, toMm: 600 + n * 400 },
      }))
      const steps = stepsFor(n, rails, rules)
      for (let i = 0; i < n; i++) {
        for (let j = i + 1; j < n; j++) {
          // By its words: on every rail that stands in both columns, all places from the next one on lie inside the span, or it is the next.
          const spans = rails.every(({ atMm }) => {
            if (atMm[i] === null || atMm[j] === null) return true
            const after = atMm.slice(i + 1, j + 1).flatMap(x => x ?? [])
            if (after.some((x, at) => x < (after[at - 1] ?? atMm[i]!))) crossed++
            return after.slice(1).every(x => x - atMm[i]! <= 1200.01)
          })
          // And no rail’s end is passed over: left and right of the step something within its overhang stands.
          const ends = rails.every(({ atMm, reach }) => {
            const own = atMm.flatMap((x, column) => x === null ? [] : [{ x, column }])
            if (!own.length) return true
            const left = own.filter(({ x }) => x <= Math.max(600, own[0]!.x) + 0.01).at(-1)!.column
            const right = own.find(({ x }) => x >= Math.min(reach.toMm - 600, own.at(-1)!.x) - 0.01)!.column
            return !(i < own[0]!.column && j > left) && !(i < right && j > own.at(-1)!.column)
          })
          expect(steps.mayFollow(i, j), JSON.stringify([rails, i, j])).toBe(spans && ends)
        }
      }
    }
    expect(crossed).toBeGreaterThan(100)
  })

  it('names the gap, the end and the lack of any support', () => {
    const rules = { maxSpanMm: 1200, maxOverhangMm: 600 }
    const at = (...xs: number[]) => candidatesOf({
      points: xs.map((atMm, i) => ({ atMm, member: `rafter ${i + 1}`, state: 'proved' as const, chance: 1, timber: 1 })),
      intervals: [],
    }, { fromMm: 0, toMm: 4000 }, rules)
    const reach = { fromMm: 0, toMm: 4000 }
    expect(shortfalls([], reach, rules)).toEqual([{ kind: 'no-support' }])
    expect(shortfalls(at(700, 1900, 3300, 3390), reach, rules).map(one => one.kind)).toEqual(['overhang', 'span', 'overhang'])
    expect(shortfalls(at(600, 1800, 3000, 3400), reach, rules)).toEqual([])
  })

  it('breaks a rule only as far as it must when it can’t be kept', () => {
    const rules = { maxSpanMm: 1200, maxOverhangMm: 600 }
    const xs = [900, 1500, 2100, 3600]
    const steps = stepsFor(4, [{ atMm: xs, reach: { fromMm: 0, toMm: 4000 } }], rules)
    // 900 is as near the left end as there is; 2100 to 3600 is too wide but nothing lies between.
    expect(listPaths(steps, fewest(steps), 10).paths).toEqual([[0, 2, 3]])
  })
})

describe('intervals as places', () => {
  it('need as few fixings as a fine grid over them would', () => {
    const random = seeded(7)
    for (let i = 0; i < 200; i++) {
      const reach = { fromMm: 0, toMm: random.between(1500, 6000) }
      const rules = { maxSpanMm: random.between(500, 1500), maxOverhangMm: random.between(200, 500) }
      const intervals = []
      for (let x = random.between(0, 200); x < reach.toMm; x += random.between(150, 700)) {
        const fromMm = x
        x += random.between(100, 900)
        intervals.push({ fromMm, toMm: x, member: `panel ${intervals.length + 1}`, state: 'proved' as const, chance: 1, timber: 1 })
      }
      const exact = candidatesOf({ points: [], intervals }, reach, rules)
      // The grid can't do better than the exact places, and comes within its own step of them.
      const step = 5
      const grid = {
        points: intervals.flatMap(one => Array.from({ length: Math.floor((Math.min(one.toMm, reach.toMm) - one.fromMm) / step) + 1 }, (_, k) => ({
          atMm: one.fromMm + k * step,
          member: one.member,
          state: one.state,
          chance: one.chance,
          timber: 1,
        }))),
        intervals: [],
      }
      const count = (candidates: ReturnType<typeof candidatesOf>, slack: number) => {
        const loose = { maxSpanMm: rules.maxSpanMm + slack, maxOverhangMm: rules.maxOverhangMm + slack }
        return shortfalls(candidates, reach, loose).length ? Infinity : fewest(stepsFor(candidates.length, [{ atMm: candidates.map(one => one.atMm), reach }], loose))
      }
      const ours = count(exact, 0)
      expect(ours).toBeLessThanOrEqual(count(candidatesOf(grid, reach, rules), 0))
      expect(ours).toBeGreaterThanOrEqual(count(candidatesOf(grid, reach, rules), 2 * step))
    }
  })
})
