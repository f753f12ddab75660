import { demoCatalogue } from '../../core/catalogue'
import { type startWays, startedGround, usualThing } from '../../core/ground'
import { type Ground, type Job, plainRun, plainWall, type Thing } from '../../core/job'
import { planJob } from '../../core/plan'
import { inch } from './make'

/** How four houses of the demo reach the grid, each another way. */

type Way = typeof startWays[number]['id']
const electrician = { name: 'Marlo Fenn', licence: 'Journeyman 20-118' }
const read: Partial<Thing> = { faultKA: 22, torqueNm: 4 }
/** What one anchor holds in studs and in masonry, by an invented maker. */
const holds = { stud: { pullN: 1450, shearN: 900 }, masonry: { pullN: 1900, shearN: 2300 } }

function begun(job: Job, way: Way, change: (ground: Ground) => Ground): Job {
  const ground = startedGround(way, job, planJob(job, demoCatalogue).wiring)
  return { ...job, ground: change({ ...ground, electrician }) }
}
const changed = (ground: Ground, changes: Record<string, Partial<Thing>>): Ground => ({ ...ground, things: ground.things.map(one => ({ ...one, ...read, ...one.anchors ? { anchors: { ...one.anchors, board: ground.walls[0]!.base === 'stud', ...holds[ground.walls[0]!.base === 'stud' ? 'stud' : 'masonry'] } } : {}, ...changes[one.id] })) })

/** Branches to a sub-panel in the garage, and from it to a main panel with room at its far end. */
export const toSubPanel = (job: Job): Job => begun(job, 'sub-panel', ground => changed({
  ...ground, supply: { ...ground.supply, faultKA: 10, waterBonded: true, gasBonded: true },
  walls: [
    {
      ...ground.walls[0]!, name: 'North wall, outside', wideMm: inch(21, 4), highMm: inch(9, 0), blocks: [
        { id: 'gas', kind: 'gas', name: 'Gas meter', xMm: inch(9, 10), yMm: inch(1, 6), wideMm: inch(1, 2), highMm: inch(1, 8), deepMm: inch(0, 11), keepMm: null },
        { id: 'door', kind: 'door', name: 'Side door', xMm: inch(3, 2), yMm: 0, wideMm: inch(2, 11), highMm: inch(6, 9), deepMm: 0, keepMm: null },
      ],
    },
  ],
  runs: [{ ...plainRun('roofbox', 'combiner'), moreMm: inch(4, 6), ways: ['eave'] }],
}, {
  roofbox: { at: { xMm: inch(7, 6), yMm: inch(8, 2) } },
  main: { at: { xMm: inch(16, 8), yMm: inch(3, 5) }, existing: true, faultKA: 22, panel: { ...ground.things.find(one => one.id === 'main')!.panel!, ways: 6, loadDevicesA: 245, loadA: 118, oppositeEnd: true } },
  meter: { at: { xMm: inch(19, 2), yMm: inch(4, 9) }, existing: true },
}))

