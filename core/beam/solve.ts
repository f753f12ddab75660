/** Uniform load over a stretch, N/mm, positive towards the roof. */
export interface UniformLoad { fromMm: number, toMm: number, nPerMm: number }
/** Single load, N, positive towards the roof. */
export interface PointLoad { xMm: number, n: number }
export interface BeamLoad { uniform: UniformLoad[], points: PointLoad[] }

/** A joint in the rail that turns: its stiffness per turn, N·mm/rad; 0 is a hinge. A joint as stiff as the rail needs no mention. */
export interface Joint { xMm: number, stiffness: number }

/** A straight rail of one section on unyielding supports, with overhangs at both ends. */
export interface Beam {
  fromMm: number
  toMm: number
  /** In order, at least one; inside the rail. */
  supportsMm: number[]
  joints: Joint[]
  /** E·I, N·mm². */
  stiffness: number
}

/** A stretch of the rail between two places where something changes: values at its left end, load along it. */
export interface BeamPiece {
  fromMm: number
  toMm: number
  /** Shear on the left face, N, positive where the left part pushes the right part up. */
  shear: number
  /** Bending moment, N·mm, positive where the underside is in tension. */
  moment: number
  /** Load, N/mm. */
  load: number
  /** Slope and deflection towards the roof, mm. */
  slope: number
  sag: number
}

export interface BeamSolution {
  pieces: BeamPiece[]
  /** Of each support on the rail, N, positive away from the roof: what the rail presses on the support with. */
  reactions: number[]
}

/** The parts of a beam that do not depend on its load: where pieces end, and the factored equations of its support moments. */
export interface PreparedBeam { beam: Beam, spans: Span[], equations: Factored, unknownOf: number[], cuts: number[] }

/** Load of each stretch between neighbouring cuts, N/mm, and the point load at each cut, N. */
interface LoadAtCuts { perMm: number[], atCut: number[] }

/** @throws where a load begins, ends or stands at no cut of the beam: part of it would be dropped without a word */
function loadAtCuts(cuts: number[], { uniform, points }: BeamLoad): LoadAtCuts {
  const perMm = new Array<number>(cuts.length).fill(0)
  const atCut = new Array<number>(cuts.length).fill(0)
  for (const { fromMm, toMm, nPerMm } of uniform) {
    const [from, to] = [cutAt(cuts, fromMm), cutAt(cuts, toMm)]
    for (let i = from; i < Math.min(to, cuts.length - 1); i++) perMm[i]! += nPerMm
  }
  for (const { xMm, n } of points) atCut[cutAt(cuts, xMm)]! += n
  return { perMm, atCut }
}

/** So near to a cut is on it. */
const ON_CUT_MM = 1e-6

/** The cut at a place. */
function cutAt(cuts: number[], xMm: number): number {
  const i = firstFrom(cuts, xMm)
  if (i > 0 && xMm - cuts[i - 1]! < ON_CUT_MM) return i - 1
  if (i < cuts.length && cuts[i]! - xMm < ON_CUT_MM) return i
  throw new Error(`A load at ${xMm} mm is at none of the beam’s cuts.`)
}

/** The first cut at or after a place. */
function firstFrom(cuts: number[], xMm: number): number {
  let [low, high] = [0, cuts.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (cuts[middle]! < xMm - 1e-7) low = middle + 1
    else high = middle
  }
  return low
}

interface Span { fromMm: number, toMm: number, joints: { at: number, stiffness: number, unknown: number }[] }

/**
 * Sets up a beam for any number of loads. The unknowns are the moments over the inner supports and the kinks of the joints
 * (three-moment equations with a row more for every joint). Null where it can't stand: no support, one support without
 * fixity, a hinge in an overhang or more hinges than the supports can bear.
 * @param cuts places where loads begin, end or stand
 */
