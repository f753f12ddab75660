import DxfParser from 'dxf-parser'
import { firstCrossing, type Point, signedAreaMm2 } from '../../geometry'
import type { Outline } from '../../job'
import { done, type Outcome, refused } from '../../outcome'
import { guessEdges } from './guess'
import { MOST_CORNERS, tooManyCorners } from './limits'

/** Millimetres to a drawing unit by the header's $INSUNITS (DXF reference: 1 in, 2 ft, 4 mm, 5 cm, 6 m). */
const MM_PER_UNIT: Record<number, number> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 }

interface Polyline { type: string, vertices?: Point[], shape?: boolean, layer?: string }

/**
 * Outlines from the closed polylines of a DXF file, each in its face's own plane with the eave at the bottom.
 * A file that names no unit is taken in `unitMm`.
 */
export function outlinesFromDxf(text: string, unitMm: number): Outcome<{ name: string, outline: Outline }[]> {
  const drawing = parsed(text)
  if (!drawing) return refused('This is not a DXF file that can be read. Save it as an ASCII DXF and try again.')
  if (!drawing.entities?.length) return refused('This DXF file has nothing drawn in it.')
  const perUnit = MM_PER_UNIT[Number(drawing.header?.$INSUNITS)] ?? unitMm
  const drawn = (drawing.entities as Polyline[]).filter(one => (one.type === 'LWPOLYLINE' || one.type === 'POLYLINE') && isClosed(one))
  // A drawing with a layer for outlines, as this app writes it, has everything else on others.
  const outlines = drawn.filter(one => one.layer?.toUpperCase() === 'OUTLINE')
  const closed = outlines.length ? outlines : drawn
  if (!closed.length) return refused('There is no closed polyline in this DXF file. Draw each face as one, with its eave at the bottom, and close it.')
  const found: { name: string, outline: Outline }[] = []
  for (const [i, polyline] of closed.entries()) {
    const outline = ringOutline(polyline.vertices!.map(({ x, y }) => ({ x: x * perUnit, y: y * perUnit })))
    if (!outline.ok) return refused(`Polyline ${i + 1}: ${outline.problem}`)
    found.push({ name: polyline.layer && polyline.layer !== '0' && !outlines.length ? polyline.layer : `Face ${i + 1}`, outline: outline.value })
  }
  return done(found)
}

/** The drawing in a file; null when it is none. */
function parsed(text: string): { entities?: unknown[], header?: Record<string, unknown> } | null {
  try {
    return new DxfParser().parseSync(text) as { entities?: unknown[], header?: Record<string, unknown> } | null
  }
  catch {
    return null
  }
}

const isClosed = ({ vertices, shape }: Polyline): boolean => {
  if (!vertices || vertices.length < 3) return false
  const [first, last] = [vertices[0]!, vertices.at(-1)!]
  return Boolean(shape) || Math.hypot(first.x - last.x, first.y - last.y) < 1e-6
}

/** An outline from a ring in the face's own plane, set so that its lowest left corner is where the tapes start. */
export function ringOutline(points: Point[]): Outcome<Outline> {
  const ring = points.filter((point, i) => i === 0 || Math.hypot(point.x - points[i - 1]!.x, point.y - points[i - 1]!.y) > 0.01)
  if (ring.length > 3 && Math.hypot(ring[0]!.x - ring.at(-1)!.x, ring[0]!.y - ring.at(-1)!.y) <= 0.01) ring.pop()
  if (ring.length > MOST_CORNERS) return refused(tooManyCorners(ring.length))
  if (ring.length < 3) return refused('A face needs at least three corners.')
  if (firstCrossing(ring)) return refused('its outline crosses itself.')
  const anticlockwise = signedAreaMm2(ring) > 0 ? ring : [...ring].reverse()
  const bottom = Math.min(...anticlockwise.map(point => point.y))
  const start = anticlockwise.reduce((best, point, i) => {
    const now = anticlockwise[best]!
    return point.y < now.y - 1 || (Math.abs(point.y - now.y) <= 1 && point.x < now.x) ? i : best
  }, 0)
  const turned = [...anticlockwise.slice(start), ...anticlockwise.slice(0, start)].map(({ x, y }) => ({ x: x - anticlockwise[start]!.x, y: y - bottom }))
  const edges = guessEdges(turned)
  // The tapes need an eave to hook on: where no edge is level the one from the lowest corner stands in.
  if (!edges.includes('eave')) edges[0] = 'eave'
  return done({ kind: 'corners', corners: turned.map(({ x, y }, i) => ({ xMm: x, yMm: y, edge: edges[i]! })) })
}
