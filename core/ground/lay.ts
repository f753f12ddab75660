import { awgWires, cableMm2, type Carrying, copperMm2, earthByDevice, earthByLine, type Figures, type FillShares, filled, type Insulation, isAmerican, LEAST_TAP, mm2Wires, narrowest, nextDevice, ohmsPerMm, outsideMm2, type RacewayKind, racewayAmps, runDropV, smallDevice, supplyJumper, terminalAmps, thicker, threePhaseDropV, type AwgWire, type Mm2Wire, type WireSize, wiresOf } from '../electrical'
import { type CableKind, type Ground, plainRun, type RunChoice } from '../job'
import type { Conductor, Flow } from './layout'
import type { Edge } from './net'
import { colourOf, type Function_, type GroundRules } from './rules'

export const fillShares = (figures: Figures): FillShares => ({ one: figures['fill-one'].value, two: figures['fill-two'].value, more: figures['fill-more'].value, nipple: figures['fill-nipple'].value })

/** A run on the way to being sized. */
export interface Laid {
  edge: Edge
  flows: Flow[]
  choice: RunChoice
  dc: boolean
  existing: boolean
  /** Before any overcurrent device: from a supply-side tap. */
  tap: boolean
  nipple: boolean
  airC: number
  /** Current-carrying conductors in it, and those of one circuit. */
  carrying: number
  loaded: 2 | 3
}

export const choiceOf = ({ runs }: Pick<Ground, 'runs'>, { from, to }: Edge): RunChoice => runs.find(one => one.fromId === from.id && one.toId === to.id) ?? plainRun(from.id, to.id)

const lineCount = (functions: Function_[]): number => functions.filter(one => one.startsWith('L')).length
/** Of a circuit, those that heat: a neutral counts where it carries all of the current, or in a star with two lines (NEC 310.15(E)). */
const carryingOf = ({ dc, functions }: Flow, { service }: GroundRules): number => dc ? 2 : lineCount(functions) === 1 ? 2 : lineCount(functions) + (service === 'wye-208' && lineCount(functions) === 2 && functions.includes('N') ? 1 : 0)
/** Whether one of its conductors counts among those. */
export const heats = (fn: Function_, flow: Flow, rules: GroundRules): boolean => fn !== 'E' && (fn !== 'N' || carryingOf(flow, rules) > lineCount(flow.functions))

export function laidOf(ground: Ground, edge: Edge, flows: Flow[], rules: GroundRules, lengthMm: number | null): Laid {
  const choice = choiceOf(ground, edge)
  return {
    edge, flows, choice, dc: flows.some(one => one.dc), existing: edge.from.existing && edge.to.existing, tap: isTap(edge), nipple: lengthMm !== null && lengthMm <= rules.figures.nipple.value + 1e-9,
    airC: choice.airC ?? ground.airC, carrying: flows.reduce((sum, flow) => sum + carryingOf(flow, rules), 0), loaded: flows.some(flow => lineCount(flow.functions) === 3) ? 3 : 2,
  }
}

/** Whether a run meets the service before its main: it leads to the meter, and loads don’t hang on what it comes from. */
export const isTap = ({ from, to }: Edge): boolean => to.kind === 'meter' && from.kind !== 'main-panel' && from.kind !== 'gateway'

/**
 * Whether a conductor carries a circuit of a run and its device protects it: terminals before anything is taken off, the conductor after it, and the
 * next standard device above its ampacity at most (NEC 110.14(C), 310.15, 240.4(B) and (D); in Europe In <= Iz, IEC 60364-4-43).
 */
export function carriesFlow(size: WireSize, flow: Flow, { airC, carrying, loaded, nipple }: Omit<Laid, 'edge'>, rules: GroundRules, terminalC: 60 | 75): boolean {
  const { amps } = racewayAmps(size, { airC, carrying, loaded, nipple })
  if (!rules.us) return amps >= Math.max(flow.deviceA ?? 0, flow.terminalA) - 1e-9
  const over100 = (flow.deviceA ?? flow.terminalA) > 100
  if (terminalAmps(size, over100 ? 75 : terminalC) < flow.terminalA - 1e-9 || amps < flow.afterA - 1e-9) return false
  if (flow.deviceA === null) return true
  const small = smallDevice(size)
  return (small === null || flow.deviceA <= small) && flow.deviceA <= (nextDevice(true, amps) ?? amps) + 1e-9
}

