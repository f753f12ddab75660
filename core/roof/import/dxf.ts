import DxfParser from 'dxf-parser'
import { firstCrossing, isInside, type Point, signedAreaMm2 } from '../../geometry'
import type { Outline } from '../../job'
import { done, type Outcome, refused } from '../../outcome'
import { type DrawnCorner, followed } from './arcs'
import { guessEdges } from './guess'
import { lowestLeft } from '../level'
import { MOST_CORNERS, tooManyCorners } from './limits'
import { holeOf, type Read, type ReadFace } from './read'

/** Units of a drawing by the header's $INSUNITS (DXF reference). */
const UNITS: Record<number, { name: string, mm: number }> = {
  1: { name: 'inches', mm: 25.4 }, 2: { name: 'feet', mm: 304.8 }, 4: { name: 'millimetres', mm: 1 }, 5: { name: 'centimetres', mm: 10 }, 6: { name: 'metres', mm: 1000 },
}
/** Units that a person may say a drawing is in, where it does not say so itself. */
export const drawingUnits = Object.values(UNITS)

interface Corner extends DrawnCorner { z?: number }
interface Polyline { type: string, vertices?: Corner[], shape?: boolean, layer?: string, elevation?: number }

/** What a drawing must be asked before it can be read. */
export interface AsksUnit { asksUnit: true, why: string }

/**
 * Outlines from the closed polylines of a DXF file, each in its face's own plane with the eave at the bottom. A polyline with
 * heights lies in space: its slope is longer than its plan, and is used as it is. Arcs are followed. A closed polyline inside
 * another is a hole in it.
 * @param unitMm millimetres to a unit as somebody said; null takes the file's own and asks where it has none or an unusual one
 */
export function outlinesFromDxf(text: string, unitMm: number | null): Outcome<Read<ReadFace>> | AsksUnit {
  const drawing = parsed(text)
  if (!drawing) return refused('This is not a DXF file that can be read. Save it as an ASCII DXF and try again.')
  if (!drawing.entities?.length) return refused('This DXF file has nothing drawn in it.')
  const code = drawing.header?.$INSUNITS
  const own = UNITS[Number(code)]
  if (unitMm === null && !own) {
    return {
      asksUnit: true,
      why: code === undefined || Number(code) === 0 ? 'This drawing does not say what its unit is. Which is it?' : `This drawing’s unit (number ${String(code)}) is an unusual one. Which is it?`,
    }
  }
  const perUnit = unitMm ?? own!.mm
  const drawn = (drawing.entities as Polyline[]).filter(one => (one.type === 'LWPOLYLINE' || one.type === 'POLYLINE') && isClosed(one))
  const open = (drawing.entities as Polyline[]).filter(one => (one.type === 'LWPOLYLINE' || one.type === 'POLYLINE') && !isClosed(one)).length
  // A drawing with a layer for outlines, as this app writes it, has everything else on others.
  const outlines = drawn.filter(one => one.layer?.toUpperCase() === 'OUTLINE')
  const closed = outlines.length ? outlines : drawn
  if (!closed.length) return refused('There is no closed polyline in this DXF file. Draw each face as one, with its eave at the bottom, and close it.')
  const said: string[] = []
  const others = (drawing.entities as { type: string }[]).filter(one => one.type !== 'LWPOLYLINE' && one.type !== 'POLYLINE')
  // A drawing that names its outlines by layer says itself that the rest is none.
  if (others.length && !outlines.length) said.push(`${others.length} other ${others.length === 1 ? 'thing' : 'things'} drawn (${[...new Set(others.map(one => one.type.toLowerCase()))].sort().join(', ')}) ${others.length === 1 ? 'is' : 'are'} left out: only closed polylines are faces.`)
  if (outlines.length && outlines.length < drawn.length) said.push(`Of ${drawn.length} closed polylines the ${outlines.length} on the layer OUTLINE ${outlines.length === 1 ? 'is' : 'are'} read.`)
  if (open) said.push(`${open} open polyline${open === 1 ? ' is' : 's are'} left out: only closed ones are faces.`)
  const rings = closed.map((polyline) => {
    const scaled = polyline.vertices!.map(({ x, y, z, bulge }) => ({ x: x * perUnit, y: y * perUnit, z: (z ?? 0) * perUnit, bulge: bulge ?? 0 }))
    const inSpace = Math.max(...scaled.map(one => one.z)) - Math.min(...scaled.map(one => one.z)) > 1
    return { polyline, inSpace, ...(inSpace ? { points: ownPlane(scaled), offMm: 0 } : followed(scaled)) }
  })
  const flat = rings.filter(ring => ring.points === null)
  if (flat.length) return refused('A polyline with heights does not lie in one plane, so it is no roof face.')
  const offMm = Math.max(...rings.map(ring => ring.offMm))
  if (offMm > 0) said.push(`Arcs are followed by short straight sides, within ${Math.ceil(offMm)} mm.`)
  if (rings.some(ring => ring.inSpace)) said.push('Polylines with heights are taken at their true size on the slope, which is longer than their plan.')
  // What lies wholly inside another ring of the drawing is a hole in it.
  const inside = rings.map((ring, i) => ring.inSpace ? -1 : rings.findIndex((other, k) => k !== i && !other.inSpace && ring.points!.every(point => isInside([other.points!], point))))
  const found: ReadFace[] = []
  for (const [i, { polyline, points }] of rings.entries()) {
    if (inside[i]! >= 0) continue
    const outline = ringOutline(points!)
    if (!outline.ok) return refused(`Polyline ${i + 1}: ${outline.problem}`)
    const origin = ringOrigin(points!)
    const holes = rings.flatMap((hole, k) => inside[k] === i ? [holeOf(hole.points!.map(({ x, y }) => ({ x: x - origin.x, y: y - origin.y })))] : [])
    found.push({ name: polyline.layer && polyline.layer !== '0' && !outlines.length ? polyline.layer : `Face ${found.length + 1}`, outline: outline.value, holes })
  }
  return done({ faces: found, said })
}

