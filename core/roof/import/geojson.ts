import { z } from 'zod'
import { firstCrossing, type Point, signedAreaMm2 } from '../../geometry'
import { type EdgeKind, edgeKinds } from '../../job'
import { done, type Outcome, refused } from '../../outcome'
import { degrees, radians, STEEPEST_PITCH_DEG, wrapDeg } from '../../units'
import { layFace, type LaidFace } from '../from-plan'
import { LEVEL_WITHIN } from '../level'
import { fromPlan } from '../placement'
import { guessEdges } from './guess'
import { MOST_CORNERS, tooManyCorners } from './limits'
import { type Hole, holeOf, type Read } from './read'

const position = z.tuple([z.number(), z.number()]).rest(z.number())
const featureSchema = z.object({
  type: z.literal('Feature'),
  geometry: z.discriminatedUnion('type', [
    z.object({ type: z.literal('Polygon'), coordinates: z.array(z.array(position)).min(1) }),
    z.object({ type: z.literal('MultiPolygon'), coordinates: z.array(z.array(z.array(position)).min(1)).min(1).max(20) }),
  ]),
  properties: z.record(z.string(), z.unknown()).nullable(),
})
const collectionSchema = z.object({ type: z.literal('FeatureCollection'), features: z.array(featureSchema).min(1).max(20) })

/** WGS 84 (NIMA TR8350.2): equatorial radius, m, and first eccentricity squared. */
const RADIUS_M = 6_378_137
const ECCENTRICITY2 = 6.694_379_990_14e-3

/** Millimetres to a degree east and north at a latitude, by the radii of curvature of the WGS 84 ellipsoid. */
export function mmPerDegree(latitudeDeg: number): { east: number, north: number } {
  const sin = Math.sin(radians(latitudeDeg))
  const w = Math.sqrt(1 - ECCENTRICITY2 * sin ** 2)
  const [meridian, prime] = [RADIUS_M * (1 - ECCENTRICITY2) / w ** 3, RADIUS_M / w]
  return { east: radians(prime * Math.cos(radians(latitudeDeg))) * 1000, north: radians(meridian) * 1000 }
}

/**
 * Faces from a GeoJSON (RFC 7946) FeatureCollection of polygons in longitude and latitude, one a face. Each names its `pitch`
 * in degrees. Where `azimuth` (the way it faces, degrees from north) is not given, the face is laid square off the edge with the number
 * `eaveEdge`, and `sides` tells how many edges there are to choose from: somebody has to say which it is;
 * `name`, and `edges` in the order of its corners, may be given too. Each part of a MultiPolygon is a face; holes come along as
 * obstructions. What the file leaves open or has the wrong way round is said.
 */
export function facesFromGeoJson(text: string, eaveEdge = 1): Outcome<Read<LaidFace & { holes: Hole[] }> & { sides: number }> {
  let data: unknown
  try {
    data = JSON.parse(text)
  }
  catch {
    return refused('This file is not GeoJSON: it is not JSON at all.')
  }
  const one = featureSchema.safeParse(data)
  const many = collectionSchema.safeParse(data)
  if (!one.success && !many.success) return refused('This file is not a GeoJSON FeatureCollection of polygons, one to a face.')
  const features = many.success ? many.data.features : [one.data!]
  const parts = features.flatMap(({ geometry, properties }) => (geometry.type === 'Polygon' ? [geometry.coordinates] : geometry.coordinates).map(rings => ({
    rings,
    properties: properties ?? {},
    part: geometry.type === 'MultiPolygon',
  })))
  const all = parts.flatMap(({ rings }) => rings.flat())
  const [lon0, lat0] = all[0]!
  if (all.some(([lon, lat]) => Math.abs(lon!) > 180 || Math.abs(lat!) > 180)) return refused('GeoJSON is in longitude and latitude; these coordinates are something else.')
  if (Math.abs(lat0!) > 90) return refused('Longitude and latitude are the wrong way round in this file: GeoJSON has the longitude first.')
  const said: string[] = []
  if (looksSwapped(all as [number, number][])) said.push('The shapes are drawn out more north to south than their edges square off: longitude and latitude may be the wrong way round. GeoJSON has the longitude first.')
  const unsaid = parts.filter(({ properties }) => properties.azimuth === undefined || properties.azimuth === null)
  if (unsaid.length) said.push(unsaid.length === parts.length ? 'No polygon says which way it faces (“azimuth”).' : `${unsaid.length} of ${parts.length} polygons do not say which way they face (“azimuth”).`)
  const scale = mmPerDegree(lat0!)
  const faces: (LaidFace & { holes: Hole[] })[] = []
  for (const [i, { rings, properties, part }] of parts.entries()) {
    const flat = rings.map(ring => ring.map(([lon, lat]): Point => ({ x: (lon! - lon0!) * scale.east, y: (lat! - lat0!) * scale.north })))
    const face = faceOf(flat[0]!, part ? { ...properties, name: `${typeof properties.name === 'string' ? properties.name : 'Face'} ${i + 1}` } : properties, i + 1, eaveEdge)
    if (!face.ok) return face
    const laid = face.value
    const beside = besideAzimuth(flat[0]!, laid.place.azimuthDeg, laid.pitchDeg)
    if (beside !== null) said.push(`“${laid.name}” faces ${laid.place.azimuthDeg.toFixed(1)}° by its azimuth, and the edge nearest to that ${beside.toFixed(1)}°: its eave comes in out of level. One of the two is wrong.`)
    const holes = flat.slice(1).map(ring => holeOf(ring.map(point => fromPlan({ place: laid.place, pitchDeg: laid.pitchDeg }, point))))
    faces.push({ ...laid, holes })
  }
  const holes = faces.reduce((sum, face) => sum + face.holes.length, 0)
  if (holes) said.push(`${holes} hole${holes === 1 ? '' : 's'} in the polygons ${holes === 1 ? 'comes' : 'come'} in as obstructions: say what each is.`)
  return done({ faces, said, sides: Math.max(0, ...unsaid.map(({ rings }) => rings[0]!.length - 1)) })
}

