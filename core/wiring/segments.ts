import { type Service, serviceVolts } from '../catalogue'
import type { Circuit, GroupPlan } from './layout'
import type { SegmentDraft } from './shutdown'
import { moduleVolts, TABLE_END_C } from './string-volts'

/** Every stretch of conductors and what is left on it 30 s after shutdown was begun. */
export function segmentsOf(circuits: Circuit[], groups: GroupPlan[], coldC: number | null, service: Service): SegmentDraft[] {
  return circuits.flatMap((circuit): SegmentDraft[] => {
    const { unit } = groups.find(one => one.group.id === circuit.groupId)!
    const listed = unit?.shutdown ?? null
    const both = (what: string, volts: number, why: string): SegmentDraft[] => [
      { id: `${circuit.number}-array`, name: `${what}, inside the array`, where: 'inside', volts, why },
      { id: `${circuit.number}-home`, name: `home run of ${what}`, where: 'outside', volts, why },
    ]
    if (circuit.kind === 'branch') {
      return both(`branch ${circuit.number}`, listed ? 0 : serviceVolts[service], listed ? `units stop with the mains: ${listed}` : 'nobody lists these units as rapid-shutdown equipment')
    }
    const plate = circuit.modules[0]!.plate
    const cold = plate ? moduleVolts(plate, coldC ?? TABLE_END_C, 25).coldVocV : null
    const n = circuit.modules.length
    const letsGo = listed && unit?.standbyV !== null && unit !== null
    const volts = letsGo ? n * unit.standbyV! : n * (cold ?? 0)
    return [
      ...both(`string ${circuit.number}`, volts, letsGo ? `${n} × ${unit.standbyV} V: ${listed}` : unit ? 'nobody lists these units as rapid-shutdown equipment' : 'nothing parts the modules from each other'),
      // Leads from a module to its own unit stay at the module's voltage.
      ...letsGo && cold !== null ? [{ id: `${circuit.number}-leads`, name: `module leads of string ${circuit.number}`, where: 'inside' as const, volts: cold, why: 'one module each, at the coldest' }] : [],
    ]
  })
}
