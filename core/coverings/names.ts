import { type Covering, nothingRead } from '../job'

export { coveringNames } from '../catalogue'

/** Battens as they commonly are under tiles (common practice). */
const usualBattens = (imperial: boolean) => imperial ? { battenMm: 38.1, battenDeepMm: 19.05 } : { battenMm: 38, battenDeepMm: 25 }

/** A covering of a kind at usual sizes (common practice), to be typed over with what the tape reads. */
export function usualCovering(kind: Covering['kind'], imperial: boolean): Covering {
  const mm = (inches: number, metric: number) => imperial ? inches * 25.4 : metric
  switch (kind) {
    case 'coursed-shingle': return { kind, exposureMm: mm(5.625, 143), tabMm: null, firstCourseMm: mm(5.625, 143), firstColumnMm: 0, ...nothingRead }
    case 'interlocking-tile': return {
      kind,
      gaugeMm: mm(13.5, 345),
      coverWidthMm: mm(11.75, 300),
      lengthMm: mm(16.5, 420),
      firstCourseMm: mm(12.5, 320),
      firstColumnMm: 0,
      pan: { fromMm: mm(2.5, 65), toMm: mm(9.25, 235) },
      ...nothingRead, ...usualBattens(imperial),
    }
    case 'plain-tile': return { kind, gaugeMm: mm(4, 100), coverWidthMm: mm(6.5, 165), lengthMm: mm(10.5, 265), firstCourseMm: mm(6.5, 165), firstColumnMm: 0, ...nothingRead, ...usualBattens(imperial) }
    case 'slate': return { kind, lengthMm: mm(18, 500), coverWidthMm: mm(10, 250), lapMm: mm(3.75, 100), nailing: 'centre', mayCut: true, firstCourseMm: mm(7.125, 200), firstColumnMm: 0, ...nothingRead, ...usualBattens(imperial), battenMm: mm(2, 50) }
    case 'pressed-metal-tile': return { kind, gaugeMm: mm(14.5, 369), coverWidthMm: mm(50, 1265), profile: 'pan', firstCourseMm: mm(14.5, 369), firstColumnMm: 0, ...nothingRead }
    case 'screwed-sheet': return { kind, coverWidthMm: mm(36, 1000), ribMm: mm(9, 250), firstColumnMm: 0 }
    case 'standing-seam': return { kind, coverWidthMm: mm(16, 430), profile: 'double-lock', firstColumnMm: 0 }
    case 'felt-and-battens': return { kind, gaugeMm: mm(13.5, 345), firstCourseMm: mm(13.5, 345) }
  }
}
