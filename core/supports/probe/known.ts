import type { Interval } from '../../geometry'
import type { RafterSupports } from '../../job'
import { centreIn, FAR, growing, logNormal, numberAt, type RowState, withReading } from '../belief'
import { FOUND_SD_MM, numberedBelief } from '../fit/numbered'
import { LEAN_SD } from '../fit/irregular'
import type { RafterFit } from '../fit/rafter-fit'
import { SCATTER_MM } from '../rafter'
import type { ReadingKind } from '../fit/observation'

/** A row of a belief with its share of it. */
export type SharedRow = RowState & { weight: number }

/** Where a reading is taken, and of which rafter of the drawing if the reading is noted by its number. */
export interface Site { xMm: number, yMm: number, rafter: number | null }

/** What is believed of rafters that tell of each other, and what a reading makes of it. */
export interface Known {
  rows: SharedRow[]
  /** Which timber of a row a reading at this site would be of. */
  numberOf: (row: SharedRow, site: Site) => number
  /** The belief after timber was read here, mm along the eave. */
  after: (site: Site, xMm: number) => Known
  reading: ReadingKind
}

/** Ways less likely than this share of the likeliest are dropped, and how many are kept: they hardly change a count of misses. */
const HOPELESS = 1e-3
const MOST_ROWS = 12

/** Beliefs about rafters, each by itself: one for a row; for an irregular set one for each of its rafters. */
export function knownOf(supports: RafterSupports, along: Interval, topMm: number, fit: RafterFit | null, reading: ReadingKind): Known[] {
  const lengthMm = along.toMm - along.fromMm
  if (supports.layout === 'nominal') return [numbered(supports, along.toMm, reading)]
  if (!fit) return [asRow(numberedBelief(supports, along.toMm, SCATTER_MM[supports.timber]), lengthMm, reading)]
  if (fit.kind === 'row') return [asRow(likely(fit.belief), lengthMm, reading)]
  return fit.rafters.map(({ centreMm, lean, sdMm, spread }) => asRow([{
    // No other timber of it on the face: as far off as the face is long.
    mean: [centreMm + lean * topMm / 2, lengthMm, lean], cov: [sdMm ** 2, 0, 0, 1, 0, LEAN_SD ** 2], atMm: topMm / 2, scatterMm: 0.1,
    own: [{ k: 0, weight: 1e-9, meanMm: centreMm + lean * topMm / 2, meanY: topMm / 2 }], weight: spread.reduce((sum, one) => sum + one.weight, 0),
  }], lengthMm, reading))
}

/** A row that is read where its timber is thought to be: which timber it was, the belief says. */
function asRow(rows: SharedRow[], lengthMm: number, reading: ReadingKind): Known {
  return {
    rows, reading, numberOf: (row, { xMm, yMm }) => numberAt(row, xMm, yMm),
    after: ({ yMm }, xMm) => asRow(rowsAfter(rows, xMm, yMm, reading, lengthMm), lengthMm, reading),
  }
}

/** A row whose rafters are read by their number: fitted anew to its finds. */
function numbered(supports: RafterSupports, toMm: number, reading: ReadingKind): Known {
  return {
    rows: numberedBelief(supports, toMm, SCATTER_MM[supports.timber]), reading: { ...reading, sdMm: FOUND_SD_MM, wrongShare: 0 },
    numberOf: (row, { rafter, xMm, yMm }) => rafter === null ? numberAt(row, xMm, yMm) : rafter - 1,
    after: ({ rafter }, centreMm) => rafter === null
      ? numbered(supports, toMm, reading)
      : numbered({ ...supports, found: [...supports.found.filter(find => find.rafter !== rafter), { rafter, centreMm }] }, toMm, reading),
  }
}

/** The likely rows, as shares of what they make up together. */
function likely(rows: SharedRow[]): SharedRow[] {
  const kept = rows.filter(row => row.weight > HOPELESS * rows[0]!.weight).slice(0, MOST_ROWS)
  const total = kept.reduce((sum, row) => sum + row.weight, 0)
  return kept.map(row => ({ ...row, weight: row.weight / total }))
}

/** Rows weighed by what each foretold of a reading, every timber near enough or none, with it taken in. */
function rowsAfter(rows: SharedRow[], xMm: number, yMm: number, { sdMm, wrongShare }: ReadingKind, lengthMm: number): SharedRow[] {
  const ways: { row: SharedRow, k: number | null, log: number }[] = rows.flatMap((row) => {
    const known = Math.log(row.weight)
    // A row that no hit is on may begin anywhere: what it says of the reading is what chance says.
    if (!row.own.length) return [{ row, k: null, log: known - Math.log(lengthMm) }]
    const nearest = numberAt(row, xMm, yMm)
    const near = centreIn(row, nearest, yMm)
    const only = FAR * Math.hypot(near.sdMm, sdMm) < row.mean[1] / 2
    const on = (only ? [nearest] : [nearest - 1, nearest, nearest + 1]).flatMap((k) => {
      const centre = k === nearest ? near : centreIn(row, k, yMm)
      const sd = Math.hypot(centre.sdMm, sdMm)
      return Math.abs(xMm - centre.xMm) > FAR * sd ? [] : [{ row, k, log: known + Math.log((1 - wrongShare) * row.mean[1] / lengthMm) + logNormal(xMm - centre.xMm, sd) }]
    })
    return wrongShare > 0 ? [...on, { row, k: null, log: known + Math.log(wrongShare / lengthMm) }] : on
  })
  const top = ways.reduce((most, one) => Math.max(most, one.log), -Infinity)
  const kept = ways.filter(one => one.log > top + Math.log(HOPELESS)).sort((a, b) => b.log - a.log).slice(0, MOST_ROWS)
  const total = kept.reduce((sum, one) => sum + Math.exp(one.log - top), 0)
  return kept.map(({ row, k, log }) => ({ ...(k === null ? row : withReading(growing(row), k, xMm, yMm, sdMm)), weight: Math.exp(log - top) / total }))
}
