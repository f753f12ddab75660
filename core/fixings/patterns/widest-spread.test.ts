import { expect, it } from 'vitest'
import { asCandidate } from '../../../tests/fixtures/rails'
import type { FixingOption } from '../options'
import type { RailProblem } from '../ways'
import { widestSpread } from './widest-spread'

it('keeps the widest choices where there are more than can be kept, and says that it did not keep all', () => {
  // Four rails over supports of their own, any two of ten places or one of them twice: 55 ways each, 3025 over the first two.
  const rails = Array.from({ length: 4 }, (_, r): RailProblem => ({
    candidates: Array.from({ length: 10 }, (__, i) => ({ ...asCandidate(100 * i, i), member: `${r}-${i}` })), reach: { fromMm: 0, toMm: 900 }, judge: null, even: null, finite: true,
  }))
  const ways = Array.from({ length: 10 }, (_, a) => Array.from({ length: 10 - a }, (__, k): FixingOption => ({ picks: [a, a + k], unevenness: 0 }))).flat()
  const found = widestSpread(rails, rails.map(() => ways))!
  expect(found.members).toBe(8)
  expect(found.complete).toBe(false)
  expect(widestSpread(rails.slice(0, 1), [ways])).toMatchObject({ members: 2, complete: true })
})
