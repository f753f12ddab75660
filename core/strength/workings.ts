import { type ChosenParts, evidenceOf } from '../catalogue'
import { adjusted } from '../capacity'
import { DEAD_LOAD, type LineStretch, UNIFORM_SNOW, windAlong, zonesOver, zoneWind, zoneWords } from '../loads'
import { count, factor, force, length, lineLoad, moment, type Quantity, share, stress, words } from '../units'
import type { Working } from '../working'
import type { CheckKind, CheckShare, FixingDuty, RailUse } from './check'
import { supportSums } from './rafters'
import type { FaceStrength } from './rails'

/** Formula and source of every check of a rail and its fixings. */
const checks: Record<CheckKind, { what: string, formula: string, source: Record<'asd' | 'en', string>, of: (value: number) => Quantity }> = {
  'bending': {
    what: 'Bending of the rail about both axes',
    formula: 'Mx/(F Zx) + My/(F Zy) ≤ 1',
    of: moment,
    source: {
      asd: 'Aluminum Design Manual, Fy/1.65 and Ftu/(kt 1.95), interaction H.1 (from memory)',
      en: 'EN 1999-1-1, 6.2.5 and 6.2.9, f_o/1.1',
    },
  },
  'shear': { what: 'Shear in the rail', formula: 'V ≤ Vr', of: force, source: { asd: 'Aluminum Design Manual, 0.6 Fy/1.65 (from memory)', en: 'EN 1999-1-1, 6.2.6' } },
  'deflection': {
    what: 'Sag between two fixings',
    formula: 'v ≤ L / n',
    of: length,
    source: {
      asd: 'Limit set on this job; span/120 unless set',
      en: 'Limit set on this job; span/120 unless set',
    },
  },
  'overhang-deflection': {
    what: 'Sag past the last fixing',
    formula: 'v ≤ 2 L / n',
    of: length,
    source: {
      asd: 'Limit set on this job; 2L/120 unless set',
      en: 'Limit set on this job; 2L/120 unless set',
    },
  },
  'fixing-up': {
    what: 'Pull on a fixing, with its push down the slope',
    formula: 'R ≤ maker’s value;  R(a + b)/b against W′, with V: W′Z′/(W′cos²α + Z′sin²α)',
    of: force,
    source: {
      asd: 'NDS 12.2 and 12.4.1; the maker’s value for the mount',
      en: 'EN 1995-1-1, 8.7.2, (F_ax/R_ax)² + (F_v/R_v)² ≤ 1 (8.28); the maker’s value for the mount',
    },
  },
  'fixing-down': { what: 'Push on a fixing', formula: 'R ≤ maker’s value', of: force, source: { asd: 'The maker’s allowable value', en: 'The maker’s design value' } },
  'fixing-slope': {
    what: 'Push down the slope on a fixing',
    formula: 'V ≤ maker’s value;  V against Z′ with the pull that tilting brings',
    of: force,
    source: {
      asd: 'NDS 12.3 and 12.4.1; the maker’s value',
      en: 'EN 1995-1-1, 8.2.3 and 8.28; the maker’s value',
    },
  },
  'hook': {
    what: 'Give of a hook on to the tile below',
    formula: 'R / k ≤ clearance',
    of: length,
    source: {
      asd: 'Stiffness and clearance by the hook’s maker',
      en: 'Stiffness and clearance by the hook’s maker',
    },
  },
}

/** Names of workings that a check's values come from. */
interface CheckSources { loads: string | undefined, bending: string, holds: string }
const limitFrom = (kind: CheckKind, { bending, holds }: CheckSources): string | undefined => kind === 'bending' ? bending : kind.startsWith('fixing') ? holds : undefined

const one = (kind: CheckKind, { share: used, value, limit, combination, xMm }: CheckShare, format: 'asd' | 'en', sources: CheckSources): Working => ({
  what: checks[kind].what, formula: checks[kind].formula,
  values: [
    { symbol: 'E', what: 'what it comes to, at its worst', value: checks[kind].of(Math.abs(value)), from: sources.loads },
    { symbol: 'R', what: 'what is allowed there', value: checks[kind].of(Math.abs(limit)), from: limitFrom(kind, sources) },
    { symbol: 'x', what: 'place, from the left rake', value: length(xMm) },
    { symbol: '', what: 'combination', value: words(combination) },
  ],
  result: share(used), source: checks[kind].source[format], basis: kind === 'fixing-down' || kind === 'hook' ? 'maker' : 'code',
})

