import type { Rail } from '../catalogue'
import { type BeamLoad, type BeamPiece, type BeamSolution, type Joint, type Peak, peakMoment, peakOfTwo, peakSag, peakShear, prepareBeam, solveBeam, superpose } from '../beam'
import { type FixingCapacity, fixingUse, type RailStrength } from '../capacity'
import type { LoadPath } from '../job'
import type { Combination, FaceLoads, LineStretch } from '../loads'
import { radians } from '../units'

/** All that is fixed about one rail before its fixings are chosen. */
export interface RailSetting {
  /** The rail's trimmed ends and the modules' outer edges, mm along it. */
  fromMm: number
  toMm: number
  reach: { fromMm: number, toMm: number }
  line: LineStretch[]
  /** Edges of the modules, where clamps press, mm along the rail. */
  modules: { fromMm: number, toMm: number }[]
  /** Joints that are there whatever is fixed, as between coupled frames. */
  couplers: Joint[]
  /**
   * How what pulls down the slope reaches the fixings: across the rail, which it bends about its other axis; along a rail up the
   * slope, whose fixings share it alike since it ties them together (common practice); through the modules' own plane.
   */
  slope: 'across' | 'along' | 'by-modules'
  loads: FaceLoads
  section: Rail['section']
  strength: RailStrength
  capacity: FixingCapacity
  deflectionOver: number
  loadPath: LoadPath
}

export const checkKinds = ['bending', 'shear', 'deflection', 'overhang-deflection', 'fixing-up', 'fixing-down', 'fixing-slope', 'hook'] as const
export type CheckKind = typeof checkKinds[number]

/** One check at its worst: how much of what is allowed is used, by what and where. */
export interface CheckShare { share: number, combination: string, xMm: number, value: number, limit: number }

/** What one fixing has to do, at its worst over all combinations, N, and the shares of what it holds. */
export interface FixingDuty { xMm: number, upN: number, downN: number, slopeN: number, up: number, down: number, slope: number, worst: number }

export interface RailUse {
  worst: number
  governs: CheckKind
  shares: Partial<Record<CheckKind, CheckShare>>
  fixings: FixingDuty[]
}

/** Deflection past the last fixing may be twice the share of its length. */
const OVERHANG_FACTOR = 2
/** Overhangs shorter than this are not judged by their sag, mm. */
const SHORT_MM = 50

interface UnitCases { prepared: NonNullable<ReturnType<typeof prepareBeam>>, gravity: BeamSolution, railUp: BeamSolution, railDown: BeamSolution, fixingUp: BeamSolution, fixingDown: BeamSolution }

/** The loads of one kind along a rail, as a line or through the clamps at the modules' edges. */
function loadOf({ line, modules, loadPath }: Pick<RailSetting, 'line' | 'modules' | 'loadPath'>, of: (stretch: LineStretch) => number): BeamLoad {
  const uniform = line.map(stretch => ({ fromMm: stretch.fromMm, toMm: stretch.toMm, nPerMm: of(stretch) })).filter(one => one.nPerMm !== 0)
  if (loadPath === 'line') return { uniform, points: [] }
  const points = modules.flatMap((module) => {
    const n = uniform.reduce((sum, one) => sum + one.nPerMm * Math.max(0, Math.min(one.toMm, module.toMm) - Math.max(one.fromMm, module.fromMm)), 0)
    return [{ xMm: module.fromMm, n: n / 2 }, { xMm: module.toMm, n: n / 2 }]
  })
  return { uniform: [], points }
}

/** Loads of a setting, each kind by itself, and where they begin and end. */
interface UnitLoads { cuts: number[], gravity: BeamLoad, railUp: BeamLoad, railDown: BeamLoad, fixingUp: BeamLoad, fixingDown: BeamLoad }

// A setting is never changed once made; its loads are asked for with every choice of fixings.
const known = new WeakMap<RailSetting, UnitLoads>()

function unitLoads(setting: RailSetting): UnitLoads {
  const ready = known.get(setting)
  if (ready) return ready
  const { line, modules, loadPath } = setting
  const made: UnitLoads = {
    cuts: loadPath === 'line' ? line.flatMap(one => [one.fromMm, one.toMm]) : modules.flatMap(one => [one.fromMm, one.toMm]),
    gravity: loadOf(setting, one => gravityShare(setting, one)), railUp: loadOf(setting, one => one.railUp), railDown: loadOf(setting, one => one.railDown),
    fixingUp: loadOf(setting, one => one.fixingUp), fixingDown: loadOf(setting, one => one.fixingDown),
  }
  known.set(setting, made)
  return made
}