/** Sizes that carry every circuit of a run, thinnest first; a typed one alone, whether it does or not. */
export function ableSizes(laid: Laid, rules: GroundRules, terminalC: 60 | 75): WireSize[] {
  if (laid.choice.size !== null) return [laid.choice.size]
  const least = laid.tap && rules.us ? LEAST_TAP : null
  return wiresOf(rules.us).filter(size => laid.flows.every(flow => carriesFlow(size, flow, laid, rules, terminalC)) && (least === null || copperMm2(size) >= copperMm2(least)) && outsideMm2(size, coveredOf(laid, rules)) !== null)
}

export const coveredOf = ({ choice, dc }: Pick<Laid, 'choice' | 'dc'>, { us }: GroundRules): Insulation => choice.insulation ?? (us ? 'thwn-2' : dc ? 'pv-wire' : 'h07v')

/**
 * The earth that goes with a run: by its device, or by its conductors where none stands before it; in the measure in which lines were made thicker than
 * they had to be (NEC 250.122(A) and (B), 250.102(C), 690.45; IEC 60364-5-54).
 */
export function earthOf({ flows, tap, dc }: Laid, size: WireSize, least: WireSize, { us }: GroundRules): WireSize {
  if (!us || !isAmerican(size)) return earthByLine(size as Mm2Wire, mm2Wires)
  if (tap) return supplyJumper(awgWires, size)
  const byDevice = earthByDevice(Math.max(...flows.map(one => one.deviceA ?? one.terminalA)))
  const wanted = dc ? 0 : copperMm2(byDevice) * copperMm2(size) / copperMm2(least)
  const grown = awgWires.find(one => copperMm2(one) >= wanted * (1 - 1e-9)) ?? size
  return copperMm2(thicker<AwgWire>(byDevice, grown)) > copperMm2(size) ? (copperMm2(byDevice) > copperMm2(size) ? byDevice : size) : thicker<AwgWire>(byDevice, grown)
}

/** Cores of a cable as they come. */
export const cableCores: Record<CableKind, string[]> = { 'us-2': ['black', 'white', 'bare'], 'us-3': ['black', 'red', 'white', 'bare'], 'en-3g': ['brown', 'blue', 'green-yellow'], 'en-5g': ['brown', 'black', 'grey', 'blue', 'green-yellow'] }
/** Major diameters of cables, mm (common practice; flat two-wire cable counts as a circle of its wider side). */
const CABLE_MM: Record<CableKind, Partial<Record<WireSize, number>>> = {
  'us-2': { '14 AWG': 10.3, '12 AWG': 11.4, '10 AWG': 13.7, '8 AWG': 17.5, '6 AWG': 20.3 }, 'us-3': { '14 AWG': 8.9, '12 AWG': 10.2, '10 AWG': 12.4, '8 AWG': 16.5, '6 AWG': 19.1, '4 AWG': 22.9, '2 AWG': 26.7 },
  'en-3g': { '2.5 mm²': 11, '4 mm²': 12.5, '6 mm²': 14, '10 mm²': 17, '16 mm²': 20 }, 'en-5g': { '2.5 mm²': 13, '4 mm²': 15, '6 mm²': 17, '10 mm²': 21, '16 mm²': 25 },
}
export const cableDiameterMm = (kind: CableKind, size: WireSize): number | null => CABLE_MM[kind][size] ?? null

export interface Cored { conductors: Conductor[], lacking: Function_[], unmarked: Function_[] }

/** Single conductors of a run: one for each function of each circuit, and one earth. */
export function singles(laid: Laid, size: WireSize, earth: WireSize, rules: GroundRules): Cored {
  const covered = coveredOf(laid, rules)
  const several = laid.flows.length > 1
  const conductors = laid.flows.flatMap(flow => flow.functions.map((fn): Conductor => ({
    function: fn, circuit: flow.circuit, size, covered, colour: colourOf(fn, rules.us), carrying: heats(fn, flow, rules),
    // Direct current is marked with its sign; circuits side by side with their number, so that each arrives as it leaves.
    mark: [...fn === '+' || fn === '−' ? [`${flow.circuit === null ? 'Battery' : 'PV'} ${fn}`] : [], ...several && flow.circuit !== null ? [String(flow.circuit)] : []].join(' ') || null,
  })))
  return { conductors: [...conductors, { function: 'E', circuit: null, size: earth, covered: rules.us ? covered === 'pv-wire' ? 'bare' : covered : 'h07v', colour: rules.us && covered === 'pv-wire' ? 'bare' : colourOf('E', rules.us), mark: null, carrying: false }], lacking: [], unmarked: [] }
}

