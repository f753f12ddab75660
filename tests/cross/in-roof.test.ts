import highsLoader from 'highs'
import { describe, expect, it } from 'vitest'
import { coursesUp } from '../../core/coverings'
import { discAround, perimeterMm, rectangle, type Region, together, without } from '../../core/geometry'
import { kitOf, type Laid, laidOf, lineShares, liftHeights, reliefOf, screwHoldsN, setOut } from '../../core/inroof'
import { type Covering, type Face, plainInRoof } from '../../core/job'
import { planJob } from '../../core/plan'
import { KERF_MM } from '../../core/sticks'
import { demoJobs } from '../../db/demo/jobs'
import { bestOrigin, countGrid, frame, lapped, type Origins, partOf, type PlainFace, randomGrid, skerry, tray } from '../fixtures/in-roof'
import { after, catalogue } from '../fixtures/jobs'
import { type Random, seeded } from '../fixtures/random'

const size = { widthMm: skerry.shortMm, heightMm: skerry.longMm, columnGapMm: 24, rowGapMm: 18 }
const demo = (title: string) => demoJobs.find(({ job }) => job.title === title)!.job

describe('the flashing kit', () => {
  it('of rectangles is what their formulas say', () => {
    for (let rows = 1; rows <= 6; rows++)
      for (let columns = 1; columns <= 9; columns++) {
        const { pieces } = kitOf(
          [
            partOf(
              Array.from({ length: rows }, () => Array.from({ length: columns }, () => true)),
              size,
            ),
          ],
          frame,
          'row',
          [],
        )
        const n = (kind: string) => pieces.filter(piece => piece.kind === kind).length
        const [wide, high] = [columns * size.widthMm + (columns - 1) * 24, rows * size.heightMm + (rows - 1) * 18]
        // One row has its sides whole, with their corners.
        expect([n('bottom-flashing'), n('top-flashing'), n('side-flashing'), n('one-row-side'), n('outer-corner'), n('inner-corner')]).toEqual([
          lapped(wide, 1220, 80),
          lapped(wide, 1220, 80),
          rows === 1 ? 0 : 2 * lapped(high, 920, 100),
          rows === 1 ? 2 : 0,
          rows === 1 ? 0 : 4,
          0,
        ])
        expect([n('joint-up'), n('joint-across'), n('joint-crossing'), n('joint-cap')]).toEqual([
          rows * (columns - 1),
          (rows - 1) * columns,
          (rows - 1) * (columns - 1),
          columns - 1,
        ])
      }
  })

  it('on 2000 random outlines, holes too, is what each place’s neighbours say; its lengths are the outline’s', () => {
    const random = seeded(1521)
    let [holes, pinched] = [0, 0]
    for (let i = 0; i < 2000; i++) {
      const grid = randomGrid(random)
      const part = partOf(grid, size)
      const kit = kitOf([part], tray, random.pick(['row', 'module'] as const), [])
      const counted = countGrid(grid, size)
      const n = (kind: string) => kit.pieces.filter(piece => piece.kind === kind).length
      const total = (list: number[]) => list.reduce((a, b) => a + b, 0)
      const taken = (list: number[], { stockMm, overlapMm }: { stockMm: number, overlapMm: number }) => total(list.map(mm => lapped(mm, stockMm, overlapMm)))
      const { bottom, top, left, right } = counted.runs
      expect([n('bottom-flashing'), n('top-flashing'), n('side-flashing')]).toEqual([
        taken(bottom, tray.bottom),
        taken(top, tray.top),
        taken(left, tray.side) + taken(right, tray.side),
      ])
      expect([n('outer-corner'), n('inner-corner'), kit.pinches.length]).toEqual([counted.outer, counted.inner, counted.pinches])
      expect([n('joint-up'), n('joint-across'), n('joint-crossing'), n('joint-cap')]).toEqual([counted.up, counted.across, counted.crossings, counted.feet])
      for (const side of ['bottom', 'top', 'left', 'right'] as const) expect(kit.edgesMm[side]).toBeCloseTo(total(counted.runs[side]), 6)
      // What is laid, less what lies double, is the edge.
      for (const [kind, lists, { overlapMm }] of [
        ['bottom-flashing', [bottom], tray.bottom],
        ['top-flashing', [top], tray.top],
        ['side-flashing', [left, right], tray.side],
      ] as const) {
        const own = kit.pieces.filter(piece => piece.kind === kind)
        const runs = lists.flat()
        expect(total(own.map(piece => piece.lengthMm!)) - overlapMm * (own.length - runs.length)).toBeCloseTo(total(runs), 6)
      }
      // Each piece has one mark and one step.
      expect(new Set(kit.pieces.map(piece => piece.mark)).size).toBe(kit.pieces.length)
      expect(kit.steps.flatMap(step => step.marks).sort()).toEqual(kit.pieces.map(piece => piece.mark).sort())
      holes += kit.loops.filter(loop => loop.hole).length
      pinched += counted.pinches ? 1 : 0
      // The same outline as a polygon library joins it: modules, and the gaps between two or four of them.
      if (i % 10 === 0 && part.cells.length && !counted.pinches) {
        const filled = part.cells.flatMap(cell =>
          [
            [0, 0],
            [1, 0],
            [0, 1],
            [1, 1],
          ].flatMap(([dr, dc]): Region[] => {
            const all = [
              [0, 0],
              [dr!, 0],
              [0, dc!],
              [dr!, dc!],
            ].every(([r, c]) => grid[cell.row + r!]?.[cell.column + c!])
            return all
              ? [rectangle({ fromMm: cell.leftMm, toMm: cell.rightMm + dc! * size.columnGapMm }, { fromMm: cell.bottomMm, toMm: cell.topMm + dr! * size.rowGapMm })]
              : []
          }),
        )
        expect(total(Object.values(kit.edgesMm))).toBeCloseTo(perimeterMm(together(filled)), 0)
      }
    }
    expect([holes > 150, pinched > 100]).toEqual([true, true])
  })

  it('takes one cover set for a window that has a hole to itself, by its size, and says what is too near, too wide or of no size', () => {
    const grid = Array.from({ length: 3 }, (_, r) => Array.from({ length: 3 }, (_, c) => !(r === 1 && c === 1)))
    const part = partOf(grid, { ...size, widthMm: skerry.longMm, heightMm: skerry.shortMm })
    const [hole] = [{ x: 900 + 1.5 * skerry.longMm + 24, y: 700 + 1.5 * skerry.shortMm + 18 }]
    const window = (widthMm: number, heightMm: number, dx = 0) => [
      { id: 'w', kind: 'roof-window' as const, round: false, xMm: hole!.x + dx, yMm: hole!.y, widthMm, heightMm, clearanceMm: 0 },
    ]
    const kit = kitOf([part], tray, 'row', window(780, 900))
    expect(kit.pieces.filter(piece => piece.kind === 'window-set').map(piece => piece.name)).toEqual(['Cover set, window to 800 x 1200'])
    expect([kit.pieces.filter(piece => piece.kind === 'inner-corner').length, kit.windows[0]!.trouble]).toEqual([0, null])
    expect(kitOf([part], tray, 'row', window(780, 900, 440)).windows[0]!.trouble).toBe('near')
    expect(kitOf([part], tray, 'row', window(1300, 900)).windows[0]!.trouble).toBe('no-set')
    expect(kitOf([part], { ...tray, window: { ...tray.window, farMm: 300 } }, 'row', window(780, 900)).windows[0]!.trouble).toBe('between')
  })
})

