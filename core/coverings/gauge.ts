import type { Nailing } from '../catalogue'
import type { Covering } from '../job'

/**
 * Height of a slate's course that shows, mm. Centre-nailed (L - lap)/2; head-nailed (L - lap - 25 mm)/2, the nail hole
 * taking 25 mm. BS 5534 (from memory): a 500 mm slate with 100 mm lap, centre-nailed, has a gauge of 200 mm.
 */
export const slateGaugeMm = (lengthMm: number, lapMm: number, nailing: Nailing): number =>
  (lengthMm - lapMm - (nailing === 'head' ? 25 : 0)) / 2

/** Units to a square metre of roof, 1/(gauge x width). */
export const unitsPerM2 = (gaugeMm: number, widthMm: number): number => 1e6 / (gaugeMm * widthMm)

/** The courses of a covering: their height and where the first regular one begins, mm; null for sheets that have none. */
export function coursesOf(covering: Covering): { gaugeMm: number, firstMm: number } | null {
  switch (covering.kind) {
    case 'coursed-shingle': return { gaugeMm: covering.exposureMm, firstMm: covering.firstCourseMm }
    case 'slate': return { gaugeMm: slateGaugeMm(covering.lengthMm, covering.lapMm, covering.nailing), firstMm: covering.firstCourseMm }
    case 'interlocking-tile':
    case 'plain-tile':
    case 'pressed-metal-tile':
    case 'felt-and-battens': return { gaugeMm: covering.gaugeMm, firstMm: covering.firstCourseMm }
    case 'screwed-sheet':
    case 'standing-seam': return null
  }
}

/** The units along a course: their cover width, where the first begins, and whether every other course is half a unit over. */
export interface Columns { widthMm: number, firstMm: number, brokenBond: boolean }

/** The columns of a covering; null for shingles whose courses run through and for bare battens, which are not laid to any. */
export function columnsOf(covering: Covering): Columns | null {
  switch (covering.kind) {
    case 'coursed-shingle': return covering.tabMm === null ? null : { widthMm: covering.tabMm, firstMm: covering.firstColumnMm, brokenBond: true }
    case 'felt-and-battens': return null
    case 'slate':
    case 'plain-tile': return { widthMm: covering.coverWidthMm, firstMm: covering.firstColumnMm, brokenBond: true }
    default: return { widthMm: covering.coverWidthMm, firstMm: covering.firstColumnMm, brokenBond: false }
  }
}

/** Length of one whole unit up the slope, mm; null for what has none or nobody measures. */
export const lengthOf = (covering: Covering): number | null => 'lengthMm' in covering ? covering.lengthMm : null

/** How far a unit reaches over the one below it, or over the next but one where they lie double, mm. */
export function headLapMm(covering: Covering): number | null {
  switch (covering.kind) {
    case 'interlocking-tile': return covering.lengthMm - covering.gaugeMm
    case 'plain-tile': return covering.lengthMm - 2 * covering.gaugeMm
    case 'slate': return covering.lapMm
    default: return null
  }
}

/** Coverings laid on battens, one to a course, at the course's gauge. */
const ON_BATTENS: Covering['kind'][] = ['interlocking-tile', 'plain-tile', 'slate', 'pressed-metal-tile', 'felt-and-battens']
export const laidOnBattens = (covering: Covering): boolean => ON_BATTENS.includes(covering.kind)
