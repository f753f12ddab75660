import { describe, expect, it } from 'vitest'
import { askOf, missesOnRafters, ONE_SCREW, probedRoof } from '../../../tests/fixtures/probing'
import { seeded } from '../../../tests/fixtures/random'
import { type Hit, type HitState, rafterRow, type RafterSupports } from '../../job'
import { beliefOf, NOMINAL_SPACINGS_MM, spacingPriors } from '../belief'
import { fitRafters, KNOCKED, observationsOf } from '../fit'
import { rafterAt, rafterName, SCATTER_MM } from '../rafter'
import { raftersOf } from '../rafters'
import { goOn } from './enough'
import { foretold } from './foretold'
import { readingsAtLadder, REACH_MM } from './ladder'
import type { SharedRow } from './known'
import { expectedMisses } from './misses'
import { partsOf, type ProbeAsk, probeNext, toldBefore } from './probe'
import { missesBy, toldAt } from './value'

const along = { fromMm: 0, toMm: 9000 }
const TOP_MM = 4000
const outline = { kind: 'rectangle', eaveLengthMm: 9000, slopeLengthMm: TOP_MM } as const
const hit = (id: number, xMm: number, state: HitState = 'knock', yMm = 900): Hit => ({ id: `h${id}`, xMm, yMm, state, use: 'rafter' })

/** Fixings on every other rafter, on two rails. */
function asking(supports: RafterSupports): ProbeAsk {
  const fit = fitRafters(supports, along, TOP_MM)
  const rafters = raftersOf(supports, outline, fit)
  const fixings = [700, 1900].flatMap(yMm => rafters.filter(one => one.number % 2 === 0).map(one => ({ xMm: rafterAt(one, yMm), yMm })))
  return { supports, along, topMm: TOP_MM, fit, rafters, fixings, fasteners: ONE_SCREW, reading: KNOCKED }
}
const three: RafterSupports = { ...rafterRow(300, 600, 45), layout: 'fitted', hits: [hit(0, 300), hit(1, 2110), hit(2, 3290)] }

describe('misses', () => {
  it('are by the whole belief what the drawn rafters say one by one, on 60 roofs', () => {
    const random = seeded(202)
    let [whole, drawn] = [0, 0]
    for (let r = 0; r < 60; r++) {
      const ask = askOf(probedRoof(random, random.pick([2, 3, 5])))
      const { fit, fixings, rafters } = ask
      const named = fixings.map(one => ({ member: rafterName(rafters.reduce((a, b) => Math.abs(rafterAt(b, one.yMm) - one.xMm) < Math.abs(rafterAt(a, one.yMm) - one.xMm) ? b : a).number) }))
      whole += expectedMisses(fit!.belief, fixings, partsOf(ask)[0]!.purpose.strip)
      drawn += missesOnRafters(rafters, named, ONE_SCREW)
    }
    console.log(`Misses by the whole belief are ${(whole / drawn).toFixed(3)} of those of the drawn rafters`)
    // Rows that part up the slope are seen at each fixing's own height here, at the middle there.
    expect(whole / drawn).toBeGreaterThan(0.98)
    expect(whole / drawn).toBeLessThan(1.02)
  })
  it('after a reading are those of the log with that reading in it, believed anew, on 40 roofs', () => {
    const random = seeded(515)
    let [ours, anew, apart, counted] = [0, 0, 0, 0]
    const onSpacings = (rows: SharedRow[]) => NOMINAL_SPACINGS_MM.map(mm => rows.reduce((sum, row) => Math.abs(row.mean[1] - mm) < 3.5 ? sum + row.weight : sum, 0))
    for (let r = 0; r < 40; r++) {
      const probed = probedRoof(random, random.pick([2, 3, 5, 28]))
      const ask = askOf(probed)
      const [part] = partsOf(ask)
      const { known, purpose } = part!
      const site = random.pick(part!.sites)
      const [roof] = toldBefore(part!, 1).roofs
      const xMm = roof!(site, 0)
      const { widthMm, timber, hits } = probed.roof
      const whole = beliefOf({
        observations: observationsOf([...hits, { id: 'new', xMm, yMm: site.yMm, state: 'knock', use: 'rafter' }], widthMm),
        spacings: spacingPriors(ask.supports), scatterMm: SCATTER_MM[timber], lengthMm: probed.roof.lengthMm,
      })
      // A reading at another height lets the log ask for the first time whether the rafters are askew; these two then ask different things.
      if (new Set(whole.map(row => row.skewed)).size !== new Set(ask.fit!.belief.map(row => row.skewed)).size) continue
      const after = known.after(site, xMm)
      ours += missesBy(after, purpose)
      const fresh = onSpacings(whole)
      apart += onSpacings(after.rows).reduce((sum, one, i) => sum + Math.abs(one - fresh[i]!) / 2, 0)
      counted++
      anew += expectedMisses(whole, purpose.fixings, purpose.strip)
    }
    expect(anew).toBeGreaterThan(40)
    expect(ours / anew).toBeGreaterThan(0.96)
    expect(ours / anew).toBeLessThan(1.04)
    // So is what is believed of spacings: on average less than two in a hundred is elsewhere.
    console.log(`After a reading misses are ${(ours / anew).toFixed(3)} of those believed anew, ${(100 * apart / counted).toFixed(1)} % of belief is on other spacings`)
    expect(apart / counted).toBeLessThan(0.02)
  })
})