/** A face like those that are taped: sides that lean, corners some millimetres off, a window and a vent on it. */
function randomFace(random: Random): { face: PlainFace, region: Region, open: Region, ask: Origins, laid: Laid } {
  const [wide, high] = [random.whole(4200, 7600), random.whole(3700, 5600)]
  const lean = () => (random.next() < 0.4 ? random.between(200, 900) : random.between(-3, 3))
  const points = [
    { x: 0, y: 0 },
    { x: wide, y: 0 },
    { x: wide - lean(), y: high },
    { x: lean(), y: high },
  ]
  const system = random.pick([tray, frame])
  const orientation = random.pick(['upright', 'on-side'] as const)
  const [widthMm, heightMm] = orientation === 'upright' ? [skerry.shortMm, skerry.longMm] : [skerry.longMm, skerry.shortMm]
  const covering = random.pick<Origins['covering']>([
    {
      kind: 'interlocking-tile',
      gaugeMm: random.whole(300, 350),
      coverWidthMm: random.whole(200, 310),
      lengthMm: 420,
      firstCourseMm: random.whole(280, 340),
      firstColumnMm: random.whole(0, 200),
      pan: { fromMm: 50, toMm: 150 },
      coursesRead: [],
      coursesCounted: null,
      battenMm: 50,
      battenDeepMm: 25,
    },
    {
      kind: 'slate',
      lengthMm: 500,
      coverWidthMm: 250,
      lapMm: random.whole(80, 110),
      nailing: 'centre',
      mayCut: true,
      firstCourseMm: random.whole(180, 210),
      firstColumnMm: random.whole(0, 200),
      coursesRead: [],
      coursesCounted: null,
      battenMm: 50,
      battenDeepMm: 25,
    },
    {
      kind: 'plain-tile',
      gaugeMm: random.whole(95, 105),
      coverWidthMm: 165,
      lengthMm: 265,
      firstCourseMm: random.whole(60, 100),
      firstColumnMm: random.whole(0, 150),
      coursesRead: [],
      coursesCounted: null,
      battenMm: 38,
      battenDeepMm: 25,
    },
  ])
  const outline: Face['outline'] = {
    kind: 'corners',
    corners: points.map(({ x, y }, i) => ({ xMm: x, yMm: y, edge: (['eave', 'rake', 'ridge', 'rake'] as const)[i]! })),
  }
  const setbackMm = random.whole(250, 400)
  const box = (w: number, h: number, window: boolean) => {
    const [x, y] = [random.whole(900, wide - 900), random.whole(900, high - 900)]
    return { along: { fromMm: x - w / 2, toMm: x + w / 2 }, up: { fromMm: y - h / 2, toMm: y + h / 2 }, window }
  }
  const boxes = random.next() < 0.6 ? [box(random.whole(500, 780), random.whole(600, 1000), true), ...(random.next() < 0.4 ? [box(110, 110, false)] : [])] : []
  const ring: Region = [points]
  // The usable region is cut by the same straight strips; each side keeps its setback along the eave.
  const inset: Region = [
    [
      { x: points[0]!.x + setbackMm, y: 0 },
      { x: points[1]!.x - setbackMm, y: 0 },
      { x: points[2]!.x - setbackMm, y: high },
      { x: points[3]!.x + setbackMm, y: high },
    ],
  ]
  let region = without(
    without(inset, rectangle({ fromMm: -1e5, toMm: 1e5 }, { fromMm: -1e5, toMm: setbackMm })),
    rectangle({ fromMm: -1e5, toMm: 1e5 }, { fromMm: high - setbackMm, toMm: 1e5 }),
  )
  let open = ring
  for (const one of boxes) {
    const by = one.window ? system.window.nearMm : 0
    const grown = rectangle({ fromMm: one.along.fromMm - by, toMm: one.along.toMm + by }, { fromMm: one.up.fromMm - by, toMm: one.up.toMm + by })
    if (one.window) region = without(region, grown)
    else open = without(open, grown)
  }
  const laid: Laid = { covering, courses: coursesUp(covering as Covering, outline), lengthMm: covering.lengthMm }
  const courses = laid.courses.map(one => one.fromMm)
  return {
    face: { left: [points[0]!, points[3]!], right: [points[1]!, points[2]!], topMm: high, boxes },
    region,
    open,
    laid,
    ask: { system, widthMm, heightMm, courses, covering, setbackMm },
  }
}