function unitCases(setting: RailSetting, xs: number[], joints: Joint[]): UnitCases | null {
  const { fromMm, toMm, section } = setting
  const { cuts, ...loads } = unitLoads(setting)
  const prepared = prepareBeam({ fromMm, toMm, supportsMm: xs, joints: [...setting.couplers, ...joints], stiffness: section.eMpa * section.ixMm4 }, cuts)
  if (!prepared) return null
  const solve = (load: BeamLoad) => solveBeam(prepared, load)
  return { prepared, gravity: solve(loads.gravity), railUp: solve(loads.railUp), railDown: solve(loads.railDown), fixingUp: solve(loads.fixingUp), fixingDown: solve(loads.fixingDown) }
}

/** Dead load and snow of a stretch beside those of the first: both go by the width of module that the line bears there. */
const gravityShare = ({ line }: RailSetting, { dead }: LineStretch): number => line[0]!.dead > 0 ? dead / line[0]!.dead : 1

/** On the first stretch, N/mm. */
const gravityOf = ({ line }: RailSetting, combination: Combination): number => line.length ? combination.dead * line[0]!.dead + combination.snow * line[0]!.snow : 0

function combine(cases: UnitCases, combination: Combination, gravity: number, part: 'rail' | 'fixing'): BeamSolution {
  const [up, down] = part === 'rail' ? [cases.railUp, cases.railDown] : [cases.fixingUp, cases.fixingDown]
  switch (combination.windActs) {
    case 'none': return superpose([cases.gravity], [gravity])
    case 'up': return superpose([cases.gravity, up], [gravity, -combination.wind])
    case 'down': return superpose([cases.gravity, down], [gravity, combination.wind])
  }
}

/** Bending about both axes at once, fbx/Fbx + fby/Fby: |a| + |b| is the greater of |a + b| and |a − b|. */
function biaxial(solution: BeamSolution, gravity: BeamSolution, acrossPerGravity: number, { momentX, momentY }: RailStrength): Peak {
  const across = acrossPerGravity / momentY
  const sum = peakOfTwo(solution.pieces, 1 / momentX, gravity.pieces, across)
  if (across === 0) return sum
  const difference = peakOfTwo(solution.pieces, 1 / momentX, gravity.pieces, -across)
  return Math.abs(difference.value) > Math.abs(sum.value) ? difference : sum
}

/**
 * Checks one rail with its fixings at `xs` under every combination: bending about both axes, shear, deflection, and each
 * fixing up, down and down the slope. Null where it can't stand at all: fewer than two fixings, or joints that make it a chain.
 * @param quick only the worst share is wanted: deflections that can't be the worst are not worked out
 */
