import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../db/demo/jobs'
import { frame, partOf, skerry, tray } from '../../tests/fixtures/in-roof'
import { after, catalogue } from '../../tests/fixtures/jobs'
import { betterModules, bothWays } from '../asks'
import type { Catalogue } from '../catalogue'
import type { Course } from '../coverings'
import type { Covering } from '../job'
import { planJob } from '../plan'
import { chosen, cornersOf, ones, pinches, rectangleOf } from './choose'
import { bottomHeights, courseAbove, courseBelow, keptOfUnit, offCourseMm, topHeights } from './edges'
import { gaugesRead, laidOf } from './laid'
import { leftsOver } from './lefts'
import { outlinesOf } from './outline'

const demo = (title: string) => demoJobs.find(({ job }) => job.title === title)!.job
const eelgrass = demo('2 Eelgrass Cottages')
const covering = {
  kind: 'interlocking-tile',
  gaugeMm: 340,
  coverWidthMm: 300,
  lengthMm: 420,
  firstCourseMm: 340,
  firstColumnMm: 0,
  pan: { fromMm: 60, toMm: 230 },
  coursesRead: [],
  coursesCounted: null,
  battenMm: 50,
  battenDeepMm: 25,
} as Covering
const courses: Course[] = Array.from({ length: 16 }, (_, i) => ({ number: i + 2, fromMm: 340 * (i + 1), toMm: 340 * (i + 2) }))
const laid = { covering, courses, lengthMm: 420 }

describe('edges on courses', () => {
  it('begin where the apron lies over the course below, whose head is clear of the modules', () => {
    // Course 2 lies from 340 to 760: 10 clear, 300 of apron of which 100 lie over it.
    expect(bottomHeights(tray, laid)[0]).toEqual({ fromMm: 340 + 420 + 10, toMm: 340 + 420 + 300 - 100 })
    expect([courseBelow(tray, laid, 770)!.number, courseBelow(tray, laid, 960)!.number, courseBelow(tray, laid, 769), courseBelow(tray, laid, 961)]).toEqual([
      2,
      2,
      null,
      null,
    ])
  })

  it('end where the course above lies over the flashing and off the modules', () => {
    // Course 10 begins at 3060: its edge 30 over the modules at least, 120 over a flashing of 280.
    expect([courseAbove(tray, laid, 3030)!.number, courseAbove(tray, laid, 3060 + 120 - 280)!.number, courseAbove(tray, laid, 3031)?.number ?? null]).toEqual([
      10,
      10,
      null,
    ])
    expect(topHeights(tray, laid)).toHaveLength(16)
    expect([
      offCourseMm(
        [
          { fromMm: 10, toMm: 20 },
          { fromMm: 50, toMm: 60 },
        ],
        33,
      ),
      offCourseMm([], 3),
    ]).toEqual([13, Infinity])
  })

  it('leave of a cut unit what lies outside; a joint within 3 mm needs no cut', () => {
    expect([keptOfUnit(covering, 2, 650, 'left'), keptOfUnit(covering, 2, 650, 'right')]).toEqual([50, 250])
    expect([keptOfUnit(covering, 2, 603, 'left'), keptOfUnit(covering, 2, 597, 'left'), keptOfUnit(covering, 2, 604, 'left')]).toEqual([0, 0, 4])
    expect([
      keptOfUnit({ ...covering, kind: 'plain-tile' } as Covering, 2, 600, 'left'),
      keptOfUnit({ ...covering, kind: 'plain-tile' } as Covering, 3, 600, 'left'),
    ]).toEqual([0, 150])
  })
})

