import type { BeamPiece, BeamSolution } from './solve'

/** A greatest value and where it is. */
export interface Peak { xMm: number, value: number }

/** Several solutions of one prepared beam added up, each times its factor. */
export function superpose(solutions: BeamSolution[], factors: number[]): BeamSolution {
  const [first] = solutions
  const pieces = first!.pieces.map(({ fromMm, toMm }): BeamPiece => ({ fromMm, toMm, shear: 0, moment: 0, load: 0, slope: 0, sag: 0 }))
  const reactions = first!.reactions.map(() => 0)
  // Plain loops: a plan adds up tens of thousands of pieces.
  for (let i = 0; i < solutions.length; i++) {
    const factor = factors[i]!
    const from = solutions[i]!
    for (let p = 0; p < pieces.length; p++) {
      const to = pieces[p]!
      const one = from.pieces[p]!
      to.shear += factor * one.shear
      to.moment += factor * one.moment
      to.load += factor * one.load
      to.slope += factor * one.slope
      to.sag += factor * one.sag
    }
    for (let r = 0; r < reactions.length; r++) reactions[r]! += factor * from.reactions[r]!
  }
  return { pieces, reactions }
}

/** Greatest moment by size, with its sign; it lies at an end of a piece or where its shear is nought. */
export const peakMoment = (pieces: BeamPiece[]): Peak => peakOfTwo(pieces, 1, pieces, 0)

/** The same for the sum of two solutions of one prepared beam, each times a factor. */
export function peakOfTwo(a: BeamPiece[], aFactor: number, b: BeamPiece[], bFactor: number): Peak {
  let bestX = a[0]?.fromMm ?? 0
  let best = 0
  for (let p = 0; p < a.length; p++) {
    const one = a[p]!
    const two = b[p]!
    const moment = aFactor * one.moment + bFactor * two.moment
    const shear = aFactor * one.shear + bFactor * two.shear
    const load = aFactor * one.load + bFactor * two.load
    const L = one.toMm - one.fromMm
    const end = moment + shear * L - load * L * L / 2
    if (Math.abs(moment) > Math.abs(best)) {
      best = moment
      bestX = one.fromMm
    }
    if (Math.abs(end) > Math.abs(best)) {
      best = end
      bestX = one.toMm
    }
    if (load === 0) continue
    const x = shear / load
    if (x > 0 && x < L) {
      const turn = moment + shear * x / 2
      if (Math.abs(turn) > Math.abs(best)) {
        best = turn
        bestX = one.fromMm + x
      }
    }
  }
  return { xMm: bestX, value: best }
}

/** Greatest shear by size, with its sign. */
export function peakShear(pieces: BeamPiece[]): Peak {
  let bestX = pieces[0]?.fromMm ?? 0
  let best = 0
  for (const { fromMm, toMm, shear, load } of pieces) {
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
export function peakSag(pieces: BeamPiece[], stiffness: number, fromMm: number, toMm: number): Peak {
  let bestX = fromMm
  let best = 0
  for (const piece of pieces) {
    if (piece.fromMm < fromMm - 1e-6 || piece.toMm > toMm + 1e-6) continue
    const { moment, shear, load } = piece
    const slopeAt = (x: number) => piece.slope - (moment * x + shear * x * x / 2 - load * x * x * x / 6) / stiffness
    const sagAt = (x: number) => piece.sag + piece.slope * x - (moment * x * x / 2 + shear * x * x * x / 6 - load * x * x * x * x / 24) / stiffness
    const look = (x: number) => {
      const sag = sagAt(x)
      if (Math.abs(sag) > Math.abs(best)) {
        best = sag
        bestX = piece.fromMm + x
      }
    }
    const L = piece.toMm - piece.fromMm
    const stops = [0, ...rootsOfMoment(piece).filter(x => x > 0 && x < L), L]
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
function rootsOfMoment({ moment, shear, load }: BeamPiece): number[] {
  if (Math.abs(load) < 1e-15) return shear === 0 ? [] : [-moment / shear]
  const under = shear ** 2 + 2 * load * moment
  if (under < 0) return []
  const root = Math.sqrt(under)
  return [(shear - root) / load, (shear + root) / load].sort((a, b) => a - b)
}
