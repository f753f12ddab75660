import { describe, expect, it } from 'vitest'
import { wiresOfPlan, planGround, startedGround, type GroundPlan } from '../../core/ground'
import type { Ground, Job } from '../../core/job'
import { loadoutOf } from '../../core/sheets/loadout'
import { planJob } from '../../core/plan'
import type { WiringPlan } from '../../core/wiring'
import { busTakes, type Circuit, earthFor, madeFrom, rowOf, thatServe, tubeFor, voltsLost } from '../fixtures/electrician'
import { catalogue } from '../fixtures/jobs'
import { type Random, seeded } from '../fixtures/random'
import { plain } from '../fixtures/wiring'

/** A house whose roof sends down some branches of some current. */
interface House { job: Job, wiring: WiringPlan, ground: Ground }

const base: Job = { ...plain(), codes: { kind: 'us', building: '2021', electrical: '2023' } }

function randomHouse(random: Random): House {
  const circuits = Array.from({ length: random.whole(1, 6) }, (_, i) => {
    const amps = random.between(3, 24)
    const device = madeFrom(Math.max(15, 1.25 * amps))
    return { kind: 'branch', number: i + 1, groupId: 'roof', faceIds: ['main'], currentA: amps, carried: { terminalA: 1.25 * amps, afterA: amps, deviceA: device }, limit: { deviceA: device }, units: [], drop: { share: random.between(0, 0.006), ofV: 240, parts: [], volts: 1, limit: 0.01 }, workings: [] }
  })
  const wiring = { ...planJob(base, catalogue).wiring, circuits, groups: [] } as unknown as WiringPlan
  const job: Job = { ...base, wiring: { ...base.wiring, dropShare: random.pick([0.01, 0.02, 0.05]) } }
  const begun = startedGround(random.pick(['main-panel', 'sub-panel', 'supply-side'] as const), job, wiring)
  const lengths = () => random.pick([500, 609, random.between(700, 4000), random.between(4000, 45_000)])
  const ground: Ground = {
    ...begun, airC: random.whole(8, 50), supply: { ...begun.supply, ratedA: random.pick([100, 200, 400]) },
    runs: [['roofbox', 'combiner'], ['combiner', 'disconnect'], ['disconnect', begun.things.find(one => one.id === 'disconnect')!.leadsTo!]].map(([fromId, toId]) => ({ fromId: fromId!, toId: toId!, raceway: null, cable: null, trade: null, size: null, insulation: null, lengthMm: lengths(), moreMm: 0, ways: ['wall' as const], bendsDeg: 90, pullBoxes: 0, airC: null, remarked: false, fireStop: false })),
    things: begun.things.map(one => ({ ...one, at: one.at ?? { xMm: 0, yMm: 0 }, panel: one.panel && { ...one.panel, busA: random.pick([100, 125, 150, 200, 225]), mainA: one.kind === 'main-panel' ? random.pick([100, 150, 200]) : null, loadDevicesA: random.pick([0, 60, 180, 260]), oppositeEnd: random.next() < 0.6, feed: random.pick(['end', 'centre'] as const), ways: 40 } })),
  }
  return { job: { ...job, ground }, wiring, ground }
}

const circuitsOf = ({ flows }: GroundPlan['runs'][number]): Circuit[] => flows.map(({ amps, deviceA, terminalA, afterA }) => ({ amps, device: deviceA, terminal: terminalA, after: afterA }))