describe('the set-out', () => {
  it.each([
    [1, 4, 77],
    [7, 60, 4711],
  ])('every %i mm, on %i random faces: no origin holds more, and with as many none cuts less', { timeout: 180_000 }, (stepMm, faces, seed) => {
    const random = seeded(seed)
    let [tried, same, uncut, proved] = [0, 0, 0, 0]
    for (let i = 0; i < faces; i++) {
      const { face, region, open, ask, laid } = randomFace(random)
      const found = setOut({
        ground: {
          region,
          open,
          widthMm: ask.widthMm,
          heightMm: ask.heightMm,
          outMm: ask.system.side.outMm,
          downMm: ask.system.bottom.downMm,
          upMm: ask.system.top.upMm,
        },
        system: ask.system,
        laid,
        mostRows: ask.system.mostRows,
        leftMm: null,
        bottomMm: null,
        fromMm: 0,
        toMm: Infinity,
      })
      const best = bestOrigin(face, ask, stepMm)
      tried += best.tried
      expect(found?.count ?? 0).toBeGreaterThanOrEqual(best.count)
      if (!found || found.count > best.count) continue
      same++
      // A face of plain tile and leaning sides can have more than are tried; it does not say then that none is better.
      if (!found.proved) continue
      proved++
      const worse = found.slivers > best.slivers || (found.slivers === best.slivers && found.cuts > best.cuts)
      expect([worse, found.slivers, found.cuts, best]).toEqual([false, found.slivers, found.cuts, best])
      if (found.slivers === 0) uncut++
    }
    console.log(
      `set-out every ${stepMm} mm: ${tried} origins on ${faces} faces, ${same} with the very count of the search, ${proved} of them proved, ${uncut} of them without a sliver`,
    )
    expect([same > faces / 2, proved >= same * 0.9]).toEqual([true, true])
  })

  it('keeps whole courses between two ways up, and says that both together were not proved', () => {
    const tall = after(demo('Fennel Field, plot 7'), {
      type: 'set-face',
      faceId: 'main',
      values: { outline: { kind: 'rectangle', eaveLengthMm: 9860, slopeLengthMm: 7900 } },
    })
    const job = after(tall, { type: 'set-in-roof', faceId: 'main', values: { changeAtRow: 3 } })
    const { inRoof } = planJob(job, catalogue).faces[0]!
    const [low, high] = inRoof!.parts
    const courses = laidOf(job.faces[0]!)!.courses
    const between = courses.filter(
      one => one.fromMm > Math.max(...low!.cells.map(cell => cell.topMm)) && one.fromMm + 420 <= Math.min(...high!.cells.map(cell => cell.bottomMm)),
    )
    expect([low!.orientation, high!.orientation, inRoof!.proof.proved]).toEqual(['on-side', 'upright', false])
    expect(between.length).toBeGreaterThanOrEqual(inRoof!.system.changeCourses)
  })

  it('of a module over eight courses and five to six tiles a row saves about 500 tiles with twelve (common practice)', () => {
    const base = demo('2 Eelgrass Cottages')
    const covering = {
      ...base.faces[0]!.covering,
      gaugeMm: 206,
      coverWidthMm: 182,
      lengthMm: 280,
      firstCourseMm: 190,
      firstColumnMm: 0,
      coursesRead: [],
      coursesCounted: null,
      pan: { fromMm: 40, toMm: 140 },
    } as Covering
    const job = after(
      base,
      { type: 'set-face', faceId: 'main', values: { covering } },
      { type: 'set-in-roof', faceId: 'main', values: { battensRead: [] } },
      { type: 'set-array', faceId: 'main', values: { rowCount: 2 } },
    )
    const { modules, inRoof } = planJob({ ...job, wanted: 12 }, catalogue).faces[0]!
    expect(modules).toBe(12)
    expect(inRoof!.tiles!.saved).toBeGreaterThan(0.8 * 500)
    expect(inRoof!.tiles!.saved).toBeLessThan(1.2 * 500)
  })
})

