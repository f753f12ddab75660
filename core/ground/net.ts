import type { Ground, Thing, ThingKind } from '../job'
import type { Circuit, WiringPlan } from '../wiring'
import type { NetProblem } from './layout'

/** A run before it is sized: from where to where, and what of the roof's circuits comes by it before they are joined. */
export interface Edge { from: Thing, to: Thing, circuits: Circuit[] }

/** How things lead to each other. */
export interface Net { edges: Edge[], problems: NetProblem[], /** What comes into each thing. */ into: Map<string, Edge[]>, out: Map<string, Edge> }

/** Kinds that stand beside the way of the current. */
const ASIDE: ThingKind[] = ['wireway', 'transmitter', 'shutdown-button']
export const isAside = ({ kind }: Pick<Thing, 'kind'>): boolean => ASIDE.includes(kind)
/** Kinds through which conductors only pass. */
const THROUGH: ThingKind[] = ['roof-box', 'junction', 'dc-isolator', 'ac-disconnect', 'production-meter']
export const passesThrough = ({ kind }: Pick<Thing, 'kind'>): boolean => THROUGH.includes(kind)

const ofGroup = ({ groupId }: Pick<Thing, 'groupId'>, own: string): boolean => groupId === null || groupId === own

/** Inverters of a group, in the order in which they stand in the job: the roof's wiring numbers them the same way. */
export const invertersFor = ({ things }: Pick<Ground, 'things'>, groupId: string): Thing[] => things.filter(one => one.kind === 'inverter' && ofGroup(one, groupId))

/**
 * From what leads to what, the runs in the order in which current comes down, and what is wrong with it. Strings go to the inverter that the roof's
 * wiring has them on, by its isolator where there is one.
 */
export function netOf(ground: Pick<Ground, 'things'>, wiring: Pick<WiringPlan, 'circuits'>): Net {
  const { things } = ground
  const by = new Map(things.map(one => [one.id, one]))
  const problems: NetProblem[] = []
  const edges: Edge[] = []
  const meter = things.find(one => one.kind === 'meter')
  if (!meter) problems.push({ thingId: null, why: 'there is no utility meter that it all leads to' })
  const taken = new Set<number>()
  for (const box of things.filter(one => one.kind === 'roof-box')) {
    const own = wiring.circuits.filter(one => ofGroup(box, one.groupId) && !taken.has(one.number))
    for (const one of own) taken.add(one.number)
    const strings = own.filter(one => one.kind === 'string')
    const groups = [...new Set(strings.map(one => one.groupId))]
    for (const groupId of groups) {
      const inverters = invertersFor(ground, groupId)
      const needed = Math.max(...strings.filter(one => one.groupId === groupId).map(one => one.inverter)) + 1
      if (inverters.length < needed) problems.push({ thingId: box.id, why: `its strings need ${needed === 1 ? 'an inverter' : `${needed} inverters`}, and ${inverters.length === 0 ? 'none is' : inverters.length === 1 ? 'one is' : `${inverters.length} are`} there` })
      inverters.forEach((inverter, n) => {
        const to = things.find(one => one.kind === 'dc-isolator' && one.leadsTo === inverter.id) ?? inverter
        const circuits = strings.filter(one => one.groupId === groupId && one.inverter === n)
        if (circuits.length) edges.push({ from: box, to, circuits })
      })
    }
    const branches = own.filter(one => one.kind === 'branch')
    const to = box.leadsTo === null ? undefined : by.get(box.leadsTo)
    if (branches.length && to) edges.push({ from: box, to, circuits: branches })
    else if (branches.length) problems.push({ thingId: box.id, why: 'its branches lead nowhere' })
  }
  const missed = wiring.circuits.filter(one => !taken.has(one.number))
  if (missed.length) problems.push({ thingId: null, why: `no roof box takes ${missed.length === 1 ? 'one circuit' : `${missed.length} circuits`} of the roof` })
  for (const one of things) {
    if (one.kind === 'roof-box' || one.kind === 'meter' || isAside(one)) continue
    const to = one.leadsTo === null ? undefined : by.get(one.leadsTo)
    if (to) edges.push({ from: one, to, circuits: [] })
    else problems.push({ thingId: one.id, why: one.leadsTo === null ? 'nobody has said what it leads to' : 'what it led to is gone' })
  }
  return { ...ordered(edges, things, problems), problems }
}

/** Runs with whatever comes into a thing before what leaves it; runs in a ring are left out and said. */
function ordered(edges: Edge[], things: Thing[], problems: NetProblem[]): Omit<Net, 'problems'> {
  const sorted: Edge[] = []
  const placed = new Set<string>()
  let rest = [...edges]
  for (;;) {
    const ready = rest.filter(edge => !rest.some(other => other.to.id === edge.from.id && other !== edge) && edge.from.id !== edge.to.id)
    if (!ready.length) break
    for (const edge of ready) {
      sorted.push(edge)
      placed.add(edge.from.id)
    }
    rest = rest.filter(edge => !ready.includes(edge))
  }
  for (const id of new Set(rest.map(edge => edge.from.id))) problems.push({ thingId: id, why: `${things.find(one => one.id === id)!.name} leads in a ring and never comes to the grid` })
  // What circuits pass through boxes goes on in the next run.
  const into = new Map<string, Edge[]>()
  const out = new Map<string, Edge>()
  for (const edge of sorted) {
    const before = into.get(edge.from.id) ?? []
    if (passesThrough(edge.from) && edge.from.kind !== 'roof-box') edge.circuits = before.flatMap(one => one.circuits)
    into.set(edge.to.id, [...into.get(edge.to.id) ?? [], edge])
    if (edge.from.kind !== 'roof-box') out.set(edge.from.id, edge)
  }
  return { edges: sorted, into, out }
}
