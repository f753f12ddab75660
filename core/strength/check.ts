import { allPieces, type BeamPiece, type BeamSum, type Joint, type Peak, peakMoment, peakSag, peakShear, type PieceRange, superpose } from '../beam'
import { fixingUse, type RailStrength, usedShare } from '../capacity'
import type { Combination } from '../loads'
import { radians } from '../units'
import { gravityIn, gravityOn, onFixing, railIn, type SolvedRail, solveRail, windOn } from './cases'
import type { LoadCase, RailSetting } from './setting'

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
  /** What presses on every fixing in each case, N; below 0 where it pulls. Left out of a quick check. */
  cases: { name: string, shortest: Combination['shortest'], pressN: number[] }[]
}

/** Deflection past the last fixing may be twice the share of its length. */
const OVERHANG_FACTOR = 2
/** Overhangs shorter than this are not judged by their sag, mm. */
const SHORT_MM = 50

/**
 * Bending about both axes at once, fbx/Fbx + fby/Fby: |a| + |b| is the greater of |a + b| and |a − b|.
 * @param gravity what bends the rail down the slope, times its tangent; it comes first in `all`
 */
function biaxial(all: BeamSum, gravity: BeamSum, tangent: number, range: PieceRange, { momentX, momentY }: RailStrength): Peak {
  const turned = (sign: number): BeamSum => ({ of: all.of, times: all.times.map((times, i) => times / momentX + (i < gravity.of.length ? sign * gravity.times[i]! * tangent / momentY : 0)) })
  const sum = peakMoment(turned(1), range)
  if (tangent === 0) return sum
  const difference = peakMoment(turned(-1), range)
  return Math.abs(difference.value) > Math.abs(sum.value) ? difference : sum
}

/** How a rail is checked: `quick` where only the worst share is wanted. */
export interface CheckOptions { quick?: boolean }

/**
 * Checks one rail with its fixings at `xs` under every combination and case of snow: bending about both axes, shear, deflection,
 * and each fixing up, down and down the slope. Null where it can't stand at all: fewer than two fixings, or joints that make it a
 * chain.
 */
export function checkRail(setting: RailSetting, xs: number[], joints: Joint[] = [], { quick = false }: CheckOptions = {}): RailUse | null {
  const rail = solveRail(setting, xs, joints)
  if (!rail) return null
  const { strength, loads } = setting
  const tangent = Math.tan(radians(loads.pitchDeg))
  const shares: RailUse['shares'] = {}
  const note: Note = (kind, share, name, xMm, value, limit) => {
    if (share > (shares[kind]?.share ?? -1)) shares[kind] = { share, combination: name, xMm, value, limit }
  }
  const duties = xs.map((xMm): FixingDuty => ({ xMm, upN: 0, downN: 0, slopeN: 0, up: 0, down: 0, slope: 0, worst: 0 }))
  const range = allPieces(rail.gravity)
  for (const one of rail.own.strength) {
    const all = railIn(rail, one)
    const bending = biaxial(all, gravityIn(rail, one), setting.slope === 'across' ? tangent : 0, range, strength)
    note('bending', Math.abs(bending.value), one.name, bending.xMm, bending.value * strength.momentX, strength.momentX)
    const shear = peakShear(all, range)
    note('shear', Math.abs(shear.value) / strength.shearN, one.name, shear.xMm, shear.value, strength.shearN)
    const allN = setting.slope === 'along' ? xs.reduce((sum, _, i) => sum + gravityOn(rail, one, i), 0) : 0
    for (let i = 0; i < xs.length; i++) {
      const gravityN = gravityOn(rail, one, i)
      const n = gravityN + windOn(rail, one, i)
      const slopeN = (setting.slope === 'along' ? allN / xs.length : Math.max(0, gravityN)) * tangent
      const load = { format: strength.format, upN: Math.max(0, -n), downN: Math.max(0, n), slopeN }
      const use = fixingUse(setting.capacity, load, one.combination.shortest)
      note('fixing-up', use.up, one.name, xs[i]!, load.upN, use.up > 0 ? load.upN / use.up : 0)
      note('fixing-down', use.down, one.name, xs[i]!, load.downN, use.down > 0 ? load.downN / use.down : 0)
      note('fixing-slope', use.slope, one.name, xs[i]!, load.slopeN, use.slope > 0 ? load.slopeN / use.slope : 0)
      const duty = duties[i]!
      duty.upN = Math.max(duty.upN, load.upN)
      duty.downN = Math.max(duty.downN, load.downN)
      duty.slopeN = Math.max(duty.slopeN, load.slopeN)
      duty.up = Math.max(duty.up, use.up)
      duty.down = Math.max(duty.down, use.down)
      duty.slope = Math.max(duty.slope, use.slope)
    }
  }
  const beside = quick ? Math.max(...Object.values(shares).map(share => share.share)) : 0
  for (const one of rail.own.service) serviceChecks(rail, one, note, beside)
  for (const duty of duties) duty.worst = Math.max(duty.up, duty.down, duty.slope)
  const entries = Object.entries(shares) as [CheckKind, CheckShare][]
  const [governs, { share: worst }] = entries.reduce((a, b) => b[1].share > a[1].share ? b : a)
  const cases = quick ? [] : rail.own.strength.map(one => ({ name: one.name, shortest: one.combination.shortest, pressN: xs.map((_, i) => onFixing(rail, one, i)) }))
  return { worst, governs, shares, fixings: duties, cases }
}