describe('places that carry modules', () => {
  const fits = (...columns: number[]) => new Map(columns.map((mask, c) => [c, mask]))
  it('are of each stack the longest part between a lower and an upper edge', () => {
    // Rows 0 to 3; lower edges may lie under rows 0 and 1, upper ones over rows 1 and 2.
    expect([...chosen(fits(0b1111, 0b1110, 0b0001), 4, 0b0011, 0b0110, new Map()).cells]).toEqual([
      [0, 0b0111],
      [1, 0b0110],
    ])
    expect(ones(0b1011)).toBe(3)
  })

  it('never meet at a corner only: the shorter stack is left out', () => {
    expect(pinches(fits(0b001, 0b110))).toEqual([{ column: 0, row: 0 }])
    const { cells, before } = chosen(fits(0b001, 0b110), 3, 0b111, 0b111, new Map())
    expect([[...cells].filter(([, mask]) => mask), before]).toEqual([[[1, 0b110]], 3])
    expect(cornersOf(fits(0b11, 0b01), 2)).toBe(6)
  })

  it('are a rectangle where the kit turns no corner inwards', () => {
    expect([...rectangleOf(fits(0b11, 0b11, 0b01, 0b01, 0b01), 2, 0b11, 0b11)]).toEqual([
      [0, 1],
      [1, 1],
      [2, 1],
      [3, 1],
      [4, 1],
    ])
    expect([...rectangleOf(fits(0b11, 0b11, 0b01, 0b01, 0b01), 2, 0b01, 0b10)]).toEqual([
      [0, 3],
      [1, 3],
    ])
  })

  it('keep glass in the region and flashing on the face, at every height', () => {
    const ring = (w: number, h: number, lean: number) => [
      [
        { x: 0, y: 0 },
        { x: w, y: 0 },
        { x: w - lean, y: h },
        { x: lean, y: h },
      ],
    ]
    const { at } = leftsOver({ region: ring(6000, 5000, 800), open: ring(6000, 5000, 800), widthMm: 1000, heightMm: 1700, outMm: 200, downMm: 300, upMm: 280 })
    // At 1000 the flashing's upper end at 2980 decides: 800/5000 of it on each side, and 200 beside.
    expect(at(1000)).toEqual([{ fromMm: expect.closeTo(2980 * 0.16 + 200, 3) as number, toMm: expect.closeTo(6000 - 2980 * 0.16 - 1200, 3) as number }])
    expect(at(200)).toEqual([])
  })
})

it('walks a hole the other way round than the outline', () => {
  const grid = Array.from({ length: 3 }, (_, r) => Array.from({ length: 3 }, (_, c) => r !== 1 || c !== 1))
  const loops = outlinesOf(partOf(grid, { widthMm: 1000, heightMm: 1700, columnGapMm: 20, rowGapMm: 10 }))
  expect(loops.map(loop => [loop.hole, loop.corners.length, loop.corners.filter(corner => corner.inner).length])).toEqual([
    [false, 4, 0],
    [true, 4, 4],
  ])
})

describe('battens that were read', () => {
  it('put the courses where they hang, the first regular one by the lowest and the next', () => {
    const face = {
      ...eelgrass.faces[0]!,
      inRoof: {
        ...eelgrass.faces[0]!.inRoof!,
        battensRead: [
          { batten: 1, mm: 400 },
          { batten: 5, mm: 1744 },
          { batten: 11, mm: 3784 },
        ],
      },
    }
    const own = laidOf(face)!.courses
    expect([own[0]!.fromMm, own[3]!.fromMm, own[9]!.fromMm]).toEqual([400 + 336 - 420, 1744 - 420, 3784 - 420])
    expect(gaugesRead(face.inRoof.battensRead).map(one => one.gaugeMm)).toEqual([336, 340])
    expect(laidOf({ ...face, covering: { kind: 'felt-and-battens', gaugeMm: 340, firstCourseMm: 340 } })).toBeNull()
  })
})

