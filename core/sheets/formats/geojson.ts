import type { Job } from '../../job'
import { planOutline, shapeOf } from '../../roof'
import { mmPerDegree } from '../../roof/import'

/** Where a job's own origin in plan is put on the globe: it keeps no address, so the drawing lies off the coast of nowhere. */
const ORIGIN = { longitude: 0, latitude: 50 }

/**
 * The roof in plan as GeoJSON (RFC 7946), one polygon a face with name, pitch, azimuth and edges: what the import reads. A job
 * has no place on the globe, so the first corner of the first face lies at a longitude of 0 and a latitude of 50 degrees unless
 * one is given; shapes and directions are true.
 */
export function roofGeoJson({ title, faces }: Pick<Job, 'title' | 'faces'>, origin = ORIGIN): string {
  const scale = mmPerDegree(origin.latitude)
  const rings = faces.map(planOutline)
  const [start] = rings[0]!
  const features = faces.map((face, i) => {
    const ring = rings[i]!.map(({ x, y }) => [origin.longitude + (x - start!.x) / scale.east, origin.latitude + (y - start!.y) / scale.north])
    return {
      type: 'Feature', properties: { name: face.name, pitch: face.pitchDeg, azimuth: face.place.azimuthDeg, edges: shapeOf(face.outline).edges.map(edge => edge.kind) },
      geometry: { type: 'Polygon', coordinates: [[...ring, ring[0]!]] },
    }
  })
  return `${JSON.stringify({ type: 'FeatureCollection', name: title, features }, null, 2)}\n`
}
