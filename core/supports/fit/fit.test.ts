import { describe, expect, it } from 'vitest'
import { type Random, seeded } from '../../../tests/fixtures/random'
import { normal } from '../../../tests/fixtures/random-normal'
import { type Hit, type HitState, rafterRow, type RafterSupports } from '../../job'
import { rafterAt, SCATTER_MM } from '../rafter'
import { raftersOf } from '../rafters'
import { fitRafters } from './fit'
import { centreWithPilots } from './pilots'

const face = { fromMm: 0, toMm: 9200 }
const TOP_MM = 5200
const hit = (id: number, xMm: number, state: HitState = 'knock', yMm = 1000): Hit => ({ id: `h${id}`, xMm, yMm, state, use: 'rafter' })
const log = (hits: Hit[], more: Partial<RafterSupports> = {}): RafterSupports => ({ ...rafterRow(300, 600, 45), hits, ...more })
const fitted = (supports: RafterSupports, topMm = TOP_MM) => fitRafters(supports, face, topMm)!

describe('pilots', () => {
  it('put the centre inside the timber’s half width: an even spread of w/√12', () => {
    const centre = centreWithPilots({ xMm: 0, sdMm: 500 }, [{ xMm: 30, hit: true }], 45)
    expect(centre.xMm).toBeCloseTo(30, 0)
    expect(centre.sdMm).toBeGreaterThan(45 / Math.sqrt(12) - 0.5)
    expect(centre.sdMm).toBeLessThan(45 / Math.sqrt(12) + 1)
  })
  it('that missed push it away, and two that hit from both sides pin it', () => {
    expect(centreWithPilots({ xMm: 0, sdMm: 20 }, [{ xMm: -12, hit: false }], 45).xMm).toBeGreaterThan(12)
    const pinned = centreWithPilots({ xMm: 0, sdMm: 60 }, [{ xMm: -20, hit: true }, { xMm: 20, hit: true }], 45)
    expect(pinned.xMm).toBeCloseTo(0, 1)
    expect(pinned.sdMm).toBeLessThan(5)
  })
})

/** A row of rafters as a roof might have it, and knocks on some of them. */
function simulated(random: Random, nominals: number[]) {
  const spacingMm = random.pick(nominals) + 2 * normal(random)
  const first = random.between(60, 560)
  const scatter = SCATTER_MM.sawn
  const truth = Array.from({ length: 40 }, (_, k) => first + k * spacingMm + scatter * normal(random)).filter(x => x < face.toMm)
  const lean = 0.002 * normal(random)
  const hits: Hit[] = []
  const n = random.whole(6, 12)
  for (let i = 0; i < n; i++) {
    const yMm = random.between(300, 4900)
    const x = random.pick(truth) + lean * (yMm - TOP_MM / 2)
    hits.push(hit(i, x + 12 * normal(random), 'knock', yMm))
  }
  return { truth, hits, spacingMm }
}

describe('2000 seeded simulations', () => {
  it('hold the true rafters in 93 to 97 of 100 of their 95 % intervals when the numbering is right', { timeout: 120_000 }, () => {
    const random = seeded(41)
    let inside = 0
    let all = 0
    let wrong = 0
    const runs = 2000
    for (let run = 0; run < runs; run++) {
      const { truth, hits, spacingMm } = simulated(random, [600, 406.4, 609.6, 487.7])
      const fit = fitted(log(hits))
      if (Math.abs(fit.spacing!.mm - spacingMm) > 0.02 * spacingMm) {
        wrong++
        continue
      }
      for (const rafter of fit.rafters) {
        const place = rafterAt(rafter, TOP_MM / 2)
        const nearest = truth.reduce((a, b) => Math.abs(b - place) < Math.abs(a - place) ? b : a)
        if (Math.abs(nearest - place) > spacingMm / 3) continue
        all++
        if (Math.abs(nearest - place) < 1.96 * rafter.sdMm) inside++
      }
    }
    console.log(`95 % intervals hold ${(100 * inside / all).toFixed(1)} % of ${all} rafters; wrong spacing in ${(100 * wrong / runs).toFixed(2)} % of ${runs} logs of 6 to 12 knocks`)
    expect(inside / all).toBeGreaterThan(0.93)
    expect(inside / all).toBeLessThan(0.97)
    expect(wrong / runs).toBeLessThan(0.08)
  })
})

