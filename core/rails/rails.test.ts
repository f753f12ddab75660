import { describe, expect, it } from 'vitest'
import { after, catalogue, changed, inch, planOf, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { footOf, forbiddenStrips, usualCovering } from '../coverings'
import { type Covering, type Face, plainRow, rafterRow } from '../job'
import { FULL } from '../fixings'
import { bearsOver, type LineStretch } from '../loads'
import { planJob } from '../plan'
import { columnsOf, endNames, fixedPoint, growthMm, movedRail, onFace, placeOfLine, placeRailEdit, placeRailEdits, railWords, skirtedLines, typedPlace } from './index'
import { plainRules } from '../../tests/fixtures/plain-rules'

const purlins: Face['supports'] = { kind: 'purlins', member: 'purlin', firstMm: 300, spacingMm: 700, widthMm: 75, thicknessMm: 100, batten: null, found: [] }
/** Rails up the slope over purlins, upright modules, each of two rows a clamp's width apart. */
const upright = (array: Partial<Face['array']> = {}) => planOf(changed({ supports: purlins, covering: usualCovering('screwed-sheet', false) }, {
  railWay: 'up',
  mountId: 'cleat-sheet-foot',
  railId: 'hawser-mid',
  clampsId: 'hawser-grip',
  rowGapMm: 18,
  rowCount: 2,
  rows: [],
  ...array,
}).faces[0]!)
const frames = (array: Partial<Face['array']> = {}) => planOf(changed({}, {
  railId: 'thole-coupled',
  mountId: 'thole-edge-foot',
  clampsId: 'thole-grip',
  rowGapMm: inch(0.5),
  rowCount: 2,
  rows: [],
  ...array,
}).faces[0]!)

describe('rails up the slope', () => {
  it('carry a column each in pairs, inside the clamp zone of the short edges, and are fixed at the purlins they cross', () => {
    const plan = upright()
    const [first, second] = plan.rows.rows
    expect(plan.rails).toHaveLength(2 * first!.count)
    const zone = plan.parts.module.clampZones.shortEdge
    plan.rails.forEach((rail, r) => {
      expect(rail.carries.map(one => [one.fromMm, one.toMm])).toEqual([[first!.bottomMm, first!.topMm], [second!.bottomMm, second!.topMm]])
      expect(rail.holds).toMatchObject({ edge: 'short' })
      expect(rail.holds!.fromCornerMm).toBeGreaterThanOrEqual(zone.fromMm - 1e-6)
      expect(rail.holds!.fromCornerMm).toBeLessThanOrEqual(zone.toMm + 1e-6)
      const { fixings, longestSpanMm } = plan.fixings.rails[r]!
      expect(fixings.length).toBeGreaterThan(1)
      expect(longestSpanMm).toBeLessThanOrEqual(plan.limits.maxSpanMm + 1e-6)
      for (const { atMm, member } of fixings) {
        const line = plan.supports.across.find(one => one.name === member)!
        // The foot's screws are on the purlin; the rail's axis is 8 mm up from them.
        expect(atMm).toBeCloseTo(line.centreMm + 8, 9)
        expect(onFace(rail, atMm)).toEqual({ xMm: rail.lineMm, yMm: atMm })
      }
    })
  })
  it('take mid clamps where rows stand a clamp’s width apart and end clamps where they do not', () => {
    const pieces = (rowGapMm: number, kind: string) => upright({ rowGapMm }).list.find(part => part.kind === kind)?.pieces ?? 0
    const columns = upright().rows.rows[0]!.count
    // Two rails a column: four ends and two mids for two modules over one another.
    expect([pieces(18, 'end-clamp'), pieces(18, 'mid-clamp')]).toEqual([4 * columns, 2 * columns])
    expect([pieces(60, 'end-clamp'), pieces(60, 'mid-clamp')]).toEqual([8 * columns, 0])
  })
  it('are parted where rows stand far apart or modules do not stand over one another', () => {
    expect(columnsOf(upright({ rowGapMm: 400 }).rows.rows).every(column => column.length === 1)).toBe(true)
    const pushed = upright({ rows: [plainRow, { ...plainRow, count: 3, shiftMm: 40 }] })
    expect(pushed.rails.length).toBe(2 * pushed.modules)
  })
  it('are placed by how far they lie in, and go back to the rule', () => {
    const plan = upright({ railInMm: 200 })
    for (const rail of plan.rails) expect(typedPlace(rail, plan.rows.rows)).toBeCloseTo(200, 9)
    const [left, right] = plan.rails
    expect(placeOfLine(left!, plan.rows.rows, left!.lineMm + 10)).toBeCloseTo(210, 9)
    expect(placeOfLine(right!, plan.rows.rows, right!.lineMm + 10)).toBeCloseTo(190, 9)
    // One edit for all columns, however many there are.
    expect(placeRailEdits('main', plan.rails.map(rail => ({ rail, mm: 190 })))).toEqual([{ type: 'set-array', faceId: 'main', values: { railInMm: 190 } }])
    expect(placeRailEdit('main', left!, null)).toEqual({ type: 'set-array', faceId: 'main', values: { railInMm: null } })
  })
  it('share what pulls down the slope alike between their fixings, and are not bent sideways by it', () => {
    const job = { ...changed({ supports: purlins, covering: usualCovering('screwed-sheet', false) }, {
      railWay: 'up',
      mountId: 'cleat-sheet-foot',
      railId: 'hawser-mid',
      clampsId: 'hawser-grip',
      rowGapMm: 18,
      rowCount: 2,
      rows: [],
    }) }
    const plan = planJob({ ...job, loads: { ...job.loads, rules: plainRules('en') } }, catalogue).faces[0]!
    const { loads } = plan.strength!
    plan.uses.forEach((use, r) => {
      const slopes = use!.fixings.map(duty => duty.slopeN)
      expect(Math.max(...slopes) - Math.min(...slopes)).toBeLessThan(1e-6)
      const sum = (of: (one: LineStretch) => number) => plan.strength!.lines[r]!.reduce((total, one) => total + of(one) * (one.toMm - one.fromMm), 0)
      const worst = Math.max(...loads.combinations.strength.map(one => one.dead * sum(line => line.dead) + one.snow * sum(line => line.snow))) * Math.tan(loads.pitchDeg * Math.PI / 180)
      expect(slopes.reduce((total, n) => total + n, 0)).toBeCloseTo(worst, 6)
    })
  })
  it('name their ends and what they carry', () => {
    const [rail] = upright().rails
    expect(endNames(rail!)).toEqual(['lower', 'upper'])
    expect(railWords(rail!)).toBe('column 1, left')
    expect(movedRail(rail!, 30).lineMm).toBe(rail!.lineMm + 30)
  })
})

it('rails up the slope are loaded by the area that they have: the width of the modules along the eave', () => {
  const widths = (array: Partial<Face['array']>) => {
    const job = changed({ supports: purlins, covering: usualCovering('screwed-sheet', false) }, {
      mountId: 'cleat-sheet-foot',
      railId: 'hawser-mid',
      clampsId: 'hawser-grip',
      ...array,
    })
    return planJob({ ...job, loads: { ...job.loads, rules: plainRules('en') } }, catalogue).faces[0]!.strength!.lines.flat().map(bearsOver)
  }
  const { shortMm, longMm } = catalogue.modules[0]!
  // The two rails of a module share its width between them.
  const both = (array: Partial<Face['array']>) => [...new Set(widths(array).map(width => Math.round(width)))].reduce((sum, width, _, all) => sum + width * (all.length === 1 ? 2 : 1), 0)
  expect(both({ railWay: 'up' })).toBeCloseTo(shortMm, -1)
  expect(both({ railWay: 'up', orientation: 'on-side' })).toBeCloseTo(longMm, -1)
})

describe('coupled frames', () => {
  it('hang two rows on three lines when they stand the kit’s gap apart, on four when they do not', () => {
    expect(frames().rails.map(rail => rail.side)).toEqual(['lower', 'between', 'upper'])
    expect(frames({ rowGapMm: 60 }).rails.map(rail => rail.side)).toEqual(['lower', 'upper', 'lower', 'upper'])
  })
  it('put the load of both rows on the line between them', () => {
    const job = changed({}, { railId: 'thole-coupled', mountId: 'thole-edge-foot', clampsId: 'thole-grip', rowGapMm: inch(0.5), rowCount: 2, rows: [] })
    const plan = planJob({ ...job, loads: { ...job.loads, rules: plainRules('us-2010') } }, catalogue).faces[0]!
    const dead = plan.strength!.lines.map(line => line.reduce((sum, one) => sum + one.dead * (one.toMm - one.fromMm), 0))
    expect(dead[1]).toBeCloseTo(dead[0]! + dead[2]!, 6)
    for (const use of plan.uses) expect(use!.shares.bending!.share).toBeGreaterThan(0)
  })
  it('keep mounts clear of corners and couplers, and need couplers, a skirt and no sticks or clamps', () => {
    const plan = frames()
    const { rail } = plan.parts
    const modules = plan.rows.rows[0]!.count
    plan.rails.forEach((line, r) => {
      expect(line.couplers).toHaveLength(modules - 1)
      for (const { atMm } of plan.fixings.rails[r]!.fixings) {
        for (const mm of line.couplers) expect(Math.abs(atMm - mm)).toBeGreaterThanOrEqual(rail.splice.barMm / 2 + rail.splice.clearMm - 1e-6)
        for (const one of line.carries) expect(Math.min(Math.abs(atMm - one.fromMm), Math.abs(atMm - one.toMm))).toBeGreaterThanOrEqual(rail.frame!.cornerMm - 1e-6)
      }
    })
    const pieces = (kind: string) => plan.list.find(part => part.kind === kind)?.pieces ?? 0
    expect(['stick', 'splice', 'mid-clamp', 'end-clamp'].map(pieces)).toEqual([0, 0, 0, 0])
    expect(pieces('coupler')).toBe(3 * (modules - 1))
    const skirted = skirtedLines(plan.rails)
    expect(skirted.map(line => line.number)).toEqual([1])
    expect(pieces('skirt')).toBe(Math.ceil((skirted[0]!.reach.toMm - skirted[0]!.reach.fromMm) / rail.frame!.skirt.mm))
    expect(pieces('end-cap')).toBe(2)
  })
  it('judge modules by what they were tested at on the kit', () => {
    const job = changed({}, { railId: 'thole-coupled', mountId: 'thole-edge-foot', clampsId: 'thole-grip', rowGapMm: inch(0.5), rowCount: 2, rows: [] })
    const plan = planJob({ ...job, loads: { ...job.loads, rules: plainRules('us-2010') } }, catalogue).faces[0]!
    expect(plan.holds[0]!['module-up']!.limit).toBe(plan.parts.rail.frame!.upPa)
    expect(plan.holds[0]!['clamp-up']).toBeUndefined()
  })
  it('hang together with hinged couplers only where every frame is held: n joints take n + 2 mounts', () => {
    const hinged = { ...catalogue, rails: catalogue.rails.map(rail => rail.frame ? { ...rail, splice: { ...rail.splice, continuity: 'hinged' as const } } : rail) }
    const job = changed({ supports: rafterRow(inch(8), inch(8), inch(1.5)) }, {
      railId: 'thole-coupled',
      mountId: 'thole-edge-foot',
      clampsId: 'thole-grip',
      rowGapMm: inch(0.5),
      rowCount: 1,
      rows: [{ ...plainRow, count: 3 }],
    })
    const fixings = (of: typeof catalogue) => planJob({ ...job, loads: { ...job.loads, rules: plainRules('us-2010') } }, of).faces[0]!.fixings.rails
    for (const { fixings: own, worst } of fixings(hinged)) {
      expect(worst).toBeLessThanOrEqual(FULL)
      expect(own.length).toBeGreaterThanOrEqual(4)
    }
    // Stiff couplers let a frame hang on its neighbours.
    expect(Math.min(...fixings(catalogue).map(one => one.fixings.length))).toBeLessThan(4)
  })
})

describe('strips the covering forbids', () => {
  const hook = catalogue.mounts.find(mount => mount.id === 'windlass-tile-hook')!
  const tile = { ...usualCovering('interlocking-tile', false), kind: 'interlocking-tile' as const, gaugeMm: 345, firstCourseMm: 320, coverWidthMm: 300, firstColumnMm: 0, pan: { fromMm: 70, toMm: 230 } } as Extract<Covering, { kind: 'interlocking-tile' }>
  const outline = { kind: 'rectangle' as const, eaveLengthMm: 6000, slopeLengthMm: 4000 }
  it('lie over the side laps as wide as the hook’s arm can’t be set past them', () => {
    const foot = { mount: { halfFootprintMm: 40, hook: { ...hook.hook!, armMm: 30, travelMm: 20 } }, closure: null }
    const strips = forbiddenStrips(tile, outline, foot, { way: 'across', lineMm: 1000, reach: { fromMm: 300, toMm: 900 } })
    // The arm's middle may stand from 15 mm inside the pan, the plate 20 mm further out: 65 to 235 of each 300.
    expect(strips).toEqual([{ fromMm: 300, toMm: 365 }, { fromMm: 535, toMm: 665 }, { fromMm: 835, toMm: 900 }])
    expect(forbiddenStrips(tile, outline, { ...foot, mount: { ...foot.mount, hook: null } }, { way: 'across', lineMm: 1000, reach: { fromMm: 300, toMm: 900 } })).toEqual([])
  })
  it('are kept by every fixing of a plan', () => {
    const face = changed({ covering: tile }, { mountId: 'windlass-tile-hook', railId: 'hawser-mid', clampsId: 'hawser-grip' }).faces[0]!
    const plan = planOf(face)
    plan.rails.forEach((rail, r) => {
      const strips = forbiddenStrips(tile, face.outline, footOf(face, hook), rail)
      expect(strips.length).toBeGreaterThan(0)
      for (const { atMm } of plan.fixings.rails[r]!.fixings) expect(strips.some(strip => atMm > strip.fromMm + 1e-6 && atMm < strip.toMm - 1e-6)).toBe(false)
    })
  })
  it('are the edges of courses for rails up the slope', () => {
    const shingle = usualCovering('coursed-shingle', false)
    const strips = forbiddenStrips(shingle, outline, { mount: { halfFootprintMm: 40, hook: null }, closure: null }, { way: 'up', lineMm: 2000, reach: { fromMm: 500, toMm: 1000 } })
    expect(strips.length).toBeGreaterThan(2)
    for (const strip of strips.slice(1, -1)) expect(strip.toMm - strip.fromMm).toBeCloseTo(80, 9)
  })
})

describe('expansion', () => {
  it('is 23.1 millionths a kelvin over the year’s 60 K: 13.9 mm on 10 m', () => expect(growthMm(10_000)).toBeCloseTo(13.86, 9))
  it('runs from the fixing nearest the rail’s middle', () => {
    const found = fixedPoint({ fromMm: 0, toMm: 10_000 }, [500, 2000, 5200, 9400])
    expect(found!.fixing).toBe(2)
    expect(found!.endsMoveMm[0] + found!.endsMoveMm[1]).toBeCloseTo(growthMm(10_000), 9)
    expect(fixedPoint({ fromMm: 0, toMm: 1 }, [])).toBeNull()
  })
  it('parts a row with a wider gap, so that each rail ends clear of the next', () => {
    const job = threeRowsOfSix()
    const before = planOf(job.faces[0]!)
    const parted = after(job, { type: 'set-row', faceId: 'main', row: 0, values: { breaks: [3] } })
    const plan = planOf(parted.faces[0]!)
    const [left, right] = plan.rows.rows[0]!.blocks
    expect([left!.count, right!.count]).toEqual([3, before.rows.rows[0]!.count - 3])
    const rails = plan.rails.filter(rail => rail.row === 0)
    expect(rails).toHaveLength(4)
    expect(rails[2]!.fromMm - rails[0]!.toMm).toBeCloseTo(20, 6)
    expect(plan.rows.rows[0]!.fits).toBe(true)
  })
  it('is offered as a cure where rails run too long', () => {
    const short = { ...catalogue, rails: catalogue.rails.map(rail => ({ ...rail, longestRunMm: 4000 })) }
    const plan = planJob(threeRowsOfSix(), short)
    const finding = plan.findings.find(one => one.id.startsWith('long-run'))!
    const cure = finding.cures.find(one => one.label.includes('expansion break'))!
    const cured = planJob(after(threeRowsOfSix(), cure.edit), short)
    expect(cured.findings.some(one => one.id === finding.id)).toBe(false)
    expect(Math.max(...cured.faces[0]!.rails.map(rail => rail.toMm - rail.fromMm))).toBeLessThanOrEqual(4000)
  })
})
