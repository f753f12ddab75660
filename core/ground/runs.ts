import { EXPANSION_FITTING_MM, expansionMm, supportsOf, type WireSize } from '../electrical'
import type { Ground } from '../job'
import { current, length, share, voltage } from '../units'
import type { Working } from '../working'
import type { Flows } from './flows'
import { ableSizes, carriesFlow, carryingAmps, choiceOf, cored, earthOf, filledByCable, filledOf, type Laid, laidOf, lossV, racewayFor, singles } from './lay'
import type { Placing, Run, RunLength, WholeDrop } from './layout'
import type { Edge, Net } from './net'
import type { GroundRules } from './rules'
import { sizesWithin, type Way } from './sizing'
import { entryOf } from './wall/body'
import { wayBetween } from './wall/route'
import type { WiringPlan } from '../wiring'

/** How long a run is: as measured, else by its way on the walls, what lies beside them, and loose ends in both boxes. */
export function lengthOf(ground: Ground, { from, to }: Edge, { stood }: Placing, rules: GroundRules): RunLength {
  const choice = choiceOf(ground, { from, to, circuits: [] })
  if (choice.lengthMm !== null) return { mm: choice.lengthMm, known: true, parts: [{ what: 'as measured', mm: choice.lengthMm }] }
  const slack = 2 * rules.figures.slack.value
  const entry = (thing: Edge['from']) => {
    const at = stood.find(one => one.thingId === thing.id)
    return at ? { wallId: at.wallId, ...entryOf(thing, at) } : null
  }
  const [a, b] = [entry(from), entry(to)]
  const way = a && b ? wayBetween(a, b, ground) : null
  const parts = [...way ?? [], ...choice.moreMm > 0 ? [{ what: 'beside the walls', mm: choice.moreMm }] : [], { what: 'loose in both boxes', mm: slack }].filter(one => one.mm > 0)
  return { mm: parts.reduce((sum, one) => sum + one.mm, 0), known: way !== null || choice.moreMm > 0, parts }
}

export interface AllRuns { runs: Run[], drops: WholeDrop[] }

/** All runs sized together: each carries what it must, and every circuit keeps within the one budget of volts from the roof to where it is connected. */
export function runsOf(ground: Ground, net: Net, flows: Flows, placing: Placing, wiring: WiringPlan, dropShare: number, rules: GroundRules): AllRuns {
  const made = net.edges.map((edge) => {
    const reach = lengthOf(ground, edge, placing, rules)
    const laid = laidOf(ground, edge, flows.of.get(edge)!, rules, reach.known ? reach.mm : null)
    return { edge, reach, laid, able: ableSizes(laid, rules, ground.terminalC) }
  })
  const ways = waysOf(net, made.map(one => one.laid), wiring)
  const sizes = sizesWithin(made.map(({ laid, able, reach }) => ({ laid, able, mm: reach.mm })), ways, dropShare, rules.us)
  const runs = made.map(({ laid, able, reach }, i) => runOf(i + 1, laid, sizes[i]!, able[0] ?? sizes[i]!, reach, ground, rules))
  const drops = ways.map(({ circuit, name, roofShare, steps }): WholeDrop => {
    const own = steps.map(({ run, flow }) => ({ run: runs[run]!.id, share: lossV(made[run]!.laid.flows[flow]!, sizes[run]!, made[run]!.reach.mm) / made[run]!.laid.flows[flow]!.ofV }))
    return { circuit, name, roofShare, runs: own, share: roofShare + own.reduce((sum, one) => sum + one.share, 0), limit: dropShare }
  })
  return { runs, drops }
}

/** Each circuit's way from the roof box to where it is connected; what is there already ends it. */
function waysOf(net: Net, laid: Laid[], wiring: WiringPlan): Way[] {
  return wiring.circuits.flatMap((circuit): Way[] => {
    const steps: Way['steps'] = []
    let at = net.edges.findIndex(edge => edge.from.kind === 'roof-box' && edge.circuits.some(one => one.number === circuit.number))
    while (at >= 0 && !laid[at]!.existing && steps.length < 30) {
      const flow = laid[at]!.flows.findIndex(one => one.circuit === circuit.number)
      steps.push({ run: at, flow: Math.max(0, flow) })
      const next = net.out.get(net.edges[at]!.to.id)
      at = next ? net.edges.indexOf(next) : -1
    }
    return steps.length ? [{ circuit: circuit.number, name: circuit.kind === 'branch' ? `Branch ${circuit.number}` : `String ${circuit.number}`, roofShare: circuit.drop.share, steps }] : []
  })
}