type Note = (kind: CheckKind, share: number, name: string, xMm: number, value: number, limit: number) => void

/**
 * Deflection of spans and overhangs, and hooks that would come to bear on the tile below.
 * @param beside a share that is reached already: spans that can't pass it are left out
 */
function serviceChecks(rail: SolvedRail, one: LoadCase, note: Note, beside: number) {
  const { setting, xs, stiffness } = rail
  const { capacity, deflectionOver, reach } = setting
  const all = railIn(rail, one)
  const range = allPieces(rail.gravity)
  const moment = beside > 0 ? Math.abs(peakMoment(all, range).value) : Infinity
  const sag = (kind: CheckKind, fromMm: number, toMm: number, limit: number) => {
    const lengthMm = toMm - fromMm
    // Between two fixings the sag is at most M L² / 8EI: most spans are nowhere near being the worst.
    if (kind === 'deflection' && moment * lengthMm ** 2 / (8 * stiffness) <= beside * limit) return
    const peak = peakSag(all, range, stiffness, fromMm, toMm)
    note(kind, Math.abs(peak.value) / limit, one.name, peak.xMm, peak.value, limit)
  }
  for (let i = 1; i < xs.length; i++) sag('deflection', xs[i - 1]!, xs[i]!, (xs[i]! - xs[i - 1]!) / deflectionOver)
  const [left, right] = [xs[0]! - reach.fromMm, reach.toMm - xs.at(-1)!]
  if (left > SHORT_MM) sag('overhang-deflection', setting.fromMm, xs[0]!, OVERHANG_FACTOR * left / deflectionOver)
  if (right > SHORT_MM) sag('overhang-deflection', xs.at(-1)!, setting.toMm, OVERHANG_FACTOR * right / deflectionOver)
  const { hook } = capacity
  if (hook) {
    for (let i = 0; i < xs.length; i++) {
      const givesMm = Math.max(0, onFixing(rail, one, i)) / hook.stiffnessNPerMm
      note('hook', usedShare(givesMm, hook.clearMm), one.name, xs[i]!, givesMm, hook.clearMm)
    }
  }
}

/** Curves along a rail for one combination, to be drawn: pieces with each span's wind by its own area. */
export function railCurves(setting: RailSetting, xs: number[], joints: Joint[], combination: Combination): { pieces: BeamPiece[], reactions: number[], stiffness: number } | null {
  const rail = solveRail(setting, xs, joints)
  const one = rail && [...rail.own.strength, ...rail.own.service].find(found => found.combination === combination)
  if (!rail || !one) return null
  return { ...superpose(railIn(rail, one)), stiffness: rail.stiffness }
}
