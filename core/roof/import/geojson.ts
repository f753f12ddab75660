import { z } from 'zod'
import { firstCrossing, type Point, signedAreaMm2 } from '../../geometry'
import { type EdgeKind, edgeKinds } from '../../job'
import { done, type Outcome, refused } from '../../outcome'
import { degrees, radians, STEEPEST_PITCH_DEG, wrapDeg } from '../../units'
import { layFace, type LaidFace } from '../from-plan'
import { fromPlan } from '../placement'
import { guessEdges } from './guess'
import { MOST_CORNERS, tooManyCorners } from './limits'

const position = z.tuple([z.number(), z.number()]).rest(z.number())
const featureSchema = z.object({
  type: z.literal('Feature'),
  geometry: z.object({ type: z.literal('Polygon'), coordinates: z.array(z.array(position)).min(1) }),
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
 * in degrees; `azimuth` (the way it faces, degrees from north) is taken as square off its first edge where it is not given;
 * `name`, and `edges` in the order of its corners, may be given too.
 */
export function facesFromGeoJson(text: string): Outcome<LaidFace[]> {
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
  const [lon0, lat0] = features[0]!.geometry.coordinates[0]![0]!
  if (Math.abs(lon0) > 180 || Math.abs(lat0) > 90) return refused('GeoJSON is in longitude and latitude; these coordinates are something else.')
  const scale = mmPerDegree(lat0)
  const faces: LaidFace[] = []
  for (const [i, feature] of features.entries()) {
    const ring = feature.geometry.coordinates[0]!.map(([lon, lat]): Point => ({ x: (lon - lon0) * scale.east, y: (lat - lat0) * scale.north }))
    const face = faceOf(ring, feature.properties ?? {}, i + 1)
    if (!face.ok) return face
    faces.push(face.value)
  }
  return done(faces)
}

function faceOf(closed: Point[], properties: Record<string, unknown>, number: number): Outcome<LaidFace> {
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
  const [a, b] = [ring[0]!, ring[1]!]
  // Outside is to the right of an edge that runs anticlockwise.
  const outward = clockwise ? { x: -(b.y - a.y), y: b.x - a.x } : { x: b.y - a.y, y: -(b.x - a.x) }
  const azimuthDeg = wrapDeg(properties.azimuth === undefined ? degrees(Math.atan2(outward.x, outward.y)) : Number(properties.azimuth))
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
