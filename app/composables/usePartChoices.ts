import { supplyFor } from '#core/trade'
import { chooseParts, type ChosenParts, type Ground, idsOf, nearestSet, offered, type PartField, type PartIds, setsFor, shelfOf, type WholeSet, wholeSets } from '#core/catalogue'

/** So many sets that nobody has named are listed where none has a name. */
const MOST_UNNAMED = 12
const partOf: Record<PartField, keyof ChosenParts> = { moduleId: 'module', railId: 'rail', mountId: 'mount', clampsId: 'clamps' }

/** Parts and sets of the shelf for the face in hand, each with what has to change with it: no part is wrong because another must follow. */
export function usePartChoices() {
  const { face, facePlan, catalogue, commit } = useFace()
  // Every plan brings its parts anew; what goes with what is only asked again when others are chosen.
  const chosenKey = computed(() => JSON.stringify([idsOf(facePlan.value.parts), { covering: face.value.covering.kind, support: face.value.supports.kind }]))
  const asked = computed(() => JSON.parse(chosenKey.value) as [PartIds, Ground])
  const parts = computed(() => chooseParts(catalogue.value, asked.value[0]))
  const ground = computed(() => asked.value[1])
  const set = (values: Parameters<typeof arrayEdit>[1]) => commit(arrayEdit(face.value.id, values))

  const named = computed(() => setsFor(catalogue.value, parts.value, ground.value))
  const sets = computed(() => named.value.length ? named.value : wholeSets(catalogue.value, parts.value, ground.value).slice(0, MOST_UNNAMED))
  const keyOf = ({ parts: { rail, mount, clamps }, named: own }: WholeSet) => own?.id ?? [rail.id, mount.id, clamps.id].join('+')
  const setChoices = computed(() => sets.value.map(one => ({ value: keyOf(one), label: one.named?.name ?? [one.parts.rail, one.parts.mount, one.parts.clamps].map(part => part.name).join(', ') })))
  /** Whether the parts as they are chosen go together here. */
  const together = computed(() => wholeSets(catalogue.value, parts.value, ground.value)[0]?.changed.length === 0)
  const taken = computed(() => {
    const takes = (id: string) => supplyFor(catalogue.value, face.value.array.supplyIds, catalogue.value.supplies.find(item => item.id === id)?.kind ?? 'lug', null)?.id === id
    const one = sets.value.find(other => !other.changed.length && (other.named?.supplyIds ?? []).every(takes))
    return one ? keyOf(one) : ''
  })
  function takeSet(key: string) {
    const one = sets.value.find(other => keyOf(other) === key)!
    set({ ...idsOf(one.parts), ...(one.named && { supplyIds: one.named.supplyIds }) })
  }

  function nearestWith(field: PartField, id: string) {
    const item = catalogue.value[shelfOf[field]].find(one => one.id === id)!
    return nearestSet(catalogue.value, { ...parts.value, [partOf[field]]: item }, ground.value, field)
  }
  const choicesOf = (field: PartField) => computed(() => {
    const own = idsOf(parts.value)[field]
    const items: { id: string, name: string, retired: boolean }[] = catalogue.value[shelfOf[field]]
    return items.filter(item => !item.retired || item.id === own).map((item) => {
      const nearest = nearestWith(field, item.id)
      const others = nearest?.changed.map(one => nearest.parts[partOf[one]].name) ?? []
      const after = !nearest ? ': nothing on the shelf goes with it here' : others.length ? `, with ${others.join(' and ')}` : ''
      return { value: item.id, label: `${item.name}${item.retired ? ' (retired)' : ''}${after}` }
    })
  })
  function choosePart(field: PartField, id: string) {
    const nearest = nearestWith(field, id)
    set(nearest ? idsOf(nearest.parts) : { [field]: id })
  }
  const coverings = computed(() => offered(catalogue.value.coverings).filter(item => item.size.kind === face.value.covering.kind))
  return { setChoices, together, taken, takeSet, choicesOf, choosePart, coverings }
}
