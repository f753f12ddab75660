import { type Closure, plainClosure } from '../schema'

const inch = (n: number) => n * 25.4
const at = (mm: number) => ({ fromMm: mm, toMm: mm })
type Said = Pick<Closure, 'id' | 'name' | 'coverings' | 'way' | 'screwsUp' | 'plateHighMm' | 'plateWideMm' | 'minutes'> & Partial<Closure>
const closure = (said: Said): Closure => ({ ...plainClosure, ...said })

/** A foot of which the flashing goes under the courses, in the schools that makers ask for. */
function lappedFoot(offsetMm: number, plate: [highMm: number, wideMm: number], flashing: [headMm: number, footMm: number, wideMm: number], bead: [mm: number, acrossMm: number, upMm: number], minutes: number, trimMm = 0): Closure[] {
  const base = {
    coverings: ['coursed-shingle'] as Closure['coverings'], screwsUp: at(0 - offsetMm), plateHighMm: plate[0], plateWideMm: plate[1], minutes, leastC: 4, trimMm,
    beadMm: bead[0], sealAcrossMm: bead[1], sealUpMm: bead[2],
  }
  const lapped = { ...base, way: 'lapped' as const, headMm: flashing[0], footMm: flashing[1], flashWideMm: flashing[2], lifts: true, liftUnits: 1, liftCourses: 2, nails: 2, dabs: 3, dabMl: 0.8, parts: ['flashing' as const] }
  return [
    closure({ ...lapped, id: 'inverted-u', name: 'Flashing over an inverted U', seal: 'inverted-u' }),
    closure({ ...lapped, id: 'half-circle', name: 'Flashing over a half circle', seal: 'half-circle', sealAcrossMm: bead[1] + 40 }),
    closure({ ...lapped, id: 'rings', name: 'Flashing over a ring and in a ring', seal: 'rings', sealAcrossMm: 25, sealUpMm: bead[1] }),
    closure({ ...base, id: 'surface', name: 'Surface-sealed, nothing lifted', way: 'sealed', seal: 'surface', sealAcrossMm: plate[1] + 20, sealUpMm: plate[0] + 20, minutes: minutes - 4 }),
  ]
}

/** A foot on the shingle's face, on its own pad or in sealant. */
const sealedFoot = (plate: [highMm: number, wideMm: number], minutes: number): Closure[] => {
  const base = { coverings: ['coursed-shingle'] as Closure['coverings'], way: 'sealed' as const, screwsUp: at(0), plateHighMm: plate[0], plateWideMm: plate[1], minutes, leastC: 5 }
  return [
    closure({ ...base, id: 'pad', name: 'Butyl pad under the foot' }),
    closure({ ...base, id: 'underside', name: 'Whole underside and a bead round it', seal: 'underside', beadMm: inch(0.25), sealAcrossMm: plate[1], sealUpMm: plate[0], filmMm: 1.5 }),
    closure({ ...base, id: 'injected', name: 'Injected until both witness holes show', seal: 'injected', fillMl: 14 }),
  ]
}

