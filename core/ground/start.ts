import { type Anchors, bareGround, type Ground, type Job, onBranches, type Panel, plainPanel, plainRun, plainThing, plainWall, type Thing, type ThingKind, thingNames, type Wall } from '../job'
import { nextDevice } from '../electrical'
import { wireRules, type WiringPlan } from '../wiring'

/** Ways to begin with, by what comes down from the roof. */
export const startWays = [
  { id: 'main-panel', label: 'To the main panel', suits: (_: WiringPlan) => true },
  { id: 'sub-panel', label: 'To a sub-panel', suits: (wiring: WiringPlan) => wiring.circuits.some(one => one.kind === 'branch') },
  { id: 'supply-side', label: 'Before the main, at the service', suits: (wiring: WiringPlan) => wiring.rules.us },
  { id: 'whole-backup', label: 'With storage, the whole house in an outage', suits: (wiring: WiringPlan) => wiring.circuits.some(one => one.kind === 'string') },
  { id: 'part-backup', label: 'With storage, part of the house in an outage', suits: (wiring: WiringPlan) => wiring.circuits.some(one => one.kind === 'string') },
] as const
export type StartWay = typeof startWays[number]['id']

/** Outside sizes and masses in common use, mm and kg (common practice; to be typed over from the plate). */
const SIZE: Record<ThingKind, [wide: number, high: number, deep: number, kg: number | null, handle: number | null, door: Thing['door']]> = {
  'roof-box': [150, 150, 90, 1, null, 'none'], 'junction': [150, 150, 100, 1.5, null, 'none'], 'dc-isolator': [180, 230, 120, 1.5, 115, 'none'], 'combiner': [360, 460, 110, 8, 350, 'left'], 'inverter': [380, 540, 190, 18, 60, 'none'], 'storage': [620, 1180, 180, 118, null, 'none'],
  'source': [300, 400, 180, 10, null, 'none'], 'sub-panel': [370, 660, 110, 12, 560, 'left'], 'ac-disconnect': [200, 320, 120, 4, 250, 'left'], 'production-meter': [230, 300, 140, 4, null, 'none'], 'gateway': [460, 620, 170, 18, 480, 'left'], 'main-panel': [370, 860, 110, 20, 760, 'left'], 'meter': [230, 380, 160, 6, null, 'none'],
  'wireway': [900, 150, 150, 7, null, 'none'], 'transmitter': [110, 80, 60, 0.4, null, 'none'], 'shutdown-button': [90, 120, 90, 0.5, 60, 'none'],
}

const panelOf = (busA: number, mainA: number | null, more: Partial<Panel> = {}): Panel => ({ ...plainPanel, busA, mainA, ...more })

/** How a thing of some mass is held at usual places (common practice); what one anchor holds has to be looked up. */
const anchorsFor = (massKg: number, highMm: number, deepMm: number): Anchors | null => massKg < 15 ? null : { count: 4, inTension: 2, outMm: deepMm / 2, apartMm: Math.max(100, highMm - 120), pullN: null, shearN: null, edgeMm: 60, spacingMm: 80, embedMm: 60, topRestraint: massKg > 60, board: false }

/** A thing of a kind at usual size, that is still to be found a place. */
export function usualThing(kind: ThingKind, id: string, more: Partial<Thing> = {}): Thing {
  const [wideMm, highMm, deepMm, massKg, handleMm, door] = SIZE[kind]
  return { ...plainThing, id, kind, name: thingNames[kind], wideMm, highMm, deepMm, massKg, handleMm, door, anchors: massKg === null ? null : anchorsFor(massKg, highMm, deepMm), ...more }
}

const usualWall = (us: boolean): Wall => us ? { ...plainWall, wideMm: 6096, highMm: 2743, base: 'stud', studs: { firstMm: 203, everyMm: 406.4 } } : plainWall