export function prepareBeam(beam: Beam, cuts: number[]): PreparedBeam | null {
  const { supportsMm } = beam
  if (supportsMm.length < 2) return null
  const first = supportsMm[0]!
  const last = supportsMm.at(-1)!
  if (beam.joints.some(joint => joint.xMm <= first || joint.xMm >= last)) return null
  // Unknowns in order along the rail: a span's joints after the support moments at both of its ends.
  const unknownOf: number[] = supportsMm.map(() => -1)
  let n = 0
  const spans = supportsMm.slice(1).map((toMm, i): Span => {
    const fromMm = supportsMm[i]!
    if (i + 1 < supportsMm.length - 1) unknownOf[i + 1] = n++
    const joints = beam.joints.filter(joint => joint.xMm > fromMm && joint.xMm <= toMm).map(joint => ({
      at: (joint.xMm - fromMm) / (toMm - fromMm),
      stiffness: joint.stiffness,
      unknown: n++,
    }))
    return { fromMm, toMm, joints }
  })
  const matrix = new Array<number>(n * n).fill(0)
  let band = 0
  const add = (i: number, j: number, value: number) => {
    if (i < 0 || j < 0) return
    band = Math.max(band, Math.abs(i - j))
    matrix[i * n + j]! += value
    if (i !== j) matrix[j * n + i]! += value
  }
  spans.forEach(({ fromMm, toMm, joints }, s) => {
    const flex = (toMm - fromMm) / (6 * beam.stiffness)
    const [left, right] = [unknownOf[s]!, unknownOf[s + 1]!]
    add(left, left, 2 * flex)
    add(right, right, 2 * flex)
    add(left, right, flex)
    for (const joint of joints) {
      add(left, joint.unknown, 1 - joint.at)
      add(right, joint.unknown, joint.at)
      add(joint.unknown, joint.unknown, -joint.stiffness)
    }
  })
  const equations = factor(n, matrix, band)
  if (!equations) return null
  const places = [beam.fromMm, beam.toMm, ...supportsMm, ...beam.joints.map(joint => joint.xMm), ...cuts.filter(x => x > beam.fromMm && x < beam.toMm)].sort((a, b) => a - b)
  return { beam, spans, equations, unknownOf, cuts: places.filter((x, i) => i === 0 || x - places[i - 1]! > 1e-7) }
}

/** Eliminated equations, row by row: multipliers below the diagonal, pivots on it; nothing stands farther from it than the band. */
interface Factored { n: number, matrix: number[], band: number }

/** Symmetric elimination without exchange. Null where it is singular. */
function factor(n: number, matrix: number[], band: number): Factored | null {
  for (let k = 0; k < n; k++) {
    const to = Math.min(n - 1, k + band)
    let scale = 1e-30
    for (let j = Math.max(0, k - band); j <= to; j++) scale = Math.max(scale, Math.abs(matrix[k * n + j]!))
    const pivot = matrix[k * n + k]!
    if (Math.abs(pivot) < 1e-12 * scale) return null
    for (let i = k + 1; i <= to; i++) {
      const multiple = matrix[i * n + k]! / pivot
      if (multiple === 0) continue
      for (let j = k + 1; j <= to; j++) matrix[i * n + j]! -= multiple * matrix[k * n + j]!
      matrix[i * n + k] = multiple
    }
  }
  return { n, matrix, band }
}

function solveFactored({ n, matrix, band }: Factored, right: number[]): number[] {
  const x = [...right]
  for (let i = 0; i < n; i++) for (let k = Math.max(0, i - band); k < i; k++) x[i]! -= matrix[i * n + k]! * x[k]!
  for (let i = n - 1; i >= 0; i--) {
    const to = Math.min(n - 1, i + band)
    for (let k = i + 1; k <= to; k++) x[i]! -= matrix[i * n + k]! * x[k]!
    x[i]! /= matrix[i * n + i]!
  }
  return x
}

/** Moments over the supports, and what each span starts with at its left end. */
interface SolvedSpans { moments: number[], starts: SpanStart[] }

function solveSpans({ beam, spans, equations, unknownOf }: PreparedBeam, load: BeamLoad): SolvedSpans {
  const { supportsMm, stiffness } = beam
  const moments = supportsMm.map(() => 0)
  moments[0] = overhangMoment(load, supportsMm[0]!, 'left')
  moments[moments.length - 1] = overhangMoment(load, supportsMm.at(-1)!, 'right')
  const right = new Array<number>(equations.n).fill(0)
  const rotations = spans.map((span, s) => {
    const free = freeSpan(span, load, stiffness)
    const flex = (span.toMm - span.fromMm) / (6 * stiffness)
    const [left, far] = [unknownOf[s]!, unknownOf[s + 1]!]
    // Known end moments of the first and last span go to the right-hand side with the load's own rotations.
    const knownLeft = left < 0 ? moments[s]! : 0
    const knownRight = far < 0 ? moments[s + 1]! : 0
    if (left >= 0) right[left]! -= free.left + flex * knownRight
    if (far >= 0) right[far]! -= free.right + flex * knownLeft
    for (const joint of span.joints) right[joint.unknown]! -= free.momentAt(joint.at) + knownLeft * (1 - joint.at) + knownRight * joint.at
    return free
  })
  const unknowns = solveFactored(equations, right)
  unknownOf.forEach((u, i) => {
    if (u >= 0) moments[i] = unknowns[u]!
  })
  const starts = rotations.map(({ left, leftForce }, s): SpanStart => {
    const { fromMm, toMm, joints } = spans[s]!
    const lengthMm = toMm - fromMm
    // Sagging moments turn the left end down and so do kinks that open below.
    const kinks = joints.reduce((sum, joint) => sum + unknowns[joint.unknown]! * (1 - joint.at), 0)
    return {
      slope: left + (2 * moments[s]! + moments[s + 1]!) * lengthMm / (6 * stiffness) + kinks,
      force: leftForce + (moments[s + 1]! - moments[s]!) / lengthMm,
      kinks: joints.map(joint => ({ xMm: fromMm + joint.at * lengthMm, turn: unknowns[joint.unknown]! })),
    }
  })
  return { moments, starts }
}