/** Jobs whose faces, coverings and systems differ at random. */
function randomJob(random: Random) {
  const { face: _, ask, laid } = randomFace(random)
  const base = demo('2 Eelgrass Cottages')
  const covering = { ...laid.covering, battenMm: random.pick([38, 50]) } as Covering
  const supports = { ...base.faces[0]!.supports, firstCentreMm: random.whole(150, 350), spacingMm: random.whole(350, 620) } as Face['supports']
  return after(
    base,
    {
      type: 'set-face',
      faceId: 'main',
      values: {
        covering,
        supports,
        outline: { kind: 'rectangle', eaveLengthMm: random.whole(5000, 9900), slopeLengthMm: random.whole(3900, 6600) },
        obstructions: [],
      },
    },
    { type: 'take-in-roof', faceId: 'main', inRoof: { ...plainInRoof, systemId: ask.system.id, battenStockMm: random.pick([3600, 4200, 4800]) } },
    { type: 'set-array', faceId: 'main', values: { orientation: ask.widthMm > ask.heightMm ? 'on-side' : 'upright' } },
  )
}

describe('the battens', () => {
  const jobs = Array.from({ length: 60 }, (_, i) => randomJob(seeded(9000 + i)))
  const plans = jobs.map(job => ({ face: job.faces[0]!, plan: planJob(job, catalogue).faces[0]! }))

  it('on 60 random faces: every screw of every module is on timber, by timber drawn anew', () => {
    let screws = 0
    for (const { face, plan } of plans) {
      const { battens, system, parts } = plan.inRoof!
      const { covering, courses, lengthMm } = laidOf(face)!
      const bw = (covering as { battenMm: number }).battenMm
      const gauge = courses[0]!.toMm - courses[0]!.fromMm
      // All that the roofer nailed, the lowest courses' own among them.
      const lying = [...Array.from({ length: 6 }, (_, i) => courses[0]!.fromMm - (i + 1) * gauge), ...courses.map(one => one.fromMm)].map(mm => mm + lengthMm)
      const timber = (x: number, y: number): boolean => {
        const on = (upper: number) => y < upper - system.screw.edgeMm + 1e-6 && y > upper - bw + system.screw.edgeMm - 1e-6
        const taken = (upper: number) =>
          battens!.steps.some(one => (one.act === 'cut' || one.act === 'move') && Math.abs(one.wasMm - upper) < 1e-6 && x >= one.fromMm && x <= one.toMm)
        return (
          lying.some(upper => on(upper) && !taken(upper))
          || battens!.steps.some(one => (one.act === 'add' || one.act === 'move') && on(one.upperMm) && x >= one.fromMm - 1e-6 && x <= one.toMm + 1e-6)
        )
      }
      for (const part of parts)
        for (const cell of part.cells) {
          const own = battens!.screws.filter(one => one.moduleId === cell.id)
          const lines = system.lines.filter(one => one.wayUp === part.orientation)
          expect(own).toHaveLength(lines.reduce((n, one) => n + one.screws, 0))
          for (const { xMm, yMm, line } of own) {
            expect(timber(xMm, yMm)).toBe(true)
            expect([
              yMm - cell.bottomMm >= lines[line]!.fromMm - 1e-6,
              yMm - cell.bottomMm <= lines[line]!.toMm + 1e-6,
              xMm > cell.leftMm,
              xMm < cell.rightMm,
            ]).toEqual([true, true, true, true])
            screws++
          }
        }
      expect(battens!.loose).toEqual([])
    }
    expect(screws).toBeGreaterThan(2000)
  })

  it('that are added reach from rafter to rafter, and lie in no other that stays', () => {
    for (const { face, plan } of plans) {
      const { battens, system } = plan.inRoof!
      const { covering, courses, lengthMm } = laidOf(face)!
      const bw = (covering as { battenMm: number }).battenMm
      for (const one of battens!.steps.filter(step => step.act === 'add')) {
        for (const end of [one.fromMm, one.toMm])
          expect(
            Math.min(
              ...plan.supports.rafters.map(rafter => Math.abs(rafter.centreMm - end)),
              Math.abs(end - plan.shape.along.fromMm),
              Math.abs(end - plan.shape.along.toMm),
              ...(one.rows.length ? [] : [0]),
            ) < 1e-6 || plan.supports.rafters.every(rafter => (end < one.fromMm + 1 ? rafter.centreMm > one.fromMm : rafter.centreMm < one.toMm)),
          ).toBe(true)
        if (system.kind === 'frame') for (const course of courses) expect(Math.abs(course.fromMm + lengthMm - one.upperMm)).toBeGreaterThanOrEqual(bw - 1e-6)
      }
    }
  })

  it('are cut from as few lengths as an integer program needs', { timeout: 120_000 }, async () => {
    const highs = await highsLoader({})
    let compared = 0
    for (const { plan } of plans) {
      const { cuts } = plan.inRoof!.battens!
      if (!cuts.pieces.length || cuts.pieces.length > 12) continue
      const lengths = cuts.pieces.map(one => one.toMm - one.fromMm)
      const bins = cuts.sticks.length
      const x = (i: number, b: number) => `x${i}_${b}`
      const all = Array.from({ length: bins }, (_, b) => b)
      const model = [
        'Minimize',
        ` obj: ${all.map(b => `u${b}`).join(' + ')}`,
        'Subject To',
        ...lengths.map((_, i) => ` one${i}: ${all.map(b => x(i, b)).join(' + ')} = 1`),
        ...all.map(b => ` room${b}: ${lengths.map((mm, i) => `${(mm + KERF_MM).toFixed(4)} ${x(i, b)}`).join(' + ')} - ${cuts.stockMm + KERF_MM} u${b} <= 0.001`),
        ...all.slice(1).map(b => ` sym${b}: u${b - 1} - u${b} >= 0`),
        'Binary',
        ...all.map(b => ` u${b}`),
        ...lengths.flatMap((_, i) => all.map(b => ` ${x(i, b)}`)),
        'End',
      ].join('\n')
      expect([Math.round(highs.solve(model).ObjectiveValue), cuts.proved]).toEqual([bins, true])
      // Every piece once, and no length overfull.
      expect(cuts.sticks.flatMap(stick => stick.cuts.map(cut => cut.rail)).sort((a, b) => a - b)).toEqual(lengths.map((_, i) => i))
      for (const stick of cuts.sticks) expect(stick.cuts.reduce((sum, cut) => sum + lengths[cut.rail]! + KERF_MM, -KERF_MM)).toBeLessThanOrEqual(stick.mm + 0.01)
      compared++
    }
    expect(compared).toBeGreaterThan(15)
  })
})