describe('a face built both ways', () => {
  const both = bothWays(eelgrass, catalogue, 'main')
  const figure = (what: string) => both.figures.find(one => one.what === what)!
  it('has every figure with its working, and says what stands against each way', () => {
    for (const { inRoof, onRails } of both.figures)
      for (const one of [inRoof, onRails]) expect([one.formula.length > 2, one.source.length > 5, JSON.stringify(one).includes('NaN')]).toEqual([true, true, false])
    expect(both.stops).toEqual({ inRoof: [], onRails: [] })
    expect(figure('Modules').inRoof.result).toEqual({ kind: 'count', n: planJob(eelgrass, catalogue).totals.modules, of: 'modules' })
  })

  it('adds up its hours, and loses by heat what the coefficient says', () => {
    const hours = (text: string) => Number(/([\d.]+) h/.exec(text)![1])
    for (const way of ['inRoof', 'onRails'] as const) {
      const { values, result } = figure('Work of two people')[way]
      expect(values.reduce((sum, one) => sum + hours((one.value as { text: string }).text), 0)).toBeCloseTo(hours((result as { text: string }).text), 0)
    }
    const kwh = (way: 'inRoof' | 'onRails') => Number(/^(\d+)/.exec((figure('A year’s energy')[way].result as { text: string }).text)![1])
    const power = planJob(eelgrass, catalogue).totals.powerW / 1000
    expect(kwh('onRails')).toBe(Math.round(power * 930))
    expect(kwh('inRoof')).toBe(Math.round(power * 930 * (1 + skerry.plate!.powerPerK * (0.0342 - 0.026) * 600)))
  })

  it('says what it does not know', () => {
    const untold = after(eelgrass, { type: 'set-in-roof', faceId: 'main', values: { kwhPerKwp: null } })
    expect(bothWays(untold, catalogue, 'main').figures.find(one => one.what === 'A year’s energy')!.inRoof.result).toEqual({
      kind: 'words',
      text: expect.stringMatching(/^1\.7 % less/) as string,
    })
    expect(() => bothWays(demo('Kelp Quay 22'), catalogue, 'main')).toThrow('no in-roof array')
  })
})

describe('a module that is approved later', () => {
  const [first] = catalogue.approvals
  const later: Catalogue = {
    ...catalogue,
    approvals: [...catalogue.approvals, { ...first!, id: 'skerry-425-frame', moduleId: 'skerry-425', systemId: frame.id, on: '2026-11-20' }],
  }
  it('is offered with what it changes, and nothing is without a test', () => {
    expect(betterModules(eelgrass, catalogue)).toEqual([])
    const [offer, ...more] = betterModules(eelgrass, later)
    expect(more).toEqual([])
    const taken = planJob(after(eelgrass, offer!.edit), later).faces[0]!
    expect(offer!.changes).toContain(`power W +${taken.powerW - planJob(eelgrass, later).faces[0]!.powerW}`)
    expect(offer!.changes.some(change => /^strings: \d+ V open-circuit/.test(change))).toBe(true)
  })

  it('is not offered for another system, or once it is retired', () => {
    expect(betterModules(eelgrass, later, { moduleId: 'skerry-425', systemId: tray.id })).toEqual([])
    expect(betterModules(eelgrass, { ...later, approvals: later.approvals.map(one => (one.id === 'skerry-425-frame' ? { ...one, retired: true } : one)) })).toEqual(
      [],
    )
  })
})

it('an array in the roof has no rails, no fixings and no sticks, and loads no rail', () => {
  const plan = planJob(eelgrass, catalogue).faces[0]!
  expect([
    plan.rails.length,
    plan.fixings.total,
    plan.sticks.sticks.length,
    plan.list.filter(part => ['stick', 'mount', 'mid-clamp', 'end-clamp', 'splice'].includes(part.kind)).length,
  ]).toEqual([0, 0, 0, 0])
  expect(plan.loading.loads!.deadPa).toBeCloseTo((9.80665 * (skerry.massKg + frame.kitKg)) / ((skerry.longMm * skerry.shortMm) / 1e6), 9)
})

it('leaves out what is not wanted so that edges still lie on courses', () => {
  for (let wanted = 1; wanted <= 14; wanted++) {
    const plan = planJob({ ...eelgrass, wanted }, catalogue)
    const [face] = plan.faces
    expect(face!.modules).toBeLessThanOrEqual(wanted)
    expect(face!.modules).toBeGreaterThanOrEqual(wanted - 1)
    expect([face!.inRoof!.proof.off, plan.findings.filter(one => one.severity === 'stop' && one.kind !== 'wanted-short')]).toEqual([[], []])
  }
})
