import { describe, expect, it } from 'vitest'
import { adding, brackwater, gridOf, grounded, putting, running, setting, strung, thing } from '../../tests/fixtures/ground'
import { after } from '../../tests/fixtures/jobs'
import { type Random, seeded } from '../../tests/fixtures/random'
import { bare, european, plain, wiredBy } from '../../tests/fixtures/wiring'
import { figuresOf } from '../electrical'
import { type Job, plainThing } from '../job'
import { anchorsOf, type Conductor, criticalMm, type GroundPlan, startWays } from './index'

const figures = figuresOf('2023')

describe('anchors', () => {
  const hung = (values: object = {}) => ({ ...plainThing, massKg: 40, highMm: 800, anchors: { count: 4, inTension: 2, outMm: 110, apartMm: 700, pullN: 2000, shearN: 1500, edgeMm: 60, spacingMm: 80, embedMm: 60, topRestraint: false, board: false, ...values } })
  // By hand: 40 x 9.80665 x 110 / (700 x 2) = 30.82 N; a person 500 x 800 / 1400 = 285.71 N; shear 392.27 / 4 = 98.07 N.
  it('are pulled by m g e / (z n) and by somebody who leans, and share the shear', () => {
    const own = anchorsOf(hung(), figures, 0)!
    expect(own.pullN).toBeCloseTo(30.821 + 285.714, 2)
    expect(own.shearN).toBeCloseTo(98.067, 2)
    expect(own.utilisation).toBeCloseTo(316.535 / 2000 + 98.067 / 1500, 5)
  })
  it('are not pulled by who leans where the top is restrained, and more where the ground shakes', () => {
    expect(anchorsOf(hung({ topRestraint: true }), figures, 0)!.pullN).toBeCloseTo(30.821, 2)
    // 0.5 of the weight at half the height: 0.5 x 392.27 x 400 / 1400.
    expect(anchorsOf(hung({ topRestraint: true }), figures, 0.5)!.pullN).toBeCloseTo(30.821 + 56.038, 2)
  })
  it('are not judged where nobody has said what one holds', () => expect(anchorsOf(hung({ pullN: null }), figures, 0)!.utilisation).toBeNull())
})

describe('storage', () => {
  const house = putting(strung('whole-backup'), 'storage', { store: { units: 2, kWh: 10, volts: 51, chargeA: 40, dischargeA: 50, efficiency: 1, outA: null, testedCloser: false } })
  // The case as given: two batteries at 50 A and 51 V give about 5 kW, whatever inverter is behind them; 20 kWh last 4 h at 5 kW.
  it('gives units x current x voltage and no more, in and out apart, and lasts as long as its energy', () => {
    const [store] = gridOf(putting(house, 'gateway', { transfer: { ...thing(house, 'gateway').transfer!, loadW: 5000 } })).stores
    expect([store!.dischargeW, store!.chargeW, store!.kWh]).toEqual([5100, 4080, 20])
    expect(store!.hours).toBeCloseTo(4, 9)
  })
  it('gives less by what is lost on the way to the house', () => {
    const lossy = putting(house, 'storage', { store: { ...thing(house, 'storage').store!, efficiency: 0.9 } })
    expect(gridOf(lossy).stores[0]!.outputW).toBeCloseTo(0.9 * 5100, 6)
  })
  it('counts on a busbar with its own converter', () => {
    const own = putting(house, 'storage', { leadsTo: 'gateway', store: { ...thing(house, 'storage').store!, outA: 24 } })
    const bus = (job: Job) => gridOf(job).buses.find(one => one.thingId === 'gateway')!.countedA
    expect(bus(own) - bus(house)).toBeCloseTo(1.25 * 24, 9)
  })
})

describe('an island', () => {
  const house = strung('whole-backup')
  const links = (switchesNeutral: boolean, islandLink: boolean, behind: boolean): number => {
    const one = putting(putting(house, 'gateway', { transfer: { ...thing(house, 'gateway').transfer!, switchesNeutral, islandLink } }), 'main', { neutralLink: behind })
    return gridOf(putting(one, 'meter', { neutralLink: !behind })).island!.links.length
  }
  it('has the links behind the gateway, those before it unless the neutral is switched, and the gateway’s own', () => {
    expect([links(false, false, true), links(true, false, true), links(false, true, true)]).toEqual([1, 1, 2])
    expect([links(false, false, false), links(true, false, false), links(true, true, false)]).toEqual([1, 0, 1])
  })
})

/** What arrives at every box, counted from the runs alone. */
function unbalanced({ runs, ground }: GroundPlan): string[] {
  return ground.things.flatMap((one) => {
    const [arrive, leave] = [runs.filter(run => run.toId === one.id), runs.filter(run => run.fromId === one.id)].map(list => list.flatMap(run => run.conductors))
    if (['roof-box', 'meter', 'storage'].includes(one.kind) || !leave!.length) return []
    const has = (fn: string) => leave!.some(conductor => conductor.function === fn)
    if (['junction', 'dc-isolator', 'ac-disconnect', 'production-meter'].includes(one.kind)) {
      const key = (conductor: Conductor) => conductor.function === 'E' ? 'E' : `${conductor.function} ${conductor.circuit}`
      // One for one, earths apart.
      const keys = (list: Conductor[]) => JSON.stringify([...new Set(list.map(key).filter(own => own === 'E')), ...list.map(key).filter(own => own !== 'E')].sort())
      return keys(arrive!) === keys(leave!) ? [] : [one.id]
    }
    if (one.kind === 'inverter') return arrive!.filter(conductor => conductor.function === '+').length === arrive!.filter(conductor => conductor.function === '−').length && (has('L') || has('L1') || has('L2') || has('L3')) ? [] : [one.id]
    return arrive!.every(conductor => has(conductor.function)) ? [] : [one.id]
  })
}

