import { describe, expect, it } from 'vitest'
import { chooseParts, demoCatalogue } from '../catalogue'
import { threeRowsOfSix } from '../../tests/fixtures/jobs'
import { MM_PER_INCH, N_PER_LBF } from '../units'
import { adjusted, effectiveThreadMm, fixingCapacity, fixingUse, lateralEn, lateralUs, railStrength, UNHELD, withdrawalEn, withdrawalPerMm, yieldModes } from '.'

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
  it.each([[0.5, 1 / 4, 225], [0.5, 3 / 8, 305], [0.55, 5 / 16, 307], [0.42, 3 / 8, 235], [0.42, 1 / 4, 173]])('of lags at G %f and %f in is %i lb/in', (gravity, inches, value) => {
    expect(lbPerInch(withdrawalPerMm('lag', gravity, inches * MM_PER_INCH))).toBeCloseTo(value, 0)
  })
  it('of a screw d 8, l_ef 60, 350 kg/m³ is 6.36 kN characteristic and 4.40 kN design at k_mod 0.9 (EN 1995-1-1, 8.38)', () => {
    const rk = withdrawalEn(8, 60, 350, 1)
    expect(rk / 1000).toBeCloseTo(6.36, 2)
    expect(rk * 0.9 / 1.3 / 1000).toBeCloseTo(4.40, 2)
    expect(withdrawalEn(8, 60, 350, 4) / rk).toBeCloseTo(4 ** 0.9, 9)
  })
  it('counts only thread in timber: length less tip and all that it goes through', () => {
    expect(effectiveThreadMm({ lengthMm: 76.2, tipMm: 6.35 }, 17.78)).toBeCloseTo(52.07, 9)
    expect(effectiveThreadMm({ lengthMm: 30, tipMm: 5 }, 60)).toBe(0)
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
    expect(fixingUse({ ...capacity, maker, timber: { ...hold, prying: 1.5, tilt: 0 } }, duty(1000, 0, 0), 'wind').up / fixingUse({ ...capacity, maker, timber: { ...hold, prying: 1, tilt: 0 } }, duty(1000, 0, 0), 'wind').up).toBeCloseTo(1.5, 9)
  })
  it('combines pull and push by NDS 12.4.1: pure pull and pure push at their own values; EN by the sum of squares (8.28)', () => {
    const maker = { format: 'asd' as const, upN: 1e6, downN: 1e6, slopeN: 1e6 }
    const hold = { ...capacity.timber!, prying: 1, tilt: 0 }
    const { withdrawalN, lateralN } = adjusted(hold, 'asd', 'wind')
    const use = (up: number, slope: number) => fixingUse({ ...capacity, maker, timber: hold }, duty(up, 0, slope), 'wind')
    expect(use(withdrawalN, 0).up).toBeCloseTo(1, 9)
    expect(use(0, lateralN).slope).toBeCloseTo(1, 9)
    // Hankinson's form, written out: R / Z' = (V²/Z + T²/W) / R with R the resultant.
    const [T, V] = [withdrawalN / 2, lateralN / 3]
    expect(use(T, V).up).toBeCloseTo((V ** 2 / lateralN + T ** 2 / withdrawalN) / Math.hypot(T, V), 9)
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
    for (const supports of [{ kind: 'sheathing' as const, thicknessMm: 16, areas: [] }, { kind: 'seams' as const, firstMm: 0, spacingMm: 400 }]) expect(fixingCapacity(parts.mount, { ...face, supports }, plain, 'asd').timber).toBeNull()
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
