import { inverse, Matrix, SingularValueDecomposition, solve } from 'ml-matrix'
import type { Point } from '../geometry'

/** One taped length between two corners, by their places in the list, with the tape's standard deviation. */
export interface TapedLength { from: number, to: number, mm: number, sdMm: number }

/** What least squares says of one taped length. */
export interface LengthCheck {
  /** Adjusted less taped, mm. */
  residualMm: number
  /** Share of the length that the others check: 0 not at all, 1 wholly. */
  redundancy: number
  /** Residual over its own standard deviation; 0 where nothing checks the length. */
  standardised: number
  /** Least error in this length that would be noticed; null where nothing checks it. */
  detectableMm: number | null
  /** Places in the list of lengths whose errors can't be told from this one's. */
  inseparable: number[]
}

/** An outline made to agree with its taped lengths as well as can be. */
export interface Adjustment {
  corners: Point[]
  checks: LengthCheck[]
  /** Lengths more than the shape needs. */
  redundancy: number
  /** Root mean square of the residuals, mm. */
  misclosureMm: number
  /** The length that most disagrees and those that can't be told from it; empty when nothing disagrees. */
  suspects: number[]
}

export type Adjusted
  = | { kind: 'adjusted', adjustment: Adjustment }
  /** The lengths leave the shape free to fold: so many more are needed, and these corners are loose. */
    | { kind: 'loose', missing: number, looseCorners: number[] }
  /** No shape has these lengths, as where one side is longer than all the others together. */
    | { kind: 'impossible' }

/**
 * Baarda's non-centrality for a test at 0.1 % (two-sided 3.2905) that finds an error four times in five (0.8416):
 * W. Baarda, A Testing Procedure for Use in Geodetic Networks, 1968. Values from tables of the normal distribution.
 */
const TEST_LIMIT = 3.2905
const NON_CENTRALITY = TEST_LIMIT + 0.8416
/** Residuals that go together more closely than this can't be told apart. */
const SEPARABLE_BELOW = 0.9
const MOST_ROUNDS = 60
const NOTHING = 1e-9

/**
 * Fits corners to taped lengths by least squares (Gauss-Newton). Corner 0 is the origin and corner 1 lies on the x axis.
 * @param start corners to begin from, near enough to say which of mirror-image shapes is meant
 */
export function adjust(start: Point[], lengths: TapedLength[]): Adjusted {
  const unknowns = 2 * start.length - 3
  let corners = start
  const first = designOf(corners, lengths)
  const loose = looseness(first, start.length)
  if (loose) return loose
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const design = designOf(corners, lengths)
    const shift = stepOf(design, misfits(corners, lengths), lengths)
    if (!shift) return { kind: 'impossible' }
    // A long step could fold the shape over: half a side at most in one round.
    const longest = Math.max(...shift.map(Math.abs))
    const damp = Math.min(1, Math.min(...lengths.map(one => one.mm)) / 2 / Math.max(longest, NOTHING))
    corners = moved(corners, shift.map(value => value * damp))
    if (longest < 1e-10) break
  }
  const checks = checksOf(corners, lengths)
  if (!corners.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y))) return { kind: 'impossible' }
  // Lengths that no shape has leave the fit stretched by far more than any tape: a triangle whose sides do not meet.
  if (misfits(corners, lengths).some((misfit, i) => Math.abs(misfit) > Math.max(0.25 * lengths[i]!.mm, 500))) return { kind: 'impossible' }
  const worst = checks.reduce((best, check, i) => Math.abs(check.standardised) > Math.abs(checks[best]!.standardised) ? i : best, 0)
  const wrong = Math.abs(checks[worst]?.standardised ?? 0) > TEST_LIMIT
  const sumOfSquares = checks.reduce((sum, check) => sum + check.residualMm ** 2, 0)
  return {
    kind: 'adjusted',
    adjustment: {
      corners, checks, redundancy: lengths.length - unknowns, misclosureMm: Math.sqrt(sumOfSquares / lengths.length),
      suspects: wrong ? [worst, ...checks[worst]!.inseparable] : [],
    },
  }
}

/** Unknowns in order: x of corner 1, then x and y of every further corner. */
const columnsOf = (corner: number): { x: number | null, y: number | null } =>
  corner === 0 ? { x: null, y: null } : corner === 1 ? { x: 0, y: null } : { x: 2 * corner - 3, y: 2 * corner - 2 }

/** Change of every taped length with every unknown. */
function designOf(corners: Point[], lengths: TapedLength[]): Matrix {
  const design = Matrix.zeros(lengths.length, 2 * corners.length - 3)
  lengths.forEach(({ from, to }, row) => {
    const a = corners[from]!
    const b = corners[to]!
    const distance = Math.max(Math.hypot(b.x - a.x, b.y - a.y), NOTHING)
    for (const [corner, sign] of [[from, -1], [to, 1]] as const) {
      const { x, y } = columnsOf(corner)
      if (x !== null) design.set(row, x, sign * (b.x - a.x) / distance)
      if (y !== null) design.set(row, y, sign * (b.y - a.y) / distance)
    }
  })
  return design
}

/** Taped less present length, mm. */
const misfits = (corners: Point[], lengths: TapedLength[]): number[] =>
  lengths.map(({ from, to, mm }) => mm - Math.hypot(corners[to]!.x - corners[from]!.x, corners[to]!.y - corners[from]!.y))