/** Moment, shear, slope and sag all along a prepared beam under one load. */
export function solveBeam(prepared: PreparedBeam, load: BeamLoad): BeamSolution {
  const { moments, starts } = solveSpans(prepared, load)
  return trace(prepared, load, moments, starts, prepared.cuts)
}

/** Only what the rail presses on its supports with, N: the same as `solveBeam` gives, without walking the rail. */
export function reactionsOf(prepared: PreparedBeam, load: BeamLoad): number[] {
  const { supportsMm, fromMm, toMm } = prepared.beam
  const { starts } = solveSpans(prepared, load)
  // What stands on a support goes straight into it; overhangs reach to the rail's very ends.
  const between = (a: number, b: number) => load.uniform.reduce((sum, one) => sum + one.nPerMm * Math.max(0, Math.min(one.toMm, b) - Math.max(one.fromMm, a)), 0)
    + load.points.reduce((sum, { xMm, n }) => xMm > a + 1e-7 && xMm < b - 1e-7 ? sum + n : sum, 0)
  return supportsMm.map((x, i) => {
    const left = i === 0 ? between(fromMm - 1, x) : between(supportsMm[i - 1]!, x) - starts[i - 1]!.force
    const right = i === supportsMm.length - 1 ? between(x, toMm + 1) : starts[i]!.force
    return left + right + pointAt(load, x)
  })
}

/** Moment that the load on an overhang puts over its support: hogging, so negative for load towards the roof. */
function overhangMoment({ uniform, points }: BeamLoad, supportMm: number, end: 'left' | 'right'): number {
  const sign = end === 'left' ? 1 : -1
  const arm = (x: number) => Math.max(0, sign * (supportMm - x))
  const ofUniform = uniform.reduce((sum, { fromMm, toMm, nPerMm }) => {
    const [near, far] = [arm(end === 'left' ? toMm : fromMm), arm(end === 'left' ? fromMm : toMm)]
    return sum + nPerMm * (far ** 2 - near ** 2) / 2
  }, 0)
  return -ofUniform - points.reduce((sum, { xMm, n }) => sum + n * arm(xMm), 0)
}

/**
 * A span by itself, resting freely at both ends: how its ends turn under the load, the force on its left end and the moment
 * anywhere. A load P at a from the left turns the left end by P b (L² − b²) / 6EIL with b = L − a; a uniform load is its integral.
 */
function freeSpan({ fromMm, toMm }: Span, { uniform, points }: BeamLoad, stiffness: number) {
  const L = toMm - fromMm
  let left = 0
  let right = 0
  let leftForce = 0
  const turnBy = (u: number) => u * u * (L * L / 2 - u * u / 4)
  for (const one of uniform) {
    if (one.toMm <= fromMm || one.fromMm >= toMm || one.nPerMm === 0) continue
    const a = Math.max(0, one.fromMm - fromMm)
    const b = Math.min(L, one.toMm - fromMm)
    left += one.nPerMm * (turnBy(L - a) - turnBy(L - b)) / (6 * L)
    right += one.nPerMm * (turnBy(b) - turnBy(a)) / (6 * L)
    leftForce += one.nPerMm * (b - a) * (L - (a + b) / 2) / L
  }
  for (const { xMm, n } of points) {
    // A load over a support goes straight into it and bends nothing.
    if (xMm <= fromMm || xMm >= toMm) continue
    const a = xMm - fromMm
    const b = L - a
    left += n * b * (L ** 2 - b ** 2) / (6 * L)
    right += n * a * (L ** 2 - a ** 2) / (6 * L)
    leftForce += n * b / L
  }
  return {
    left: left / stiffness, right: right / stiffness, leftForce,
    momentAt: (at: number): number => {
      const x = at * L
      return leftForce * x
        - uniform.reduce((sum, one) => {
          const from = Math.max(0, one.fromMm - fromMm)
          const to = Math.min(x, one.toMm - fromMm)
          return to > from ? sum + one.nPerMm * (to - from) * (x - (from + to) / 2) : sum
        }, 0)
        - points.reduce((sum, { xMm, n }) => xMm > fromMm && xMm < toMm ? sum + n * Math.max(0, x - (xMm - fromMm)) : sum, 0)
    },
  }
}