describe('few hits', () => {
  /** A roof as it might be: set out to some nominal spacing, the typed one in half of them; knocks that are wrong one time in twenty. */
  function roof(random: Random, hitCount: number) {
    const nominals = [304.8, 406.4, 487.68, 609.6, 400, 450, 600]
    const typedMm = random.pick([406.4, 600, 609.6])
    const spacingMm = (random.next() < 0.5 ? typedMm : random.pick(nominals)) + 2 * normal(random)
    const first = random.between(0, spacingMm)
    const truth = Array.from({ length: 40 }, (_, k) => first + k * spacingMm + SCATTER_MM.sawn * normal(random)).filter(x => x > 0 && x < face.toMm)
    const hits = Array.from({ length: hitCount }, (_, i) => {
      const state: HitState = random.pick(['knock', 'knock', 'seen'])
      const wrong = random.next() < (state === 'seen' ? 0.005 : 0.05)
      const at = wrong ? random.between(0, face.toMm) : random.pick(truth) + (state === 'seen' ? 2 : 12) * normal(random)
      return hit(i, Math.min(face.toMm, Math.max(0, at)), state)
    })
    return { truth, hits, typedMm }
  }

  it.each([2, 3])('over 400 simulated roofs with %i hits, under 5 % of what is called found and 10 % of what is called inferred is not timber', { timeout: 60_000 }, (hitCount) => {
    const random = seeded(400 + hitCount)
    const said = { proved: [0, 0], inferred: [0, 0], guessed: [0, 0] }
    for (let run = 0; run < 400; run++) {
      const { truth, hits, typedMm } = roof(random, hitCount)
      const fit = fitRafters(log(hits, { spacingMm: typedMm }), face, TOP_MM)
      for (const rafter of fit?.rafters ?? []) {
        const place = rafterAt(rafter, 1000)
        const onTimber = truth.some(x => Math.abs(x - place) <= 22.5)
        said[rafter.state][0]!++
        if (!onTimber) said[rafter.state][1]!++
      }
    }
    console.log(`${hitCount} hits: ${Object.entries(said).map(([state, [all, off]]) => `${state} ${all}, not timber ${(100 * off! / Math.max(1, all!)).toFixed(1)} %`).join('; ')}`)
    expect(said.proved[1]! / Math.max(1, said.proved[0]!)).toBeLessThan(0.05)
    expect(said.inferred[1]! / Math.max(1, said.inferred[0]!)).toBeLessThan(0.1)
    expect(said.proved[0]! + said.inferred[0]!).toBeGreaterThan(200)
  })
  it('1219 mm apart with 406 typed leave the rafters between them to be found: three spacings go with them', () => {
    const fit = fitted(log([hit(0, 2000), hit(1, 3219)], { spacingMm: 406.4 }))
    expect(fit.spacing!.mm).toBeCloseTo(406.4, 0)
    expect(fit.rafters.filter(rafter => rafter.state === 'inferred').length).toBeLessThanOrEqual(2)
    expect(fit.rival!.spacingMm).toBeCloseTo(609.6, 0)
    const between = fit.rafters.find(rafter => Math.abs(rafterAt(rafter, 1000) - 2406) < 20)!
    expect(between.state).toBe('guessed')
    expect(between.spread.length).toBeGreaterThan(1)
  })
  it('keep 600 mm and 24 in as rivals until the far end tells them', () => {
    const near = fitted(log([hit(0, 300, 'seen'), hit(1, 900, 'seen')], { spacingMm: 600 }))
    expect(Math.abs(near.rival!.spacingMm - 609.6)).toBeLessThan(10)
    const far = near.rafters.at(-1)!
    expect(far.state).toBe('guessed')
    const told = fitted(log([hit(0, 300, 'seen'), hit(1, 900, 'seen'), hit(2, 8100, 'seen'), hit(3, 7500, 'seen')], { spacingMm: 600 }))
    expect(told.spacing!.mm).toBeCloseTo(600, 0)
    expect(told.rival === null || told.rival.timesLess > 20).toBe(true)
  })
})

describe('rafters found by their number', () => {
  const row = (found: { rafter: number, centreMm: number }[]) => raftersOf({ ...rafterRow(300, 600, 45, found) }, {
    kind: 'rectangle',
    eaveLengthMm: 9200,
    slopeLengthMm: 5200,
  }, null)
  it('two of them 100 mm right of nominal bring the others with them', () => {
    const rafters = row([{ rafter: 3, centreMm: 1600 }, { rafter: 4, centreMm: 2200 }])
    expect(rafters.map(rafter => Math.round(rafter.centreMm)).slice(0, 6)).toEqual([400, 1000, 1600, 2200, 2800, 3400])
    expect(rafters.map(rafter => rafter.state).slice(1, 5)).toEqual(['inferred', 'proved', 'proved', 'inferred'])
    expect(rafters.at(-1)!.state).toBe('guessed')
  })
  it('far apart tell that the spacing is another', () => {
    const rafters = row([{ rafter: 1, centreMm: 300 }, { rafter: 11, centreMm: 6396 }])
    expect(rafters[5]!.centreMm).toBeCloseTo(3348, -1)
    expect(rafters[5]!.state).toBe('inferred')
  })
  it('none found leaves the typed row a guess', () => {
    expect(new Set(row([]).map(rafter => rafter.state))).toEqual(new Set(['guessed']))
  })
})

