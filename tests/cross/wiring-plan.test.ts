import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../db/demo/jobs'
import type { Job, WireGroup } from '../../core/job'
import { type FacePlan, planJob, type Plan } from '../../core/plan'
import { modulesIn, trunkRun } from '../../core/wiring'
import { catalogue, changed } from '../fixtures/jobs'
import { type Random, seeded } from '../fixtures/random'
import { bare, european, fours, group, optimised, pairs, withUnits } from '../fixtures/wiring'

const systems = [{}, pairs, fours, bare('quillon-high'), withUnits('quillon-two'), withUnits('quillon-high'), optimised]

/** A roof of odd size, with a vent, gaps and a system chosen at random. */
function randomRoof(random: Random): Job {
  const job = changed({
    outline: { kind: 'rectangle', eaveLengthMm: random.between(5000, 15_000), slopeLengthMm: random.between(3600, 8200) },
    obstructions: random.next() < 0.6 ? [{ id: 'vent', kind: 'vent', round: true, xMm: random.between(1500, 9000), yMm: random.between(1000, 4500), widthMm: 110, heightMm: 110, clearanceMm: 120 }] : [],
    datum: random.pick(['left', 'right'] as const),
  }, { orientation: random.pick(['upright', 'on-side'] as const), rows: [], rowCount: null, moduleId: random.pick(['skerry-425', 'skerry-390']), shiftMm: random.pick([null, random.between(-200, 200)]) })
  const own = random.next() < 0.4 ? european(job) : job
  return { ...own, wiring: { ...own.wiring, groups: [group(random.pick(systems))], school: random.pick(['fill', 'even', 'rows', 'least'] as const), feed: random.pick(['end', 'middle'] as const), bonding: random.pick(['row-lug', 'every-rail', 'every-unit', 'washer'] as const), coldC: random.whole(-25, 0), hotC: random.whole(28, 42) } }
}

const roofs = Array.from({ length: 500 }, (_, i) => randomRoof(seeded(700 + i)))
const planned: [string, Job][] = [...demoJobs.map(({ job }): [string, Job] => [job.title, job]), ...roofs.map((job, i): [string, Job] => [`random ${i}`, job])]
const plans = new Map<Job, Plan>()
const planOf = (job: Job): Plan => plans.get(job) ?? plans.set(job, planJob(job, catalogue)).get(job)!

interface Box { left: number, right: number, low: number, high: number }
const apart = (a: Box, b: Box): boolean => a.right <= b.left + 1e-6 || b.right <= a.left + 1e-6 || a.high <= b.low + 1e-6 || b.high <= a.low + 1e-6

/** Rectangles of everything that a unit must not lie on, drawn anew from the layout: by it a unit is judged as by a tape and a square. */
function clashesOf(job: Job, plan: FacePlan): string[] {
  const item = catalogue.electronics.find(one => one.id === job.wiring.groups[0]?.unitId)
  if (!item || !plan.wiring) return []
  const modules = plan.rows.rows.flatMap(row => row.moduleLeftsMm.map((left, i) => ({ id: `row${row.index + 1}-${i + 1}`, row, left, right: left + row.moduleWidthMm, low: row.bottomMm, high: row.topMm })))
  const found: string[] = []
  for (const unit of plan.wiring.units) {
    if (!unit.clear) continue
    const { x, y } = unit.place.at
    const own = modules.find(one => one.id === unit.under)
    if (!own) {
      found.push(`${unit.id} hangs under no module`)
      continue
    }
    const rail = plan.rails.findIndex(one => one.id === unit.railId)
    const up = rail >= 0 && plan.rails[rail]!.way === 'up'
    const [halfX, halfY] = up ? [item.highMm / 2, item.wideMm / 2] : [item.wideMm / 2, item.highMm / 2]
    // Under one module only, an inch in from its edges along the rail.
    const [low, high, at, half] = up ? [own.low, own.high, y, halfY] : [own.left, own.right, x, halfX]
    if (at - half < low + 25.4 - 1e-6 || at + half > high - 25.4 + 1e-6) found.push(`${unit.id} lies across the edge of ${unit.under}`)
    if (rail >= 0) {
      const line = plan.rails[rail]!
      if (Math.abs((up ? x : y) - line.lineMm) > 1e-6) found.push(`${unit.id} is off its rail`)
      for (const fixing of plan.fixings.rails[rail]!.fixings) if (Math.abs(fixing.atMm - at) < half + 60 - 1e-6) found.push(`${unit.id} lies over a fixing`)
      for (const splice of plan.sticks.splices) if (splice.railId === line.id && Math.abs(splice.atMm - at) < half + plan.parts.rail.splice.barMm / 2 - 1e-6) found.push(`${unit.id} lies over a splice`)
    }
    const box = plan.parts.module.junctionBox
    if (box) {
      const apartMm = (box.leadsApartMm ?? 0) / 2
      for (const off of [-apartMm, 0, apartMm]) {
        const [bx, by] = own.row.orientation === 'upright' ? [(own.left + own.right) / 2 + box.fromMiddleMm + off, own.high - box.fromEndMm] : [own.left + box.fromEndMm, (own.low + own.high) / 2 + box.fromMiddleMm + off]
        if (!apart({ left: x - halfX, right: x + halfX, low: y - halfY, high: y + halfY }, { left: bx - 54, right: bx + 54, low: by - 54, high: by + 54 })) found.push(`${unit.id} lies under a junction box`)
      }
    }
  }
  return found
}