describe('500 random houses, against an electrician’s own program', () => {
  const random = seeded(190)
  const seen = { thick: 0, nipple: 0, held: 0, refused: 0, over: 0 }
  it('have the same devices, conductors, earths, raceways, volts and busbars', () => {
    for (let i = 0; i < 500; i++) {
      const { job, wiring, ground } = randomHouse(random)
      const plan = planGround(job, wiring, catalogue)!
      const sum = wiring.circuits.reduce((total, one) => total + one.currentA, 0)
      for (const run of plan.runs.filter(one => !one.existing)) {
        const nipple = run.length.mm <= 609.6
        const branches = run.flows.length > 1 || run.flows[0]!.circuit !== null
        if (!branches) {
          expect(run.flows[0]!.amps).toBeCloseTo(sum, 9)
          expect(run.flows[0]!.deviceA).toBe(madeFrom(1.25 * sum))
        }
        const carrying = 2 * run.flows.length
        const able = thatServe(circuitsOf(run), ground.airC, carrying, nipple).filter(name => run.toId !== 'meter' || rowOf(name).cmil >= rowOf('6 AWG').cmil)
        expect(run.carries).toBe(able.includes(run.size))
        if (!able.length) continue
        expect(able).toContain(run.size)
        if (run.size !== able[0]) seen.thick++
        if (nipple) seen.nipple++
        // Lines made thicker for volts take their earth with them (250.122(B)); before the main the jumper goes by the lines.
        const earth = run.conductors.find(one => one.function === 'E')!.size
        if (run.toId !== 'meter') {
          const least = rowOf(earthFor(Math.max(...run.flows.map(one => one.deviceA!)))).cmil * rowOf(run.size).cmil / rowOf(able[0]!).cmil
          expect(rowOf(earth).cmil >= least - 1 || earth === run.size).toBe(true)
        }
        const tube = tubeFor(run.conductors.map(one => one.size), nipple)
        expect(run.raceway!.filled?.size ?? null).toBe(tube)
        const worst = Math.max(...run.flows.map(flow => voltsLost(run.size, run.length.mm / 304.8, flow.lossA, flow.dc)))
        expect(run.dropV).toBeCloseTo(worst, 6)
      }
      // The least copper that keeps the budget: the volts are within it, or no size that serves would do.
      const limit = job.wiring.dropShare
      for (const one of plan.drops) {
        const parts = one.runs.map(({ run: id }) => plan.runs.find(run => run.id === id)!)
        const lost = (names: string[]) => one.roofShare + parts.reduce((total, run, k) => {
          const flow = run.flows.find(own => own.circuit === one.circuit) ?? run.flows[0]!
          return total + voltsLost(names[k]!, run.length.mm / 304.8, flow.lossA, false) / 240
        }, 0)
        expect(one.share).toBeCloseTo(lost(parts.map(run => run.size)), 9)
        if (one.share > limit + 1e-9) {
          seen.over++
          const thickest = parts.map(run => thatServe(circuitsOf(run), ground.airC, 2 * run.flows.length, run.length.mm <= 609.6).slice(0, 7).at(-1) ?? run.size)
          expect(lost(thickest)).toBeGreaterThan(limit - 1e-9)
        }
      }
      for (const bus of plan.buses) {
        const { panel, id } = ground.things.find(one => one.id === bus.thingId)!
        const own = id === 'combiner'
        const takes = busTakes({
          bus: panel!.busA, main: panel!.mainA ?? madeFrom(1.25 * sum), out: own ? wiring.circuits.map(one => one.currentA) : [sum], loads: panel!.loadDevicesA, far: panel!.oppositeEnd, centre: panel!.feed === 'centre',
          sourceDevices: own ? wiring.circuits.map(one => one.carried.deviceA!) : [madeFrom(1.25 * sum)],
        })
        expect(bus.held !== null).toBe(takes)
        seen[takes ? 'held' : 'refused']++
      }
      // Every conductor of the diagram stands in the schedule and on the van.
      const wires = wiresOfPlan(plan)
      const feet = plan.runs.filter(one => !one.existing).reduce((total, run) => total + run.conductors.length * run.length.mm, 0)
      expect(wires.reduce((total, one) => total + one.mm, 0)).toBeCloseTo(feet, 3)
    }
    // All that is looked at was there to be seen.
    for (const times of Object.values(seen)) expect(times).toBeGreaterThan(10)
  }, 240_000)
})

describe('the van', () => {
  it('takes every conductor of a house, whole feet', () => {
    const job: Job = { ...base, ground: startedGround('sub-panel', base, planJob(base, catalogue).wiring) }
    const plan = planJob(job, catalogue)
    const lines = loadoutOf(job, plan, catalogue).lines.filter(one => one.kind === 'building-wire')
    for (const wire of wiresOfPlan(plan.grid!)) {
      const line = lines.find(one => one.name === wire.name)!
      expect(line.needed).toBe(Math.ceil(wire.mm / 304.8))
    }
    expect(lines).toHaveLength(wiresOfPlan(plan.grid!).length)
  })
})
