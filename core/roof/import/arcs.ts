import type { Point } from '../../geometry'
import { MOST_CORNERS } from './limits'

/** A corner of a drawn ring; its bulge is the tangent of a quarter of the arc to the next one, 0 for a straight side (DXF reference, group 42). */
export interface DrawnCorner extends Point { bulge?: number }

/** How far a chord should lie off its arc at the most, mm; farther where an arc would need more chords than a face has corners for. */
const CHORD_OFF_MM = 5
const MOST_CHORDS = 16

/** A ring with its arcs followed by chords, and how far the worst of them lies off its arc, mm; 0 where there is no arc. */
export function followed(ring: DrawnCorner[]): { points: Point[], offMm: number } {
  const arcs = ring.filter(isArc).length
  const most = Math.max(2, Math.min(MOST_CHORDS, Math.floor((MOST_CORNERS - ring.length + arcs) / Math.max(1, arcs))))
  const sides = ring.map((from, i) => chordsOf(from, ring[(i + 1) % ring.length]!, most))
  return { points: sides.flatMap(side => side.points), offMm: Math.max(0, ...sides.map(side => side.offMm)) }
}

const isArc = ({ bulge = 0 }: DrawnCorner): boolean => Math.abs(bulge) >= 1e-9

/** The corner that an arc begins at and those of its chords up to its end, which the next side begins at. */
function chordsOf(from: DrawnCorner, to: DrawnCorner, most: number): { points: Point[], offMm: number } {
  const bulge = from.bulge ?? 0
  if (!isArc(from)) return { points: [{ x: from.x, y: from.y }], offMm: 0 }
  const chord = Math.hypot(to.x - from.x, to.y - from.y)
  const angle = 4 * Math.atan(bulge)
  const radius = chord / (2 * Math.sin(Math.abs(angle) / 2))
  // Sagitta of one chord: r (1 − cos(θ/2n)).
  const step = 2 * Math.acos(Math.max(-1, 1 - CHORD_OFF_MM / radius))
  const chords = Math.min(most, Math.max(2, Math.ceil(Math.abs(angle) / step)))
  // The centre lies to the left of the chord for an arc that runs anticlockwise by less than half a turn.
  const toCentre = Math.sign(bulge) * Math.sqrt(Math.max(0, radius ** 2 - (chord / 2) ** 2)) * (Math.abs(bulge) > 1 ? -1 : 1)
  const centre = { x: (from.x + to.x) / 2 - (to.y - from.y) / chord * toCentre, y: (from.y + to.y) / 2 + (to.x - from.x) / chord * toCentre }
  const start = Math.atan2(from.y - centre.y, from.x - centre.x)
  return {
    points: Array.from({ length: chords }, (_, k) => ({
      x: centre.x + radius * Math.cos(start + angle * k / chords),
      y: centre.y + radius * Math.sin(start + angle * k / chords),
    })),
    offMm: radius * (1 - Math.cos(angle / (2 * chords))),
  }
}
