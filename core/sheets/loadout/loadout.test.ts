import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../../db/demo/jobs'
import { after, catalogue, changed, threeRowsOfSix } from '../../../tests/fixtures/jobs'
import type { Job } from '../../job'
import { planJob } from '../../plan'
import { loadoutCsv, loadoutOf, purchasesCsv, sparesFor } from './index'

const of = (job: Job) => {
  const plan = planJob(job, catalogue)
  return { job, plan, loadout: loadoutOf(job, plan, catalogue) }
}
const demo = demoJobs.map(({ job }) => [job.title, job] as const)
const needed = ({ loadout }: ReturnType<typeof of>, kind: string) => loadout.lines.filter(line => line.kind === kind).reduce((sum, line) => sum + line.needed, 0)

describe('counts of a load-out', () => {
  it('follow the rules of the trade: n modules in a row take 4 end clamps, 2(n − 1) mids, one lug and n units (common practice)', () => {
    const load = of(threeRowsOfSix())
    expect(['module', 'end-clamp', 'mid-clamp', 'lug', 'electronics'].map(kind => needed(load, kind))).toEqual([18, 12, 30, 3, 18])
    expect(needed(load, 'flashing')).toBe(load.plan.faces[0]!.fixings.total)
    expect(needed(load, 'end-cap')).toBe(12)
  })
  it.each(demo)('of %s are those that its marks come to', (_, job) => {
    const load = of(job)
    // Counted again from what is marked on the roof, not from the plan's own lists.
    const marks = (kind: string) => load.plan.faces.flatMap(face => face.modules ? face.marks.filter(step => step.kind === kind).flatMap(step => step.marks) : [])
    expect(needed(load, 'mount')).toBe(marks('fixings').length)
    // Rows are marked by their first and last edges: a unit under each module counts them.
    if (job.wiring.groups[0]?.system === 'unit-each') expect(needed(load, 'module')).toBe(needed(load, 'electronics'))
    expect(needed(load, 'electronics')).toBe(marks('electronics').length)
    expect(needed(load, 'splice') + needed(load, 'coupler')).toBe(marks('splices').length)
    const screws = load.plan.faces.reduce((sum, face) => sum + face.fixings.total * face.parts.mount.screw.perMount, 0)
    expect(needed(load, 'screw')).toBe(screws)
    // Rails and their tails, cut from sticks: pieces add up to the rails' lengths less the gaps that are bridged.
    for (const [f, face] of load.plan.faces.entries()) {
      const cut = face.sticks.sticks.flatMap(stick => stick.pieces).reduce((sum, piece) => sum + piece.toMm - piece.fromMm, 0)
      const gaps = face.sticks.splices.filter(splice => splice.bridged).length * face.parts.rail.splice.bridgeMm
      const rails = face.parts.rail.frame ? 0 : face.rails.reduce((sum, rail) => sum + rail.toMm - rail.fromMm + 2 * job.faces[f]!.array.trimTailMm, 0)
      expect(cut).toBeCloseTo(rails - gaps, 3)
    }
    for (const line of load.loadout.lines) {
      expect(line.total).toBe(line.needed + line.spares)
      if (line.byFace.length) expect(line.byFace.reduce((sum, one) => sum + one.pieces, 0)).toBe(line.needed)
    }
  })
  it('take sealant by the cartridge over all fixings, not by the face', () => {
    const load = of(threeRowsOfSix())
    // An inverted U of 1/4 in bead, 3 in up, 2.7 in across and down again, and three dabs of 0.8 ml.
    const eachMl = (76 + 69 + 76) * Math.PI * 6.35 ** 2 / 4 / 1000 + 3 * 0.8
    const cartridge = load.loadout.lines.find(line => line.kind === 'sealant')!
    expect(cartridge.needed).toBe(Math.ceil(load.plan.totals.fixings * eachMl / 300))
    expect(cartridge.name).toContain('300 ml')
  })
  it('bring tiles up in a crate, and discs and respirators before anything is cut', () => {
    const { job } = demoJobs.find(one => one.job.title === 'Kelp Quay 22')!
    const { loadout } = of({ ...job, loadout: { ...job.loadout, liftKg: 150, crateKg: 22 } })
    const tile = loadout.lines.find(line => line.kind === 'unit')!
    const lift = loadout.lifts.lifts.find(one => one.items.some(item => item.name === tile.name))!
    expect(lift.items.map(item => item.name)).toContain('Crate')
    expect(lift.massKg).toBeLessThanOrEqual(150)
    const up = (kind: string) => loadout.lines.find(line => line.kind === kind)!
    expect([up('disc').stage, up('respirator').stage, up('respirator').needed]).toEqual(['set-up', 'set-up', 2])
    expect(loadout.lines.filter(line => line.kind === 'tool').map(line => line.name)).toContain('Crates for lifted units, where they can’t slide')
  })
  it('name the tools that the chosen fixings need', () => {
    const names = of(threeRowsOfSix()).loadout.lines.filter(line => line.kind === 'tool').map(line => line.name)
    expect(names).toEqual(expect.arrayContaining([
      '3/16 in bit with a stop at 2 in',
      'Torque wrench: 10.3 lb ft for feet and clamps',
      'Sealant gun',
      'Saw for aluminium and a file',
    ]))
    const frames = of(demoJobs.find(({ job }) => job.title === '9 Halyard Close')!.job).loadout.lines.map(line => line.name)
    expect(frames).not.toContain('Saw for aluminium and a file')
  })
  it('are empty where nothing is built', () => expect(of(changed({}, { rowCount: 0 })).loadout.lines).toEqual([]))
})