/** Strings to an inverter with batteries in the garage, the whole house behind a gateway. */
export const wholeBackup = (job: Job): Job => begun(job, 'whole-backup', (ground) => {
  const garage = { ...plainWall, id: 'garage', name: 'Garage wall', place: 'garage' as const, wideMm: inch(17, 0), highMm: inch(8, 4), base: 'stud' as const, studs: { firstMm: inch(0, 9), everyMm: inch(1, 4) }, corner: { left: true, right: false }, blocks: [{ id: 'heater', kind: 'heat' as const, name: 'Water heater', xMm: inch(0, 8), yMm: 0, wideMm: inch(1, 10), highMm: inch(4, 10), deepMm: inch(1, 10), keepMm: inch(1, 0) }] }
  const inverter = ground.things.find(one => one.kind === 'inverter')!
  return changed({
    ...ground, supply: { ...ground.supply, faultKA: 10, waterBonded: true, gasBonded: true }, growth: ['pull-string'],
    walls: [{ ...ground.walls[0]!, name: 'West wall, outside', wideMm: inch(18, 2), highMm: inch(9, 2), blocks: [{ id: 'window', kind: 'window', name: 'Kitchen window', xMm: inch(2, 4), yMm: inch(3, 4), wideMm: inch(3, 6), highMm: inch(3, 2), deepMm: 0, keepMm: null }] }, garage],
    passages: [{ id: 'through', from: { wallId: 'garage', xMm: inch(15, 4), yMm: inch(5, 2) }, to: { wallId: 'outside', xMm: inch(7, 8), yMm: inch(5, 2) }, mm: inch(0, 9) }],
    runs: [{ ...plainRun('dcbox', inverter.id), moreMm: inch(9, 4), ways: ['attic'], fireStop: true }],
  }, {
    dcbox: { at: { xMm: inch(8, 6), yMm: inch(8, 4) } },
    [inverter.id]: { wallId: 'garage', says: ['arc-fault', 'ground-fault'] },
    storage: { wallId: 'garage', store: { units: 2, kWh: 5.1, volts: 51.2, chargeA: 50, dischargeA: 50, efficiency: 0.94, outA: null, testedCloser: false }, massKg: 96 },
    gateway: { transfer: { backs: 'whole', ratedA: 200, switchesNeutral: false, islandLink: false, loadW: 2400 }, says: ['two-way'] },
    main: { at: { xMm: inch(12, 4), yMm: inch(3, 2) }, existing: true, says: ['two-way'] },
    meter: { at: { xMm: inch(16, 5), yMm: inch(4, 8) }, existing: true },
  })
})

/** Before the main, at the service: the busbar has no room. */
export const beforeMain = (job: Job): Job => begun(job, 'supply-side', ground => changed({
  ...ground, supply: { ...ground.supply, faultKA: 10, tapMm: inch(4, 2), waterBonded: true, gasBonded: true },
  walls: [{ ...ground.walls[0]!, name: 'East wall, outside', wideMm: inch(16, 6), highMm: inch(8, 10), corner: { left: false, right: true } }],
  runs: [{ ...plainRun('roofbox', 'combiner'), moreMm: inch(3, 3), ways: ['eave'] }],
}, {
  roofbox: { at: { xMm: inch(2, 2), yMm: inch(8, 0) } },
  main: { at: { xMm: inch(10, 3), yMm: inch(3, 0) }, existing: true },
  meter: { at: { xMm: inch(13, 5), yMm: inch(4, 6) }, existing: true },
}))

/** A new house on three phases, its first stage; the second comes when the barn is roofed. */
export const threePhases = (job: Job): Job => begun(job, 'sub-panel', ground => changed({
  ...ground, supply: { ...ground.supply, phases: 3, ratedA: 35, faultKA: 6 }, flashes: 1.4, growth: ['second-feeder', 'spare-ways', 'pull-string'], electrician: { name: 'Marlo Fenn', licence: 'EL 30-771' },
  walls: [{ ...plainWall, name: 'Utility room', place: 'utility', wideMm: 3850, highMm: 2480, base: 'masonry', corner: { left: true, right: true }, blocks: [{ id: 'pump', kind: 'heat', name: 'Heat pump cylinder', xMm: 150, yMm: 0, wideMm: 680, highMm: 1850, deepMm: 680, keepMm: null }] }],
  runs: [{ ...plainRun('roofbox', 'combiner'), moreMm: 6400, ways: ['attic'] }],
  things: [...ground.things.map(one => one.id === 'roofbox' ? { ...one, name: 'Roof box, stage one' } : one), usualThing('production-meter', 'production', { wallId: 'outside', leadsTo: 'main', name: 'Production meter' })].map(one => one.id === 'combiner' ? { ...one, leadsTo: 'production', name: 'PV board' } : one),
}, {
  roofbox: { at: { xMm: 1250, yMm: 2200 }, phase: 1 },
  combiner: { says: ['two-way'] },
  main: { at: { xMm: 2650, yMm: 900 }, existing: false, name: 'Main board', panel: { ...ground.things.find(one => one.id === 'main')!.panel!, busA: 125, mainA: 35, ways: 18, loadDevicesA: 160, oppositeEnd: true } },
  meter: { at: { xMm: 3250, yMm: 1250 }, existing: true },
}))