describe('what a reading may come to', () => {
  it.each([['a hit log', three], ['finds by number', { ...rafterRow(300, 600, 45), found: [{ rafter: 2, centreMm: 900 }] }]])('of %s is likeliest where its rafter is drawn, and on roofs drawn from the belief it scatters about that', (_, supports) => {
    const [part] = partsOf(asking(supports as RafterSupports))
    const { roofs } = toldBefore(part!, 64)
    for (const site of part!.quick.filter(one => one.rafter !== null)) {
      const outcomes = foretold(part!.known, site)
      const likeliest = outcomes.reduce((a, b) => b.share > a.share ? b : a)
      expect(Math.abs(likeliest.xMm - site.xMm)).toBeLessThan(60)
      const near = roofs.filter(roof => outcomes.some(one => Math.abs(one.xMm - roof(site, 0)) < 60)).length
      expect(near).toBeGreaterThan(48)
    }
  })
})

describe('probe next', () => {
  it('names readings of which each goes on from the one before, and lowers it', () => {
    const probes = probeNext(asking(three))
    expect(probes).toHaveLength(3)
    probes.forEach((probe, i) => {
      expect(probe.missesAfter).toBeLessThan(probe.missesBefore)
      if (i) expect(probe.missesBefore).toBeCloseTo(probes[i - 1]!.missesAfter, 9)
    })
  })
  it('looks at the far end, where rival spacings part, rather than between hits', () => {
    const [probe] = probeNext(asking(three))
    expect(probe!.xMm).toBeGreaterThan(5000)
  })
  it('has nothing to say where every rafter was found, nothing stands on them, or no screw can be safe in them', () => {
    expect(probeNext({ ...asking(three), fixings: [] })).toEqual([])
    expect(probeNext({ ...asking(three), fasteners: null })).toEqual([])
    expect(probeNext({ ...asking(three), fasteners: { ...ONE_SCREW, edgeDiameters: 4 } })).toEqual([])
    expect(probeNext(asking({ ...rafterRow(300, 600, 45), found: Array.from({ length: 15 }, (_, i) => ({ rafter: i + 1, centreMm: 300 + 600 * i })) }))).toEqual([])
  })
  it('asks for finds by number where rafters are known by number: one far from the only find tells the spacing', () => {
    const probes = probeNext(asking({ ...rafterRow(300, 600, 45), found: [{ rafter: 2, centreMm: 900 }] }))
    expect(probes[0]!.rafter).toBeGreaterThan(7)
    expect(probes[0]!.missesAfter).toBeLessThan(0.5 * probes[0]!.missesBefore)
  })
  it('takes rafters of an irregular set one by one, each for its own fixings', () => {
    const hits = [hit(0, 500), hit(1, 1300, 'seen'), hit(2, 2250, 'edge-left'), hit(3, 3700)]
    const supports: RafterSupports = { ...rafterRow(300, 600, 45), layout: 'irregular', hits }
    const ask = asking(supports)
    const fixings = ask.rafters.flatMap(one => [700, 1900].map(yMm => ({ xMm: rafterAt(one, yMm), yMm })))
    const probes = probeNext({ ...ask, fixings }, 4)
    expect(probes.slice(0, 2).map(one => one.rafter).sort()).toEqual([1, 4])
    // Timber that was seen comes last, if at all.
    expect(probes.slice(0, 3).map(one => one.rafter)).not.toContain(2)
  })
  it('gives the same answer to the same question', () => {
    expect(probeNext(asking(three))).toEqual(probeNext(asking(three)))
  })
})

describe('three readings from one place of the ladder', () => {
  it('save nearly as much as the best three of all that one place reaches, tried one and all, on six roofs', { timeout: 120_000 }, () => {
    const random = seeded(99)
    let [ours, best] = [0, 0]
    for (let r = 0; r < 6; r++) {
      const ask = { ...askOf(probedRoof(random, 3)) }
      const [part] = partsOf(ask)
      const { sites } = readingsAtLadder(ask)!
      expect(sites).toHaveLength(3)
      expect(sites.at(-1)!.xMm - sites[0]!.xMm).toBeLessThanOrEqual(2 * REACH_MM)
      // Judged by roofs of another number, so that no set is best by chance on those it was chosen by.
      const start = toldBefore(part!, 10)
      const saved = (set: typeof sites) => start.misses - set.reduce((told, site) => toldAt(told, site, part!.purpose), start).misses
      let most = 0
      const { quick } = part!
      for (let i = 0; i < quick.length; i++) {
        for (let j = i; j < quick.length; j++) {
          for (let k = j; k < quick.length; k++) {
            const set = [quick[i]!, quick[j]!, quick[k]!]
            const xs = set.map(one => one.xMm)
            if (Math.max(...xs) - Math.min(...xs) <= 2 * REACH_MM) most = Math.max(most, saved(set))
          }
        }
      }
      ours += saved(sites)
      best += most
    }
    console.log(`Three readings from one place of the ladder save ${ours.toFixed(2)} misses on six roofs, the best of all triples at one height ${best.toFixed(2)}`)
    expect(ours / best).toBeGreaterThan(0.9)
  })
})

describe('when to stop', () => {
  const probe = (missesBefore: number, missesAfter: number) => ({ xMm: 0, yMm: 0, rafter: 1, missesBefore, missesAfter })
  it('is when two more readings save less than three tenths of a fixing', () => {
    expect(goOn([probe(2, 1.9), probe(1.9, 1.8)])).toEqual({ readings: 2, saves: expect.closeTo(0.2, 9), worth: false })
    expect(goOn([probe(2, 1.6), probe(1.6, 1.5), probe(1.5, 1)])).toEqual({ readings: 2, saves: expect.closeTo(0.5, 9), worth: true })
    expect(goOn([])).toMatchObject({ saves: 0, worth: false })
  })
})
