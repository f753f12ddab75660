/** A row of rafters as some readings leave it: x = first + k·spacing + lean·(y − y₀) + the rafter's own scatter, as a normal belief. */
export interface RowState {
  /** Mean of first (mm), spacing (mm) and lean (mm per mm), and their covariance, upper triangle row by row. */
  mean: [number, number, number]
  cov: [number, number, number, number, number, number]
  /** Height that the first centre stands at, mm. */
  atMm: number
  /** Scatter of single rafters about the row, mm. */
  scatterMm: number
  /** Rafters that were read, in order: summed weight of their readings, and the weighted means of reading and height. */
  own: { k: number, weight: number, meanMm: number, meanY: number }[]
}

/** Nought is nought: what goes through JSON comes back without its sign. */
const plain = (value: number): number => value + 0

/** The same by its information, to which readings are added. */
interface Information { matrix: RowState['cov'], right: RowState['mean'] }

function rowFrom({ matrix: [a, b, c, d, e, f], right }: Information): Pick<RowState, 'mean' | 'cov'> {
  // Inverse of a symmetric 3 by 3 matrix by its cofactors.
  const [A, B, C, D, E, F] = [d * f - e * e, c * e - b * f, b * e - c * d, a * f - c * c, b * c - a * e, a * d - b * b]
  const det = a * A + b * B + c * C
  const cov = [A, B, C, D, E, F].map(one => plain(one / det)) as RowState['cov']
  const [x, y, z] = right
  return {
    cov, mean: [plain(cov[0] * x + cov[1] * y + cov[2] * z), plain(cov[1] * x + cov[3] * y + cov[4] * z), plain(cov[2] * x + cov[4] * y + cov[5] * z)],
  }
}

/** A row in the making: with its information, so that another reading can be added. */
export interface GrowingRow extends RowState { information: Information }

/** A row that was put away, ready for another reading: information is the covariance turned over. */
export function growing(row: RowState): GrowingRow {
  const { cov: matrix } = rowFrom({ matrix: row.cov, right: [0, 0, 0] })
  const [a, b, c, d, e, f] = matrix
  const [x, y, z] = row.mean
  return { ...row, information: { matrix, right: [a * x + b * y + c * z, b * x + d * y + e * z, c * x + e * y + f * z] } }
}

/** Ten metres are as good as anywhere. */
const ANYWHERE_SD_MM = 10_000

export function emptyRow(spacingMm: number, spacingSdMm: number, leanSd: number, scatterMm: number, atMm: number, firstMm = 0): GrowingRow {
  const [p, q, r] = [1 / ANYWHERE_SD_MM ** 2, 1 / spacingSdMm ** 2, 1 / leanSd ** 2]
  const information: Information = { matrix: [p, 0, 0, q, 0, r], right: [firstMm * p, spacingMm * q, 0] }
  return { ...rowFrom(information), atMm, scatterMm, own: [], information }
}

function add({ matrix, right }: Information, k: number, dy: number, xMm: number, weight: number): Information {
  const [a, b, c, d, e, f] = matrix
  return {
    matrix: [a + weight, b + weight * k, c + weight * dy, d + weight * k * k, e + weight * k * dy, f + weight * dy * dy],
    right: [right[0] + weight * xMm, right[1] + weight * xMm * k, right[2] + weight * xMm * dy],
  }
}

/**
 * The row with one reading more, of rafter k. What a rafter's own scatter takes out of its readings is taken out as a whole (best linear unbiased
 * prediction; G. K. Robinson, Statistical Science 6, 1991).
 */
export function withReading(row: GrowingRow, k: number, xMm: number, yMm: number, sdMm: number): GrowingRow {
  const { atMm, scatterMm } = row
  const weight = 1 / sdMm ** 2
  const shared = (sum: number) => -(sum ** 2) / (1 / scatterMm ** 2 + sum)
  // Readings come in order along the eave: an earlier one of the same rafter is the last, if there is one.
  const known = readOf(row.own, k)
  const sum = (known?.weight ?? 0) + weight
  const mean = (old: number | undefined, own: number) => ((known?.weight ?? 0) * (old ?? 0) + weight * own) / sum
  const own = { k, weight: sum, meanMm: mean(known?.meanMm, xMm), meanY: mean(known?.meanY, yMm) }
  let information: Information
  // The first reading of a rafter and what its scatter shares of it are at one place: one weight.
  if (!known) information = add(row.information, k, yMm - atMm, xMm, weight + shared(weight))
  else {
    information = add(row.information, k, known.meanY - atMm, known.meanMm, -shared(known.weight))
    information = add(information, k, yMm - atMm, xMm, weight)
    information = add(information, k, own.meanY - atMm, own.meanMm, shared(sum))
  }
  return { ...rowFrom(information), atMm, scatterMm, own: withOwn(row.own, own), information }
}

type Own = RowState['own'][number]

/** What was read of rafter k; the last are asked for most. */
function readOf(own: Own[], k: number): Own | undefined {
  for (let i = own.length - 1; i >= 0; i--) {
    const one = own[i]!
    if (one.k === k) return one
    if (one.k < k) return undefined
  }
  return undefined
}

/** The same with one of them new or in place of what was read of its rafter before, in order. */
function withOwn(own: Own[], one: Own): Own[] {
  let at = own.length
  while (at > 0 && own[at - 1]!.k > one.k) at--
  return at > 0 && own[at - 1]!.k === one.k ? own.with(at - 1, one) : own.toSpliced(at, 0, one)
}

/** Centre of rafter k at a height, and its standard deviation, mm. */
export function centreIn({ mean, cov, atMm, scatterMm, own }: RowState, k: number, yMm: number): { xMm: number, sdMm: number } {
  const read = readOf(own, k)
  const precision = 1 / scatterMm ** 2 + (read?.weight ?? 0)
  const share = (read?.weight ?? 0) / precision
  const dy = yMm - atMm
  const readDy = (read?.meanY ?? 0) - atMm
  const [p, q, r] = read ? [1 - share, k * (1 - share), dy - share * readDy] : [1, k, dy]
  const along = (u: number, v: number, w: number) => u * mean[0] + v * mean[1] + w * mean[2]
  const variance = 1 / precision + p * (p * cov[0] + 2 * q * cov[1] + 2 * r * cov[2]) + q * (q * cov[3] + 2 * r * cov[4]) + r * r * cov[5]
  return { xMm: along(1, k, dy) + (read ? share * (read.meanMm - along(1, k, readDy)) : 0), sdMm: Math.sqrt(Math.max(variance, 1e-12)) }
}

/** The rafter of a row whose centre is nearest a place, by the row alone. */
export const numberAt = ({ mean: [first, spacing, lean], atMm }: RowState, xMm: number, yMm: number): number => plain(Math.round((xMm - first - lean * (yMm - atMm)) / spacing))