describe('what holds an array that is the covering', () => {
  const job = demo('2 Eelgrass Cottages')
  const typed = after(job, {
    type: 'set-loads',
    values: {
      ...job.loads,
      rules: {
        edition: 'en',
        wind: {
          kind: 'typed',
          by: 'An engineer',
          edgeMm: 900,
          interior: { upPa: 1000, downPa: 300 },
          edge: { upPa: 1400, downPa: 300 },
          corner: { upPa: 1800, downPa: 300 },
        },
        snow: { ...(job.loads.rules as Extract<typeof job.loads.rules, { edition: 'en' }>).snow },
      },
    },
  })

  it('is asked for the whole suction, module by module, screw by screw, by hand', () => {
    const { inRoof, parts } = planJob(typed, catalogue).faces[0]!
    const share = (check: string) => inRoof!.use!.shares.find(one => one.check === check)!
    // The array reaches the corner zone: 1.5 x 1800 less its own weight, 1.0 G.
    const dead = ((9.80665 * (parts.module.massKg + frame.kitKg)) / ((parts.module.longMm * parts.module.shortMm) / 1e6)) * Math.cos((40 * Math.PI) / 180)
    const net = 1.5 * 1800 - dead
    expect(share('module-up').value).toBeCloseTo(net, 6)
    expect(share('module-up').share).toBeCloseTo(net / 3600, 6)
    // Three lines of two screws: the middle one bears from half-way to half-way.
    const screws = inRoof!.battens!.screws.filter(one => one.moduleId === share('screw').moduleId)
    const cell = inRoof!.parts[0]!.cells.find(one => one.id === share('screw').moduleId)!
    const ys = [...new Set(screws.map(one => one.yMm - cell.bottomMm))].sort((a, b) => a - b) as [number, number, number]
    const lineMm = Math.max((ys[0] + ys[1]) / 2, (ys[2] - ys[0]) / 2, parts.module.longMm - (ys[1] + ys[2]) / 2)
    expect(share('screw').value).toBeCloseTo((net * lineMm * parts.module.shortMm) / 1e6 / 2, 6)
    // EN 1995-1-1, 8.39: 0.52 d^-0.5 l^-0.1 rho^0.8 d l (d/8), by k_mod 1.1 over 1.3; where the thread holds more, the head pulls through.
    const held = (threadMm: number, rho: number) => (((0.52 * 6 ** -0.5 * threadMm ** -0.1 * rho ** 0.8 * 6 * threadMm * 6) / 8) * 1.1) / 1.3
    expect([held(25, 350) > 1250, held(20, 310) < 1250]).toEqual([true, true])
    expect(share('screw').limit).toBe(1250)
    const { covering, timber } = typed.faces[0]!
    const thin = planJob(
      after(typed, {
        type: 'set-face',
        faceId: 'main',
        values: { covering: { ...covering, battenDeepMm: 20 } as Covering, timber: { ...timber, densityKgM3: 310 } },
      }),
      catalogue,
    ).faces[0]!
    expect(thin.inRoof!.use!.shares.find(one => one.check === 'screw')!.limit).toBeCloseTo(held(20, 310), 6)
  })

  it('bends, shears and unnails its battens as much as rafters under every millimetre of them say', () => {
    const { inRoof, parts, supports } = planJob(typed, catalogue).faces[0]!
    const {
      battens,
      use,
      parts: [part],
    } = inRoof!
    const dead = ((9.80665 * (parts.module.massKg + frame.kitKg)) / ((parts.module.longMm * parts.module.shortMm) / 1e6)) * Math.cos((40 * Math.PI) / 180)
    const spanMm = supports.rafters[1]!.centreMm - supports.rafters[0]!.centreMm
    expect(use!.spanMm).toBeCloseTo(spanMm, 6)
    const areaM2 = (parts.module.longMm * parts.module.shortMm) / 1e6
    // Each module in the worst zone that its corners and edges touch: 900 mm along edges, corners where two meet.
    const zoneOf = (cell: typeof part extends infer P ? (P extends { cells: (infer C)[] } ? C : never) : never) => {
      const side = cell.leftMm < 900 || cell.rightMm > 8430 - 900
      const end = cell.bottomMm < 900 || cell.topMm > 5340 - 900
      return side && end ? 1800 : side || end ? 1400 : 1000
    }
    let [moment, shear, pull] = [0, 0, 0]
    for (const one of battens!.steps.filter(step => step.act !== 'cut')) {
      const points = part!.cells.flatMap((cell) => {
        const own = battens!.screws.filter(screw => screw.moduleId === cell.id)
        const ys = [...new Set(own.map(screw => screw.yMm))].sort((a, b) => a - b)
        const at = ys.findIndex(y => y < one.upperMm && y > one.upperMm - battens!.widthMm)
        if (at < 0) return []
        const [low, high] = [at === 0 ? cell.bottomMm : (ys[at]! + ys[at - 1]!) / 2, at === ys.length - 1 ? cell.topMm : (ys[at]! + ys[at + 1]!) / 2]
        const n = ((1.5 * zoneOf(cell) - dead) * areaM2 * (high - low)) / (cell.topMm - cell.bottomMm) / 2
        return own.filter(screw => screw.yMm === ys[at]).map(screw => ({ x: screw.xMm, n }))
      })
      for (let from = points[0]!.x - spanMm; from <= points.at(-1)!.x + spanMm; from++) {
        const inside = points.filter(({ x }) => x >= from && x <= from + spanMm)
        const right = inside.reduce((sum, { x, n }) => sum + (n * (x - from)) / spanMm, 0)
        const left = inside.reduce((sum, { n }) => sum + n, 0) - right
        shear = Math.max(shear, left, right)
        for (const { x } of inside)
          moment = Math.max(moment, left * (x - from) - inside.reduce((sum, other) => sum + (other.x < x ? other.n * (x - other.x) : 0), 0))
        pull = Math.max(
          pull,
          points.reduce((sum, { x, n }) => sum + n * Math.max(0, 1 - Math.abs(x - from) / spanMm), 0),
        )
      }
    }
    const value = (check: string) => use!.shares.find(one => one.check === check)!.value
    // The search steps a forty-eighth of a span at a time.
    for (const [check, byHand] of [
      ['batten-bending', moment],
      ['batten-shear', shear],
      ['batten-nails', pull],
    ] as const)
      expect(Math.abs(value(check) / byHand - 1)).toBeLessThan(0.02)
  })

  it('gets no relief that is not named and ticked, and the house’s own pressure where nothing closed lies behind', () => {
    const facts = job.faces[0]!.inRoof!
    expect(reliefOf(facts, frame, 'en').up).toBe(1)
    expect([reliefOf({ ...facts, relief: 'test' }, frame, 'en').up, reliefOf({ ...facts, relief: 'test' }, tray, 'en').refused?.relief]).toEqual([0.7, 'test'])
    const ticks = ['porous-outside', 'closed-inside', 'edges-closed', 'thin-cavity'] as const
    const porous = { ...facts, relief: 'porous-skin' as const, reliefTicks: [...ticks] }
    expect([reliefOf(porous, frame, 'en').up, reliefOf(porous, frame, 'en').down]).toEqual([1 / 3, 2 / 3])
    for (const one of ticks)
      expect(reliefOf({ ...porous, reliefTicks: ticks.filter(tick => tick !== one) }, frame, 'en')).toMatchObject({ up: 1, refused: { missing: [one] } })
    expect([reliefOf({ ...porous, closedBehind: false }, frame, 'en').up, reliefOf(porous, frame, 'us-2016').up]).toEqual([1, 1])
    // An engineer's pressures are net: neither relief nor the house's own is put on them, and both are said.
    expect(reliefOf({ ...facts, relief: 'test' }, frame, 'en', true)).toMatchObject({ up: 1, refused: { typed: true } })
    const open = planJob(after(typed, { type: 'set-in-roof', faceId: 'main', values: { closedBehind: false, relief: 'test' } }), catalogue)
    expect(open.findings.filter(one => one.kind === 'inroof-relief').map(one => one.severity)).toEqual(['stop', 'caution'])
    const up = (values: Partial<typeof facts>) =>
      planJob(after(job, { type: 'set-in-roof', faceId: 'main', values }), catalogue).faces[0]!.inRoof!.use!.shares.find(one => one.check === 'module-up')!.value
    expect(up({ closedBehind: false })).toBeGreaterThan(up({}) * 1.1)
    expect(up({ relief: 'test' })).toBeLessThan(up({}))
  })

  it('takes neither gammaA nor gammaE of rail-mounted modules, and no less than 16 psf', () => {
    const ropewalk = demo('18 Sailmaker Court')
    const face = { ...job.faces[0]!, id: ropewalk.faces[0]!.id }
    const us = { ...ropewalk, faces: [face], codes: ropewalk.codes }
    const plan = planJob(us, catalogue).faces[0]!
    const area = skerry.longMm * skerry.shortMm
    const curves = plan.loading.loads!.wind.curves
    const use = plan.inRoof!.use!.shares.find(one => one.check === 'module-up')!
    const dead = 0.6 * plan.loading.loads!.deadPa * Math.cos((40 * Math.PI) / 180)
    const at = ([small, large]: [number, number], from: number, to: number) =>
      area <= from ? small : area >= to ? large : small + ((large - small) * Math.log(area / from)) / Math.log(to / from)
    const outside = Math.max(
      ...plan.loading.loads!.wind.sets.flatMap(set => set.zones.map(zone => at(curves[zone.name]!.upPa, curves[zone.name]!.smallMm2, curves[zone.name]!.largeMm2))),
      16 * 47.88,
    )
    expect(use.value).toBeLessThanOrEqual(0.6 * outside - dead + 1e-6)
    expect(use.value).toBeGreaterThanOrEqual(0.6 * 16 * 47.88 - dead - 1e-6)
    expect(use.combination).toBe('0.6D + 0.6W')
  })

  it('shares a module out over its lines, and counts no screw with too little thread', () => {
    expect(lineShares([200, 800], 1000)).toEqual([0.5, 0.5])
    expect(lineShares([100, 500], 1000)).toEqual([0, 1])
    expect(lineShares([200, 850, 1500], 1700).reduce((a, b) => a + b)).toBeCloseTo(1, 12)
    const { timber } = job.faces[0]!
    expect(screwHoldsN({ screw: { ...frame.screw, leastMm: null } }, 25, timber, 'en').n).toBe(0)
    expect(screwHoldsN(frame, 25, timber, 'en').n).toBeGreaterThan(0)
  })

  it('stands above a scaffold whose boards lie below the eave', () => {
    expect(liftHeights(5050)).toEqual([750, 2750, 4750])
    expect(liftHeights(2500)).toEqual([200, 2200])
    expect(discAround({ x: 0, y: 0 }, 10)).toHaveLength(1)
  })
})