/** A house of some system, connected some way, with boxes put between and some runs in cable. */
function randomHouse(random: Random): Job {
  const roof = random.pick([plain(), wiredBy(plain(), bare('quillon-two')), european(plain()), european(wiredBy(plain(), bare('quillon-high'), { mostV: 1000 }))])
  const ways = ['main-panel', 'sub-panel', 'supply-side', 'whole-backup', 'part-backup'] as const
  let job = grounded(random.pick(ways), roof)
  if (random.next() < 0.4) job = setting(job, { supply: { ...job.ground!.supply, phases: 3 } })
  const inserted = random.pick(['production-meter', 'junction', 'ac-disconnect', null] as const)
  const between = job.ground!.things.find(one => one.kind === 'inverter' || one.kind === 'combiner' || one.kind === 'sub-panel')
  if (inserted && between?.leadsTo) job = putting(adding(job, inserted, 'between', { leadsTo: between.leadsTo }), between.id, { leadsTo: 'between' })
  // No place has to be found: only conductors are looked at.
  job = { ...job, ground: { ...job.ground!, things: job.ground!.things.map(one => ({ ...one, at: { xMm: 0, yMm: 0 } })) } }
  const led = job.ground!.things.filter(one => one.leadsTo && !['roof-box', 'meter', 'storage'].includes(one.kind))
  const one = random.pick(led)
  return random.next() < 0.5 ? running(job, one.id, one.leadsTo!, { cable: random.pick(['us-2', 'us-3', 'en-3g', 'en-5g'] as const), remarked: random.next() < 0.5 }) : job
}

describe('joints', () => {
  it('of 200 random houses are right just where every function arrives as it leaves', () => {
    const random = seeded(41)
    let wrong = 0
    for (let i = 0; i < 200; i++) {
      const grid = gridOf(randomHouse(random))
      const said = grid.joints.filter(one => one.rows.some(row => !row.right)).map(one => one.thingId).sort()
      expect(said).toEqual(unbalanced(grid).sort())
      wrong += said.length ? 1 : 0
      // A white core that is live is wrong unless somebody says that it is marked, and then its mark is a task.
      for (const run of grid.runs) {
        const live = run.conductors.filter(one => (one.colour === 'white' || one.colour === 'blue') && one.covered === 'cable' && one.function !== 'N')
        expect(run.unmarked.length).toBe(run.choice.remarked ? 0 : live.length)
        if (run.choice.remarked && live.length) expect(grid.joints.find(one => one.thingId === run.fromId)!.tasks.some(task => task.startsWith('Mark the'))).toBe(true)
      }
    }
    expect(wrong).toBeGreaterThan(10)
  }, 240_000)

  it('wear the colours of their rules: neutral white, earth green, direct current never either (US 200.6, 250.119, 690.31; IEC 60445)', () => {
    const colours = (job: Job) => Object.fromEntries(gridOf(job).runs.flatMap(run => run.conductors.map(one => [one.function, one.colour])))
    expect(colours(strung())).toMatchObject({ 'L1': 'black', 'L2': 'red', 'N': 'white', 'E': 'green', '+': 'red', '−': 'black' })
    expect(colours(brackwater())).toMatchObject({ L: 'brown', N: 'blue', E: 'green-yellow' })
    expect(gridOf(strung()).runs[0]!.conductors.filter(one => one.function !== 'E').map(one => one.mark)).toEqual(expect.arrayContaining([expect.stringContaining('PV +'), expect.stringContaining('PV −')]))
  })
})

describe('what is asked of plates and labels', () => {
  it('is an arc-fault device from 80 V of direct current (690.11), and surge arresters past the critical length (712.443)', () => {
    const read = (job: Job) => gridOf(job).asked.map(one => one.says)
    const inverter = strung().ground!.things.find(one => one.kind === 'inverter')!.id
    expect(read(putting(strung(), inverter, { says: [] }))).toEqual(expect.arrayContaining(['arc-fault', 'ground-fault']))
    expect(criticalMm(2.3)).toBeCloseTo(50_000, 6)
  })
  it('changes with the edition, and names a real thing and a clause each', () => {
    const editions = (['2017', '2020', '2023'] as const).map(electrical => gridOf(after(strung('whole-backup'), { type: 'set-job', values: { codes: { kind: 'us', building: '2021', electrical } } })))
    for (const { labels, ground, rules } of editions) {
      expect(labels.length).toBeGreaterThan(6)
      for (const label of labels) {
        expect(ground.things.map(one => one.id)).toContain(label.thingId)
        expect(label.clause).toContain(`NEC ${rules.set}`)
      }
    }
    expect(new Set(editions.map(one => one.labels.map(label => label.clause).join())).size).toBe(3)
  })
  it('begins every way that suits the roof without a stop but those that only a person can lift', () => {
    for (const way of startWays) {
      const job = way.id.endsWith('backup') ? strung(way.id) : grounded(way.id)
      expect(gridOf(job).problems).toEqual([])
      expect(gridOf(job).joints.every(one => one.right)).toBe(true)
    }
  })
})