/** The wish of each function for a core, by colour. */
const WISH: Record<CableKind, Partial<Record<Function_, string[]>>> = {
  'us-2': { L: ['black'], L1: ['black'], L2: ['white'], N: ['white'] }, 'us-3': { L: ['black'], L1: ['black'], L2: ['red'], L3: ['red', 'white'], N: ['white'] },
  'en-3g': { L: ['brown'], L1: ['brown'], L2: ['brown'], L3: ['brown'], N: ['blue'] }, 'en-5g': { L: ['brown'], L1: ['brown'], L2: ['black'], L3: ['grey'], N: ['blue'] },
}
/** Colours that mean neutral: on anything else they have to be marked at both ends (NEC 200.7(C); IEC 60445). */
const NEUTRAL = ['white', 'blue']

/** Cores of a cable given to functions; what finds none is lacking, a neutral's colour on a line needs its mark. */
export function cored(laid: Laid, kind: CableKind, size: WireSize, rules: GroundRules): Cored {
  const free = [...cableCores[kind]]
  const take = (colour: string) => free.splice(free.indexOf(colour), 1)[0]!
  const conductors: Conductor[] = []
  const lacking: Function_[] = []
  const unmarked: Function_[] = []
  for (const flow of laid.flows) {
    for (const fn of flow.functions) {
      const colour = (WISH[kind][fn] ?? []).find(one => free.includes(one))
      if (colour === undefined) {
        lacking.push(fn)
        continue
      }
      const live = fn !== 'N' && NEUTRAL.includes(colour)
      if (live && !laid.choice.remarked) unmarked.push(fn)
      conductors.push({ function: fn, circuit: flow.circuit, size, covered: 'cable', colour: take(colour), mark: live ? `${colourOf(fn, rules.us)} at both ends` : null, carrying: heats(fn, flow, rules) })
    }
  }
  const bare = free.find(one => one === 'bare' || one === 'green-yellow')!
  return { conductors: [...conductors, { function: 'E', circuit: null, size, covered: 'cable', colour: bare, mark: null, carrying: false }], lacking, unmarked }
}

/** How a raceway is filled by one cable, which counts as one circle of its major diameter (chapter 9, note 9); null where its size is not known or nothing holds it. */
export function filledByCable(laid: Laid, cable: CableKind, size: WireSize, kind: RacewayKind, rules: GroundRules) {
  const diameterMm = cableDiameterMm(cable, size)
  if (diameterMm === null) return null
  const shares = fillShares(rules.figures)
  const { trade } = laid.choice
  const made = trade !== null && (kind === 'conduit-en') === /^\d\d$/.test(trade)
  return made ? filled(kind, trade, [cableMm2(diameterMm)], shares, laid.nipple) : narrowest(kind, [cableMm2(diameterMm)], shares, laid.nipple)
}

/** The tube that a run lies in unless somebody chose: metal for direct current in American houses, and beside it. */
export const racewayFor = ({ choice }: Pick<Laid, 'choice'>, { us }: GroundRules): RacewayKind => choice.raceway ?? (us ? 'emt' : 'conduit-en')

/** How its raceway is filled: of the size somebody chose, else the narrowest that may hold it; null where none may. */
export function filledOf(laid: Laid, conductors: Conductor[], kind: RacewayKind, rules: GroundRules) {
  const areas = conductors.map(one => outsideMm2(one.size, one.covered === 'cable' ? 'thwn-2' : one.covered) ?? 0)
  const shares = fillShares(rules.figures)
  const { trade } = laid.choice
  const made = trade !== null && (kind === 'conduit-en') === /^\d\d$/.test(trade)
  return made ? filled(kind, trade, areas, shares, laid.nipple) : narrowest(kind, areas, shares, laid.nipple)
}

/** Volts that one circuit loses in a run. */
export function lossV(flow: Flow, size: WireSize, mm: number): number {
  const ohms = ohmsPerMm(size, flow.dc ? 'dc' : 'ac-raceway')
  return lineCount(flow.functions) === 3 ? threePhaseDropV(mm, ohms, flow.lossA) : runDropV(mm, ohms, flow.lossA)
}

export const carryingAmps = (size: WireSize, { airC, carrying, loaded, nipple }: Omit<Laid, 'edge'>): Carrying => racewayAmps(size, { airC, carrying, loaded, nipple })