export function checkRail(setting: RailSetting, xs: number[], joints: Joint[] = [], quick = false): RailUse | null {
  const cases = unitCases(setting, xs, joints)
  if (!cases) return null
  const { strength, loads } = setting
  const tangent = Math.tan(radians(loads.pitchDeg))
  const shares: RailUse['shares'] = {}
  const note = (kind: CheckKind, share: number, combination: Combination, xMm: number, value: number, limit: number) => {
    if (share > (shares[kind]?.share ?? -1)) shares[kind] = { share, combination: combination.name, xMm, value, limit }
  }
  const gravityN = cases.gravity.reactions.reduce((sum, n) => sum + n, 0)
  const duties = xs.map((xMm): FixingDuty => ({ xMm, upN: 0, downN: 0, slopeN: 0, up: 0, down: 0, slope: 0, worst: 0 }))
  for (const combination of loads.combinations.strength) {
    const gravity = gravityOf(setting, combination)
    const rail = combine(cases, combination, gravity, 'rail')
    const bending = biaxial(rail, cases.gravity, setting.slope === 'across' ? gravity * tangent : 0, strength)
    note('bending', Math.abs(bending.value), combination, bending.xMm, bending.value * strength.momentX, strength.momentX)
    const shear = peakShear(rail.pieces)
    note('shear', Math.abs(shear.value) / strength.shearN, combination, shear.xMm, shear.value, strength.shearN)
    const fixing = combine(cases, combination, gravity, 'fixing')
    xs.forEach((xMm, i) => {
      const n = fixing.reactions[i]!
      const slopeN = (setting.slope === 'along' ? gravityN / xs.length : Math.max(0, cases.gravity.reactions[i]!)) * gravity * tangent
      const load = { format: strength.format, upN: Math.max(0, -n), downN: Math.max(0, n), slopeN }
      const use = fixingUse(setting.capacity, load, combination.shortest)
      note('fixing-up', use.up, combination, xMm, load.upN, use.up > 0 ? load.upN / use.up : 0)
      note('fixing-down', use.down, combination, xMm, load.downN, use.down > 0 ? load.downN / use.down : 0)
      note('fixing-slope', use.slope, combination, xMm, load.slopeN, use.slope > 0 ? load.slopeN / use.slope : 0)
      const duty = duties[i]!
      duty.upN = Math.max(duty.upN, load.upN)
      duty.downN = Math.max(duty.downN, load.downN)
      duty.slopeN = Math.max(duty.slopeN, load.slopeN)
      duty.up = Math.max(duty.up, use.up)
      duty.down = Math.max(duty.down, use.down)
      duty.slope = Math.max(duty.slope, use.slope)
    })
  }
  for (const combination of loads.combinations.service) serviceChecks(setting, cases, xs, combination, note, quick ? Math.max(...Object.values(shares).map(one => one.share)) : 0)
  for (const duty of duties) duty.worst = Math.max(duty.up, duty.down, duty.slope)
  const entries = Object.entries(shares) as [CheckKind, CheckShare][]
  const [governs, { share: worst }] = entries.reduce((a, b) => b[1].share > a[1].share ? b : a)
  return { worst, governs, shares, fixings: duties }
}

type Note = (kind: CheckKind, share: number, combination: Combination, xMm: number, value: number, limit: number) => void

/**
 * Deflection of spans and overhangs, and hooks that would come to bear on the tile below.
 * @param beside a share that is reached already: spans that can't pass it are left out
 */
function serviceChecks(setting: RailSetting, cases: UnitCases, xs: number[], combination: Combination, note: Note, beside: number) {
  const { capacity, deflectionOver, reach } = setting
  const gravity = gravityOf(setting, combination)
  const { pieces } = combine(cases, combination, gravity, 'rail')
  const { stiffness } = cases.prepared.beam
  const moment = beside > 0 ? Math.abs(peakMoment(pieces).value) : Infinity
  const sag = (kind: CheckKind, fromMm: number, toMm: number, limit: number) => {
    const lengthMm = toMm - fromMm
    // Between two fixings the sag is at most M L² / 8EI: most spans are nowhere near being the worst.
    if (kind === 'deflection' && moment * lengthMm ** 2 / (8 * stiffness) <= beside * limit) return
    const peak = peakSag(pieces, stiffness, fromMm, toMm)
    note(kind, Math.abs(peak.value) / limit, combination, peak.xMm, peak.value, limit)
  }
  for (let i = 1; i < xs.length; i++) sag('deflection', xs[i - 1]!, xs[i]!, (xs[i]! - xs[i - 1]!) / deflectionOver)
  const [left, right] = [xs[0]! - reach.fromMm, reach.toMm - xs.at(-1)!]
  if (left > SHORT_MM) sag('overhang-deflection', setting.fromMm, xs[0]!, OVERHANG_FACTOR * left / deflectionOver)
  if (right > SHORT_MM) sag('overhang-deflection', xs.at(-1)!, setting.toMm, OVERHANG_FACTOR * right / deflectionOver)
  const { hook } = capacity
  if (hook) {
    combine(cases, combination, gravity, 'fixing').reactions.forEach((n, i) => {
      const givesMm = Math.max(0, n) / hook.stiffnessNPerMm
      note('hook', hook.clearMm > 0 ? givesMm / hook.clearMm : givesMm > 0 ? 99 : 0, combination, xs[i]!, givesMm, hook.clearMm)
    })
  }
}

/** Curves along a rail for one combination, to be drawn: pieces with the loads by the rail's own effective area. */
export function railCurves(setting: RailSetting, xs: number[], joints: Joint[], combination: Combination): { pieces: BeamPiece[], reactions: number[], stiffness: number } | null {
  const cases = unitCases(setting, xs, joints)
  if (!cases) return null
  const solution = combine(cases, combination, gravityOf(setting, combination), 'rail')
  return { ...solution, stiffness: cases.prepared.beam.stiffness }
}
