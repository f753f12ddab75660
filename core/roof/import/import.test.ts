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
  it('keeps the names that are given where others are not', () => {
    const read = outlineFromCsv('0,0,eave\n9000,0,wall\n9000,4000,\n0,4000,', 'metric')
    if (!read.ok || read.value.kind !== 'corners') throw new Error(problemOf(read))
    expect(read.value.corners.map(corner => corner.edge)).toEqual(['eave', 'wall', 'ridge', 'rake'])
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

/** What a drawing comes to, where it can be read. */
function drawn(text: string, unitMm: number | null = null) {
  const read = outlinesFromDxf(text, unitMm)
  if ('asksUnit' in read) throw new Error(read.why)
  if (!read.ok) throw new Error(read.problem)
  return read.value
}

describe('a DXF file', () => {
  const hipSide: [number, number][] = [[1, 1], [10, 1], [7, 5], [4, 5]]
  it('gives each closed polyline as a face, in the drawing’s units', () => {
    const read = drawn(dxf(6, hipSide))
    const [{ name, outline }] = read.faces as [{ name: string, outline: never, holes: [] }]
    expect(name).toBe('REAR')
    expect(outlineSchema.safeParse(outline).success).toBe(true)
    expect(outline).toEqual({
      kind: 'corners',
      corners: [{ xMm: 0, yMm: 0, edge: 'eave' }, { xMm: 9000, yMm: 0, edge: 'hip' }, { xMm: 6000, yMm: 4000, edge: 'ridge' }, { xMm: 3000, yMm: 4000, edge: 'hip' }],
    })
  })
  it('asks for the unit where the file names none or an unusual one, and takes what is said, for a clockwise ring too', () => {
    const none = outlinesFromDxf(dxf(null, [...hipSide].reverse()), null)
    expect('asksUnit' in none && none.why).toContain('does not say')
    const odd = outlinesFromDxf(dxf(13, hipSide), null)
    expect('asksUnit' in odd && odd.why).toContain('number 13')
    const { outline } = drawn(dxf(null, [...hipSide].reverse()), 25.4).faces[0]!
    expect(outline.kind === 'corners' && outline.corners[1]!.xMm).toBeCloseTo(9 * 25.4, 6)
  })
  it.each([[3, 0], [0, 3], [40, 0], [0, 40]])('has the left end of its eave as its origin where the ends lie %d and %d mm up', (left, right) => {
    const { outline } = drawn(dxf(4, [[500, 100 + left], [9500, 100 + right], [9500, 4600], [500, 4600]])).faces[0]!
    if (outline.kind !== 'corners') throw new Error(outline.kind)
    expect(outline.corners.map(({ xMm, yMm, edge }) => [xMm, yMm, edge])).toEqual([[0, left, 'eave'], [9000, right, 'rake'], [9000, 4500, 'ridge'], [0, 4500, 'rake']])
  })
  it('names what else is drawn and left out, and what the layer for outlines leaves out', () => {
    const ring = (layer: string, x: number) => [
      '0',
      'LWPOLYLINE',
      '8',
      layer,
      '90',
      '4',
      '70',
      '1',
      ...[[x, 0], [x + 5000, 0], [x + 5000, 4000], [x, 4000]].flatMap(([a, b]) => ['10', String(a), '20', String(b)]),
    ]
    const circle = ['0', 'CIRCLE', '8', 'A', '10', '900', '20', '900', '40', '200']
    const line = ['0', 'LINE', '8', 'A', '10', '0', '20', '0', '11', '500', '21', '500']
    const file = (...entities: string[][]) => [
      '0',
      'SECTION',
      '2',
      'HEADER',
      '9',
      '$INSUNITS',
      '70',
      '4',
      '0',
      'ENDSEC',
      '0',
      'SECTION',
      '2',
      'ENTITIES',
      ...entities.flat(),
      '0',
      'ENDSEC',
      '0',
      'EOF',
    ].join('\n')
    expect(drawn(file(ring('A', 0), circle, line, line)).said.join()).toContain('3 other things drawn (circle, line) are left out')
    expect(drawn(file(ring('A', 0), circle)).said.join()).toContain('1 other thing drawn (circle) is left out')
    expect(drawn(file(ring('A', 0))).said).toEqual([])
    const layered = drawn(file(ring('OUTLINE', 0), ring('MODULES', 9000), circle))
    expect(layered.faces).toHaveLength(1)
    expect(layered.said).toEqual(['Of 2 closed polylines the 1 on the layer OUTLINE is read.'])
  })
  it('follows an arc: a half circle of 2 m on a 4 m side has its area, and says so', () => {
    // A bulge of 1 is half a circle to the right of the side, which runs left along the top of a square of 4 m.
    const text = dxf(6, [[0, 0], [4, 0], [4, 4], [0, 4]]).replace(['10', '4', '20', '4'].join('\n'), ['10', '4', '20', '4', '42', '1'].join('\n'))
    const { faces, said } = drawn(text)
    expect(areaMm2(shapeOf(faces[0]!.outline).region) / 1e6).toBeCloseTo(16 + Math.PI * 4 / 2, 0)
    expect(said.join()).toContain('Arcs are followed')
  })
  it('keeps within the corners that a face may have where every side is an arc, and says how far its chords lie off', () => {
    const corners = [[0, 0], [9, 0], [9, 6], [0, 6]].flatMap(([x, y]) => ['10', String(x), '20', String(y), '42', '0.5'])
    const { faces, said } = drawn([
      '0',
      'SECTION',
      '2',
      'HEADER',
      '9',
      '$INSUNITS',
      '70',
      '6',
      '0',
      'ENDSEC',
      '0',
      'SECTION',
      '2',
      'ENTITIES',
      '0',
      'LWPOLYLINE',
      '8',
      'A',
      '90',
      '4',
      '70',
      '1',
      ...corners,
      '0',
      'ENDSEC',
      '0',
      'EOF',
    ].join('\n'))
    const { outline } = faces[0]!
    expect(outline.kind === 'corners' && outline.corners.length).toBe(40)
    // Four arcs of ten chords each. On the longest, 9 m wide: θ = 4 atan 0.5, r = 4.5 / sin θ/2 = 5.625 m, r (1 − cos θ/20) = 24.2 mm.
    expect(said.join()).toContain('within 25 mm')
    expect(outlineSchema.safeParse(outline).success).toBe(true)
  })
  it('takes a polyline with heights at its true size on the slope: 4 m in plan at 45° is 5.66 m', () => {
    const corners = [[0, 0, 0], [9, 0, 0], [9, 4, 4], [0, 4, 4]]
    const text = ['0', 'SECTION', '2', 'HEADER', '9', '$INSUNITS', '70', '6', '0', 'ENDSEC', '0', 'SECTION', '2', 'ENTITIES', '0', 'POLYLINE', '8', 'REAR', '66', '1', '70', '9',
      ...corners.flatMap(([x, y, z]) => [
        '0',
        'VERTEX',
        '8',
        'REAR',
        '10',
        String(x),
        '20',
        String(y),
        '30',
        String(z),
        '70',
        '32',
      ]), '0', 'SEQEND', '0', 'ENDSEC', '0', 'EOF'].join('\n')
    const { faces, said } = drawn(text)
    const { along, up } = shapeOf(faces[0]!.outline)
    expect(along.toMm).toBeCloseTo(9000, 0)
    expect(up.toMm).toBeCloseTo(4000 * Math.SQRT2, 0)
    expect(said.join()).toContain('true size')
  })
  it('offers what is drawn inside a face as holes, and names what it leaves out', () => {
    const one = (points: [number, number][], closed: boolean) => [
      '0',
      'LWPOLYLINE',
      '8',
      'A',
      '90',
      String(points.length),
      '70',
      closed ? '1' : '0',
      ...points.flatMap(([x, y]) => ['10', String(x), '20', String(y)]),
    ]
    const text = [
      '0',
      'SECTION',
      '2',
      'HEADER',
      '9',
      '$INSUNITS',
      '70',
      '4',
      '0',
      'ENDSEC',
      '0',
      'SECTION',
      '2',
      'ENTITIES',
      ...one([[100, 0], [9100, 0], [9100, 5000], [100, 5000]], true),
      ...one([[2100, 2000], [2900, 2000], [2900, 2600], [2100, 2600]], true),
      ...one([[0, 0], [5, 5], [9, 1]], false),
      '0',
      'ENDSEC',
      '0',
      'EOF',
    ].join('\n')
    const { faces, said } = drawn(text)
    expect(faces).toHaveLength(1)
    expect(faces[0]!.holes).toEqual([{ xMm: 2400, yMm: 2300, widthMm: 800, heightMm: 600 }])
    expect(said.join()).toContain('1 open polyline is left out')
  })
  it.each([
    ['a picture', '\u0089PNG\r\n\u001a\n', 'not a DXF file'],
    ['an open polyline', dxf(4, hipSide, false), 'no closed polyline'],
    ['a crossing one', dxf(4, [[0, 0], [900, 400], [900, 0], [0, 400]]), 'crosses itself'],
    ['an empty drawing', '0\nSECTION\n2\nENTITIES\n0\nENDSEC\n0\nEOF', 'nothing drawn'],
  ])('%s: says so', (_, text, words) => expect(problemOf(outlinesFromDxf(text, 1) as { ok: boolean })).toContain(words))
})

describe('a GeoJSON footprint', () => {
  const { east, north } = mmPerDegree(52)
  // A face 10 m along its eave, which looks south, and 4 m deep in plan.
  const ring = [[0, 0], [10_000, 0], [10_000, 4000], [0, 4000], [0, 0]].map(([x, y]) => [4 + x! / east, 52 + y! / north])
  const file = (properties: object, coordinates = [ring]) => JSON.stringify({
    type: 'FeatureCollection',
    features: [{ type: 'Feature', properties, geometry: { type: 'Polygon', coordinates } }],
  })

  it('has the length of a degree by the ellipsoid', () => {
    // Length of a degree of latitude and longitude at 45 degrees, WGS 84: 111.132 km and 78.847 km (from memory).
    expect(mmPerDegree(45).north / 1e6).toBeCloseTo(111.132, 2)
    expect(mmPerDegree(45).east / 1e6).toBeCloseTo(78.847, 2)
  })
  it('lays the face at true lengths, facing off its first edge', () => {
    const read = facesFromGeoJson(file({ pitch: 60, name: 'South' }))
    if (!read.ok) throw new Error(read.problem)
    const [face] = read.value.faces
    expect(face!.place.azimuthDeg).toBeCloseTo(180, 6)
    const { along, up, edges } = shapeOf(face!.outline)
    expect(along.toMm).toBeCloseTo(10_000, 3)
    expect(up.toMm).toBeCloseTo(4000 / Math.cos(Math.PI / 3), 3)
    expect(edges.map(edge => edge.kind)).toEqual(['eave', 'rake', 'ridge', 'rake'])
  })
  it('asks for the way it faces where the file says null: nothing is not north', () => {
    const read = facesFromGeoJson(file({ pitch: 60, azimuth: null }))
    if (!read.ok) throw new Error(read.problem)
    expect(read.value.sides).toBe(4)
    expect(read.value.said.join()).toContain('which way it faces')
    // Anticlockwise from the south side: the answer is the edge that is the eave.
    expect([1, 2, 3, 4].map((edge) => {
      const answered = facesFromGeoJson(file({ pitch: 60 }), edge)
      return answered.ok ? Math.round(answered.value.faces[0]!.place.azimuthDeg) % 360 : null
    })).toEqual([180, 90, 0, 270])
    const told = facesFromGeoJson(file({ pitch: 60, azimuth: 180 }))
    expect(told.ok && told.value.sides).toBe(0)
  })
  it('reads every part of a MultiPolygon, brings holes along and notices latitude before longitude', () => {
    const hole = [[3000, 1000], [4000, 1000], [4000, 1500], [3000, 1500], [3000, 1000]].map(([x, y]) => [4 + x! / east, 52 + y! / north])
    const other = ring.map(([lon, lat]) => [lon! + 0.0003, lat!])
    const read = facesFromGeoJson(JSON.stringify({
      type: 'Feature',
      properties: { pitch: 60, azimuth: 180, name: 'Roof' },
      geometry: { type: 'MultiPolygon', coordinates: [[ring, hole], [other]] },
    }))
    if (!read.ok) throw new Error(read.problem)
    expect(read.value.faces.map(face => face.name)).toEqual(['Roof 1', 'Roof 2'])
    const [one] = read.value.faces[0]!.holes
    expect(one!.widthMm).toBeCloseTo(1000, 1)
    expect(one!.heightMm).toBeCloseTo(500 / Math.cos(Math.PI / 3), 1)
    expect(problemOf(facesFromGeoJson(file({ pitch: 30 }, [[[4, 120], [4.0001, 120], [4.0001, 120.0001], [4, 120]]])))).toContain('wrong way round')
    // A house turned by 30 degrees, with its coordinates exchanged: its corners are no right angles where they were.
    const turned = [[0, 0], [8660, 5000], [6660, 8464], [-2000, 3464], [0, 0]].map(([x, y]) => [52 + y! / north, 4 + x! / east])
    const swapped = facesFromGeoJson(file({ pitch: 30 }, [turned]))
    expect(swapped.ok && swapped.value.said.join()).toContain('may be the wrong way round')
  })
  it.each([
    [180, null],
    [180.4, null],
    [183, '180.0'],
    [176, '180.0'],
    [200, null],
    [225, null],
  ])('facing %d by its azimuth: an eave that would lie out of level is said', (azimuth, looks) => {
    for (const one of [ring, [...ring].reverse()]) {
      const read = facesFromGeoJson(file({ pitch: 20, azimuth, name: 'South' }, [one]))
      if (!read.ok) throw new Error(read.problem)
      const sentence = read.value.said.find(words => words.includes('out of level'))
      if (looks) expect(sentence).toContain(`faces ${azimuth.toFixed(1)}° by its azimuth, and the edge nearest to that ${looks}°`)
      else expect(sentence).toBeUndefined()
    }
  })
  it('begins at the left end of an eave that is a little out of level, whichever end is lower', () => {
    for (const azimuth of [179.8, 180.2]) {
      const read = facesFromGeoJson(file({ pitch: 20, azimuth }))
      const [face] = read.ok ? read.value.faces : []
      const shape = shapeOf(face!.outline)
      expect(shape.edges.map(edge => edge.kind)).toEqual(['eave', 'rake', 'ridge', 'rake'])
      expect(shape.along.fromMm).toBeGreaterThan(-60)
      expect(shape.eave.toMm - shape.eave.fromMm).toBeCloseTo(10_000, -1)
    }
  })
  it('keeps named edges and a clockwise ring', () => {
    const read = facesFromGeoJson(file({ pitch: 20, azimuth: 180, edges: ['rake', 'wall', 'rake', 'eave'] }, [[ring[0]!, ring[3]!, ring[2]!, ring[1]!, ring[0]!]]))
    if (!read.ok) throw new Error(read.problem)
    expect(shapeOf(read.value.faces[0]!.outline).edges.map(edge => edge.kind)).toEqual(['eave', 'rake', 'wall', 'rake'])
  })
  it.each([
    ['not JSON', '<kml/>', 'not JSON'], [
      'another kind of JSON',
      '{"type":"Point"}',
      'not a GeoJSON',
    ], ['no pitch', file({}), '“pitch”'], ['a wall', file({ pitch: 80 }), '“pitch”'],
    [
      'metres for degrees',
      JSON.stringify({
        type: 'Feature',
        properties: { pitch: 30 },
        geometry: { type: 'Polygon', coordinates: [[[120_000, 430_000], [120_010, 430_000], [120_010, 430_004], [120_000, 430_000]]] },
      }),
      'longitude and latitude',
    ],
    ['edges that do not match', file({ pitch: 30, edges: ['eave'] }), 'must name all 4'],
  ])('%s: says so', (_, text, words) => expect(problemOf(facesFromGeoJson(text))).toContain(words))
})
