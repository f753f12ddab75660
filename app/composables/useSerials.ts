import { placeWords, readLabel, serialAt, type SerialPlace, type SerialWhat } from '#core/proof'
import type { Outcome } from '#core/outcome'

/** Reading serial numbers one after the other: the place in hand, what is kept there, and the next that is empty. */
export function useSerials() {
  const { ask, places, say, drop, told } = useProof()
  const what = ref<SerialWhat>('module')
  const own = computed(() => places.value.filter(one => one.what === what.value))
  const keyOf = (one: SerialPlace) => `${one.what} ${one.faceId} ${one.id}`
  const held = ref('')
  const place = computed(() => own.value.find(one => keyOf(one) === held.value) ?? own.value.find(one => !one.found) ?? own.value[0] ?? null)
  const take = (one: SerialPlace) => {
    what.value = one.what
    held.value = keyOf(one)
    told.value = ''
  }
  /** Keeps the place in hand, whatever others read meanwhile. */
  const hold = () => {
    if (place.value) held.value = keyOf(place.value)
  }
  const faceOf = (one: SerialPlace) => ask.value!.job.faces.find(face => face.id === one.faceId)!
  const words = (one: SerialPlace) => placeWords(one, faceOf(one))
  /** The place after one, along the row and on to the next; the first that is empty where there is none. */
  function next(from: SerialPlace): SerialPlace | null {
    const at = own.value.findIndex(one => keyOf(one) === keyOf(from))
    return own.value.slice(at + 1).find(one => !one.found) ?? own.value.find(one => !one.found && one !== from) ?? null
  }
  /** @param exchanged what stands there is taken off, and this comes in its place */
  function keep(text: string, via: 'scanned' | 'typed' | 'map', exchanged = false): Outcome<true> | null {
    const at = place.value
    const asked = ask.value
    if (!at || !asked) return null
    const label = readLabel(text, [...asked.catalogue.modules, ...asked.catalogue.electronics])
    if (!label.ok) {
      told.value = label.problem
      return label
    }
    const facts = serialAt(asked, places.value, at, label.value)
    if (!facts.ok) {
      told.value = facts.problem
      return facts
    }
    const after = next(at)
    if (exchanged && at.found) say('serial-off', { faceId: at.faceId, xMm: at.xMm, yMm: at.yMm, what: at.what, serial: at.found.serial })
    const outcome = say('serial', { ...facts.value, via })
    if (outcome.ok && after) held.value = keyOf(after)
    return outcome
  }
  /** Numbers read off a printed map, in its order from the place in hand on; stops at the first that is refused. */
  function keepAll(text: string): { kept: number, problem: string } {
    const lines = text.split(/[\r\n]+/).map(one => one.trim()).filter(Boolean)
    let kept = 0
    for (const line of lines) {
      const outcome = keep(line, 'map')
      if (!outcome?.ok) return { kept, problem: `${line}: ${outcome ? outcome.problem : 'there is no place left.'}` }
      kept++
    }
    return { kept, problem: '' }
  }
  const takeOut = (one: SerialPlace) => one.found && drop(one.found.id)
  return { ask, places, what, own, place, take, keep, keepAll, takeOut, words, faceOf, told, keyOf, hold, read: computed(() => own.value.filter(one => one.found).length) }
}
export type Serials = ReturnType<typeof useSerials>
