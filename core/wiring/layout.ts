import type { ConductorSize, Electronics, Inverter, Trunk } from '../catalogue'
import type { Carried } from '../electrical'
import type { Point } from '../geometry'
import type { InRoofLayout } from '../inroof'
import type { Face, WireGroup } from '../job'
import type { Working } from '../working'
import type { Bonding } from './bonding'
import type { BranchLimit } from './branch-limit'
import type { RoofPlace, WiredModule } from './modules'
import type { WireRules } from './settings'
import type { Segment } from './shutdown'
import type { StringSizes } from './string-sizes'
import type { TrunkRun } from './trunk'
import type { WiredUnit } from './units'
import type { Walk } from './walk'

/** A face with its plan, before anything is wired on it. */
export interface PlannedFace { face: Face, plan: InRoofLayout }

/** Volts lost and who has which share of the budget. */
export interface Drop { parts: { what: string, volts: number }[], volts: number, ofV: number, share: number, limit: number }

/** A home run from the array to the roof box. */
export interface HomeRun { faceId: string, points: Point[], mm: number, size: ConductorSize, carries: boolean, amps: number }

interface CircuitBase { number: number, groupId: string, faceIds: string[], currentA: number, /** What its conductors have to carry, from the roof on down. */ carried: Carried, drop: Drop, workings: Working[] }

/** Units on one trunk with its own device. */
export interface Branch extends CircuitBase {
  kind: 'branch'
  /** In the order in which the trunk runs. */
  units: WiredUnit[]
  limit: BranchLimit
  trunk: TrunkRun | null
  trunkId: string | null
  /** The unit before which it is fed, counted from 0. */
  feedAt: number
  home: HomeRun
}

/** How long a string may be and must be, and what governs. */
export interface StringRange { least: number, most: number, leastBy: string, mostBy: string }

/** Modules in series. */
export interface WireString extends CircuitBase {
  kind: 'string'
  inverter: number
  tracker: number
  /** Strings beside it on its tracker, itself counted. */
  together: number
  /** In the order in which they are joined: the first one's + goes home, the last one's −. */
  modules: WiredModule[]
  walk: Walk
  range: StringRange
  coldV: number
  hotV: number
  iscA: number
  fused: boolean
  fuseA: number | null
  plus: HomeRun
  minus: HomeRun
}
export type Circuit = Branch | WireString

/** A group of modules as it is wired. */
export interface GroupPlan {
  group: WireGroup
  unit: Electronics | null
  trunk: Trunk | null
  inverter: Inverter | null
  modules: number
  /** Branches by each school, so that their price is seen. */
  schools: { school: 'fill' | 'even' | 'rows' | 'least', sizes: number[], cableMm: number, proved: boolean }[]
  limit: BranchLimit | null
  sizes: StringSizes | null
  /** How long strings of its first modules may be and must be; each string has the range of its own. */
  stringRange: StringRange | null
  /** Modules that nothing takes. */
  left: { faceId: string, id: string }[]
  workings: Working[]
  /** Why it can't be wired at all, in a sentence; null where it can. */
  problem: string | null
}

/** What of the wiring lies on one face. */
export interface FaceWiring {
  units: WiredUnit[]
  /** Which side of a unit goes up and where its cable leaves; empty where there is none. */
  hung: string
  /** Circuits that begin on this face, by which its parts are counted. */
  circuits: Circuit[]
  /** Every circuit with a unit or module here, by its number. */
  here: { number: number, kind: Circuit['kind'], at: Point[], /** Where its numbers stand: over a unit, or in a module’s upper corner, clear of the module’s own. */ labels: Point[], plus: boolean, minus: boolean, homes: Point[][] }[]
  bonding: Bonding
  /** Earth wire along lugs and to the roof box; null where the job has none. */
  earth: { size: string, mm: number } | null
  roofBox: Point | null
}

/** How a roof is wired, as plain data. */
export interface WiringPlan {
  rules: WireRules
  roofBox: RoofPlace | null
  groups: GroupPlan[]
  circuits: Circuit[]
  faces: Record<string, FaceWiring>
  segments: Segment[]
  earth: { size: string, rule: string } | null
  /** Currents of branches and inverters together, and the device for them. */
  combined: { sumA: number, leastA: number, deviceA: number | null } | null
  /** Modules that no group takes. */
  unwired: number
}

/** The face with what of the wiring lies on it; null until the whole roof has been wired. */
export interface WiringLayout extends InRoofLayout { wiring: FaceWiring | null }
