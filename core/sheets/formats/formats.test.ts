import DxfParser from 'dxf-parser'
import { geoDistance } from 'd3-geo'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../../db/demo/jobs'
import { catalogue } from '../../../tests/fixtures/jobs'
import { faceFigure, paperLayers } from '../figure'
import { areaMm2 } from '../../geometry'
import { planJob } from '../../plan'
import { onFace } from '../../rails'
import { planOutline, shapeOf } from '../../roof'
import { facesFromGeoJson, outlinesFromDxf } from '../../roof/import'
import { isAside } from '../../ground'
import { oneLineFigure, wallFigure } from '../ground'
import { dxfLayer, faceDxf, faceSvg, roofGeoJson } from './index'

const drawn = demoJobs.map(({ job }) => {
  const plan = planJob(job, catalogue)
  return { title: job.title, job, plan, face: job.faces[0]!, figure: faceFigure({ job, face: job.faces[0]!, plan: plan.faces[0]! }) }
})

interface Entity { type: string, layer: string, vertices?: { x: number, y: number }[], position?: { x: number, y: number } }
const parsed = (text: string) => new DxfParser().parseSync(text) as unknown as {
  header: Record<string, unknown>
  entities: Entity[]
  tables: { layer: { layers: Record<string, unknown> } }
}

describe.each(drawn)('$title as DXF', ({ face, plan, figure }) => {
  const text = faceDxf(figure)
  const drawing = parsed(text)
  const on = (layer: string) => drawing.entities.filter(one => one.layer === dxfLayer(layer))
  it('has every layer by name, in millimetres', () => {
    expect(Object.keys(drawing.tables.layer.layers)).toEqual(expect.arrayContaining(paperLayers.map(layer => dxfLayer(layer.id))))
    expect(drawing.header.$INSUNITS).toBe(4)
  })
  it('has modules, rails and fixings where the plan has them', () => {
    const own = plan.faces[0]!
    const corners = on('modules').filter(one => one.type === 'LWPOLYLINE').map(one => [Math.min(...one.vertices!.map(v => v.x)), Math.min(...one.vertices!.map(v => v.y))])
    expect(corners).toEqual(own.rows.rows.flatMap(row => row.moduleLeftsMm.map(left => [expect.closeTo(left, 4), expect.closeTo(row.bottomMm, 4)])))
    const points = on('fixings').filter(one => one.type === 'POINT').map(one => [one.position!.x, one.position!.y])
    expect(points).toEqual(own.fixings.rails.flatMap((rail, r) => rail.fixings.map(({ atMm }) => {
      const { xMm, yMm } = onFace(own.rails[r]!, atMm)
      return [expect.closeTo(xMm, 4), expect.closeTo(yMm, 4)]
    })))
    expect(on('rails').filter(one => one.type === 'LINE')).toHaveLength(own.rails.length)
  })
  it('is read in again as the face’s outline', () => {
    const read = outlinesFromDxf(text, 1)
    if ('asksUnit' in read) throw new Error(read.why)
    expect(read.ok && read.value.faces).toHaveLength(1)
    expect(areaMm2(shapeOf((read.ok && read.value.faces[0]!.outline) as typeof face.outline).region)).toBeCloseTo(areaMm2(shapeOf(face.outline).region), -1)
  })
  it('is an SVG that a general renderer draws at its size, too', async () => {
    const svg = faceSvg(figure)
    for (const layer of paperLayers) expect(svg).toContain(`<g id="${layer.id}"`)
    const { width, height, format } = await sharp(Buffer.from(svg), { density: 25.4, limitInputPixels: false }).metadata()
    expect(format).toBe('svg')
    // The margin is 250 mm all round.
    const ratio = (figure.along.toMm - figure.along.fromMm + 500) / (figure.up.toMm - figure.up.fromMm + 500)
    expect(Math.abs(width! / height! / ratio - 1)).toBeLessThan(0.01)
    expect(svg).not.toMatch(/NaN|Infinity|undefined/)
    expect(svg.match(/<text/g)!.length).toBeGreaterThanOrEqual(plan.faces[0]!.modules)
  })
})

