import { describe, expect, it } from 'vitest'
import { areaMm2 } from '../../geometry'
import { outlineSchema } from '../../job'
import { shapeOf } from '../outline'
import { facesFromGeoJson, mmPerDegree, outlineFromCsv, outlinesFromDxf } from './index'

const problemOf = (result: { ok: boolean, problem?: string }) => result.ok ? '' : result.problem!

describe('a table of readings', () => {
  it('gives the outline with its edges named', () => {
    const read = outlineFromCsv('along,up,edge\n0,0,eave\n9000,0,hip\n6000,4000,ridge\n3000,4000,hip\n', 'metric')
    expect(read.ok && read.value).toEqual({ kind: 'corners', corners: [
      { xMm: 0, yMm: 0, edge: 'eave' }, { xMm: 9000, yMm: 0, edge: 'hip' }, { xMm: 6000, yMm: 4000, edge: 'ridge' }, { xMm: 3000, yMm: 4000, edge: 'hip' },
    ] })
  })
  it('reads clockwise lists, semicolons, feet and inches, and guesses edges that are not named', () => {
    const read = outlineFromCsv(`0';0\n0;14' 6"\n30';14' 6"\n30';0`, 'imperial')
    if (!read.ok || read.value.kind !== 'corners') throw new Error(problemOf(read))
    expect(read.value.corners.map(corner => corner.edge)).toEqual(['eave', 'rake', 'ridge', 'rake'])
    expect(areaMm2(shapeOf(read.value).region)).toBeCloseTo(30 * 304.8 * 14.5 * 304.8, 0)
  })
  it('keeps the names when the list runs clockwise', () => {
    const read = outlineFromCsv('0,0,rake\n0,4000,wall\n8000,4000,rake\n8000,0,eave', 'metric')
    if (!read.ok || read.value.kind !== 'corners') throw new Error(problemOf(read))
    expect(read.value.corners.map(corner => [corner.xMm, corner.yMm, corner.edge])).toEqual([[0, 0, 'eave'], [8000, 0, 'rake'], [8000, 4000, 'wall'], [0, 4000, 'rake']])
  })
  it.each([
    ['two lines', '0,0\n900,0', 'at least three corners'],
    ['a word for a reading', '0,0\n900,0\nabout 5,900', 'Line 3, along'],
    ['an edge of no kind', '0,0,eave\n9000,0,gutter\n900,900,rake', '“gutter” is no edge'],
    ['a corner twice', '0,0\n9000,0\n9000,0\n900,900', 'same corner as line 2'],
    ['a crossing outline', '0,0\n9000,4000\n9000,0\n0,4000', 'crosses itself'],
    ['ten thousand rows', Array.from({ length: 10_000 }, (_, i) => `${i},${i % 7}`).join('\n'), 'at most 40 corners'],
    ['nothing', '', 'at least three corners'],
  ])('%s: says what is wrong', (_, text, words) => {
    expect(problemOf(outlineFromCsv(text, 'metric'))).toContain(words)
  })
})

const dxf = (units: number | null, points: [number, number][], closed = true) => [
  ...(units === null ? [] : ['0', 'SECTION', '2', 'HEADER', '9', '$INSUNITS', '70', String(units), '0', 'ENDSEC']),
  '0', 'SECTION', '2', 'ENTITIES', '0', 'LWPOLYLINE', '8', 'REAR', '90', String(points.length), '70', closed ? '1' : '0',
  ...points.flatMap(([x, y]) => ['10', String(x), '20', String(y)]), '0', 'ENDSEC', '0', 'EOF',
].join('\n')

