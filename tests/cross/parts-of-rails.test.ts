import { expect, it } from 'vitest'
import { checkRail } from '../../core/strength'
import { loadedRail, longLoadedRail } from '../fixtures/loaded-rails'
import { seeded } from '../fixtures/random'

/** What the search is led by: a rail looked at part by part comes to what the whole comes to, part for part of the same solution. */
it('the worst of a rail’s overhangs and spans is the worst of the rail, on 200 random rails', () => {
  const random = seeded(404)
  let compared = 0
  while (compared < 200) {
    const { setting, candidates } = compared % 4 ? longLoadedRail(random) : loadedRail(random)
    const xs = candidates.map(one => one.atMm).filter(() => random.next() < 0.6)
    const whole = xs.length < 2 ? null : checkRail(setting, xs)
    if (!whole) continue
    compared++
    const places = [-Infinity, ...xs, Infinity]
    const parts = places.slice(1).map((toMm, i) => checkRail(setting, xs, [], { part: { fromMm: places[i]!, toMm } })!)
    expect(Math.max(...parts.map(part => part.worst))).toBeCloseTo(whole.worst, 9)
    for (const kind of ['bending', 'shear', 'deflection', 'fixing-up', 'fixing-down', 'fixing-slope'] as const) {
      expect(Math.max(...parts.map(part => part.shares[kind]?.share ?? 0)), kind).toBeCloseTo(whole.shares[kind]!.share, 9)
    }
    expect(checkRail(setting, xs, [], { quick: true })!.worst).toBeCloseTo(whole.worst, 9)
  }
})
