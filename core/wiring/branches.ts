import { serviceVolts, type Trunk } from '../catalogue'
import type { BranchSchool, PutIn } from '../job'
import { branchSchools } from '../job'
import { length } from '../units'
import { branchLimit } from './branch-limit'
import { fedInsideDropV, ohmsPerMm, runDropV, trunkDropV } from '../electrical'
import type { Branch, GroupPlan } from './layout'
import { wayMm } from './modules'
import { belowV, carryWorking, dropOf, dropWorking, homeLengthWorking, homeSize, type RunGround, wayHome } from './runs'
import { feedIndex, type SplitAsk, splitBy } from './split'
import { cableOf, trunkRun } from './trunk'
import type { WiredUnit } from './units'

/** What branches are made from: the units of a group in their rows, face by face. */
export interface BranchAsk extends RunGround { units: WiredUnit[], faceOrder: string[], firstNumber: number, putIn: PutIn[] }

const wayOf = ({ azimuthDeg }: Pick<BranchAsk, 'azimuthDeg'>) => (a: WiredUnit, b: WiredUnit): number => wayMm(a.place, b.place, azimuthDeg)

/** Units by row, faces in their order and rows from the eave. */
function unitRows({ units, faceOrder }: BranchAsk): number[][] {
  const rows = new Map<string, number[]>()
  units.map((unit, i) => ({ unit, i })).sort((a, b) => faceOrder.indexOf(a.unit.faceId) - faceOrder.indexOf(b.unit.faceId) || a.unit.row - b.unit.row || a.unit.place.at.x - b.unit.place.at.x)
    .forEach(({ unit, i }) => {
      const key = `${unit.faceId} ${unit.row}`
      rows.set(key, [...rows.get(key) ?? [], i])
    })
  return [...rows.values()]
}

/** Modules that somebody put into another branch take their units with them; a number past the last begins a new one. One that was emptied stays in its place, so that the others keep their numbers. */
function moved(branches: WiredUnit[][], { putIn, firstNumber }: BranchAsk): WiredUnit[][] {
  const after = branches.map(branch => [...branch])
  for (const { faceId, moduleId, circuit } of putIn) {
    const from = after.findIndex(branch => branch.some(unit => unit.faceId === faceId && unit.modules.includes(moduleId)))
    const to = circuit - firstNumber
    if (from < 0 || to < 0 || to > after.length || to === from) continue
    const at = after[from]!.findIndex(unit => unit.faceId === faceId && unit.modules.includes(moduleId))
    const [unit] = after[from]!.splice(at, 1)
    if (to === after.length) after.push([])
    after[to]!.push(unit!)
  }
  // In a branch that somebody changed the trunk still runs row by row, there and back.
  return after.map((branch, i) => branch.length === branches[i]?.length && branch.every(unit => branches[i]!.includes(unit)) ? branch : thereAndBack(branch))
}

function thereAndBack(units: WiredUnit[]): WiredUnit[] {
  const keys = [...new Set(units.map(unit => `${unit.faceId} ${String(unit.row).padStart(3, '0')}`))].sort()
  return keys.flatMap((key, i) => {
    const row = units.filter(unit => `${unit.faceId} ${String(unit.row).padStart(3, '0')}` === key).sort((a, b) => a.place.at.x - b.place.at.x)
    return i % 2 ? row.reverse() : row
  })
}

/** Splits a group's units into branches and gives each its trunk, home run, device and volts. */
export function branchesOf(plan: Pick<GroupPlan, 'group' | 'unit' | 'trunk'>, ask: BranchAsk): { branches: Branch[], schools: GroupPlan['schools'], limit: GroupPlan['limit'], slots: number, problem: string | null } {
  const { job: { wiring }, rules, units } = ask
  const unit = plan.unit!
  const limit = branchLimit({ unit, trunk: plan.trunk, service: rules.service, us: rules.us, listedFull: wiring.listedFull, boardShare: wiring.boardShare, deviceA: wiring.deviceA })
  if (!limit) return { branches: [], schools: [], limit, slots: 0, problem: `${unit.name} is not made for this service.` }
  if (limit.most < 1) return { branches: [], schools: [], limit, slots: 0, problem: `no ${unit.name} may stand on a branch: ${limit.unitA} A is more than trunk or device allow.` }
  const way = wayOf(ask)
  const homes = units.map(one => wayMm(one.place, ask.roofBox, ask.azimuthDeg))
  const split: SplitAsk = { rows: unitRows(ask), most: limit.most, stepMm: (a, b) => way(units[a]!, units[b]!), homeMm: i => homes[i]!, fedInside: wiring.feed === 'middle' }
  const schools = branchSchools.map((school: BranchSchool) => ({ school, ...splitBy(school, split) }))
  const chosen = schools.find(one => one.school === wiring.school)!
  const branches = moved(chosen.branches.map(branch => branch.map(i => units[i]!)), ask)
  const totalA = units.length * limit.unitA
  return {
    limit, slots: branches.length, problem: null, schools: schools.map(({ school, branches: own, cableMm, proved }) => ({ school, sizes: own.map(one => one.length), cableMm, proved })),
    branches: branches.flatMap((own, i) => own.length ? [branchPlan(own, ask.firstNumber + i, plan, limit, totalA, ask)] : []),
  }
}

