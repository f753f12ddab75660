import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../db/demo/jobs'
import { areaMm2, type Point } from '../../core/geometry'
import { faceFigure } from '../../core/sheets/figure'
import { planJob } from '../../core/plan'
import { shapeOf } from '../../core/roof'
import { facesFromGeoJson, outlinesFromDxf } from '../../core/roof/import'
import { faceDxf } from '../../core/sheets/formats'
import { roughened } from '../fixtures/out-of-true'
import { catalogue } from '../fixtures/jobs'
import { type Random, seeded } from '../fixtures/random'

/** Metres to a degree by the usual series in the latitude (from memory): another formula than the planner's radii of curvature. */
function metresPerDegree(latitudeDeg: number): { north: number, east: number } {
  const phi = latitudeDeg * Math.PI / 180
  return {
    north: 111_132.92 - 559.82 * Math.cos(2 * phi) + 1.175 * Math.cos(4 * phi) - 0.0023 * Math.cos(6 * phi),
    east: 111_412.84 * Math.cos(phi) - 93.5 * Math.cos(3 * phi) + 0.118 * Math.cos(5 * phi),
  }
}

/** A face in plan, m: x along its eave, y from the eave into the house; a rake, hips, or one of each, its eave a little out of level. */
function facePlan(random: Random): Point[] {
  const [w, h] = [random.between(5, 14), random.between(2.5, 6)]
  const [l, r] = [random.pick([0, random.between(0.5, 2)]), random.pick([0, random.between(0.5, 2)])]
  return [{ x: 0, y: 0 }, { x: w, y: random.between(-0.01, 0.01) }, { x: w - r, y: h }, { x: l, y: h }]
}
const shoelace = (ring: Point[]): number => Math.abs(ring.reduce((sum, a, i) => sum + a.x * ring[(i + 1) % ring.length]!.y - ring[(i + 1) % ring.length]!.x * a.y, 0)) / 2
const dxfOf = (unit: number, entities: string[]) => [
  '0',
  'SECTION',
  '2',
  'HEADER',
  '9',
  '$INSUNITS',
  '70',
  String(unit),
  '0',
  'ENDSEC',
  '0',
  'SECTION',
  '2',
  'ENTITIES',
  ...entities,
  '0',
  'ENDSEC',
  '0',
  'EOF',
].join('\n')
/** The faces in a drawing that says its unit. */
function facesIn(text: string) {
  const read = outlinesFromDxf(text, null)
  if ('asksUnit' in read) throw new Error(read.why)
  if (!read.ok) throw new Error(read.problem)
  return read.value
}
const sidesOf = (ring: { x: number, y: number, z?: number }[]): number[] => ring.map((a, i) => {
  const b = ring[(i + 1) % ring.length]!
  return Math.hypot(b.x - a.x, b.y - a.y, (b.z ?? 0) - (a.z ?? 0))
})
const sorted = (numbers: number[]) => [...numbers].sort((a, b) => a - b)

describe('footprints in longitude and latitude', () => {
  it('300 faces anywhere, facing anywhere: their size on the slope by another formula for a degree, whichever way round they are listed', () => {
    const random = seeded(16)
    for (let i = 0; i < 300; i++) {
      const plan = facePlan(random)
      const [latitude, longitude, azimuth, pitch] = [random.between(-60, 60), random.between(-179, 179), random.between(0, 360), random.between(10, 55)]
      const { north, east } = metresPerDegree(latitude)
      // The eave looks to the azimuth: along it runs to the right of somebody who looks at the roof from there.
      const turn = (azimuth + 180) * Math.PI / 180
      const ring = plan.map(({ x, y }): [number, number] => [
        longitude + (x * Math.cos(turn) + y * Math.sin(turn)) / east,
        latitude + (-x * Math.sin(turn) + y * Math.cos(turn)) / north,
      ])
      const coordinates = [...(random.next() < 0.5 ? ring : [...ring].reverse())]
      const read = facesFromGeoJson(JSON.stringify({
        type: 'Feature',
        properties: { pitch, azimuth },
        geometry: { type: 'Polygon', coordinates: [[...coordinates, coordinates[0]!]] },
      }))
      if (!read.ok) throw new Error(read.problem)
      const [face] = read.value.faces
      const { region, edges, up } = shapeOf(face!.outline)
      const slope = 1 / Math.cos(pitch * Math.PI / 180)
      expect(areaMm2(region) / 1e6, `face ${i}`).toBeCloseTo(shoelace(plan) * slope, 1)
      expect((up.toMm - up.fromMm) / 1000).toBeCloseTo((plan[2]!.y - Math.min(0, plan[1]!.y)) * slope, 2)
      expect(edges[0]!.kind).toBe('eave')
      expect(Math.hypot(edges[0]!.to.x - edges[0]!.from.x, edges[0]!.to.y - edges[0]!.from.y) / 1000).toBeCloseTo(plan[1]!.x, 2)
      expect(read.value.said.some(sentence => sentence.includes('out of level'))).toBe(false)
    }
  })
})