/** How the invented mounts go through each covering they are made for. */
export const closures = {
  'thole-edge-foot': lappedFoot(0, [inch(3), inch(3.5)], [268, 36, inch(9)], [inch(0.25), 80, 102], 13),
  'limpet-flashed': lappedFoot(12, [inch(2.5), inch(3)], [274, 31, inch(8)], [inch(0.25), 69, 76], 11),
  'limpet-four': sealedFoot([inch(4), inch(3.5)], 7),
  'limpet-sheathing': sealedFoot([inch(4.5), inch(4)], 6),
  'windlass-flashed': lappedFoot(0, [80, 90], [262, 38, 250], [6, 83, 100], 13, inch(2)),
  'windlass-strip-post': [closure({
    id: 'strip', name: 'Tiles stripped, shingle and flashing below, tiles back round', coverings: ['interlocking-tile'], way: 'strip', screwsUp: at(0), plateHighMm: 80, plateWideMm: 90, headMm: 262, footMm: 38, flashWideMm: 250,
    lifts: true, seal: 'inverted-u', beadMm: 6, sealAcrossMm: 83, sealUpMm: 100, parts: ['flashing'], breaks: 0.04, minutes: 16, leastC: 4,
  })],
  'windlass-tile-hook': [
    closure({
      id: 'notched', name: 'Tile above notched', coverings: ['interlocking-tile'], way: 'hook', screwsUp: { fromMm: 165, toMm: 215 }, plateHighMm: 80, plateWideMm: 110, armDownMm: 150, armThickMm: 6, riseMm: 62,
      cutWideMm: 44, cutHighMm: 45, cutDeepMm: 11, cutToleranceMm: 2, edgeMm: 20, lifts: true, liftUnits: 2, liftCourses: 1, breaks: 0.02, minutes: 15,
    }),
    closure({
      id: 'unnotched', name: 'No notch: the tile rides on the arm', coverings: ['interlocking-tile'], way: 'hook', screwsUp: { fromMm: 165, toMm: 215 }, plateHighMm: 80, plateWideMm: 110, armDownMm: 150, armThickMm: 6, riseMm: 62,
      edgeMm: 20, lifts: true, liftUnits: 2, liftCourses: 1, breaks: 0.01, minutes: 11,
    }),
    closure({
      id: 'plain-notched', name: 'Tiles above notched, batten cut and carried', coverings: ['plain-tile'], way: 'hook', screwsUp: { fromMm: 120, toMm: 170 }, plateHighMm: 70, plateWideMm: 110, armDownMm: 105, armThickMm: 6, riseMm: 62,
      cutWideMm: 44, cutHighMm: 45, cutDeepMm: 11, cutToleranceMm: 2, edgeMm: 15, lifts: true, liftUnits: 3, liftCourses: 3, battenCut: true, breaks: 0.04, minutes: 22,
    }),
  ],
  'windlass-tile-post': [closure({
    id: 'cored', name: 'Cored tile, post, shaped flashing and cap', coverings: ['interlocking-tile'], way: 'post', screwsUp: at(0), plateHighMm: 90, plateWideMm: 90, headMm: 150, footMm: 120, flashWideMm: 240,
    cutWideMm: 76, cutHighMm: 76, cutToleranceMm: 3, edgeMm: 35, playMm: 12, lifts: true, liftUnits: 2, liftCourses: 1, seal: 'rings', beadMm: 6, sealAcrossMm: 55, sealUpMm: 90, parts: ['flashing', 'extension', 'cap'], breaks: 0.05, minutes: 21, leastC: 5,
  })],
  'windlass-slate-hook': [closure({
    id: 'slot', name: 'Slot, flashing, clip and cap', coverings: ['slate'], way: 'slot', screwsUp: { fromMm: 60, toMm: 130 }, plateHighMm: 70, plateWideMm: 60, armDownMm: 55, armThickMm: 5, riseMm: 46, headMm: 190, footMm: 95, flashWideMm: 180,
    cutWideMm: 80, cutHighMm: 190, cutOldHighMm: 215, cutUpMm: 60, cutToleranceMm: 5, edgeMm: 20, playMm: 22, lifts: true, liftUnits: 1, liftCourses: 1, seal: 'half-circle', beadMm: 6, sealAcrossMm: 120,
    parts: ['flashing', 'retaining-clip', 'foam', 'cap'], breaks: 0.08, minutes: 24, leastC: 3,
  })],
  'windlass-slate-plate': [closure({
    id: 'drilled', name: 'Slates off, plate on the rafter, slates drilled and back', coverings: ['slate'], way: 'plate', screwsUp: { fromMm: -45, toMm: 45 }, plateHighMm: 90, plateWideMm: 70, headMm: 230, footMm: 60, flashWideMm: 200,
    cutWideMm: 12, cutHighMm: 12, cutToleranceMm: 1, edgeMm: 20, playMm: 0, lifts: true, liftUnits: 2, liftCourses: 3, seal: 'rings', beadMm: 6, sealAcrossMm: 30, sealUpMm: 60, parts: ['flashing', 'gasket'], breaks: 0.1, minutes: 38, leastC: 5,
  })],
  'windlass-metal-tile': [closure({
    id: 'gasketed', name: 'Through the pan on a gasket', coverings: ['pressed-metal-tile'], way: 'bracket', profiles: ['pan', 'shake'], screwsUp: at(0), plateHighMm: 70, plateWideMm: 60,
    cutWideMm: 12, cutHighMm: 12, cutToleranceMm: 1, edgeMm: 40, seal: 'rings', beadMm: 6, sealAcrossMm: 40, sealUpMm: 70, parts: ['gasket'], minutes: 12, leastC: 5,
  })],
  'cleat-sheet-foot': [closure({ id: 'own-hole', name: 'In the hole of the sheet’s own screw', coverings: ['screwed-sheet'], way: 'screw', screwsUp: at(-8), plateHighMm: 50, plateWideMm: 45, minutes: 5 })],
  'cleat-seam': [closure({ id: 'seam', name: 'Clamp on the seam', coverings: ['standing-seam'], way: 'clamp', profiles: ['double-lock', 'snap-lock'], screwsUp: at(0), plateHighMm: 60, plateWideMm: 40, minutes: 4, dry: false })],
  // Seams hold unlike: the round one lets go at three quarters of what a folded one does (invented).
  'cleat-bulb': [closure({ id: 'bulb', name: 'Clamp round a bulb seam', coverings: ['standing-seam'], way: 'clamp', profiles: ['bulb'], screwsUp: at(0), plateHighMm: 60, plateWideMm: 45, minutes: 4, dry: false })],
} satisfies Record<string, Closure[]>