/** A way of connecting the roof, at usual sizes and places: everything in it is there to be typed over. */
export function startedGround(way: StartWay, job: Pick<Job, 'codes' | 'units' | 'wiring'>, wiring: Pick<WiringPlan, 'circuits' | 'groups' | 'combined'>): Ground {
  const { us } = wireRules(job)
  const wall = usualWall(us)
  const service = us ? 200 : 63
  const hung = (kind: ThingKind, id: string, more: Partial<Thing> = {}) => usualThing(kind, id, { wallId: wall.id, ...more })
  const stands = (xMm: number, yMm: number) => ({ existing: true, at: { xMm, yMm } })
  const meter = hung('meter', 'meter', { ...stands(wall.wideMm - 600, 1500), neutralLink: !us })
  const main = hung('main-panel', 'main', { ...stands(wall.wideMm - 1100, 1000), leadsTo: 'meter', neutralLink: us, panel: panelOf(us ? 200 : 125, service, { ways: 4, loadDevicesA: us ? 260 : 120, oppositeEnd: false }) })
  const branchGroups = job.wiring.groups.filter(group => onBranches(group.system))
  const stringGroups = wiring.groups.filter(one => one.inverter && one.sizes)
  const backup = way === 'whole-backup' || way === 'part-backup'
  const gateway = backup ? [hung('gateway', 'gateway', { leadsTo: way === 'whole-backup' ? 'meter' : 'main', transfer: { backs: way === 'whole-backup' ? 'whole' : 'part', ratedA: way === 'whole-backup' ? service : us ? 60 : 63, switchesNeutral: false, islandLink: false, loadW: null }, panel: panelOf(service, null, { oppositeEnd: true }) })] : []
  if (way === 'whole-backup') main.leadsTo = 'gateway'
  const ends = backup ? 'gateway' : way === 'supply-side' ? 'meter' : 'main'
  const before = us ? [hung('ac-disconnect', 'disconnect', { leadsTo: way === 'sub-panel' ? 'main' : ends })] : []
  const to = before.length ? 'disconnect' : ends
  const busOf = (amps: number) => nextDevice(us, (us ? 2.5 : 2) * amps) ?? 400
  const branchA = wiring.circuits.reduce((sum, one) => sum + (one.kind === 'branch' ? one.currentA : 0), 0)
  const branchDevices = wiring.circuits.reduce((sum, one) => sum + (one.kind === 'branch' ? one.limit.deviceA : 0), 0)
  const gather: Thing[] = branchGroups.length
    ? [
        hung('roof-box', 'roofbox', { leadsTo: 'combiner', groupId: null, at: { xMm: 600, yMm: wall.highMm - 250 } }),
        hung(way === 'sub-panel' ? 'sub-panel' : 'combiner', 'combiner', { leadsTo: to, panel: panelOf(Math.max(us ? 125 : 63, us ? nextDevice(us, branchDevices) ?? 0 : busOf(branchA)), null, { ways: 12 }) }),
      ]
    : []
  const several = stringGroups.reduce((sum, one) => sum + one.sizes!.inverters, 0) > 1 || (stringGroups.length > 0 && branchGroups.length > 0)
  const inverterA = stringGroups.reduce((sum, { inverter, sizes }) => sum + (inverter!.outA[wireRules(job).service] ?? 0) * sizes!.inverters, 0)
  const gathered = gather.length ? 'combiner' : several ? 'collector' : to
  const inverters: Thing[] = stringGroups.flatMap(({ group, sizes, inverter }) => Array.from({ length: sizes!.inverters }, (_, n) => hung('inverter', `inv-${group.id}-${n + 1}`.slice(0, 40), { name: stringGroups.length * sizes!.inverters > 1 ? `Inverter ${n + 1}` : 'Inverter', groupId: group.id, leadsTo: gathered, massKg: inverter!.massKg, anchors: anchorsFor(inverter!.massKg, 540, 190) })))
  // Several inverters come together on a busbar: in a switch two conductors would meet where one leaves.
  const collector: Thing[] = several && !gather.length ? [hung('combiner', 'collector', { leadsTo: to, panel: panelOf(Math.max(us ? 125 : 63, busOf(inverterA)), null, { ways: 12 }) })] : []
  const boxed: Thing[] = stringGroups.length ? [hung('roof-box', 'dcbox', { name: 'Roof box, strings', groupId: stringGroups.length === 1 && !branchGroups.length ? null : stringGroups[0]!.group.id, at: { xMm: 900, yMm: wall.highMm - 250 } })] : []
  const stored: Thing[] = backup && inverters.length ? [hung('storage', 'storage', { leadsTo: inverters[0]!.id, store: { units: 1, kWh: 10, volts: 51.2, chargeA: 100, dischargeA: 100, efficiency: 0.93, outA: null, testedCloser: false } })] : []
  const shut: Thing[] = us && inverters.length ? [hung('shutdown-button', 'button'), hung('transmitter', 'transmitter')] : []
  return {
    ...bareGround, ...us ? { supply: { ...bareGround.supply, ratedA: service, earthing: 'us' as const, faultKA: 10 }, airC: 35, costs: { ...bareGround.costs, racewayPerM: 6 } } : {},
    walls: [wall],
    things: [...gather, ...boxed, ...inverters, ...stored, ...collector, ...before, ...gateway, main, meter, ...shut],
    runs: [...gather.length ? [{ ...plainRun('roofbox', 'combiner') }] : []],
  }
}
