import { type BeamSolution, type BeamSum, type Joint, type UniformLoad, prepareBeam, reactionsOf, solveBeam } from '../beam'
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
function windOnSpans(setting: RailSetting, own: PreparedSetting, xs: number[]) {
  const ends = [Math.min(setting.reach.fromMm, xs[0]!), ...xs, Math.max(setting.reach.toMm, xs.at(-1)!)]
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

/**
 * Solves a rail with its fixings at `xs`. Null where it can't stand: fewer than two fixings, or joints that make it a chain.
 */
export function solveRail(setting: RailSetting, xs: number[], joints: Joint[]): SolvedRail | null {
  const { section } = setting
  const own = preparedOf(setting)
  const { fromMm, toMm } = setting
  const prepared = prepareBeam({ fromMm, toMm, supportsMm: xs, joints: [...setting.couplers, ...joints], stiffness: section.eMpa * section.ixMm4 }, own.cuts)
  if (!prepared) return null
  const wind = windOnSpans(setting, own, xs)
  const unit = own.kinds.map(kind => reactionsOf(prepared, kind.load))
  const tributary = tributariesOf(setting, xs)
  const fixingUp = xs.map(() => 0)
  const fixingDown = xs.map(() => 0)
  own.kinds.forEach((kind, k) => tributary.forEach((mm, i) => {
    const { up, down } = kind.at(mm * kind.bearsMm)
    fixingUp[i]! += unit[k]![i]! * up
    fixingDown[i]! += unit[k]![i]! * down
  }))
  return {
    setting, own, xs, stiffness: prepared.beam.stiffness, gravity: solveBeam(prepared, own.gravity), drift: own.drift && solveBeam(prepared, own.drift),
    windUp: solveBeam(prepared, wind.up), windDown: solveBeam(prepared, wind.down), fixingUp, fixingDown,
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
