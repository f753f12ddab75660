import { type BeamLoad, type BeamSolution, type BeamSum, type Joint, type UniformLoad, prepareBeam, reactionsOf, solveBeam } from '../beam'
import type { Interval } from '../geometry'
import { spanAreaMm2 } from '../loads'
import { loadAlong, type LoadCase, type PreparedSetting, preparedOf, type RailSetting } from './setting'

/** A rail on its fixings, solved for each load by itself. */
export interface SolvedRail {
  setting: RailSetting
  own: PreparedSetting
  xs: number[]
  /** E·I, N·mm². */
  stiffness: number
  gravity: BeamSolution
  drift: BeamSolution | null
  /** Wind by each span's own area. */
  windUp: BeamSolution
  windDown: BeamSolution
  /** For each fixing, what the wind alone does to it, by its own tributary area, N. */
  fixingUp: number[]
  fixingDown: number[]
}

/** Wind along a rail whose spans and overhangs each have their own effective area: nothing is assumed of where fixings are. */
function windOnSpans(setting: RailSetting, own: PreparedSetting, xs: number[], { fromMm: leftMm, toMm: rightMm }: Interval) {
  const ends = [Math.min(Math.max(leftMm, setting.reach.fromMm), xs[0]!), ...xs, Math.max(Math.min(rightMm, setting.reach.toMm), xs.at(-1)!)]
  const pieces = { up: [] as UniformLoad[], down: [] as UniformLoad[] }
  // Neighbouring pieces under one pressure are one: a long rail is solved many times.
  const add = (to: UniformLoad[], fromMm: number, toMm: number, nPerMm: number) => {
    const last = to.at(-1)
    if (last && last.nPerMm === nPerMm && Math.abs(last.toMm - fromMm) < 1e-9) last.toMm = toMm
    else to.push({ fromMm, toMm, nPerMm })
  }
  for (let s = 0; s + 1 < ends.length; s++) {
    const [fromMm, toMm] = [ends[s]!, ends[s + 1]!]
    for (let i = 0; i < setting.line.length; i++) {
      const stretch = setting.line[i]!
      const [from, to] = [Math.max(fromMm, stretch.fromMm), Math.min(toMm, stretch.toMm)]
      if (to <= from) continue
      const kind = own.kinds[own.kindOf[i]!]!
      const { up, down } = kind.at(spanAreaMm2(toMm - fromMm, kind.bearsMm))
      add(pieces.up, from, to, up)
      add(pieces.down, from, to, down)
    }
  }
  return { up: loadAlong(setting, pieces.up), down: loadAlong(setting, pieces.down) }
}

/** Width along the rail that each fixing holds, mm: half of the span on either side, and all of an overhang. */
export function tributariesOf(setting: Pick<RailSetting, 'reach'>, xs: number[]): number[] {
  const { fromMm, toMm } = setting.reach
  return xs.map((x, i) => {
    const left = i === 0 ? x - Math.min(fromMm, x) : (x - xs[i - 1]!) / 2
    const right = i === xs.length - 1 ? Math.max(toMm, x) - x : (xs[i + 1]! - x) / 2
    return left + right
  })
}

/** What of a load lies on a piece of the rail. */
const clipped = ({ uniform, points }: BeamLoad, { fromMm, toMm }: Interval): BeamLoad => ({
  uniform: uniform.flatMap(one => one.toMm > fromMm && one.fromMm < toMm ? [{ fromMm: Math.max(one.fromMm, fromMm), toMm: Math.min(one.toMm, toMm), nPerMm: one.nPerMm }] : []),
  points: points.filter(one => one.xMm >= fromMm && one.xMm <= toMm),
})

/**
 * Solves a rail with its fixings at `xs`. Null where it can't stand: fewer than two fixings, or joints that make it a chain.
 * @param piece the rail cut off at both ends, with what lies on it; whole where not given
 */
export function solveRail(setting: RailSetting, xs: number[], joints: Joint[], piece?: Interval): SolvedRail | null {
  const { section } = setting
  const own = preparedOf(setting)
  const whole = { fromMm: setting.fromMm, toMm: setting.toMm }
  const cut = piece ? { fromMm: Math.max(piece.fromMm, whole.fromMm), toMm: Math.min(piece.toMm, whole.toMm) } : whole
  const on = (load: BeamLoad) => piece ? clipped(load, cut) : load
  const turning = [...setting.couplers, ...joints].filter(joint => !piece || (joint.xMm > xs[0]! && joint.xMm < xs.at(-1)!))
  const prepared = prepareBeam({ fromMm: cut.fromMm, toMm: cut.toMm, supportsMm: xs, joints: turning, stiffness: section.eMpa * section.ixMm4 }, own.cuts)
  if (!prepared) return null
  const wind = windOnSpans(setting, own, xs, cut)
  const unit = own.kinds.map(kind => reactionsOf(prepared, on(kind.load)))
  const tributary = tributariesOf(setting, xs)
  const fixingUp = xs.map(() => 0)
  const fixingDown = xs.map(() => 0)
  own.kinds.forEach((kind, k) => tributary.forEach((mm, i) => {
    const { up, down } = kind.at(mm * kind.bearsMm)
    fixingUp[i]! += unit[k]![i]! * up
    fixingDown[i]! += unit[k]![i]! * down
  }))
  return {
    setting, own, xs, stiffness: prepared.beam.stiffness, gravity: solveBeam(prepared, on(own.gravity)), drift: own.drift && solveBeam(prepared, on(own.drift)),
    windUp: solveBeam(prepared, on(wind.up)), windDown: solveBeam(prepared, on(wind.down)), fixingUp, fixingDown,
  }
}

/** Whether a case has drifted snow on this rail. */
const drifts = ({ drift }: SolvedRail, one: LoadCase): boolean => drift !== null && one.drift > 0

/** Dead load and snow along the whole rail in one case. */
export const gravityIn = (rail: SolvedRail, one: LoadCase): BeamSum =>
  drifts(rail, one) ? { of: [rail.gravity, rail.drift!], times: [one.gravity, one.drift] } : { of: [rail.gravity], times: [one.gravity] }

/** The whole rail in one case, what `gravityIn` gives first: all that bends it away from the roof and towards it. */
export function railIn(rail: SolvedRail, one: LoadCase): BeamSum {
  const { of, times } = gravityIn(rail, one)
  const { wind, windActs } = one.combination
  if (windActs === 'none') return { of, times }
  return { of: [...of, windActs === 'up' ? rail.windUp : rail.windDown], times: [...times, windActs === 'up' ? -wind : wind] }
}

/** Dead load and snow on fixing i in one case, N. */
export const gravityOn = (rail: SolvedRail, one: LoadCase, i: number): number =>
  rail.gravity.reactions[i]! * one.gravity + (drifts(rail, one) ? rail.drift!.reactions[i]! * one.drift : 0)

/** What the wind presses on fixing i with in one case, N; below 0 where it pulls. */
export function windOn(rail: SolvedRail, { combination: { wind, windActs } }: LoadCase, i: number): number {
  return windActs === 'none' ? 0 : windActs === 'up' ? -wind * rail.fixingUp[i]! : wind * rail.fixingDown[i]!
}

/** All that presses on fixing i in one case, N; below 0 where it is pulled. */
export const onFixing = (rail: SolvedRail, one: LoadCase, i: number): number => gravityOn(rail, one, i) + windOn(rail, one, i)
