import { describe, expect, it } from 'vitest'
import { nthTimber, type PlaceOfTimber, smallestSet } from '../../core/supports/belief'
import { fitRafters, rafterAt, timberBands } from '../../core/supports'
import { believe, calibrate, claimedMm, supportsOf } from '../fixtures/calibration'
import { exactDensity, smallestLength } from '../fixtures/exact-belief'
import { probedRoof } from '../fixtures/probing'
import { seeded } from '../fixtures/random'
import { simulatedRoof } from '../fixtures/simulated-roof'

/** Share of belief in one millimetre. */
const densityAt = (places: PlaceOfTimber[], mm: number): number =>
  places.reduce((sum, one) => sum + one.weight * Math.exp(-((mm - one.mm) ** 2) / (2 * one.sdMm ** 2)) / (one.sdMm * Math.sqrt(2 * Math.PI)), 0)

/** Fewer roofs than `npm run bench:belief` looks at, so that what is held against is wider by what chance does. */
const ROOFS = 300

describe('what is believed of rafters', () => {
  it.each([2, 3, 5, 20])('holds as often as it says on 300 simulated roofs with %i hits', { timeout: 120_000 }, (hits) => {
    const { tenths, sets, found, foundOff } = calibrate(hits, ROOFS, 7000 + hits)
    console.log(`${hits} hits: ${tenths.map(one => `${one.stated.toFixed(2)} said, ${one.timber.toFixed(2)} timber (${one.places})`).join('; ')}; sets hold ${sets.map(one => `${(100 * one.held / one.asked).toFixed(1)} %, ${one.meanMm.toFixed(0)} mm`).join(' and ')}; found ${found}, not timber ${foundOff}`)
    for (const one of tenths) if (one.places >= 500) expect(Math.abs(one.timber - one.stated), one.stated.toFixed(2)).toBeLessThan(0.03 + 2.5 * one.sd)
    for (const one of sets) {
      expect(one.held / one.asked).toBeGreaterThan(0.93 - 0.02)
      expect(one.held / one.asked).toBeLessThan(0.97 + 0.02)
    }
    expect(found).toBeGreaterThan(40)
    // Under 2 %, and what chance does to so few.
    expect(foundOff).toBeLessThanOrEqual(0.02 * found + 2.5 * Math.sqrt(0.02 * found))
  })

  it('is the exact belief by enumeration: where the next and third timber may be differs by little, and its sets are hardly longer, on 24 roofs', { timeout: 240_000 }, () => {
    const random = seeded(6060)
    let [ours, exact, counted, apart] = [0, 0, 0, 0]
    for (let r = 0; r < 24; r++) {
      const hits = random.pick([2, 3, 5])
      const roof = simulatedRoof(random, hits)
      const from = claimedMm(roof, random.whole(0, hits - 1))
      const rows = believe(roof)
      for (const n of [1, 3]) {
        const places = nthTimber(rows, from, roof.atMm, n, 'right')
        const { firstMm, share } = exactDensity(roof, from, n, 'right')
        ours += smallestSet(places).reduce((sum, one) => sum + one.toMm - one.fromMm, 0)
        exact += smallestLength(share)
        // Half of all that one has and the other has not, bin by bin.
        apart += share.reduce((sum, one, bin) => sum + Math.abs(one - densityAt(places, firstMm + bin + 0.5)) / 2, 0)
        counted++
      }
    }
    console.log(`Sets of 95 %: ${(ours / counted).toFixed(1)} mm on average, ${(exact / counted).toFixed(1)} mm by enumeration; densities differ by ${(100 * apart / counted).toFixed(1)} %`)
    expect(apart / counted).toBeLessThan(0.02)
    expect(ours / exact).toBeLessThan(1.1)
    expect(ours / exact).toBeGreaterThan(0.9)
  })

  it('draws a band on each rafter that holds its centre 93 to 97 times in 100, at the eave and at the top, on 300 roofs with hits at several heights', { timeout: 120_000 }, () => {
    const random = seeded(9090)
    const TOP_MM = 3600
    const byRoof = Array.from({ length: ROOFS }, () => {
      const { roof } = probedRoof(random, random.pick([2, 3, 5]))
      const fit = fitRafters(supportsOf(roof), { fromMm: 0, toMm: roof.lengthMm }, TOP_MM)!
      const bands = timberBands(fit.rafters, fit, true, { fromMm: 0, toMm: TOP_MM })
      let [all, held] = [0, 0]
      fit.rafters.forEach((rafter, i) => {
        for (const yMm of [0, TOP_MM]) {
          const at = rafterAt(rafter, yMm)
          const truth = roof.centresMm.map(one => one + roof.lean * (yMm - roof.atMm)).reduce((a, b) => Math.abs(b - at) < Math.abs(a - at) ? b : a)
          // Beyond the first and last rafter there is none to be held.
          if (at < 400 || at > roof.lengthMm - 400) continue
          all++
          const edges = bands[i]!.pieces.map(({ ring }) => ring.filter(point => point.y === yMm).map(point => point.x)).filter(one => one.length === 2)
          if (edges.some(([a, b]) => truth >= Math.min(a!, b!) && truth <= Math.max(a!, b!))) held++
        }
      })
      return { all, held }
    })
    const all = byRoof.reduce((sum, one) => sum + one.all, 0)
    const share = byRoof.reduce((sum, one) => sum + one.held, 0) / all
    // Rafters of one roof err together: the spread is that of roofs.
    const sd = Math.sqrt(byRoof.reduce((sum, one) => sum + (one.held - share * one.all) ** 2, 0)) / all
    console.log(`Bands hold ${(100 * share).toFixed(1)} % ± ${(196 * sd).toFixed(1)} of ${all} centres`)
    expect(share).toBeGreaterThan(0.93 - 2 * sd)
    expect(share).toBeLessThan(0.97 + 2 * sd)
  })

  it('calls under 5 % found that is not timber on roofs outside the prior: twice the scatter, 3 % more wrong hits, spacings in no list', { timeout: 120_000 }, () => {
    for (const hits of [2, 3, 5]) {
      const { found, foundOff } = calibrate(hits, ROOFS, 8000 + hits, { scatterTimes: 2, moreWrong: 0.03, anySpacing: true })
      console.log(`Outside the prior, ${hits} hits: found ${found}, not timber ${foundOff}`)
      expect(foundOff).toBeLessThanOrEqual(0.05 * found + 2.5 * Math.sqrt(0.05 * found))
    }
  })
})