const weighted = (design: Matrix, lengths: TapedLength[]): Matrix => {
  const scaled = design.clone()
  lengths.forEach(({ sdMm }, row) => scaled.mulRow(row, 1 / sdMm))
  return scaled
}

function stepOf(design: Matrix, misfit: number[], lengths: TapedLength[]): number[] | null {
  const right = Matrix.columnVector(misfit.map((value, i) => value / lengths[i]!.sdMm))
  try {
    // By singular values: a shape that is for a moment flat must not break the fit.
    return solve(weighted(design, lengths), right, true).to1DArray()
  }
  catch {
    return null
  }
}

function moved(corners: Point[], shift: number[]): Point[] {
  return corners.map((point, corner) => {
    const { x, y } = columnsOf(corner)
    return { x: point.x + (x === null ? 0 : shift[x]!), y: point.y + (y === null ? 0 : shift[y]!) }
  })
}

/** Whether the lengths hold the shape, and if not which corners can still move. */
function looseness(design: Matrix, corners: number): Extract<Adjusted, { kind: 'loose' }> | null {
  const unknowns = design.columns
  // The null space of the design is every way the shape can move without changing a taped length.
  const gram = design.transpose().mmul(design)
  const { diagonal, rightSingularVectors } = new SingularValueDecomposition(gram)
  const free = diagonal.flatMap((value, i) => value < 1e-9 * Math.max(...diagonal, 1) ? [i] : [])
  if (!free.length) return null
  const looseCorners = Array.from({ length: corners }, (_, corner) => corner).filter((corner) => {
    const { x, y } = columnsOf(corner)
    return free.some(i => [x, y].some(column => column !== null && column < unknowns && Math.abs(rightSingularVectors.get(column, i)) > 1e-6))
  })
  return { kind: 'loose', missing: free.length, looseCorners }
}

function checksOf(corners: Point[], lengths: TapedLength[]): LengthCheck[] {
  const design = designOf(corners, lengths)
  const scaled = weighted(design, lengths)
  const cofactors = inverse(scaled.transpose().mmul(scaled), true)
  // Cofactors of the residuals in units of each length's own standard deviation.
  const ofResiduals = Matrix.sub(Matrix.eye(lengths.length), scaled.mmul(cofactors).mmul(scaled.transpose()))
  const residuals = misfits(corners, lengths).map(value => -value)
  const share = (i: number) => Math.max(0, ofResiduals.get(i, i))
  return lengths.map(({ sdMm }, i) => {
    const redundancy = share(i)
    const checked = redundancy > 1e-6
    return {
      residualMm: residuals[i]!, redundancy,
      standardised: checked ? residuals[i]! / (sdMm * Math.sqrt(redundancy)) : 0,
      detectableMm: checked ? NON_CENTRALITY * sdMm / Math.sqrt(redundancy) : null,
      inseparable: checked
        ? lengths.flatMap((_, j) => j !== i && share(j) > 1e-6 && Math.abs(ofResiduals.get(i, j)) / Math.sqrt(redundancy * share(j)) >= SEPARABLE_BELOW ? [j] : [])
        : [],
    }
  })
}

/** A reading worth taking, between two corners; `separates` pairs of suspects could then be told apart. */
export interface FurtherReading { from: number, to: number, separates: number }

/**
 * The further reading, a repeat or a new one, that would best tell suspects apart: each possible one is added in thought, and
 * the one after which most pairs of suspects can be told apart is named. Null where none helps.
 */
export function bestFurtherReading(corners: Point[], lengths: TapedLength[], suspects: number[], sdMm: number): FurtherReading | null {
  let best: FurtherReading & { together: number } | null = null
  for (let from = 0; from < corners.length; from++) {
    for (let to = from + 1; to < corners.length; to++) {
      const mm = Math.hypot(corners[to]!.x - corners[from]!.x, corners[to]!.y - corners[from]!.y)
      const pairs = pairCorrelations(corners, [...lengths, { from, to, mm, sdMm }], suspects)
      const separates = pairs.filter(value => value < SEPARABLE_BELOW).length
      const together = pairs.reduce((sum, value) => sum + value, 0)
      if (separates > 0 && (!best || separates > best.separates || (separates === best.separates && together < best.together - NOTHING))) best = { from, to, separates, together }
    }
  }
  return best && { from: best.from, to: best.to, separates: best.separates }
}

/** How closely the residuals of each two suspects go together: 0 not at all, 1 wholly. */
function pairCorrelations(corners: Point[], lengths: TapedLength[], suspects: number[]): number[] {
  const scaled = weighted(designOf(corners, lengths), lengths)
  const ofResiduals = Matrix.sub(Matrix.eye(lengths.length), scaled.mmul(inverse(scaled.transpose().mmul(scaled), true)).mmul(scaled.transpose()))
  return suspects.flatMap((i, k) => suspects.slice(k + 1).map((j) => {
    const both = Math.max(0, ofResiduals.get(i, i)) * Math.max(0, ofResiduals.get(j, j))
    return both > 1e-12 ? Math.abs(ofResiduals.get(i, j)) / Math.sqrt(both) : 1
  }))
}
