import { describe, expect, it } from 'vitest'
import { discAround } from '../../core/geometry'
import { lineShares, liftHeights, reliefOf, screwHoldsN } from '../../core/inroof'
import type { Covering } from '../../core/job'
import { planJob } from '../../core/plan'
import { demoJobs } from '../../db/demo/jobs'
import { frame, skerry, tray } from '../fixtures/in-roof'
import { after, catalogue } from '../fixtures/jobs'

const demo = (title: string) => demoJobs.find(({ job }) => job.title === title)!.job

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