interface SpanStart { slope: number, force: number, kinks: { xMm: number, turn: number }[] }

/** Walks the rail from left to right, piece by piece, from each span's own start so that rounding does not add up. */
function trace({ beam, spans }: PreparedBeam, load: BeamLoad, moments: number[], starts: SpanStart[], cuts: number[]): BeamSolution {
  const { supportsMm, stiffness } = beam
  const { perMm, atCut } = loadAtCuts(cuts, load)
  const pieces: BeamPiece[] = []
  let cut = 0
  /** Adds the pieces up to a place and returns the state there; a point load at the start is already in the start's shear. */
  const walk = (fromMm: number, toMm: number, shear: number, moment: number, slope: number, sag: number, kinks: SpanStart['kinks']) => {
    while (cuts[cut]! < fromMm - 1e-7) cut++
    let begins = true
    for (; cut + 1 < cuts.length && cuts[cut]! < toMm - 1e-7; cut++) {
      const [a, b] = [cuts[cut]!, cuts[cut + 1]!]
      if (!begins) {
        shear -= atCut[cut]!
        for (const kink of kinks) if (Math.abs(kink.xMm - a) < 1e-7) slope -= kink.turn
      }
      begins = false
      const w = perMm[cut]!
      pieces.push({ fromMm: a, toMm: b, shear, moment, load: w, slope, sag })
      const x = b - a
      sag += slope * x - (moment * x * x / 2 + shear * x * x * x / 6 - w * x * x * x * x / 24) / stiffness
      slope -= (moment * x + shear * x * x / 2 - w * x * x * x / 6) / stiffness
      moment += shear * x - w * x * x / 2
      shear -= w * x
    }
    return { shear, moment, slope, sag }
  }
  const first = supportsMm[0]!
  const last = supportsMm.at(-1)!
  const leftOf: number[] = [0]
  // The left overhang is walked from its free end, whose slope follows from that of the first span.
  if (first - beam.fromMm > 1e-7) {
    const atSupport = walk(beam.fromMm, first, -pointAt(load, beam.fromMm), 0, 0, 0, [])
    leftOf[0] = atSupport.shear
    const slope = starts[0]!.slope - atSupport.slope
    const sag = -(atSupport.sag + slope * (first - beam.fromMm))
    for (const piece of pieces) {
      piece.sag += sag + slope * (piece.fromMm - beam.fromMm)
      piece.slope += slope
    }
  }
  const rightOf: number[] = []
  let slope = 0
  spans.forEach(({ fromMm, toMm }, s) => {
    rightOf[s] = starts[s]!.force
    const state = walk(fromMm, toMm, starts[s]!.force, moments[s]!, starts[s]!.slope, 0, starts[s]!.kinks)
    leftOf[s + 1] = state.shear
    slope = state.slope
  })
  rightOf[supportsMm.length - 1] = 0
  if (beam.toMm - last > 1e-7) {
    const force = load.uniform.reduce((sum, one) => sum + one.nPerMm * Math.max(0, Math.min(one.toMm, beam.toMm) - Math.max(one.fromMm, last)), 0) + load.points.reduce((sum, one) => one.xMm > last ? sum + one.n : sum, 0)
    rightOf[supportsMm.length - 1] = force
    walk(last, beam.toMm, force, moments.at(-1)!, slope, 0, [])
  }
  return { pieces, reactions: supportsMm.map((x, i) => rightOf[i]! - leftOf[i]! + pointAt(load, x)) }
}

const pointAt = (load: BeamLoad, xMm: number): number => load.points.reduce((sum, one) => Math.abs(one.xMm - xMm) < 1e-7 ? sum + one.n : sum, 0)

/** State of a piece at a distance from its left end. */
export function pieceAt({ shear, moment, load, slope, sag }: Omit<BeamPiece, 'fromMm' | 'toMm'>, x: number, stiffness: number): {
  shear: number
  moment: number
  slope: number
  sag: number
} {
  return {
    shear: shear - load * x,
    moment: moment + shear * x - load * x ** 2 / 2,
    slope: slope - (moment * x + shear * x ** 2 / 2 - load * x ** 3 / 6) / stiffness,
    sag: sag + slope * x - (moment * x ** 2 / 2 + shear * x ** 3 / 6 - load * x ** 4 / 24) / stiffness,
  }
}
