import { randomLcg, randomNormal } from 'd3-random'
import type { RowState } from '../belief'
import type { Known, SharedRow, Site } from './known'

/** A roof that might be there by a belief: what a reading at a site would come to, the nth reading of it. */
export type DrawnRoof = (site: Site, n: number) => number

/** So many roofs of a belief, rows as often as they are likely; the same belief gives the same roofs. */
export function drawnRoofs(known: Known, count: number): DrawnRoof[] {
  const rows = known.rows.filter(row => row.own.length)
  const total = rows.reduce((sum, row) => sum + row.weight, 0)
  const normal = randomNormal.source(randomLcg(0.42))()
  return Array.from({ length: rows.length ? count : 0 }, (_, d) => {
    let left = (d + 0.5) / count * total
    return roofOf(known, rows.find(row => (left -= row.weight) <= 0) ?? rows[0]!, normal)
  })
}

function roofOf({ numberOf, reading }: Known, row: SharedRow, normal: () => number): DrawnRoof {
  const [first, spacing, lean] = drawnLine(row, normal)
  const own = new Map<number, number>()
  const errors = new Map<string, number>()
  const centreAt = (k: number, yMm: number) => {
    if (!own.has(k)) own.set(k, ownOf(row, k, [first, spacing, lean], normal))
    return first + k * spacing + lean * (yMm - row.atMm) + own.get(k)!
  }
  return (site, n) => {
    const near = numberOf(row, site)
    // Read where it is thought to be, the timber that is nearest there is found; read by its number, that one.
    const k = site.rafter !== null && reading.wrongShare === 0 ? near : [near - 1, near, near + 1].reduce((a, b) => Math.abs(centreAt(b, site.yMm) - site.xMm) < Math.abs(centreAt(a, site.yMm) - site.xMm) ? b : a)
    const key = `${k} ${n}`
    if (!errors.has(key)) errors.set(key, reading.sdMm * normal())
    return centreAt(k, site.yMm) + errors.get(key)!
  }
}

/** First, spacing and lean of a row drawn with their covariance, by its lower triangle (A. L. Cholesky). */
function drawnLine({ mean, cov: [a, b, c, d, e, f] }: RowState, normal: () => number): [number, number, number] {
  const root = (square: number) => Math.sqrt(Math.max(0, square))
  const p = root(a)
  const [q, r] = p > 0 ? [b / p, c / p] : [0, 0]
  const s = root(d - q * q)
  const t = s > 0 ? (e - q * r) / s : 0
  const u = root(f - r * r - t * t)
  const [x, y, z] = [normal(), normal(), normal()]
  return [mean[0] + p * x, mean[1] + q * x + s * y, mean[2] + r * x + t * y + u * z]
}

/** How far a rafter stands off its drawn row, by its own readings if it has any. */
function ownOf(row: RowState, k: number, [first, spacing, lean]: [number, number, number], normal: () => number): number {
  const read = row.own.find(one => one.k === k)
  const precision = 1 / row.scatterMm ** 2 + (read?.weight ?? 0)
  const off = read ? read.weight / precision * (read.meanMm - first - k * spacing - lean * (read.meanY - row.atMm)) : 0
  return off + normal() / Math.sqrt(precision)
}
