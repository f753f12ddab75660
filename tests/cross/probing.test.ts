import { describe, expect, it } from 'vitest'
import { tallies } from '../fixtures/probe-tally'
import { probeTrial } from '../fixtures/probe-trial'

/** Fewer roofs than `npm run bench:belief` looks at. */
const ROOFS = 48

describe('where to knock next', () => {
  it('saves nine tenths of what the exact best reading saves, and no less than knocking where least is known, on 48 roofs', { timeout: 240_000 }, () => {
    const trials = Array.from({ length: ROOFS }, (_, i) => probeTrial(70_000 + i, true))
    const [all] = tallies(trials)
    const { before, exact, ours, least, overLeast, fewerAfterOne, fewerAfterThree } = all!
    console.log(`Of ${before.toFixed(2)} expected misses one reading saves ${exact.toFixed(2)} at best, ${ours.toFixed(2)} by ours, ${least.toFixed(2)} at the least-known rafter; real misses fewer by ${fewerAfterOne.mean.toFixed(2)} ± ${fewerAfterOne.half.toFixed(2)} after one, ${fewerAfterThree.mean.toFixed(2)} ± ${fewerAfterThree.half.toFixed(2)} after three`)
    expect(ours / exact).toBeGreaterThan(0.9)
    expect(overLeast.mean).toBeGreaterThan(-overLeast.half)
    expect(fewerAfterOne.mean).toBeGreaterThan(-fewerAfterOne.half)
    expect(fewerAfterThree.mean).toBeGreaterThan(-fewerAfterThree.half)
    // What is said of misses is what there is, by roofs drawn from the exact belief.
    const said = trials.reduce((sum, one) => sum + one.said, 0) / ROOFS
    expect(said / before).toBeGreaterThan(0.9)
    expect(said / before).toBeLessThan(1.1)
  })
})
