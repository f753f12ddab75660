import { type Catalogue, offered } from '../catalogue'
import { type Job, onBranches, type WireGroup } from '../job'
import { branchesOf } from './branches'
import { groupFor } from './groups'
import type { Circuit, GroupPlan, PlannedFace } from './layout'
import type { RoofPlace, WiredModule } from './modules'
import type { RunGround } from './runs'
import type { WireRules } from './settings'
import { stringsOf } from './strings'
import { trunkSuits } from './suits'
import { hangUnits, type WiredUnit } from './units'

/** What every group of a roof is wired on. */
export interface GroupAsk {
  job: Job
  rules: WireRules
  faces: PlannedFace[]
  catalogue: Catalogue
  /** Where home runs end; null on a roof without modules. */
  roofBox: RoofPlace | null
  /** The house's own direction, by which cable goes from face to face. */
  azimuthDeg: number
  /** Only to be judged: walks are found, not proved. */
  quick: boolean
}
/** A group as it is wired, with the circuits and units that it adds. */
export interface WiredGroup { plan: GroupPlan, circuits: Circuit[], units: WiredUnit[], /** Numbers that it takes, those of circuits emptied by hand among them. */ slots: number }

const itemOf = <T extends { id: string }>(items: T[], id: string | null): T | null => items.find(one => one.id === id) ?? null

/** The first trunk on the shelf that takes a group's units and suits the way its modules lie, where nobody chose one. */
const trunkFor = (catalogue: Catalogue, { unitId }: WireGroup, modules: WiredModule[], us: boolean) =>
  offered(catalogue.trunks).find(one => unitId !== null && trunkSuits(one, unitId, [...new Set(modules.map(module => module.orientation))], us)) ?? null

const itemsOf = (group: WireGroup, own: WiredModule[], { catalogue, rules }: GroupAsk) => ({
  group, unit: itemOf(catalogue.electronics, group.unitId), inverter: itemOf(catalogue.inverters, group.inverterId),
  trunk: group.trunkId === null && onBranches(group.system) ? trunkFor(catalogue, group, own, rules.us) : itemOf(catalogue.trunks, group.trunkId),
})

function groundOf({ job, rules, faces, azimuthDeg }: GroupAsk, roofBox: RoofPlace): RunGround {
  return {
    job, rules, roofBox, together: 0, azimuthDeg, faces: new Map(faces.map(({ face }) => [face.id, face])),
    railsAt: new Map(faces.map(({ face, plan }) => [face.id, plan.rails.filter(one => one.way === 'across').map(one => one.lineMm)])),
  }
}

/** Two conductors a circuit. All home runs of a group lie together where they come home, so that it is wired anew once their number is known. */
function solveTogether<T>(solve: (together: number) => T, circuits: (solved: T) => Circuit[]): T {
  const counted = solve(2)
  const n = circuits(counted).length
  return n > 1 ? solve(2 * n) : counted
}

/** Hangs a group's electronics and splits it into branches, or sizes and walks its strings; circuits are numbered on from the first. */
export function wireGroup(group: WireGroup, modules: WiredModule[], firstNumber: number, ask: GroupAsk): WiredGroup {
  const { job: { wiring }, faces, roofBox, quick } = ask
  const own = modules.filter(one => groupFor(wiring.groups, one.faceId) === group)
  const items = itemsOf(group, own, ask)
  const empty: GroupPlan = { ...items, modules: own.length, schools: [], limit: null, sizes: null, stringRange: null, left: [], workings: [], problem: null }
  if (!own.length || !roofBox) return { plan: empty, circuits: [], units: [], slots: 0 }
  const { unit } = items
  if (group.system !== 'strings' && !unit) return { plan: { ...empty, problem: 'no unit is chosen for its modules.' }, circuits: [], units: [], slots: 0 }
  const units = unit ? faces.flatMap(({ face, plan }) => hangUnits(own.filter(one => one.faceId === face.id), { face, plan, unit })) : []
  const common = { ...groundOf(ask, roofBox), putIn: wiring.putIn, firstNumber }
  if (onBranches(group.system)) {
    const faceOrder = faces.map(({ face }) => face.id)
    const { branches, schools, limit, slots, problem } = solveTogether(together => branchesOf(items, { ...common, together, units, faceOrder }), one => one.branches)
    return { plan: { ...empty, schools, limit, problem, workings: limit ? [limit.working] : [] }, circuits: branches, units, slots }
  }
  const { strings, slots, ...rest } = solveTogether(together => stringsOf(items, { ...common, together, modules: own, quick }), one => one.strings)
  return { plan: { ...empty, ...rest }, circuits: strings, units, slots }
}
