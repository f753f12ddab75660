import type { Point } from '../../geometry'

/** A corner of a drawn ring; its bulge is the tangent of a quarter of the arc to the next one, 0 for a straight side (DXF reference, group 42). */
export interface DrawnCorner extends Point { bulge?: number }

/** How far a chord may lie off its arc, mm. */
const CHORD_OFF_MM = 5
const MOST_CHORDS = 16

/** A ring with its arcs followed by chords that lie on them within 5 mm. */
export const followed = (ring: DrawnCorner[]): Point[] => ring.flatMap((from, i) => {
  const to = ring[(i + 1) % ring.length]!
  const bulge = from.bulge ?? 0
  if (Math.abs(bulge) < 1e-9) return [{ x: from.x, y: from.y }]
  const chord = Math.hypot(to.x - from.x, to.y - from.y)
  const angle = 4 * Math.atan(bulge)
  const radius = chord / (2 * Math.sin(Math.abs(angle) / 2))
  // Sagitta of one chord: r (1 − cos(θ/2n)).
  const step = 2 * Math.acos(Math.max(-1, 1 - CHORD_OFF_MM / radius))
  const chords = Math.min(MOST_CHORDS, Math.max(2, Math.ceil(Math.abs(angle) / step)))
  // The centre lies to the left of the chord for an arc that runs anticlockwise by less than half a turn.
  const toCentre = Math.sign(bulge) * Math.sqrt(Math.max(0, radius ** 2 - (chord / 2) ** 2)) * (Math.abs(bulge) > 1 ? -1 : 1)
  const centre = { x: (from.x + to.x) / 2 - (to.y - from.y) / chord * toCentre, y: (from.y + to.y) / 2 + (to.x - from.x) / chord * toCentre }
  const start = Math.atan2(from.y - centre.y, from.x - centre.x)
  return Array.from({ length: chords }, (_, k) => ({ x: centre.x + radius * Math.cos(start + angle * k / chords), y: centre.y + radius * Math.sin(start + angle * k / chords) }))
})
