import { cardOf, type Opening } from '#core/openings'

/** The opening that is in hand on the covering's rung: the one selected, else the first with a fault, else the first. */
export function useOpening() {
  const { job, face, facePlan, selection, select } = useFace()
  const openings = computed(() => facePlan.value.openings)
  const opening = computed<Opening | null>(() => {
    const held = selection.value
    return openings.value.find(one => held.kind === 'fixing' && one.fixingId === held.id) ?? openings.value.find(one => one.faults.length > 0) ?? openings.value[0] ?? null
  })
  const at = computed(() => opening.value ? openings.value.indexOf(opening.value) : -1)
  const card = computed(() => opening.value && cardOf(job.value, face.value, facePlan.value, opening.value))
  const go = (by: number) => {
    const next = openings.value[at.value + by]
    if (next) select({ kind: 'fixing', id: next.fixingId })
  }
  return { openings, opening, at, card, go }
}
