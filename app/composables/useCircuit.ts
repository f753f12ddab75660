import type { Circuit } from '#core/wiring'

/** The branches and strings of the whole roof, and the one that is in hand. */
export function useCircuit() {
  const { plan, selection, select } = useFace()
  const circuits = computed(() => plan.value.wiring.circuits)
  const circuit = computed<Circuit | null>(() => {
    const { kind } = selection.value
    if (kind === 'circuit') return circuits.value.find(one => String(one.number) === (selection.value as { id: string }).id) ?? null
    if (kind !== 'unit') return null
    return circuits.value.find(one => one.kind === 'branch' && one.units.some(unit => unit.id === (selection.value as { id: string }).id)) ?? null
  })
  const pick = (number: number) => select({ kind: 'circuit', id: String(number) })
  return { circuits, circuit, pick }
}
