import { describe, expect, it } from 'vitest'
import { chooseParts, demoCatalogue } from '../catalogue'
import { threeRowsOfSix } from '../../tests/fixtures/jobs'
import { plainBatten } from '../job'
import { MM_PER_INCH, N_PER_LBF } from '../units'
import {
  adjusted,
  embedment,
  fixingCapacity,
  fixingUse,
  lagThreadMm,
  lagTipMm,
  lateralEn,
  lateralUs,
  nailsHoldN,
  outsideEn,
  railStrength,
  rowEffective,
  UNHELD,
  withdrawalEn,
  withdrawalPerMm,
  yieldModes,
} from './index'

const lbPerInch = (nPerMm: number) => nPerMm * MM_PER_INCH / N_PER_LBF
const face = threeRowsOfSix().faces[0]!
const parts = chooseParts(demoCatalogue, face.array)
const plain = { heldUpN: null, heldDownN: null, heldSlopeN: null }
const duty = (upN: number, downN: number, slopeN: number) => ({ format: 'asd' as const, upN, downN, slopeN })

describe('withdrawal', () => {
  it('of 5/16 in lags is 205 lb/in at G 0.42 and 266 at G 0.50 (NDS table 12.2A)', () => {
    expect(lbPerInch(withdrawalPerMm('lag', 0.42, 5 / 16 * MM_PER_INCH))).toBeCloseTo(205, 0)
    expect(lbPerInch(withdrawalPerMm('lag', 0.5, 5 / 16 * MM_PER_INCH))).toBeCloseTo(266, 0)
  })
  /** NDS table 12.2A, more of it (from memory). */
  it.each([
    [0.5, 1 / 4, 225],
    [0.5, 3 / 8, 305],
    [0.55, 5 / 16, 307],
    [0.42, 3 / 8, 235],
    [0.42, 1 / 4, 173],
  ])('of lags at G %f and %f in is %i lb/in', (gravity, inches, value) => {
    expect(lbPerInch(withdrawalPerMm('lag', gravity, inches * MM_PER_INCH))).toBeCloseTo(value, 0)
  })
  it('of a screw d 8, l_ef 60, 350 kg/m³ is 6.36 kN characteristic and 4.40 kN design at k_mod 0.9 (EN 1995-1-1, 8.38)', () => {
    const rk = withdrawalEn(8, 60, 350, 1)
    expect(rk / 1000).toBeCloseTo(6.36, 2)
    expect(rk * 0.9 / 1.3 / 1000).toBeCloseTo(4.40, 2)
    expect(withdrawalEn(8, 60, 350, 4) / rk).toBeCloseTo(4 ** 0.9, 9)
  })
})