describe('places of units', () => {
  it('clash with nothing on all demo and 500 random roofs, by another program', () => {
    let units = 0
    for (const [name, job] of planned) {
      for (const plan of planOf(job).faces) {
        units += plan.wiring?.units.length ?? 0
        expect([name, clashesOf(job, plan)]).toEqual([name, []])
      }
    }
    expect(units).toBeGreaterThan(4000)
  }, 240_000)
  it('are judged by a program that sees a unit pushed onto a fixing, a box or an edge', () => {
    const job = demoJobs.find(one => one.job.title === '14 Ropewalk Rise')!.job
    const plan = structuredClone(planOf(job).faces[0]!)
    const unit = plan.wiring!.units[0]!
    const fixing = plan.fixings.rails[plan.rails.findIndex(one => one.id === unit.railId)]!.fixings[0]!
    const at = (x: number, y = unit.place.at.y) => {
      unit.place = { ...unit.place, at: { x, y } }
      return clashesOf(job, plan).join('; ')
    }
    const row = plan.rows.rows[0]!
    expect(at(fixing.atMm)).toContain('over a fixing')
    expect(at(row.moduleLeftsMm[0]! + 20)).toContain('across the edge')
    expect(at(unit.place.at.x, unit.place.at.y + 3)).toContain('off its rail')
    expect(at(row.moduleLeftsMm[0]! + 519, row.topMm - 877)).toContain('junction box')
  })
})