/** How far corners may lie out of their plane, mm. */
const OUT_OF_PLANE_MM = 30

/** A ring in space turned into its own plane: along its level direction and up its steepest; null where it lies in none. */
function ownPlane(ring: { x: number, y: number, z: number }[]): Point[] | null {
  // Newell's normal: right for any simple ring.
  const normal = ring.reduce((sum, a, i) => {
    const b = ring[(i + 1) % ring.length]!
    return { x: sum.x + (a.y - b.y) * (a.z + b.z), y: sum.y + (a.z - b.z) * (a.x + b.x), z: sum.z + (a.x - b.x) * (a.y + b.y) }
  }, { x: 0, y: 0, z: 0 })
  const size = Math.hypot(normal.x, normal.y, normal.z)
  if (size < 1) return null
  const sign = normal.z < 0 ? -1 : 1
  const n = { x: sign * normal.x / size, y: sign * normal.y / size, z: sign * normal.z / size }
  const level = Math.hypot(n.x, n.y)
  if (level < 1e-6) return ring.map(({ x, y }) => ({ x, y }))
  // Up the slope is against the downhill side of the normal; along lies to its right as seen from outside.
  const up = { x: -n.x * n.z / level, y: -n.y * n.z / level, z: level }
  const along = { x: up.y * n.z - up.z * n.y, y: up.z * n.x - up.x * n.z, z: up.x * n.y - up.y * n.x }
  const dot = (a: typeof n, b: typeof n) => a.x * b.x + a.y * b.y + a.z * b.z
  const off = ring.map(point => dot(point, n))
  return Math.max(...off) - Math.min(...off) > OUT_OF_PLANE_MM ? null : ring.map(point => ({ x: dot(point, along), y: dot(point, up) }))
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

/** Where the outline of a ring has its origin: its lowest left corner along, its lowest height up. */
const ringOrigin = (points: Point[]): Point => ({ x: lowestLeft(points).x, y: Math.min(...points.map(point => point.y)) })

/** An outline from a ring in the face's own plane, set so that its lowest left corner is where the tapes start. */
export function ringOutline(points: Point[]): Outcome<Outline> {
  const ring = points.filter((point, i) => i === 0 || Math.hypot(point.x - points[i - 1]!.x, point.y - points[i - 1]!.y) > 0.01)
  if (ring.length > 3 && Math.hypot(ring[0]!.x - ring.at(-1)!.x, ring[0]!.y - ring.at(-1)!.y) <= 0.01) ring.pop()
  if (ring.length > MOST_CORNERS) return refused(tooManyCorners(ring.length))
  if (ring.length < 3) return refused('A face needs at least three corners.')
  if (firstCrossing(ring)) return refused('its outline crosses itself.')
  const anticlockwise = signedAreaMm2(ring) > 0 ? ring : [...ring].reverse()
  const origin = ringOrigin(anticlockwise)
  const start = anticlockwise.indexOf(lowestLeft(anticlockwise))
  const turned = [...anticlockwise.slice(start), ...anticlockwise.slice(0, start)].map(({ x, y }) => ({ x: x - origin.x, y: y - origin.y }))
  const edges = guessEdges(turned)
  // The tapes need an eave to hook on: where no edge is level the one from the lowest corner stands in.
  if (!edges.includes('eave')) edges[0] = 'eave'
  return done({ kind: 'corners', corners: turned.map(({ x, y }, i) => ({ xMm: x, yMm: y, edge: edges[i]! })) })
}
