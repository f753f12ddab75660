import type { Mount } from '../catalogue'
import type { Interval } from '../geometry'
import type { Face, RafterSupports, RailWay } from '../job'
import { onceFor } from '../memory'
import { type FaceShape, shapeOf } from '../roof'
import { heightsOverLines, type LineAcross, linesAcross, placesAcross } from './across'
import { fitRafters, type RafterFit } from './fit'
import { linesOnSeams, linesOverScrews, placesOnScrews, placesOnSeams, type ScrewGrid, screwsOf, type Seam, seamsOf } from './metal'
import type { PlacesForRail } from './places'
import { linesOnRafters, placesOnRafters, raftersOf } from './rafters'
import type { Rafter } from './rafter'
import { placesOnSheathing, type SheathingArea, sheathingAreas } from './sheathing'

/** What a face's supports are, as plain data to draw and to mark out; only the lists of its own kind are filled. */
export interface SupportsPlan {
  kind: Face['supports']['kind']
  rafters: Rafter[]
  /** What the hit log makes of the rafters, whether or not the layout uses it. */
  fit: RafterFit | null
  across: LineAcross[]
  seams: Seam[]
  screws: ScrewGrid
  areas: SheathingArea[]
  /** Lines, as heights of rails across and places along the eave of rails up the slope, on which a rail finds something to be fixed to, mm; null where any does. */
  railLines: Interval[] | null
}

/**
 * The supports of a face, with its answer to the rails.
 * @param screwsUpMm how far up the slope from the rail's axis the mount's screws are: they are what has to find a line across the roof, not the rail
 */
export function supportSystem(face: Pick<Face, 'supports' | 'outline'>, mount: Mount, way: RailWay, screwsUpMm = 0): { plan: SupportsPlan, places: PlacesForRail } {
  const { supports, outline } = face
  const shape = shapeOf(outline)
  const { along, up } = shape
  const plan: SupportsPlan = { kind: supports.kind, rafters: [], fit: null, across: [], seams: [], screws: { xMm: [], rowsMm: [] }, areas: [], railLines: null }
  const { fasteners } = mount
  switch (supports.kind) {
    case 'rafters': {
      const { fit } = fits(supports)(shape)
      const rafters = raftersOf(supports, outline, fit)
      return { plan: { ...plan, fit, rafters, railLines: way === 'up' ? linesOnRafters(rafters, fasteners, up.toMm) : null }, places: placesOnRafters(rafters, fasteners) }
    }
    case 'purlins': {
      const across = linesAcross(supports, up.toMm)
      return { plan: { ...plan, across, railLines: way === 'across' ? lowered(heightsOverLines(across, fasteners), screwsUpMm) : null }, places: raised(placesAcross(across, fasteners), screwsUpMm) }
    }
    case 'seams': {
      const seams = seamsOf(supports, along)
      return { plan: { ...plan, seams, railLines: way === 'up' ? linesOnSeams(seams) : null }, places: placesOnSeams(seams) }
    }
    case 'screws': {
      const screws = screwsOf(supports, along, up.toMm)
      return { plan: { ...plan, screws, railLines: way === 'across' ? lowered(linesOverScrews(screws, way), screwsUpMm) : linesOverScrews(screws, way) }, places: raised(placesOnScrews(screws), screwsUpMm) }
    }
    case 'sheathing': {
      const areas = sheathingAreas(supports, along, up)
      return { plan: { ...plan, areas }, places: placesOnSheathing(areas) }
    }
  }
}

const lowered = (lines: Interval[], byMm: number): Interval[] => lines.map(({ fromMm, toMm }) => ({ fromMm: fromMm - byMm, toMm: toMm - byMm }))

/** Places asked for where the screws are. Along a rail up the slope they are below or above it in its own run, and the places come back as the rail's. */
const raised = (places: PlacesForRail, byMm: number): PlacesForRail => byMm === 0
  ? places
  : (line) => {
      if (line.way === 'across') return places({ ...line, lineMm: line.lineMm + byMm })
      const { points, intervals } = places({ ...line, reach: { fromMm: line.reach.fromMm + byMm, toMm: line.reach.toMm + byMm } })
      return { points: points.map(point => ({ ...point, atMm: point.atMm - byMm })), intervals: intervals.map(one => ({ ...one, fromMm: one.fromMm - byMm, toMm: one.toMm - byMm })) }
    }

/** What a hit log makes of a face's rafters, remembered for both: cures plan the same ones again many times. */
const fits = onceFor((supports: RafterSupports) => onceFor((shape: FaceShape) => ({ fit: fitRafters(supports, shape.along, shape.up.toMm) })))
