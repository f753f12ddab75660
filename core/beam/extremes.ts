import type { BeamPiece, BeamSolution } from './solve'

/** A greatest value and where it is. */
export interface Peak { xMm: number, value: number }

/** Solutions of one prepared beam, each times its factor: added up only where it is looked at. */
export interface BeamSum { of: BeamSolution[], times: number[] }

/** A sum as a solution of its own. */
export function superpose({ of, times }: BeamSum): BeamSolution {
  const added = (value: (one: BeamSolution) => number) => of.reduce((sum, one, i) => sum + times[i]! * value(one), 0)
  return {
    pieces: of[0]!.pieces.map(({ fromMm, toMm }, p): BeamPiece => ({
      fromMm, toMm, shear: added(one => one.pieces[p]!.shear), moment: added(one => one.pieces[p]!.moment), load: added(one => one.pieces[p]!.load),
      slope: added(one => one.pieces[p]!.slope), sag: added(one => one.pieces[p]!.sag),
    })),
    reactions: of[0]!.reactions.map((_, r) => added(one => one.reactions[r]!)),
  }
}

/** Pieces of a beam by their places in its list, from one up to before another. */
export interface PieceRange { from: number, to: number }

export const allPieces = ({ pieces }: BeamSolution): PieceRange => ({ from: 0, to: pieces.length })

/** Greatest moment by size, with its sign; it lies at an end of a piece or where its shear is nought. */
export function peakMoment({ of, times }: BeamSum, { from, to }: PieceRange): Peak {
  const { pieces } = of[0]!
  let bestX = pieces[from]?.fromMm ?? 0
  let best = 0
  for (let p = from; p < to; p++) {
    let [moment, shear, load] = [0, 0, 0]
    for (let i = 0; i < of.length; i++) {
      const one = of[i]!.pieces[p]!
      moment += times[i]! * one.moment
      shear += times[i]! * one.shear
      load += times[i]! * one.load
    }
    const { fromMm, toMm } = pieces[p]!
    const L = toMm - fromMm
    const end = moment + shear * L - load * L * L / 2
    if (Math.abs(moment) > Math.abs(best)) {
      best = moment
      bestX = fromMm
    }
    if (Math.abs(end) > Math.abs(best)) {
      best = end
      bestX = toMm
    }
    const x = load === 0 ? 0 : shear / load
    if (x > 0 && x < L) {
      const turn = moment + shear * x / 2
      if (Math.abs(turn) > Math.abs(best)) {
        best = turn
        bestX = fromMm + x
      }
    }
  }
  return { xMm: bestX, value: best }
}

/** Greatest shear by size, with its sign. */
export function peakShear({ of, times }: BeamSum, { from, to }: PieceRange): Peak {
  const { pieces } = of[0]!
  let bestX = pieces[from]?.fromMm ?? 0
  let best = 0
  for (let p = from; p < to; p++) {
    let [shear, load] = [0, 0]
    for (let i = 0; i < of.length; i++) {
      shear += times[i]! * of[i]!.pieces[p]!.shear
      load += times[i]! * of[i]!.pieces[p]!.load
    }
    const { fromMm, toMm } = pieces[p]!
    const end = shear - load * (toMm - fromMm)
    if (Math.abs(shear) > Math.abs(best)) {
      best = shear
      bestX = fromMm
    }
    if (Math.abs(end) > Math.abs(best)) {
      best = end
      bestX = toMm
    }
  }
  return { xMm: bestX, value: best }
}

/** Close enough to where a sag is greatest: it is level there, so that this much aside is far below any figure shown, mm. */
const NEAR_MM = 1e-3

/**
 * Greatest deflection by size between two places, with its sign. The slope is a cubic whose own turning points are where the
 * moment is nought; between those it has at most one root, found by halving.
 */
export function peakSag({ of, times }: BeamSum, { from, to }: PieceRange, stiffness: number, fromMm: number, toMm: number): Peak {
  let bestX = fromMm
  let best = 0
  for (let p = from; p < to; p++) {
    const piece = of[0]!.pieces[p]!
    if (piece.fromMm < fromMm - 1e-6) continue
    if (piece.toMm > toMm + 1e-6) break
    let [moment, shear, load, slope, start] = [0, 0, 0, 0, 0]
    for (let i = 0; i < of.length; i++) {
      const one = of[i]!.pieces[p]!
      moment += times[i]! * one.moment
      shear += times[i]! * one.shear
      load += times[i]! * one.load
      slope += times[i]! * one.slope
      start += times[i]! * one.sag
    }
    const slopeAt = (x: number) => slope - (moment * x + shear * x * x / 2 - load * x * x * x / 6) / stiffness
    const sagAt = (x: number) => start + slope * x - (moment * x * x / 2 + shear * x * x * x / 6 - load * x * x * x * x / 24) / stiffness
    const look = (x: number) => {
      const sag = sagAt(x)
      if (Math.abs(sag) > Math.abs(best)) {
        best = sag
        bestX = piece.fromMm + x
      }
    }
    const L = piece.toMm - piece.fromMm
    const stops = [0, ...rootsOfMoment(moment, shear, load).filter(x => x > 0 && x < L), L]
    look(0)
    for (let i = 1; i < stops.length; i++) {
      let [a, b] = [stops[i - 1]!, stops[i]!]
      look(b)
      const falls = slopeAt(a) > 0
      if ((slopeAt(b) > 0) === falls) continue
      while (b - a > NEAR_MM) {
        const middle = (a + b) / 2
        if ((slopeAt(middle) > 0) === falls) a = middle
        else b = middle
      }
      look((a + b) / 2)
    }
  }
  return { xMm: bestX, value: best }
}

/** Where a piece's moment is nought, mm from its left end, in order. */
function rootsOfMoment(moment: number, shear: number, load: number): number[] {
  if (Math.abs(load) < 1e-15) return shear === 0 ? [] : [-moment / shear]
  const under = shear ** 2 + 2 * load * moment
  if (under < 0) return []
  const root = Math.sqrt(under)
  return load > 0 ? [(shear - root) / load, (shear + root) / load] : [(shear + root) / load, (shear - root) / load]
}