describe('thread in timber', () => {
  const inch = MM_PER_INCH
  const lag = (lengthIn: number, diameterIn = 5 / 16) => ({ kind: 'lag' as const, diameterMm: diameterIn * inch, lengthMm: lengthIn * inch, tipMm: 99, threadMm: null })
  /** NDS appendix L, table L2 (from memory): length, thread with tip. */
  it.each([[1, 0.75], [1.5, 1.25], [2, 1.5], [2.5, 1.75], [3, 2], [4, 2.5], [5, 3], [6, 3.5], [8, 4.5], [11, 6], [12, 6]])('of a lag %f in long is %f in', (lengthIn, threadIn) => {
    expect(lagThreadMm(lengthIn * inch) / inch).toBeCloseTo(threadIn, 9)
  })
  it('of a 5/16 x 3 in lag is 1 13/16 in without its tip of 3/16 in', () => {
    expect(lagTipMm(5 / 16 * inch) / inch).toBeCloseTo(3 / 16, 9)
    expect([1 / 4, 3 / 8].map(d => lagTipMm(d * inch) / inch)).toEqual([5 / 32, 7 / 32].map(tip => expect.closeTo(tip, 9)))
    expect(embedment(lag(3), 0, 200).threadMm / inch).toBeCloseTo(1 + 13 / 16, 9)
    // Through a foot, a flashing and half an inch of sheathing the shank lies in them: all thread is still in the rafter.
    expect(embedment(lag(3), 0.7 * inch, 200).threadMm / inch).toBeCloseTo(1 + 13 / 16, 9)
    // Through 1 1/2 in some of the thread lies outside it.
    expect(embedment(lag(3), 1.5 * inch, 200).threadMm / inch).toBeCloseTo(3 - 3 / 16 - 1.5, 9)
  })
  it('is never more than the member is thick', () => {
    expect(embedment(lag(3), 0, 25)).toMatchObject({ threadMm: 25, penetrationMm: 25, pointSideMm: 25 })
    expect(embedment({ kind: 'wood-screw', diameterMm: 6, lengthMm: 60, tipMm: 6, threadMm: null }, 10, 200).threadMm).toBeCloseTo(34, 9)
  })
  const mountOf = (kind: 'lag' | 'wood-screw', diameterMm: number, lengthMm: number) => ({
    ...parts.mount,
    underMm: 5,
    fasteners: { ...parts.mount.fasteners!, kind, diameterMm, lengthMm, tipMm: 6, threadMm: kind === 'lag' ? null : lengthMm - 10, approval: null },
  })
  const batten = (thicknessMm: number | null) => ({
    ...face,
    supports: { kind: 'purlins' as const, member: 'batten' as const, firstMm: 0, spacingMm: 300, widthMm: 50, thicknessMm, batten: null, found: [] },
  })
  it('a screw of 6 d least penetration holds nothing in a 25 mm batten, nor in one that nobody measured', () => {
    for (const format of ['asd', 'en'] as const) {
      expect(fixingCapacity(mountOf('wood-screw', 6.3, 90), batten(25), plain, format).timber!.tooShort).toBe(true)
      expect(fixingCapacity(mountOf('wood-screw', 6.3, 90), batten(60), plain, format).timber!.tooShort).toBe(false)
      expect(fixingCapacity(mountOf('wood-screw', 6.3, 90), batten(null), plain, format).timber).toMatchObject({ tooShort: true, thicknessKnown: false, threadMm: 0 })
    }
  })
  it('for lateral values counts 4 D at least and p/8D below 8 D of lags, 6 D and p/10D of wood screws (NDS 12.3)', () => {
    const at = (kind: 'lag' | 'wood-screw', thicknessMm: number) => fixingCapacity(mountOf(kind, 8, 200), batten(thicknessMm), plain, 'asd').timber!
    expect(at('lag', 31).tooShort).toBe(true)
    expect(at('lag', 33).tooShort).toBe(false)
    expect(at('wood-screw', 47).tooShort).toBe(true)
    const share = (kind: 'lag' | 'wood-screw', thicknessMm: number) => at(kind, thicknessMm).lateralN / lateralUs({
      diameterMm: 8,
      yieldMpa: parts.mount.fasteners!.yieldMpa,
    }, face.timber.gravity, thicknessMm, parts.mount.plateMm)
    expect(share('lag', 40)).toBeCloseTo(40 / 64, 9)
    expect(share('lag', 70)).toBeCloseTo(1, 9)
    expect(share('wood-screw', 60)).toBeCloseTo(60 / 80, 9)
  })
})

describe('screws by EN 1995-1-1', () => {
  it('in rows along the grain count n^0.9 (a1/13d)^0.25 over 6 mm (8.34) and n^kef up to 6 mm (8.17); pulling n^0.9 (8.41)', () => {
    expect(rowEffective(8, 2, 104)).toBeCloseTo(2 ** 0.9, 9)
    expect(rowEffective(8, 2, 56)).toBeCloseTo(2 ** 0.9 * (7 / 13) ** 0.25, 9)
    expect(rowEffective(6, 3, 84)).toBe(3)
    expect(rowEffective(6, 3, 60)).toBeCloseTo(3 ** 0.85, 9)
    expect(rowEffective(6, 2, 51)).toBeCloseTo(2 ** 0.775, 9)
    expect(rowEffective(8, 1, 0)).toBe(1)
    expect(rowEffective(8, 4, 1)).toBeGreaterThanOrEqual(1)
    expect(withdrawalEn(8, 60, 350, 2) / withdrawalEn(8, 60, 350, 1)).toBeCloseTo(2 ** 0.9, 9)
  })
  it('outside table 8.6 hold only what an approval says: 4 d from the edge leaves nothing in a 47 mm rafter', () => {
    const fasteners = { ...parts.mount.fasteners!, kind: 'wood-screw' as const, diameterMm: 6, lengthMm: 100, acrossMm: [0], alongMm: 45, rootMm: 4, approval: null }
    const what = (over: Partial<typeof fasteners>, widthMm = 60, memberMm: number | null = 150) => outsideEn({
      ...fasteners,
      ...over,
    }, 2, widthMm, memberMm, 80).map(one => one.what)
    expect(what({})).toEqual([])
    expect(what({}, 47)).toEqual(['distance of a screw from the timber’s edge'])
    expect(what({}, 60, 60)).toEqual(['thickness of the timber'])
    expect(what({ alongMm: 30 })).toEqual(['distance of screws along the grain'])
    expect(what({ acrossMm: [-10, 10] }, 90)).toEqual(['distance of screws across the grain'])
    expect(what({ diameterMm: 5, rootMm: 3.3 })).toContain('diameter of the screw, at least')
    expect(what({ rootMm: 3 })).toEqual(['root of the thread, at least'])
    const mount = { ...parts.mount, screw: { ...parts.mount.screw, perMount: 2 }, fasteners }
    expect(fixingCapacity(mount, face, plain, 'en').timber!.outside.length).toBeGreaterThan(0)
    expect(fixingCapacity({ ...mount, fasteners: { ...fasteners, approval: 'ours' } }, face, plain, 'en').timber!.outside).toEqual([])
  })
})