function runOf(number: number, laid: Laid, size: WireSize, least: WireSize, reach: RunLength, ground: Ground, rules: GroundRules): Run {
  const { edge: { from, to }, choice, flows } = laid
  const earth = earthOf(laid, size, least, rules)
  const { conductors, lacking, unmarked } = choice.cable !== null && !laid.dc ? cored(laid, choice.cable, size, rules) : singles(laid, size, earth, rules)
  const kind = racewayFor(laid, rules)
  const cable = laid.dc ? null : choice.cable
  // A cable goes without a raceway, unless somebody put it into one.
  const tubed = cable === null || choice.raceway !== null
  const filled = !tubed ? null : cable === null ? filledOf(laid, conductors, kind, rules) : filledByCable(laid, cable, size, kind, rules)
  const loss = flows.map(flow => ({ flow, v: lossV(flow, size, reach.mm) })).sort((a, b) => b.v / b.flow.ofV - a.v / a.flow.ofV)[0]!
  const supports = filled ? supportsOf(kind, filled.size) : supportsOf('lfmc', '1/2')
  const carries = flows.every(flow => carriesFlow(size, flow, laid, rules, ground.terminalC))
  const carried = carryingAmps(size, laid)
  const name = `${from.name} to ${to.name}`
  const worst = [...flows].sort((a, b) => b.terminalA - a.terminalA)[0]!
  const workings: Working[] = [
    {
      what: `Run ${number}: conductors`, formula: rules.us ? 'table × heat × company ≥ Ia; terminals’ column ≥ It; next device ≥ In' : 'table × heat × company ≥ In',
      values: [
        { symbol: 'I', what: `of ${worst.name}`, value: current(worst.amps) }, { symbol: 'It', what: 'before anything is taken off', value: current(worst.terminalA) }, { symbol: 'Ia', what: 'after heat and company', value: current(worst.afterA) },
        ...worst.deviceA === null ? [] : [{ symbol: 'In', what: 'its device', value: current(worst.deviceA) }],
        { symbol: 'T', what: 'table', value: current(carried.baseA) }, { symbol: 'kt', what: `air at ${laid.airC} °C`, value: { kind: 'factor', value: carried.airShare } },
        { symbol: 'kn', what: laid.nipple ? 'a nipple: company does not count' : `${laid.carrying} that carry current`, value: { kind: 'factor', value: carried.companyShare } },
      ],
      result: { kind: 'words', text: `${size}, carries ${carried.amps.toFixed(1)} A: ${carries ? 'enough' : 'not enough'}` },
      source: rules.us ? `NEC ${rules.set}, 110.14(C), 240.4, tables 310.16, 310.15(B)(1) and (C)(1), from memory` : 'IEC 60364-4-43 and 60364-5-52, tables B.52.2, B.52.4, B.52.14, B.52.17, from memory', basis: choice.size === null ? 'code' : 'typed on this job',
    },
    ...filled
      ? [{
          what: `Run ${number}: raceway`, formula: 'Σ areas / inside area ≤ share', values: [
            { symbol: 'Σ', what: cable ? 'one cable, as a circle of its wider side' : `${conductors.length} conductors, earth too`, value: { kind: 'area' as const, mm2: filled.takenMm2 } }, { symbol: 'A', what: `inside, ${filled.size}`, value: { kind: 'area' as const, mm2: filled.insideMm2 } }, { symbol: 's', what: laid.nipple ? 'share of a nipple' : 'share', value: share(filled.limit) },
          ], result: share(filled.share), source: rules.us ? 'NEC chapter 9, tables 1, 4 and 5, from memory' : 'Common practice', basis: 'code' as const,
        }]
      : [],
    { what: `Run ${number}: volts lost`, formula: flows.some(one => one.functions.filter(fn => fn.startsWith('L')).length === 3) ? '√3 R′ L I' : '2 R′ L I', values: [{ symbol: 'L', what: reach.parts.map(one => `${one.what} ${Math.round(one.mm)} mm`).join(', '), value: length(reach.mm) }, { symbol: 'I', what: loss.flow.name, value: current(loss.flow.lossA) }, { symbol: 'U', what: 'of', value: voltage(loss.flow.ofV) }], result: { kind: 'words', text: `${loss.v.toFixed(2)} V, ${(100 * loss.v / loss.flow.ofV).toFixed(2)} %` }, source: rules.us ? 'NEC chapter 9, tables 8 and 9, from memory' : 'IEC 60228, from memory, at 70 °C', basis: 'code' },
  ]
  return {
    id: `${from.id}>${to.id}`, number, fromId: from.id, toId: to.id, name, choice, dc: laid.dc, existing: laid.existing, flows, size, earth, conductors, lacking, unmarked, raceway: tubed ? { kind, filled, asked: choice.trade !== null } : null,
    cable, length: reach, nipple: laid.nipple, lies: { airC: laid.airC, carrying: laid.carrying }, carried, carries, dropV: loss.v, dropShare: loss.v / loss.flow.ofV,
    supports: Math.max(2, Math.ceil(Math.max(0, reach.mm - 2 * supports.fromBoxMm) / supports.everyMm) + 1), expansionMm: filled ? expansionMm(kind, reach.mm, ground.rangeK) : 0, workings,
  }
}

/** Whether a plastic run wants a fitting that lets it lengthen (NEC 352.44). */
export const wantsExpansion = ({ expansionMm: mm }: Pick<Run, 'expansionMm'>): boolean => mm >= EXPANSION_FITTING_MM