describe('every plan', () => {
  it('has each module of a group in one circuit or named as left over, and no unit twice', () => {
    for (const [name, job] of planned) {
      const plan = planOf(job)
      const all = plan.faces.flatMap(face => face.rows.rows.flatMap(row => row.moduleLeftsMm.map((_, i) => `${face.faceId} row${row.index + 1}-${i + 1}`)))
      const joined = plan.wiring.circuits.flatMap(one => one.kind === 'branch' ? one.units.flatMap(unit => unit.modules.map(id => `${unit.faceId} ${id}`)) : one.modules.map(module => `${module.faceId} ${module.id}`))
      const left = plan.wiring.groups.flatMap(one => one.left.map(module => `${module.faceId} ${module.id}`))
      const wired = job.wiring.groups.length && plan.wiring.groups.every(one => one.problem === null) ? all : []
      expect([name, [...joined, ...left].sort()]).toEqual([name, [...wired].sort()])
    }
  })
  it('keeps every branch under its limit and its own device, and every string inside its voltages', () => {
    for (const [name, job] of planned) {
      const { circuits, groups, rules } = planOf(job).wiring
      for (const one of circuits) {
        const plan = groups.find(own => own.group.id === one.groupId)!
        if (one.kind === 'branch') {
          const amps = one.units.length * plan.unit!.outA[rules.service]!
          // By the rule itself, not by the limit that was worked out from it.
          if (rules.us) expect([name, 1.25 * amps <= one.limit.deviceA + 1e-6]).toEqual([name, true])
          else expect([name, amps <= one.limit.deviceA * job.wiring.boardShare + 1e-6]).toEqual([name, true])
          if (plan.trunk) expect(amps).toBeLessThanOrEqual(plan.trunk.listedA + 1e-6)
        }
        else if (plan.inverter!.heldV === null) {
          const cold = one.modules.reduce((sum, module) => sum + module.plate!.vocV * (1 + module.plate!.vocPerK! * (job.wiring.coldC! - 25)), 0)
          expect(cold).toBeLessThanOrEqual(Math.min(plan.inverter!.mostV, rules.mostV) + 1e-6)
          const cellC = job.wiring.hotC! + (one.modules[0]!.inRoof ? 34.2 : 26)
          const hot = one.modules.reduce((sum, { plate }) => sum + plate!.vmpV * (1 + (plate!.powerPerK - plate!.iscPerK) * (cellC - 25)), 0)
          expect(hot).toBeGreaterThanOrEqual(plan.inverter!.windowV.from - 1e-6)
        }
      }
    }
  })
  it('has every drop of a trunk used or capped, and reaches from unit to unit', () => {
    for (const [name, job] of planned) {
      const { circuits, groups } = planOf(job).wiring
      for (const one of circuits) {
        if (one.kind !== 'branch' || !one.trunk) continue
        const { spacingMm } = groups.find(own => own.group.id === one.groupId)!.trunk!
        expect(one.trunk.drops).toBe(one.units.length + one.trunk.caps)
        expect(one.trunk.hops).toHaveLength(one.units.length - 1)
        for (const [i, hop] of one.trunk.hops.entries()) {
          const [a, b] = [one.units[i]!.place, one.units[i + 1]!.place]
          const cable = hop.jumperMm ?? (hop.unused + 1) * spacingMm
          if (a.faceId === b.faceId) expect([name, cable >= Math.abs(a.at.x - b.at.x) + Math.abs(a.at.y - b.at.y) - 1e-6]).toEqual([name, true])
        }
        expect(one.trunk.terminators).toBe(job.wiring.feed === 'middle' && one.units.length > 2 ? 2 : 1)
      }
    }
    // A gap of twice and a bit of the spacing leaves two drops over: the count sees a fault.
    expect(trunkRun([{ mm: 2700, sameRow: true }], 1300, false)).toMatchObject({ drops: 4, caps: 2 })
  })
  it('hangs every frame, rail and case on the earth wire by a chain that is walked anew, or says that it does not', () => {
    for (const [name, job] of planned) {
      for (const face of planOf(job).faces) {
        if (!face.wiring || !face.modules) continue
        const { metals, links, loose } = face.wiring.bonding
        const near = new Map<string, string[]>()
        for (const { from, to, holds } of links) if (holds) for (const [a, b] of [[from, to], [to, from]] as const) near.set(a, [...near.get(a) ?? [], b])
        const reached = new Set(['earth'])
        for (const id of reached) for (const next of near.get(id) ?? []) reached.add(next)
        expect([name, metals.filter(one => !reached.has(one.id)).map(one => one.id)]).toEqual([name, loose.map(one => one.id)])
        // Each module of the layout is among the metals, once.
        expect(metals.filter(one => one.kind === 'module')).toHaveLength(face.modules)
        if (face.parts.clamps.bonds !== null) expect(loose).toEqual([])
      }
    }
  })
  it('has one earth wire over all its faces, by the largest device on the roof', () => {
    let guarded = 0
    for (const [name, job] of planned.filter((_, i) => i % 4 === 0)) {
      for (const own of [job, { ...job, wiring: { ...job.wiring, earth: { ...job.wiring.earth, guarded: true } } }]) {
        const plan = planJob(own, catalogue)
        if (!plan.wiring.rules.us || plan.faces.every(face => !face.modules)) continue
        const device = Math.max(0, ...plan.wiring.circuits.map(one => one.kind === 'branch' ? one.limit.deviceA : one.fuseA ?? 1.25 * one.iscA))
        // NEC table 250.122, and 250.120(C) where it is bare and could be struck.
        const size = !own.wiring.earth.guarded ? '6 AWG' : device <= 20 ? '12 AWG' : device <= 60 ? '10 AWG' : device <= 100 ? '8 AWG' : '6 AWG'
        if (own.wiring.earth.guarded && plan.wiring.circuits.length) guarded++
        expect([name, ...plan.faces.map(face => face.wiring!.earth!.size)]).toEqual([name, ...plan.faces.map(() => size)])
      }
    }
    expect(guarded).toBeGreaterThan(20)
  }, 120_000)
  it('has the earth wire of its largest circuit on every face, also where that one is on another', () => {
    const job = demoJobs.find(one => one.job.title === 'Mizzen Terrace 11')!.job
    const [garden, street] = job.faces.map(face => face.id)
    const plan = (second: Partial<WireGroup>) => planJob({ ...job, units: 'imperial', wiring: { ...job.wiring, earth: { ...job.wiring.earth, guarded: true }, groups: [group({ id: 'a', faceIds: [garden!] }), group({ id: 'b', faceIds: [street!], ...second })] } }, catalogue)
    const sizes = (own: Plan) => own.faces.map(face => face.wiring!.earth!.size)
    // A branch of units for two has a device of 30 A, so 10 AWG by table 250.122; one of single units 20 A, so 12 AWG.
    expect(plan(pairs).wiring.circuits.map(one => one.kind === 'branch' && one.limit.deviceA)).toEqual([20, 30])
    expect([sizes(plan({})), sizes(plan(pairs))]).toEqual([['12 AWG', '12 AWG'], ['10 AWG', '10 AWG']])
  })
  it('keeps the numbers of circuits where one is emptied by hand, and calls no module astray', () => {
    for (const title of ['Fennel Field, plot 7', 'Oakum Shed 2']) {
      const job = demoJobs.find(one => one.job.title === title)!.job
      const before = planJob(job, catalogue).wiring.circuits
      const putIn = (before[0]!.kind === 'branch' ? before[0]!.units.flatMap(unit => unit.modules.map(id => ({ faceId: unit.faceId, id }))) : before[0]!.modules)
        .map(({ faceId, id }) => ({ faceId, moduleId: id, circuit: before[1]!.number }))
      const after = planJob({ ...job, wiring: { ...job.wiring, putIn } }, catalogue)
      expect(after.wiring.circuits.map(one => one.number)).toEqual(before.slice(1).map(one => one.number))
      expect(modulesIn(after.wiring.circuits[0]!)).toBe(modulesIn(before[0]!) + modulesIn(before[1]!))
      expect(after.findings.filter(one => one.id.startsWith('wiring-put'))).toEqual([])
      // Too many on one circuit are said.
      expect(after.findings.some(one => /^wiring-(over|string)/.test(one.id))).toBe(true)
    }
  })
  it('counts volts lost stretch by stretch as a sum over every unit’s own way to the roof box', () => {
    for (const [, job] of planned.slice(0, 220)) {
      const { circuits, groups } = planOf(job).wiring
      for (const one of circuits) {
        if (one.kind !== 'branch' || !one.trunk || one.feedAt) continue
        const plan = groups.find(own => own.group.id === one.groupId)!
        const ohmKft = { '12 AWG': 1.98, '10 AWG': 1.24 }[plan.trunk!.conductor as '12 AWG'] ?? null
        if (ohmKft === null) continue
        // At the last unit: every unit pushes its current over the stretches that it shares with the last.
        const stretches = [plan.trunk!.spacingMm, ...one.trunk.hops.map(hop => hop.jumperMm ?? hop.mm + hop.slackMm)]
        let volts = 0
        for (let unit = 0; unit < one.units.length; unit++) for (let i = 0; i <= unit; i++) volts += 2 * stretches[i]! * ohmKft / 304_800 * one.limit.unitA
        expect(one.drop.parts[0]!.volts).toBeCloseTo(volts, 6)
      }
    }
  })
})