describe('a batten’s nails', () => {
  const smooth = { ...plainBatten.nails, diameterMm: 3.1, lengthMm: 65, headMm: 7 }
  const timber = { gravity: 0.42, densityKgM3: 350 }
  it('smooth: nothing up to 8 d in the rafter, whole from 12 d (EN 1995-1-1, 8.3.2), by hand', () => {
    // 65 mm through 25 mm: 40 mm is 12.9 d. f_ax = 20e-6·350² = 2.45 N/mm²: 2.45·3.1·40 = 304 N; head 70e-6·350²·49 + 2.45·3.1·25 = 610 N.
    expect(nailsHoldN(smooth, 25, timber, 'en')).toBeCloseTo(303.8, 0)
    expect(nailsHoldN(smooth, 65 - 8 * 3.1, timber, 'en')).toBeCloseTo(0, 6)
    expect(nailsHoldN({ ...smooth, perRafter: 2 }, 25, timber, 'en')).toBeCloseTo(607.6, 0)
  })
  it('ring-shank: the declared f_ax or the head pulled through, whichever is less', () => {
    const ring = { ...smooth, kind: 'ring-shank' as const, faxMpa: 8 }
    expect(nailsHoldN(ring, 25, timber, 'en')).toBeCloseTo(Math.min(8 * 3.1 * 40, 70e-6 * 350 ** 2 * 49), 6)
    expect(nailsHoldN({ ...ring, faxMpa: null }, 25, timber, 'en')).toBe(0)
  })
  it('by NDS 12.2.3: 1380 G^2.5 D, 0.131 in at G 0.42 is 21 lb/in (table 12.2C, from memory)', () => {
    const nail = { ...smooth, diameterMm: 0.131 * MM_PER_INCH, lengthMm: 3 * MM_PER_INCH, headMm: 0.281 * MM_PER_INCH }
    expect(nailsHoldN(nail, 1 * MM_PER_INCH, timber, 'asd') / N_PER_LBF / 2).toBeCloseTo(20.7, 0)
  })
})

describe('lateral values', () => {
  it('are never negative, grow with penetration and stop growing where the screw bends', () => {
    const at = (threadMm: number) => lateralUs({ diameterMm: 7.94, yieldMpa: 310 }, 0.42, threadMm, 4.8)
    expect(at(0)).toBe(0)
    expect(at(20)).toBeLessThan(at(40))
    expect(at(80)).toBe(at(120))
  })
  it('in mode IV are what Johansen’s equation gives without its rope effect: both codes bend one screw the same', () => {
    // d² √(2 Fem Fyb / 3(1 + Re)) against √(2β/(1 + β)) √(2 My fh d), My = Fyb d³/6, β = Fem/Fes.
    const [d, fem, fes, fyb] = [0.25, 4700, 61_850, 45_000]
    const { IV } = yieldModes(d, fem, fes, fyb, 10, 10)
    const beta = fem / fes
    expect(IV * 3.2).toBeCloseTo(Math.sqrt(2 * beta / (1 + beta)) * Math.sqrt(2 * (fyb * d ** 3 / 6) * fes * d), 6)
  })
  it('of EN lie between the thin and the thick plate', () => {
    const at = (plateMm: number) => lateralEn({ diameterMm: 8, yieldMpa: 480, pilotMm: 5 }, 350, 60, plateMm)
    expect(at(1)).toBeLessThan(at(4.5))
    expect(at(4.5)).toBeLessThan(at(8))
    expect(at(8)).toBe(at(12))
  })
})

