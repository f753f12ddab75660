import type { Ground, Thing } from '../job'
import type { WiringPlan } from '../wiring'
import type { Joint, JointRow, Run } from './layout'
import { type Edge, isAside, type Net, passesThrough } from './net'
import { type Function_, type GroundRules, linesOf } from './rules'

interface Ended { function: Function_, circuit: number | null }
const keyOf = ({ function: fn, circuit }: Ended): string => `${fn} ${circuit ?? ''}`

/** What the roof brings to its box: each circuit's conductors, and the earth. */
const fromRoof = (edges: Edge[], rules: GroundRules): Ended[] => [
  ...edges.flatMap(({ from, circuits }) => circuits.flatMap(one => (one.kind === 'string' ? ['+', '−'] as Function_[] : [...linesOf(rules, from.phase), ...rules.us ? [] : ['N' as const]]).map(fn => ({ function: fn, circuit: one.number })))),
  { function: 'E', circuit: null },
]

/**
 * Conductors that meet at each box: each function must arrive as it leaves. Through a box they pass one for one; on a busbar what arrives has its bar
 * and goes on with it; in an inverter direct current ends and alternating current begins.
 */
export function jointsOf(ground: Ground, net: Net, runs: Run[], wiring: WiringPlan, rules: GroundRules): Joint[] {
  return ground.things.filter(one => !isAside(one) && one.kind !== 'meter').map((thing): Joint => {
    const arriving = runs.filter(one => one.toId === thing.id)
    const leaving = runs.filter(one => one.fromId === thing.id)
    const arrives: Ended[] = thing.kind === 'roof-box' ? fromRoof(net.edges.filter(edge => edge.from.id === thing.id), rules) : arriving.flatMap(one => one.conductors)
    const leaves: Ended[] = leaving.flatMap(one => one.conductors)
    const rows = passesThrough(thing) ? throughRows(arrives, leaves) : thing.kind === 'inverter' ? inverterRows(arrives, leaves) : thing.kind === 'storage' || thing.kind === 'source' ? leaves.map((one): JointRow => ({ ...one, arrives: 0, leaves: 1, how: 'begins', right: true })) : busRows(arrives, leaves)
    return { thingId: thing.id, name: thing.name, rows, tasks: tasksAt(thing, [...arriving, ...leaving], ground), right: rows.every(one => one.right) && leaving.every(one => one.unmarked.length === 0) }
  })
}

const countOf = (list: Ended[], key: string): number => list.filter(one => keyOf(one) === key).length
const each = (...lists: Ended[][]): Ended[] => [...new Map(lists.flat().map(one => [keyOf(one), one])).values()].map(({ function: fn, circuit }) => ({ function: fn, circuit }))

/** One for one; earths are joined, however many. */
const throughRows = (arrives: Ended[], leaves: Ended[]): JointRow[] => each(arrives, leaves).map((one) => {
  const [a, b] = [countOf(arrives, keyOf(one)), countOf(leaves, keyOf(one))]
  return { ...one, arrives: a, leaves: b, how: 'through', right: one.function === 'E' ? a > 0 && b > 0 : a === b }
})

/** On a bar all of a function come together, whichever circuit they are of; what leaves may begin there, as a neutral does. */
function busRows(arrives: Ended[], leaves: Ended[]): JointRow[] {
  const whole = (list: Ended[]) => list.map(one => ({ ...one, circuit: null }))
  // A single line of Europe is the first of three on a board that has three.
  const leaving = whole(leaves)
  return each(whole(arrives), leaving).map((one) => {
    const [a, b] = [arrives.filter(other => other.function === one.function).length, countOf(leaving, keyOf(one))]
    return { ...one, arrives: a, leaves: b, how: a ? 'bus' : 'begins', right: a === 0 ? b > 0 : b > 0 }
  })
}

/** Both ends of each string arrive; current leaves on a line at least. */
function inverterRows(arrives: Ended[], leaves: Ended[]): JointRow[] {
  const dc = arrives.filter(one => one.function === '+' || one.function === '−')
  const paired = ({ function: fn, circuit }: Ended) => dc.filter(one => one.circuit === circuit && one.function === (fn === '+' ? '−' : '+')).length === dc.filter(one => one.circuit === circuit && one.function === fn).length
  return [
    ...each(dc).map((one): JointRow => ({ ...one, arrives: countOf(dc, keyOf(one)), leaves: 0, how: 'ends', right: paired(one) })),
    ...each(leaves).map((one): JointRow => {
      const earths = arrives.filter(other => other.function === 'E').length
      return { ...one, arrives: one.function === 'E' ? earths : 0, leaves: countOf(leaves, keyOf(one)), how: one.function === 'E' ? 'through' : 'begins', right: true }
    }),
    ...leaves.some(one => one.function.startsWith('L')) ? [] : [{ function: 'L' as const, circuit: null, arrives: 0, leaves: 0, how: 'begins' as const, right: false }],
  ]
}

/** What is to be done there beside joining like with like. */
function tasksAt(thing: Thing, runs: Run[], { supply, walls }: Ground): string[] {
  const outside = walls.find(one => one.id === thing.wallId)?.place === 'outside'
  const marked = runs.flatMap(run => run.conductors.filter(one => one.mark !== null && one.covered === 'cable').map(one => `Mark the ${one.colour} core of run ${run.number} ${one.mark}.`))
  const dc = runs.some(one => one.dc && !one.existing) ? ['Mark + and − on every conductor of direct current.'] : []
  return [
    ...marked, ...dc,
    ...thing.panel ? [thing.neutralLink ? 'Neutral and earth are joined here, and nowhere after it.' : 'Keep the neutral bar apart from the earth bar: no bonding screw or strap.'] : [],
    ...thing.neutralLink && supply.waterBonded !== true ? ['Bond to the metal water pipe, where there is one.'] : [],
    ...thing.neutralLink && supply.gasBonded !== true ? ['Bond to the gas pipe, where there is one.'] : [],
    ...thing.existing ? [] : [thing.torqueNm === null ? 'Torque of its terminals: as on its plate; write it down.' : `Torque its terminals to ${thing.torqueNm} N·m.`],
    ...outside && runs.some(one => !one.existing && one.toId === thing.id && (one.choice.ways.includes('eave') || one.choice.ways.includes('wall'))) ? ['Leave a drip loop, and enter from the side or below with a watertight fitting.'] : [],
    ...runs.some(one => one.choice.fireStop) ? ['Close the way through the wall against fire.'] : [],
  ]
}
