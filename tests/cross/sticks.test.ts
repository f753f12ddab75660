import highsLoader from 'highs'
import { expect, it } from 'vitest'
import { cutSticks, type RailToCut } from '../../core/sticks'
import { seeded } from '../fixtures/random'

const splice = { partName: 'bar', barMm: 200, clearMm: 25 }

/**
 * Outside reference: HiGHS (a general mixed-integer solver) on the covering relaxation in which rails are cut anywhere.
 * It can never need more sticks than a real cutting, so ours must lie between it and one stick a piece.
 */
it('never claims fewer sticks than a general solver allows, and its proofs hold, on 60 random orders', async () => {
  const highs = await highsLoader({})
  const random = seeded(99)
  let proved = 0
  for (let i = 0; i < 60; i++) {
    const stock = random.next() < 0.5 ? [4200] : [3300, 4400]
    const rails: RailToCut[] = Array.from({ length: random.whole(1, 8) }, (_, r) => {
      const toMm = random.between(1200, 9000)
      const fixings = Array.from({ length: Math.floor((toMm - 300) / 1200) + 1 }, (_, k) => 300 + k * 1200)
      const windows = fixings.slice(1).map((x, k) => ({ fromMm: fixings[k]! + 125, toMm: x - 125 }))
      return { railId: `rail${r}`, fromMm: 0, toMm, windows }
    })
    const plan = cutSticks(rails, stock, splice)
    const total = rails.reduce((sum, rail) => sum + rail.toMm, 0)
    const model = `Minimize\n obj: ${stock.map((_, s) => `n${s}`).join(' + ')}\nSubject To\n c: ${stock.map((mm, s) => `${mm} n${s}`).join(' + ')} >= ${total}\nBounds\n${stock.map((_, s) => ` 0 <= n${s} <= 100`).join('\n')}\nGeneral\n ${stock.map((_, s) => `n${s}`).join(' ')}\nEnd`
    const bound = Math.round(highs.solve(model).ObjectiveValue)
    expect(plan.leastSticks).toBe(bound)
    expect(plan.sticks.length).toBeGreaterThanOrEqual(bound)
    if (plan.sticks.length === bound) proved++
    // Every rail is whole: its pieces follow each other from end to end, and no stick is cut longer than it is.
    for (const rail of rails) {
      const pieces = plan.sticks.flatMap(stick => stick.pieces).filter(piece => piece.railId === rail.railId)
      expect(pieces[0]!.fromMm).toBe(0)
      expect(pieces.at(-1)!.toMm).toBeCloseTo(rail.toMm, 6)
      pieces.slice(1).forEach((piece, k) => expect(piece.fromMm).toBeCloseTo(pieces[k]!.toMm, 6))
    }
    for (const stick of plan.sticks) expect(stick.pieces.reduce((sum, piece) => sum + piece.toMm - piece.fromMm, 0)).toBeLessThanOrEqual(stick.stockMm + 1e-6)
    for (const { railId, xMm } of plan.splices) {
      if (!plan.unspliceable.includes(railId)) expect(rails.find(rail => rail.railId === railId)!.windows.some(one => xMm >= one.fromMm - 1e-6 && xMm <= one.toMm + 1e-6)).toBe(true)
    }
  }
  expect(proved).toBeGreaterThan(20)
})
