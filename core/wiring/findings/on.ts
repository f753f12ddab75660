import type { Face, PutIn } from '../../job'
import { type Cure, onJob } from '../../trade'
import type { WiringAsk } from '../ask'
import type { Branch, Circuit, GroupPlan, WireString } from '../layout'
import { MOST_PUT_BACK, putBackEdit } from '../put-back'
import { moduleWords } from '../words'

export const branchesIn = ({ wiring }: WiringAsk): Branch[] => wiring.circuits.filter(one => one.kind === 'branch')
export const stringsIn = ({ wiring }: WiringAsk): WireString[] => wiring.circuits.filter(one => one.kind === 'string')
export const groupOf = ({ wiring }: WiringAsk, circuit: Circuit): GroupPlan => wiring.groups.find(one => one.group.id === circuit.groupId)!

/** Where a finding on a circuit stands, so that picking it picks the circuit. */
export const onCircuit = (ask: WiringAsk, id: string, circuit: Circuit) =>
  ({ ...onJob(ask, 'wiring', `${id}:${circuit.number}`), faceId: circuit.faceIds[0]!, about: { kind: 'circuit' as const, id: String(circuit.number) } })

/** Where a finding on the units of a face stands: at the one that is worst. */
export const onUnit = (ask: WiringAsk, id: string, face: Face, unitId: string) =>
  ({ ...onJob(ask, 'wiring', `${id}:${face.id}`), faceId: face.id, about: { kind: 'unit' as const, id: unitId } })

/** Modules moved by hand go back to where the school has them; nothing where there are none. */
export const backCure = (label: string, put: PutIn[]): Cure[] => put.length
  ? [{ label: put.length > MOST_PUT_BACK ? `${label}: the first ${MOST_PUT_BACK} of ${put.length}` : label, edit: putBackEdit(put) }]
  : []

/** What was moved into a circuit by hand, and then all that was moved by hand, back. */
export function putBack({ job: { wiring: { putIn } } }: WiringAsk, circuit: Circuit): Cure[] {
  const own = putIn.filter(one => one.circuit === circuit.number)
  return backCure(own.length === 1 ? `Put ${moduleWords(own[0]!.moduleId)} back` : `Put ${own.length} modules back`, own)
}
export const allBack = ({ job: { wiring: { putIn } } }: WiringAsk): Cure[] => backCure('Put all modules back that were moved by hand', putIn)