describe('closed polylines', () => {
  const units = [[1, 25.4], [2, 304.8], [4, 1], [5, 10], [6, 1000]] as const
  it('200 with arcs, in any unit: the area is the polygon’s and the segments’, within what is said, along the arcs', () => {
    const random = seeded(42)
    for (let i = 0; i < 200; i++) {
      const [code, mm] = random.pick(units)
      const ring = facePlan(random).map(({ x, y }) => ({ x: x * 1000, y: y * 1000, bulge: random.pick([0, 0, random.between(0.05, 0.6)]) }))
      const text = dxfOf(code, [
        '0',
        'LWPOLYLINE',
        '8',
        '0',
        '90',
        '4',
        '70',
        '1',
        ...ring.flatMap(({ x, y, bulge }) => ['10', String(x / mm), '20', String(y / mm), ...(bulge ? ['42', String(bulge)] : [])]),
      ])
      // By hand: a segment over a chord c with the quarter angle's tangent b has θ = 4 atan b, r = c / (2 sin θ/2), area r² (θ − sin θ) / 2.
      let [area, arcs] = [shoelace(ring), 0]
      sidesOf(ring).forEach((chord, k) => {
        const theta = 4 * Math.atan(ring[k]!.bulge)
        if (!theta) return
        const radius = chord / (2 * Math.sin(theta / 2))
        area += radius ** 2 * (theta - Math.sin(theta)) / 2
        arcs += radius * theta
      })
      const { faces, said } = facesIn(text)
      const within = Number(/Arcs are followed .* within (\d+) mm/.exec(said.join(' '))?.[1] ?? 0)
      expect(Math.abs(areaMm2(shapeOf(faces[0]!.outline).region) - area), `ring ${i}`).toBeLessThanOrEqual(within * arcs + 1)
      expect(within > 0).toBe(arcs > 0)
      expect(within).toBeLessThan(60)
    }
  })
  it('200 with heights, on planes that lean any way: every side is as long as it is in space', () => {
    const random = seeded(43)
    for (let i = 0; i < 200; i++) {
      const turn = random.between(0, 2 * Math.PI)
      const rise = Math.tan(random.between(8, 60) * Math.PI / 180)
      const [dx, dy] = [random.between(-5000, 5000), random.between(-5000, 5000)]
      const space = facePlan(random).map(({ x, y }) => ({
        x: 1000 * (x * Math.cos(turn) - y * Math.sin(turn)) + dx,
        y: 1000 * (x * Math.sin(turn) + y * Math.cos(turn)) + dy,
        z: 1000 * y * rise,
      }))
      const text = dxfOf(4, [
        '0',
        'POLYLINE',
        '8',
        '0',
        '66',
        '1',
        '70',
        '9',
        ...space.flatMap(({ x, y, z }) => ['0', 'VERTEX', '8', '0', '10', String(x), '20', String(y), '30', String(z), '70', '32']),
        '0',
        'SEQEND',
      ])
      const { region } = shapeOf(facesIn(text).faces[0]!.outline)
      sorted(sidesOf(region[0]!)).forEach((mm, k) => expect(mm, `plane ${i}`).toBeCloseTo(sorted(sidesOf(space))[k]!, 3))
    }
  })
  it('what this app draws it reads again: every demo face out of true has the same corners and edges', () => {
    const random = seeded(44)
    for (const { job } of demoJobs) {
      const own = roughened(job, () => random.between(0, 6))
      planJob(own, catalogue).faces.forEach((plan, f) => {
        const { faces, said } = facesIn(faceDxf(faceFigure({ job: own, face: own.faces[f]!, plan })))
        expect(faces, job.title).toHaveLength(1)
        expect(said.some(sentence => sentence.includes('layer OUTLINE'))).toBe(true)
        const [before, after] = [shapeOf(own.faces[f]!.outline), shapeOf(faces[0]!.outline)]
        sorted(sidesOf(after.region[0]!)).forEach((mm, k) => expect(mm).toBeCloseTo(sorted(sidesOf(before.region[0]!))[k]!, 2))
        expect(areaMm2(after.region) / 1e6).toBeCloseTo(areaMm2(before.region) / 1e6, 4)
      })
    }
  })
})