/** A house drawn with longitude and latitude exchanged has corners that are no right angles where they were: away from the equator a degree east is shorter than one north. */
function looksSwapped(points: [number, number][]): boolean {
  const corners = points.slice(0, 4)
  if (corners.length < 4) return false
  const square = (lat: number, exchanged: boolean) => {
    const { east, north } = mmPerDegree(lat)
    const at = (k: number) => {
      const [lon, latitude] = corners[k]!
      return exchanged ? { x: latitude * east, y: lon * north } : { x: lon * east, y: latitude * north }
    }
    const [a, b, c] = [at(0), at(1), at(2)]
    const [u, v] = [{ x: b.x - a.x, y: b.y - a.y }, { x: c.x - b.x, y: c.y - b.y }]
    const sizes = Math.hypot(u.x, u.y) * Math.hypot(v.x, v.y)
    return sizes === 0 ? 1 : Math.abs(u.x * v.x + u.y * v.y) / sizes
  }
  const [lon, lat] = corners[0]!
  if (Math.abs(lon) > 85) return false
  // The cosine between two sides: a right angle has none.
  return square(lat, false) > 0.1 && square(lon, true) < 0.02
}

/** Edges farther off than this do not mean to be the eave, degrees. */
const MEANS_EAVE_DEG = 15

/** Which way the edge looks that is nearest to a face's azimuth, degrees, where it would be no level eave; null where it would. */
function besideAzimuth(closed: Point[], azimuthDeg: number, pitchDeg: number): number | null {
  const sign = signedAreaMm2(closed) < 0 ? -1 : 1
  const looks = closed.slice(1).map((to, i) => degrees(Math.atan2(sign * (to.y - closed[i]!.y), -sign * (to.x - closed[i]!.x))))
  const off = looks.map(deg => ((deg - azimuthDeg) % 360 + 540) % 360 - 180)
  const nearest = off.reduce((best, one) => Math.abs(one) < Math.abs(best) ? one : best, 180)
  return Math.abs(Math.tan(radians(nearest))) / Math.cos(radians(pitchDeg)) > LEVEL_WITHIN && Math.abs(nearest) < MEANS_EAVE_DEG ? wrapDeg(azimuthDeg + nearest) : null
}

function faceOf(closed: Point[], properties: Record<string, unknown>, number: number, eaveEdge: number): Outcome<LaidFace> {
  const say = (sentence: string) => refused(`Polygon ${number}: ${sentence}`)
  const ring = closed.filter((point, i) => i === 0 || Math.hypot(point.x - closed[0]!.x, point.y - closed[0]!.y) > 1)
  if (ring.length < 3) return say('it needs at least three corners.')
  if (ring.length > MOST_CORNERS) return say(tooManyCorners(ring.length))
  if (ring.some(point => Math.abs(point.x) > 200_000 || Math.abs(point.y) > 200_000)) return say('it lies more than 200 m from the first: one job is one house.')
  if (firstCrossing(ring)) return say('its outline crosses itself.')
  const pitchDeg = Number(properties.pitch)
  if (!(pitchDeg > 0 && pitchDeg <= STEEPEST_PITCH_DEG)) return say(`give its “pitch” in degrees, above 0 and up to ${STEEPEST_PITCH_DEG}.`)
  const edges = properties.edges
  const namedEdges = Array.isArray(edges) && edges.length === ring.length && edges.every(edge => edgeKinds.includes(edge as EdgeKind)) ? edges as EdgeKind[] : null
  if (edges !== undefined && !namedEdges) return say(`“edges” must name all ${ring.length} edges: ${edgeKinds.join(', ')}.`)
  const clockwise = signedAreaMm2(ring) < 0
  const [a, b] = [ring[(eaveEdge - 1) % ring.length]!, ring[eaveEdge % ring.length]!]
  // Outside is to the right of an edge that runs anticlockwise.
  const outward = clockwise ? { x: -(b.y - a.y), y: b.x - a.x } : { x: b.y - a.y, y: -(b.x - a.x) }
  // Nothing said is not north: Number(null) would be 0.
  const azimuthDeg = wrapDeg(properties.azimuth === undefined || properties.azimuth === null ? degrees(Math.atan2(outward.x, outward.y)) : Number(properties.azimuth))
  if (!Number.isFinite(azimuthDeg)) return say('its “azimuth” must be degrees from north.')
  const order = clockwise ? [...ring.keys()].reverse() : [...ring.keys()]
  const anticlockwise = order.map(i => ring[i]!)
  const local = anticlockwise.map(point => fromPlan({ place: { azimuthDeg, eastMm: 0, northMm: 0 }, pitchDeg }, point))
  const guessed = guessEdges(local)
  if (!guessed.includes('eave')) guessed[local.findIndex(point => point.y === Math.min(...local.map(other => other.y)))] = 'eave'
  // Listed clockwise, the edge after a corner is the one before it the other way round.
  const kindOf = (k: number) => namedEdges ? namedEdges[clockwise ? (order[k]! + ring.length - 1) % ring.length : order[k]!]! : guessed[k]!
  return done(layFace({
    name: typeof properties.name === 'string' && properties.name.trim() ? properties.name.trim().slice(0, 60) : `Face ${number}`,
    azimuthDeg, pitchDeg, corners: anticlockwise.map((point, k) => ({ ...point, edge: kindOf(k) })),
  }))
}