describe('a DXF file', () => {
  const hipSide: [number, number][] = [[1, 1], [10, 1], [7, 5], [4, 5]]
  it('gives each closed polyline as a face, in the drawing’s units', () => {
    const read = outlinesFromDxf(dxf(6, hipSide), 1)
    if (!read.ok) throw new Error(read.problem)
    const [{ name, outline }] = read.value as [{ name: string, outline: never }]
    expect(name).toBe('REAR')
    expect(outlineSchema.safeParse(outline).success).toBe(true)
    expect(outline).toEqual({ kind: 'corners', corners: [{ xMm: 0, yMm: 0, edge: 'eave' }, { xMm: 9000, yMm: 0, edge: 'hip' }, { xMm: 6000, yMm: 4000, edge: 'ridge' }, { xMm: 3000, yMm: 4000, edge: 'hip' }] })
  })
  it('takes the job’s unit where the file names none, and a clockwise ring', () => {
    const read = outlinesFromDxf(dxf(null, [...hipSide].reverse()), 25.4)
    expect(read.ok && read.value[0]!.outline.kind === 'corners' && read.value[0]!.outline.corners[1]!.xMm).toBeCloseTo(9 * 25.4, 6)
  })
  it.each([
    ['a picture', '\u0089PNG\r\n\u001a\n', 'not a DXF file'],
    ['an open polyline', dxf(4, hipSide, false), 'no closed polyline'],
    ['a crossing one', dxf(4, [[0, 0], [900, 400], [900, 0], [0, 400]]), 'crosses itself'],
    ['an empty drawing', '0\nSECTION\n2\nENTITIES\n0\nENDSEC\n0\nEOF', 'nothing drawn'],
  ])('%s: says so', (_, text, words) => expect(problemOf(outlinesFromDxf(text, 1))).toContain(words))
})

describe('a GeoJSON footprint', () => {
  const { east, north } = mmPerDegree(52)
  // A face 10 m along its eave, which looks south, and 4 m deep in plan.
  const ring = [[0, 0], [10_000, 0], [10_000, 4000], [0, 4000], [0, 0]].map(([x, y]) => [4 + x! / east, 52 + y! / north])
  const file = (properties: object, coordinates = [ring]) => JSON.stringify({ type: 'FeatureCollection', features: [{ type: 'Feature', properties, geometry: { type: 'Polygon', coordinates } }] })

  it('has the length of a degree by the ellipsoid', () => {
    // Length of a degree of latitude and longitude at 45 degrees, WGS 84: 111.132 km and 78.847 km (from memory).
    expect(mmPerDegree(45).north / 1e6).toBeCloseTo(111.132, 2)
    expect(mmPerDegree(45).east / 1e6).toBeCloseTo(78.847, 2)
  })
  it('lays the face at true lengths, facing off its first edge', () => {
    const read = facesFromGeoJson(file({ pitch: 60, name: 'South' }))
    if (!read.ok) throw new Error(read.problem)
    const [face] = read.value
    expect(face!.place.azimuthDeg).toBeCloseTo(180, 6)
    const { along, up, edges } = shapeOf(face!.outline)
    expect(along.toMm).toBeCloseTo(10_000, 3)
    expect(up.toMm).toBeCloseTo(4000 / Math.cos(Math.PI / 3), 3)
    expect(edges.map(edge => edge.kind)).toEqual(['eave', 'rake', 'ridge', 'rake'])
  })
  it('keeps named edges and a clockwise ring', () => {
    const read = facesFromGeoJson(file({ pitch: 20, azimuth: 180, edges: ['rake', 'wall', 'rake', 'eave'] }, [[ring[0]!, ring[3]!, ring[2]!, ring[1]!, ring[0]!]]))
    if (!read.ok) throw new Error(read.problem)
    expect(shapeOf(read.value[0]!.outline).edges.map(edge => edge.kind)).toEqual(['eave', 'rake', 'wall', 'rake'])
  })
  it.each([
    ['not JSON', '<kml/>', 'not JSON'], ['another kind of JSON', '{"type":"Point"}', 'not a GeoJSON'], ['no pitch', file({}), '“pitch”'], ['a wall', file({ pitch: 80 }), '“pitch”'],
    ['metres for degrees', JSON.stringify({ type: 'Feature', properties: { pitch: 30 }, geometry: { type: 'Polygon', coordinates: [[[120_000, 430_000], [120_010, 430_000], [120_010, 430_004], [120_000, 430_000]]] } }), 'longitude and latitude'],
    ['edges that do not match', file({ pitch: 30, edges: ['eave'] }), 'must name all 4'],
  ])('%s: says so', (_, text, words) => expect(problemOf(facesFromGeoJson(text))).toContain(words))
})
