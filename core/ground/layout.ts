import type { BusTry, Carrying, Filled, Insulation, RacewayKind, RacewaySize, WireSize } from '../electrical'
import type { CableKind, Ground, RunChoice, Thing } from '../job'
import type { Working } from '../working'
import type { Function_, GroundRules } from './rules'

/** Current of one circuit on its way down. */
export interface Flow {
  /** The branch or string of the roof that it is; null for what several send together. */
  circuit: number | null
  name: string
  dc: boolean
  functions: Function_[]
  /** What flows, what the terminals must take before and the conductor after anything is taken off, A. */
  amps: number
  terminalA: number
  afterA: number
  /** Its overcurrent device; null where none is asked for. */
  deviceA: number | null
  /** Volts against which its loss is a share, and the current that loses them. */
  ofV: number
  lossA: number
}

/** A single conductor, or a core of a cable. */
export interface Conductor {
  function: Function_
  circuit: number | null
  size: WireSize
  covered: Insulation | 'bare' | 'cable'
  colour: string
  /** What has to be marked on it at both ends; null where its colour says it. */
  mark: string | null
  carrying: boolean
}

/** Where a run's length is from. */
export interface RunLength { mm: number, /** Every part of it was read or follows from places. */ known: boolean, parts: { what: string, mm: number }[] }

/** One run from box to box. */
export interface Run {
  /** The same for the same run in every plan. */
  id: string
  number: number
  fromId: string
  toId: string
  name: string
  choice: RunChoice
  dc: boolean
  /** The utility’s or the house’s own: drawn, not sized. */
  existing: boolean
  flows: Flow[]
  size: WireSize
  earth: WireSize
  conductors: Conductor[]
  raceway: { kind: RacewayKind, filled: Filled | null, asked: boolean } | null
  cable: CableKind | null
  length: RunLength
  nipple: boolean
  lies: { airC: number, carrying: number }
  carried: Carrying
  /** Whether its conductors carry it, and their device protects them. */
  carries: boolean
  /** Of the worst of its flows: volts and share lost. */
  dropV: number
  dropShare: number
  supports: number
  expansionMm: number
  /** Functions that no core is there for, and cores that mean something else. */
  lacking: Function_[]
  unmarked: Function_[]
  workings: Working[]
}

/** What all runs below take of the one budget, circuit by circuit. */
export interface WholeDrop { circuit: number, name: string, roofShare: number, runs: { run: string, share: number }[], share: number, limit: number }

/** What meets at one box. */
export interface JointRow { function: Function_, circuit: number | null, arrives: number, leaves: number, how: 'through' | 'bus' | 'ends' | 'begins', right: boolean }
export interface Joint { thingId: string, name: string, rows: JointRow[], tasks: string[], right: boolean }

/** A hole in a box for a raceway: its middle by running reading along its side, from the left or from below. */
export interface Knockout { thingId: string, side: 'top' | 'right' | 'bottom' | 'left', run: number, readingMm: number, holeMm: number, trade: RacewaySize, /** How long its side is, how long it must be for all its holes with their locknuts, and whether it is. */ sideMm: number, needsMm: number, fits: boolean }

/** A busbar judged. */
export interface BusPlan { thingId: string, name: string, busA: number, mainA: number, sourcesA: number[], countedA: number, tries: BusTry[], held: BusTry | null, ways: { needed: number, free: number }, workings: Working[] }

/** A tap before the main. */
export interface TapPlan { thingId: string, runId: string, sumA: number, serviceA: number, deviceA: number, size: WireSize, working: Working }

export interface AnchorPlan { thingId: string, pullN: number, shearN: number, utilisation: number | null, working: Working }

/** A thing where it stands. */
export interface Stood { thingId: string, wallId: string, xMm: number, yMm: number, found: boolean }
export interface Placing {
  stood: Stood[]
  /** Things that found no place. */
  without: string[]
  /** Things whose search came to its limit without an answer: whether there is one is not known. */
  unfinished: string[]
  /** What runs that lead to something placed cost, by the ways between walls that were tried; what none by those ways costs less than; whether the two are the same. */
  cost: number
  boundCost: number
  proved: boolean
  /** Whether every choice of ways between walls was tried. */
  allWays: boolean
}

/** Why a thing may not stand where somebody put it. */
export interface Crowding { thingId: string, why: string, measuredMm: number | null, limitMm: number | null }

export interface StorePlan {
  thingId: string
  kWh: number
  chargeW: number
  dischargeW: number
  /** What limits power into the house in an outage, and how long the load named runs. */
  outputW: number
  limitedBy: string
  hours: number | null
  workings: Working[]
}

/** A label with its place. */
export interface Label { id: string, text: string, thingId: string | null, where: string, clause: string, reflective: boolean }

/** What a plate or data sheet has to say before it may be built. */
export interface Asked { thingId: string, says: Thing['says'][number], sentence: string }

/** What is wrong with how things lead to each other. */
export interface NetProblem { thingId: string | null, why: string }

/** From the roof box to the meter as it is planned, as plain data. */
export interface GroundPlan {
  rules: GroundRules
  ground: Ground
  problems: NetProblem[]
  runs: Run[]
  drops: WholeDrop[]
  joints: Joint[]
  knockouts: Knockout[]
  buses: BusPlan[]
  tap: TapPlan | null
  placing: Placing
  crowded: Crowding[]
  anchors: AnchorPlan[]
  stores: StorePlan[]
  /** Direct over alternating power of each inverter. */
  ratios: { thingId: string, dcW: number, acW: number, ratio: number, working: Working }[]
  island: { links: string[], working: Working } | null
  asked: Asked[]
  labels: Label[]
  /** Room to grow: what it is and what it costs more, where that is known. */
  options: { id: Ground['growth'][number], name: string, what: string, price: number | null, taken: boolean }[]
}