function branchPlan(own: WiredUnit[], number: number, { group, trunk, unit }: Pick<GroupPlan, 'group' | 'trunk' | 'unit'>, limit: NonNullable<GroupPlan['limit']>, totalA: number, ask: BranchAsk): Branch {
  const { job: { wiring }, rules } = ask
  const way = wayOf(ask)
  const inside = wiring.feed === 'middle' && own.length > 2
  // Fed at an end, it begins with the one that is nearer home.
  const units = !inside && wayHome(own.at(-1)!.place, ask).mm < wayHome(own[0]!.place, ask).mm - 1 ? [...own].reverse() : own
  const hops = units.slice(1).map((to, i) => ({ mm: way(units[i]!, to), sameRow: units[i]!.faceId === to.faceId && units[i]!.row === to.row }))
  const run = trunk && trunkRun(hops, trunk.spacingMm, inside)
  const feedAt = inside ? feedIndex(units.length) : 0
  const currentA = units.length * limit.unitA
  const ofV = serviceVolts[rules.service]
  const trunkOhms = trunk ? ohmsPerMm(trunk.conductor) : 0
  const stretches = trunk && run ? [trunk.spacingMm, ...run.hops.map(cableOf)] : []
  const trunkV = inside ? fedInsideDropV(stretches, feedAt, trunkOhms, limit.unitA) : trunkDropV(stretches, trunkOhms, limit.unitA)
  const below = belowV(ask, totalA, 'ac-raceway')
  const { points, mm } = wayHome(units[feedAt]!.place, ask)
  const carried = rules.us ? { terminalA: 1.25 * currentA, afterA: currentA, deviceA: limit.deviceA } : { terminalA: limit.deviceA, afterA: limit.deviceA, deviceA: limit.deviceA }
  const budgetV = wiring.dropShare * ofV - trunkV - below.reduce((sum, one) => sum + one.volts, 0)
  const { size, carries } = homeSize(ask, carried, one => runDropV(mm, ohmsPerMm(one), currentA) <= budgetV)
  const home = { faceId: units[feedAt]!.faceId, points, mm, size, carries, amps: currentA }
  const drop = dropOf([{ what: 'trunk', volts: trunkV }, { what: 'home run', volts: runDropV(mm, ohmsPerMm(size), currentA) }, ...below], ofV, wiring.dropShare)
  return {
    kind: 'branch', number, groupId: group.id, faceIds: [...new Set(units.map(one => one.faceId))], carried, units, limit, currentA, trunk: run, trunkId: trunk?.id ?? null, feedAt, home, drop,
    workings: [
      limit.working,
      { what: `Current of branch ${number}`, formula: 'n × I', values: [{ symbol: 'n', what: 'units', value: { kind: 'count', n: units.length, of: 'units' } }, { symbol: 'I', what: `${unit!.name}, rated continuous output`, value: { kind: 'current', a: limit.unitA } }], result: { kind: 'current', a: currentA }, source: 'Rated output, taken once', basis: 'arithmetic' },
      ...trunk && run ? [trunkWorking(trunk, run)] : [],
      homeLengthWorking(home), carryWorking(`Home run of branch ${number}`, size, carried, ask),
      dropWorking(`Volts lost on branch ${number}`, drop, 'trunk 2 R′ I Σ l (units beyond) + home run 2 R L n I + runs below', 'Unit by unit; NEC chapter 9 table 8, stranded, 75 °C; IEC 60228 at 90 °C'),
    ],
  }
}

const trunkWorking = (trunk: Trunk, run: NonNullable<Branch['trunk']>) => ({
  what: 'Drops of the trunk', formula: 'units + Σ (⌈way / spacing⌉ − 1)',
  values: [
    { symbol: 's', what: `spacing of ${trunk.name}`, value: length(trunk.spacingMm) },
    { symbol: 'u', what: 'units', value: { kind: 'count' as const, n: run.used, of: 'units' } },
    { symbol: 'c', what: 'unused, capped', value: { kind: 'count' as const, n: run.caps, of: 'drops' } },
    { symbol: 'j', what: 'joints to another row', value: { kind: 'count' as const, n: run.jumpers, of: 'joints' } },
  ],
  result: { kind: 'count' as const, n: run.drops, of: 'drops' }, source: trunk.name, basis: 'arithmetic' as const,
})
