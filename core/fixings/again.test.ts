import { describe, expect, it } from 'vitest'
import { loadedRail, type LoadedRail } from '../../tests/fixtures/loaded-rails'
import { seeded } from '../../tests/fixtures/random'
import { keeps } from '../../tests/fixtures/rails'
import { checkRail, judgeOf } from '../strength'
import { fixAgain } from './again'
import { FULL } from './judge'
import { shortfalls } from './fewest'
import { waysFor } from './ways'

const problem = ({ candidates, setting, rules }: LoadedRail, judged = true) => ({ candidates, reach: setting.reach, judge: judged ? judgeOf(setting, rules) : null, even: null, finite: true })

/** Every subset that keeps the rules, what stays and what is forbidden, and passes. */
function every({ candidates, setting, rules }: LoadedRail, pinned: Set<number>, forbidden: Set<number>): number[][] {
  const all: number[][] = []
  for (let mask = 1; mask < 2 ** candidates.length; mask++) {
    const picks = candidates.map((_, i) => i).filter(i => mask & (1 << i))
    if ([...pinned].some(i => !picks.includes(i)) || picks.some(i => forbidden.has(i) && !pinned.has(i))) continue
    const xs = picks.map(i => candidates[i]!.atMm)
    if (keeps(xs, { reach: setting.reach, rules }) && (checkRail(setting, xs)?.worst ?? 99) <= FULL) all.push(picks)
  }
  return all
}

describe('a rail fixed again', () => {
  it('keeps holes that are there and leaves out what is forbidden, with the fewest changes and then the fewest fixings, as every subset has it on 200 small rails', { timeout: 120_000 }, () => {
    const random = seeded(1313)
    let compared = 0
    let impossible = 0
    let changed = 0
    while (compared < 200) {
      const rail = loadedRail(random)
      const { candidates, setting, rules } = rail
      if (candidates.length < 4 || shortfalls(candidates, setting.reach, rules).length) continue
      const before = waysFor(problem(rail), rules, 0)
      if (before.over !== null) continue
      compared++
      const earlier = new Set(before.options.find(before.passes)!.picks)
      const forbidden = new Set(random.next() < 0.7 ? [random.pick([...earlier])] : [])
      const pinned = new Set([random.whole(0, candidates.length - 1)].filter(i => !forbidden.has(i)))
      const all = every(rail, pinned, forbidden)
      const changesOf = (picks: number[]) => picks.filter(i => !earlier.has(i)).length + [...earlier].filter(i => !picks.includes(i)).length
      const again = fixAgain(problem(rail), rules, { pinned, forbidden }, earlier)
      const fewest = fixAgain(problem(rail), rules, { pinned, forbidden })
      if (!all.length) {
        impossible++
        expect(again).toBeNull()
        expect(fewest).toBeNull()
        continue
      }
      const least = Math.min(...all.map(changesOf))
      expect(again).toMatchObject({ changes: least, proved: true })
      expect(again!.picks.length).toBe(Math.min(...all.filter(picks => changesOf(picks) === least).map(picks => picks.length)))
      expect(all.map(String)).toContain(String(again!.picks))
      expect(fewest!.picks.length).toBe(Math.min(...all.map(picks => picks.length)))
      if (least > 0) changed++
    }
    expect(impossible).toBeGreaterThan(10)
    expect(changed).toBeGreaterThan(60)
  })
  it('without loads needs no more than the rules ask', () => {
    const random = seeded(3)
    for (let i = 0; i < 60; i++) {
      const rail = loadedRail(random)
      if (rail.candidates.length < 3 || shortfalls(rail.candidates, rail.setting.reach, rail.rules).length) continue
      expect(fixAgain(problem(rail, false), rail.rules, {})!.picks.length).toBe(waysFor(problem(rail, false), rail.rules, 0).fewest)
    }
  })
})