describe('a fixing', () => {
  const capacity = fixingCapacity(parts.mount, face, plain, 'asd')
  it('holds less in wet timber, for longer, and the further its foot prises', () => {
    const hold = capacity.timber!
    expect(adjusted(hold, 'asd', 'wind').withdrawalN / adjusted(hold, 'asd', 'snow').withdrawalN).toBeCloseTo(1.6 / 1.15, 9)
    expect(adjusted({ ...hold, wet: true }, 'asd', 'wind').withdrawalN / adjusted(hold, 'asd', 'wind').withdrawalN).toBeCloseTo(0.7, 9)
    const straight = fixingUse({ ...capacity, maker: null, timber: { ...hold, prying: 1, tilt: 0 } }, duty(1000, 0, 0), 'wind').up
    const prised = fixingUse({ ...capacity, maker: null, timber: { ...hold, prying: 1.5, tilt: 0 } }, duty(1000, 0, 0), 'wind').up
    // Without a maker's value nothing is known of the mount itself.
    expect(straight).toBe(UNHELD)
    expect(prised).toBe(UNHELD)
    const maker = { format: 'asd' as const, upN: 1e6, downN: 1e6, slopeN: 1e6 }
    expect(fixingUse({
      ...capacity,
      maker,
      timber: { ...hold, prying: 1.5, tilt: 0 },
    }, duty(1000, 0, 0), 'wind').up / fixingUse({ ...capacity, maker, timber: { ...hold, prying: 1, tilt: 0 } }, duty(1000, 0, 0), 'wind').up).toBeCloseTo(1.5, 9)
  })
  it('combines pull and push by NDS 12.4.1: pure pull and pure push at their own values; EN by the sum of squares (8.28)', () => {
    const maker = { format: 'asd' as const, upN: 1e6, downN: 1e6, slopeN: 1e6 }
    const hold = { ...capacity.timber!, prying: 1, tilt: 0 }
    const { withdrawalN, lateralN } = adjusted(hold, 'asd', 'wind')
    const use = (up: number, slope: number) => fixingUse({ ...capacity, maker, timber: hold }, duty(up, 0, slope), 'wind')
    expect(use(withdrawalN, 0).up).toBeCloseTo(1, 9)
    expect(use(0, lateralN).slope).toBeCloseTo(1, 9)
    // As it is printed, by the angle between the resultant and the member's face.
    for (let deg = 3; deg < 90; deg += 3) {
      const angle = deg * Math.PI / 180
      const held = withdrawalN * lateralN / (withdrawalN * Math.cos(angle) ** 2 + lateralN * Math.sin(angle) ** 2)
      expect(use(700 * Math.sin(angle), 700 * Math.cos(angle)).up, `${deg}°`).toBeCloseTo(700 / held, 9)
    }
    const en = { ...fixingCapacity(parts.mount, face, plain, 'en'), maker: { ...maker, format: 'en' as const }, timber: hold }
    const design = adjusted(hold, 'en', 'wind')
    expect(fixingUse(en, { format: 'en', upN: 0.6 * design.withdrawalN, downN: 0, slopeN: 0.8 * design.lateralN }, 'wind').up).toBeCloseTo(1, 9)
  })
  it('holds nothing where too little thread bites, and what an engineer typed in place of all the rest', () => {
    const short = fixingCapacity({ ...parts.mount, fasteners: { ...parts.mount.fasteners!, lengthMm: 30 } }, face, plain, 'asd')
    expect(short.timber!.tooShort).toBe(true)
    expect(fixingUse(short, duty(100, 0, 0), 'wind').up).toBe(UNHELD)
    const typed = fixingCapacity(parts.mount, face, { ...plain, heldUpN: 2000 }, 'asd')
    expect(fixingUse(typed, duty(1000, 0, 0), 'wind').up).toBeCloseTo(0.5, 9)
  })
  it('takes no resistance of one format for loads of the other, by type and at run time', () => {
    const design = fixingCapacity(parts.mount, face, plain, 'en')
    expect(design.maker).toBeNull()
    // @ts-expect-error ASD loads do not meet design resistances.
    expect(() => fixingUse(design, duty(100, 0, 0), 'wind')).toThrow('asd against resistances for en')
  })
  it('on sheathing, seams and a sheet’s own screws rests on the maker’s value alone', () => {
    for (const supports of [
      { kind: 'sheathing' as const, thicknessMm: 16, areas: [] },
      { kind: 'seams' as const, firstMm: 0, spacingMm: 400 },
    ]) expect(fixingCapacity(parts.mount, { ...face, supports }, plain, 'asd').timber).toBeNull()
  })
})

it('a rail bends to the lesser of yielding and rupture: Fy/1.65 and Ftu/(kt 1.95), or f_o/1.1', () => {
  const { rail } = parts
  const asd = railStrength(rail, 'asd')
  expect(asd.bendingMpa).toBeCloseTo(Math.min(240 / 1.65, 260 / 1.95), 9)
  expect(asd.rule).toBe('rupture')
  expect(asd.momentX).toBeCloseTo(asd.bendingMpa * rail.section.zxMm3, 9)
  const en = railStrength(rail, 'en')
  expect(en.bendingMpa).toBeCloseTo(240 / 1.1, 9)
  expect(railStrength({ ...rail, section: { ...rail.section, fuMpa: 1000 } }, 'asd').rule).toBe('yielding')
})
