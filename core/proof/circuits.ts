import type { Electronics, Plate } from '../catalogue'
import type { CircuitTag, Subject } from '../job'
import type { Circuit, GroupPlan, WiredModule } from '../wiring'
import type { ProofAsk } from './ask'

/** A circuit as tests see it. */
export interface ProvedCircuit {
  circuit: Circuit
  /** “String 2”, “Branch 1”. */
  name: string
  tag: CircuitTag
  /** Names of its modules, `face:module`, in their order along it. */
  members: string[]
  /** The plate that all its modules have; null where they differ or nobody has given it. */
  plate: Plate | null
  unit: Electronics | null
  kind: 'string' | 'optimisers' | 'shutdown-units' | 'branch'
}

const named = ({ faceId, id }: Pick<WiredModule, 'faceId' | 'id'>): string => `${faceId}:${id}`

function kindOf({ kind }: Circuit, group: GroupPlan | undefined): ProvedCircuit['kind'] {
  if (kind === 'branch') return 'branch'
  const system = group?.group.system
  return system === 'optimisers' || system === 'shutdown-units' ? system : 'string'
}

/** All circuits of a roof, in the order of their numbers. */
export function circuitsOf({ wiring }: Pick<ProofAsk, 'wiring'>): ProvedCircuit[] {
  return wiring.circuits.map((circuit) => {
    const group = wiring.groups.find(one => one.group.id === circuit.groupId)
    const members = circuit.kind === 'string' ? circuit.modules.map(named) : circuit.units.flatMap(unit => unit.modules.map(id => named({ faceId: unit.faceId, id })))
    const plates = circuit.kind === 'string' ? circuit.modules.map(one => one.plate) : []
    const [plate = null] = plates
    const kind = kindOf(circuit, group)
    return {
      circuit, kind, members, unit: group?.unit ?? null, name: `${kind === 'branch' ? 'Branch' : 'String'} ${circuit.number}`,
      tag: { number: circuit.number, count: members.length, first: members[0] ?? '', last: members.at(-1) ?? '' },
      plate: plates.every(one => JSON.stringify(one) === JSON.stringify(plate)) ? plate : null,
    }
  })
}

const sameTag = (a: CircuitTag, b: CircuitTag): boolean => a.number === b.number && a.count === b.count && a.first === b.first && a.last === b.last

/** Whether two things are said of one: of a circuit only as long as it is the one that it was. */
export function sameSubject(a: Subject, b: Subject): boolean {
  if (a.of === 'circuit') return b.of === 'circuit' && sameTag(a.tag, b.tag)
  if (a.of === 'face') return b.of === 'face' && a.faceId === b.faceId
  return a.of === 'thing' ? b.of === 'thing' && a.thingId === b.thingId : b.of === 'job'
}

/** Circuits of the record that are not there any more as they were tested. */
export const goneCircuits = (ask: ProofAsk): CircuitTag[] => {
  const there = circuitsOf(ask).map(one => one.tag)
  const said = ask.job.proof.flatMap(entry => entry.kind === 'test' && entry.subject.of === 'circuit' ? [entry.subject.tag] : [])
  return [...new Map(said.filter(tag => !there.some(one => sameTag(one, tag))).map(tag => [JSON.stringify(tag), tag])).values()]
}