describe.each(drawn)('$title as GeoJSON', ({ job }) => {
  it('is read by a general reader of maps, as large as the roof is', () => {
    const { features } = JSON.parse(roofGeoJson(job)) as { features: { geometry: { coordinates: [number, number][][] } }[] }
    // Distances along great circles of a sphere of the earth's mean radius, against the roof in plan: the ellipsoid differs by up to half a percent.
    features.forEach((feature, f) => {
      const plan = planOutline(job.faces[f]!)
      const ring = feature.geometry.coordinates[0]!
      plan.forEach((from, i) => {
        const to = plan[(i + 1) % plan.length]!
        const mm = geoDistance(ring[i]!, ring[i + 1]!) * 6_371_008.8 * 1000
        expect(Math.abs(mm / Math.hypot(to.x - from.x, to.y - from.y) - 1)).toBeLessThan(0.006)
      })
      expect(ring.at(-1)).toEqual(ring[0])
    })
  })
  it('comes back through the import with its faces’ sizes, pitches and edges', () => {
    const read = facesFromGeoJson(roofGeoJson(job))
    expect(read.ok).toBe(true)
    if (!read.ok) return
    read.value.faces.forEach((face, f) => {
      const own = job.faces[f]!
      expect(face.pitchDeg).toBe(own.pitchDeg)
      expect(areaMm2(shapeOf(face.outline).region) / areaMm2(shapeOf(own.outline).region)).toBeCloseTo(1, 4)
      expect(shapeOf(face.outline).edges.map(edge => edge.kind).sort()).toEqual(shapeOf(own.outline).edges.map(edge => edge.kind).sort())
    })
  })
})

describe.each(drawn.filter(one => one.plan.grid))('$title below the roof box', ({ plan, job }) => {
  const grid = plan.grid!
  it('has its walls as DXF, every thing a closed polyline where it stands', () => {
    for (const wall of grid.ground.walls) {
      const things = parsed(faceDxf(wallFigure(grid, wall).figure)).entities.filter(one => one.type === 'LWPOLYLINE' && (one.layer === dxfLayer('wall-things') || one.layer === dxfLayer('wall-there')))
      const corners = things.map(one => [Math.min(...one.vertices!.map(v => v.x)), Math.min(...one.vertices!.map(v => v.y))])
      const stood = grid.placing.stood.filter(one => one.wallId === wall.id)
      expect(corners).toHaveLength(stood.length)
      for (const { xMm, yMm } of stood) expect(corners).toContainEqual([expect.closeTo(xMm, 3), expect.closeTo(yMm, 3)])
    }
  })
  it('has its one-line diagram as SVG and DXF: a box for every thing on the way, every run with its number, no box over another', () => {
    const { figure, holds } = oneLineFigure(grid, plan.wiring, job.units === 'metric')
    const things = grid.ground.things.filter(one => !isAside(one))
    const boxes = holds.filter(one => one.kind === 'thing')
    expect(boxes.map(one => one.id).sort()).toEqual(things.map(one => one.id).sort())
    for (const [i, a] of boxes.entries()) for (const b of boxes.slice(i + 1)) expect(a.x < b.x + b.wide && b.x < a.x + a.wide && a.y < b.y + b.high && b.y < a.y + a.high).toBe(false)
    const words = figure.layers.flatMap(one => one.texts.map(({ text }) => text))
    for (const run of grid.runs) expect(words.some(text => text.startsWith(`${run.number}: `))).toBe(true)
    expect(faceSvg(figure)).toContain('<g id="line-things"')
    expect(parsed(faceDxf(figure)).entities.filter(one => one.type === 'TEXT').length).toBe(words.length)
  })
})