/** Every check of one rail, the one that governs first. */
export function railWorkings(use: RailUse, bears: FaceStrength, r: number, { rail, mount }: ChosenParts): Working[] {
  const sources: CheckSources = { loads: bears.lines[r]!.map(lineOf)[0], bending: bendingOf(rail), holds: holdsOf(mount) }
  return (Object.entries(use.shares) as [CheckKind, CheckShare][]).sort((a, b) => b[1].share - a[1].share).map(([kind, check]) => one(kind, check, bears.loads.format, sources))
}

const bendingOf = (rail: ChosenParts['rail']): string => `Bending strength of ${rail.name}`
const holdsOf = (mount: ChosenParts['mount']): string => `What ${mount.name} and its grip on the rail hold`
function lineOf(line: LineStretch): string {
  const zones = zonesOver(line)
  return `Line of load, ${zones.length > 1 ? 'zones' : 'zone'} ${zones.map(zoneWords).join(', ') || 'not known'}${line.exposed ? ', exposed' : ''}`
}

/** What the rail's section and one fixing bear, before any rail is looked at. */
export function capacityWorkings({ strength, capacity }: FaceStrength, { rail, mount }: ChosenParts): Working[] {
  const { section } = rail
  const asd = strength.format === 'asd'
  const found: Working[] = [{
    what: bendingOf(rail), formula: asd ? 'F = min(Fy/1.65, Ftu/(kt 1.95)),  M = F Z' : 'F = f_o/1.1,  M = F Z',
    values: [
      { symbol: 'Fy', what: 'yield strength', value: stress(section.fyMpa) }, { symbol: 'Ftu', what: 'tensile strength', value: stress(section.fuMpa) },
      { symbol: 'F', what: `allowed stress, by ${strength.rule}`, value: stress(strength.bendingMpa) },
      { symbol: 'Zx', what: 'section modulus', value: { kind: 'section-modulus', mm3: section.zxMm3 } },
      { symbol: 'I', what: 'second moment', value: { kind: 'second-moment', mm4: section.ixMm4 } },
    ],
    result: moment(strength.momentX), source: `${asd ? 'Aluminum Design Manual (from memory)' : 'EN 1999-1-1, 6.2.5'}; section by ${rail.maker}: ${evidenceOf(rail, 'section')}`, basis: 'code',
  }]
  const { timber, maker, held } = capacity
  if (held.upN) found.push({
    what: 'Pull that a fixing holds',
    formula: 'R as typed',
    values: [],
    result: force(held.upN),
    source: 'Typed on this job; whoever typed it answers for it',
    basis: 'typed on this job',
  })
  if (timber && mount.fasteners) {
    const { fasteners } = mount
    const wind = adjusted(timber, capacity.format, 'wind')
    found.push({
      what: 'Withdrawal of a fixing’s screws, wind',
      formula: asd ? (fasteners.kind === 'lag' ? 'W′ = n p 1800 G^1.5 D^0.75 C_D C_M' : 'W′ = n p 2850 G² D C_D C_M') : 'R = k_mod n^0.9 f_ax d l_ef k_d / γM,  f_ax = 0.52 d^−0.5 l_ef^−0.1 ρ^0.8',
      values: [
        { symbol: 'n', what: 'screws', value: count(timber.screws, timber.screws === 1 ? 'screw' : 'screws') },
        { symbol: asd ? 'D' : 'd', what: fasteners.kind === 'lag' ? 'lag diameter' : 'outer thread diameter', value: length(fasteners.diameterMm) },
        { symbol: asd ? 'p' : 'l_ef', what: 'thread in the timber that is there, without tip', value: length(timber.threadMm) },
        { symbol: '', what: 'before duration and wet service', value: force(timber.withdrawalN) }, { symbol: '(a+b)/b', what: 'prying by the foot', value: factor(timber.prying) },
      ],
      result: force(wind.withdrawalN),
      source: asd ? 'NDS 12.2.1 and 12.2.2, table 12.2A; C_D 1.6 wind, 1.15 snow' : 'EN 1995-1-1, 8.38 to 8.41; k_mod 1.1 wind, 0.9 snow; γM 1.3',
      basis: 'code',
    }, {
      what: 'Lateral hold of a fixing’s screws, wind', formula: asd ? `Z′ = n min(Im, Is, II, IIIm, IIIs, IV) min(1, p/${fasteners.kind === 'lag' ? 8 : 10}D) C_D C_M` : 'R = k_mod n_ef F_v / γM', values: [
        { symbol: 'p', what: 'screw in the timber, without tip', value: length(timber.penetrationMm) },
        { symbol: 't', what: 'metal the screw bears on', value: length(mount.plateMm) },
        { symbol: 'h/b', what: 'tilt: screw pull for each push down the slope', value: factor(timber.tilt) },
      ], result: force(wind.lateralN), source: asd ? 'NDS 12.3.1, yield limit equations, on the root diameter; 12.3.2: nothing under 4D (wood screws 6D)' : 'EN 1995-1-1, 8.9 and 8.10, without the rope effect; rows by 8.34 or 8.17', basis: 'code',
    })
  }
  found.push(maker
    ? {
        what: holdsOf(mount),
        formula: 'up, down, down the slope',
        values: [{ symbol: '↓', what: 'towards the roof', value: force(maker.downN) }, { symbol: '↘', what: 'down the slope', value: force(maker.slopeN) }],
        result: force(maker.upN),
        source: `${mount.maker}, ${asd ? 'allowable' : 'design'} values: ${evidenceOf(mount, 'resistances')}`,
        basis: 'maker',
      }
    : {
        what: holdsOf(mount),
        formula: 'not given',
        values: [],
        result: words(`no ${asd ? 'allowable' : 'design'} value`),
        source: 'The catalogue has none in the format of this job’s loads; values of the other format are never used',
        basis: 'maker',
      })
  return found
}