describe('a hit log', () => {
  const eight = [300, 905, 1497, 2705, 3290, 5103, 6901, 8095]
  it('with one wrong names it and fits the rest', () => {
    const wrong = eight.map((x, i) => hit(i, i === 4 ? x + 210 : x, 'knock', 700 + 400 * i))
    const fit = fitted(log(wrong))
    expect(fit.checks.filter(check => check.outlier).map(check => check.hitId)).toEqual(['h4'])
    expect(fit.spacing!.mm).toBeCloseTo(600, 0)
    expect(fit.rafters.map(rafter => Math.round(rafterAt(rafter, TOP_MM / 2) / 10) * 10).slice(0, 3)).toEqual([300, 900, 1500])
  })
  it('is taken at half the spacing only when rafters between the others were hit', () => {
    const whole = [300, 900, 1500, 2700, 3900, 5100].map((x, i) => hit(i, x, 'seen'))
    const free = { spacings: { kind: 'free', fromMm: 250, toMm: 700 } } as const
    expect(fitted(log(whole, free)).spacing!.mm).toBeCloseTo(600, 0)
    expect(fitted(log([...whole, hit(7, 3000, 'knock')], free)).spacing!.mm).toBeCloseTo(600, 0)
    expect(fitted(log([...whole, hit(7, 1200, 'seen'), hit(8, 3000, 'seen'), hit(9, 4200, 'seen')], free)).spacing!.mm).toBeCloseTo(300, 0)
  })
  it('of a skewed set shows the lean; each height meets the rafters at its own reading', () => {
    const lean = 0.025
    const hits = [[300, 400], [900, 4400], [2100, 900], [3300, 3900], [5100, 600], [6300, 4500], [7500, 2400]].map(([x, y], i) => hit(i, x! + lean * y!, 'edge-left', y))
    const fit = fitted(log(hits.map(one => ({ ...one, xMm: one.xMm - 22.5 }))))
    expect(fit.lean!.skewed).toBe(true)
    expect(fit.lean!.perMm).toBeCloseTo(lean, 2)
    expect(rafterAt(fit.rafters[0]!, 4000) - rafterAt(fit.rafters[0]!, 0)).toBeCloseTo(100, -1)
  })
  it('says proved, inferred and guessed by what stands behind each', () => {
    const states = fitted(log([hit(0, 300, 'pilot-hit'), hit(1, 900), hit(2, 2100, 'seen')], { timber: 'old' })).rafters.map(rafter => rafter.state)
    expect(states.slice(0, 4)).toEqual(['proved', 'inferred', 'guessed', 'proved'])
    expect(new Set(states.slice(4))).toEqual(new Set(['guessed']))
  })
  it('with a second timber beside one says so, and takes it as doubled when told', () => {
    const hits = [...eight.map((x, i) => hit(i, x, 'seen')), hit(8, 2705 + 46, 'seen')]
    const fit = fitted(log(hits))
    expect(fit.checks.find(check => check.outlier)).toMatchObject({ hitId: 'h8', doubled: true })
    const told = fitted(log(hits.map(one => one.id === 'h8' ? { ...one, use: 'doubled' } : one)))
    const fifth = told.rafters[4]!
    expect(fifth.widthMm).toBe(90)
    expect(rafterAt(fifth, TOP_MM / 2)).toBeCloseTo(2703 + 22.5, -1)
  })
  it('of an irregular set assumes nothing between the hits', () => {
    const hits = [hit(0, 410, 'seen'), hit(1, 1130, 'seen'), hit(2, 1140, 'knock', 3000), hit(3, 1520, 'seen'), hit(4, 2900)]
    const fit = fitted(log(hits, { layout: 'irregular' }))
    expect(fit.rafters.map(rafter => Math.round(rafterAt(rafter, 1000)))).toEqual([410, 1130, 1520, 2900])
    expect(fit.rafters[3]!.sdMm).toBeGreaterThan(fit.rafters[0]!.sdMm)
  })
  it('needs two hits for a row, and misses or hits set aside are none', () => {
    expect(fitRafters(log([hit(0, 300)]), face, TOP_MM)).toBeNull()
    expect(fitRafters(log([hit(0, 300), hit(1, 900, 'pilot-miss'), { ...hit(2, 1500), use: 'set-aside' }]), face, TOP_MM)).toBeNull()
  })
  it('takes duplicate and reversed readings without a fault', () => {
    const fit = fitted(log([hit(0, 2100), hit(1, 2100), hit(2, 900), hit(3, 300), hit(4, 300)]))
    expect(fit.rafters.every(rafter => Number.isFinite(rafter.sdMm) && Number.isFinite(rafter.centreMm))).toBe(true)
    expect(fit.spacing!.mm).toBeCloseTo(600, 0)
  })
})