describe('spares', () => {
  it.each([[40, 5, 0, 2], [41, 5, 0, 3], [40, 0, 2, 2], [41, 5, 2, 5], [0, 50, 9, 0], [20, 10, 0, 2]])('%i needed at %i %% and %i pieces: %i', (n, percent, pieces, spares) => {
    expect(sparesFor(n, { kind: 'screw', percent, pieces })).toBe(spares)
  })
  it('go by the job’s own rule where it has one', () => {
    const load = of(after(threeRowsOfSix(), { type: 'set-loadout', values: { spares: [{ kind: 'module', percent: 0, pieces: 1 }] } }))
    expect(load.loadout.lines.find(line => line.kind === 'module')!.total).toBe(19)
  })
})

describe('lifts', () => {
  const lifted = (liftKg: number, crateKg = 0) => of(after(threeRowsOfSix(), { type: 'set-loadout', values: { liftKg, crateKg } })).loadout
  it.each([[60, 0], [150, 18], [400, 30], [90, 25]])('of %i kg with a crate of %i kg are never over it and carry everything once', (liftKg, crateKg) => {
    const { lifts, lines } = lifted(liftKg, crateKg)
    for (const lift of lifts.lifts) {
      expect(lift.massKg).toBeLessThanOrEqual(liftKg + 1e-6)
      expect(lift.items.reduce((sum, item) => sum + item.massKg, 0)).toBeCloseTo(lift.massKg, 6)
      expect(lift.items.some(item => item.name === 'Crate')).toBe(crateKg > 0 && lift.items.some(item => item.name === 'Skerry 425'))
    }
    for (const line of lines.filter(one => one.kind !== 'tool' && one.unitMassKg !== null)) {
      const up = lifts.lifts.flatMap(lift => lift.items).filter(item => item.name === line.name).reduce((sum, item) => sum + item.pieces, 0)
      const same = lines.filter(one => one.name === line.name).reduce((sum, one) => sum + one.total, 0)
      expect(up).toBe(lifts.tooHeavy.includes(line.name) ? 0 : same)
    }
  })
  it('take as many modules as the crate leaves room for', () => {
    // (150 − 18) / 20.4 kg: six modules a lift, eighteen in three.
    const modules = lifted(150, 18).lifts.lifts.flatMap(lift => lift.items.filter(item => item.name === 'Skerry 425').map(item => item.pieces))
    expect(modules).toEqual([6, 6, 6])
  })
  it('say what is too heavy for them', () => expect(lifted(25, 10).lifts.tooHeavy).toEqual(['Skerry 425']))
})

describe('what is bought', () => {
  it('is in whole packs, and costs what its pieces cost', () => {
    for (const { loadout } of demo.map(([, job]) => of(job))) {
      for (const group of loadout.purchases) {
        for (const { line, packs, pieces, cost } of group.lines) {
          expect(pieces).toBe(packs * line.packOf)
          expect(pieces).toBeGreaterThanOrEqual(line.total)
          expect(pieces - line.total).toBeLessThan(line.packOf)
          if (cost !== null) expect(cost).toBeCloseTo(pieces * line.unitPrice!, 9)
        }
        expect(group.cost).toBeCloseTo(group.lines.reduce((sum, one) => sum + (one.cost ?? 0), 0), 9)
      }
    }
  })
  it('leaves out tools and what lies in the yard', () => {
    const { loadout } = of(after(threeRowsOfSix(), { type: 'set-van', values: { longestMm: null, offcuts: [{ railId: 'bollard-light', mm: 2600, pieces: 3 }] } }))
    const yard = loadout.lines.filter(line => line.fromYard)
    expect(yard.length).toBeGreaterThan(0)
    const bought = loadout.purchases.flatMap(group => group.lines.map(one => one.line))
    expect(bought.some(line => line.fromYard || line.kind === 'tool')).toBe(false)
  })
})

describe('tables', () => {
  const { loadout } = of(threeRowsOfSix())
  it('are read back by a general reader of CSV', () => {
    const load = Papa.parse<Record<string, string>>(loadoutCsv(loadout, 'imperial'), { header: true })
    expect(load.errors).toEqual([])
    expect(load.data.map(row => Number(row.total))).toEqual(loadout.lines.map(line => line.total))
    const buy = Papa.parse<Record<string, string>>(purchasesCsv(loadout, 'imperial'), { header: true })
    expect(buy.data.reduce((sum, row) => sum + Number(row.USD), 0)).toBeCloseTo(loadout.purchases.reduce((sum, one) => sum + one.cost, 0), 1)
  })
})