/** Loads along a rail, for the calculation sheet: its wind for a small area, as a short span or a fixing has it, and for a large one. */
export const lineWorkings = ({ lines, loads }: FaceStrength, r: number): Working[] => lines[r]!.map((one) => {
  const zones = zonesOver(one)
  const [small, large] = [1e6, 1e7].map(areaMm2 => windAlong(loads, one, areaMm2))
  return {
    what: lineOf(one), formula: 'w = p(A) h share', values: [
      { symbol: 'from', what: 'stretch', value: length(one.fromMm) }, { symbol: 'to', what: '', value: length(one.toMm) },
      { symbol: 'd', what: 'dead, normal', value: lineLoad(one.dead), from: DEAD_LOAD }, { symbol: 's', what: 'snow, normal', value: lineLoad(one.snow), from: UNIFORM_SNOW },
      ...(one.drift > 0 ? [{ symbol: 'sd', what: 'drift on top of balanced snow', value: lineLoad(one.drift) }] : []),
      { symbol: 'w↓', what: 'wind, down, on 1 m²', value: lineLoad(small!.down), from: loads.wind.workings.find(other => other.what === zoneWind(zones[0] ?? ''))?.what }, { symbol: 'w↑', what: 'wind, up, on 10 m²', value: lineLoad(large!.up) },
    ], result: lineLoad(small!.up), source: 'Wind up on 1 m²; each span, overhang and fixing is checked with its own area. Worst zone that the rail’s half of the module touches, lever rule between the two rails', basis: 'arithmetic',
  }
})

/** What the check of a kind is called as a working. */
export const checkTitle = (kind: CheckKind): string => checks[kind].what

/** What one fixing of a rail has to hold, and all of a rail's push down the slope. */
export function dutyWorkings(use: RailUse, members: string[], number: number, bears: FaceStrength, r: number): Working[] {
  const from = bears.lines[r]!.map(lineOf)[0]
  const beam = 'Reactions of the rail as a beam on all its fixings, the worst of all combinations, wind by each span’s own area'
  return [
    ...use.fixings.map((duty, i): Working => ({
      what: `Fixing on ${members[i]} of rail ${number}`, formula: 'reactions up, down and down the slope, each against what holds it', values: [
        { symbol: '↑', what: 'pulled off the roof', value: force(duty.upN), from }, { symbol: '↓', what: 'pushed on the roof', value: force(duty.downN), from },
        { symbol: '↘', what: 'pushed down the slope', value: force(duty.slopeN), from },
      ], result: share(duty.worst), source: beam, basis: 'solved exactly',
    })),
    {
      what: `Push down the slope on rail ${number}`, formula: 'Σ of its fixings', values: use.fixings.map((duty, i) => ({ symbol: String(i + 1), what: members[i]!, value: force(duty.slopeN), from: `Fixing on ${members[i]} of rail ${number}` })),
      result: force(use.fixings.reduce((sum, duty) => sum + duty.slopeN, 0)), source: 'Each at its own worst combination, so that the sum is on the safe side', basis: 'arithmetic',
    },
  ]
}

/** The support that carries most, rail by rail; none where no load is known. */
export function busiestWorkings(fixings: { member: string, rail: number, duty: FixingDuty }[]): Working[] {
  const sums = supportSums(fixings)
  if (!sums.length) return []
  const most = sums.reduce((a, b) => b.downN > a.downN ? b : a)
  return [{
    what: 'Busiest support', formula: 'Σ of the fixings on it', values: fixings.filter(one => one.member === most.member).map(one => ({ symbol: '↓', what: `${one.member}, rail ${one.rail}`, value: force(one.duty.downN) })),
    result: force(most.downN), source: 'Each fixing at its own worst combination, so that the sum is on the safe side', basis: 'arithmetic',
  }]
}
