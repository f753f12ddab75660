import type { LineCard } from '#core/sheets/markout'

/**
 * The line that a crew has in hand and the reading that is called out: opened on the first line that is not done, gone through with one thumb.
 * @param ticked keys of the tasks that are struck or drilled
 */
export function useLineInHand(cards: Ref<LineCard[]>, ticked: Ref<ReadonlySet<string>>, { struck, set, setAll }: Pick<ReturnType<typeof useStruck>, 'struck' | 'set' | 'setAll'>) {
  const isDone = (card: LineCard) => card.tasks.every(task => ticked.value.has(task.key))
  /** The line in hand, by what it is: lines come and go while the plan follows the holes. */
  const inHandKey = ref<string | null>(null)
  const keyOf = (one: LineCard) => `${one.faceId} ${one.step.id}`
  const at = computed({
    get: () => Math.max(0, cards.value.findIndex(one => keyOf(one) === inHandKey.value)),
    set: (to: number) => inHandKey.value = cards.value[to] ? keyOf(cards.value[to]) : null,
  })
  const card = computed(() => cards.value[at.value] ?? null)
  /** The reading that is being called out: what was pressed, else the first on the line that is not done. */
  const called = ref<string | null>(null)
  const task = computed(() => card.value && (card.value.tasks.find(one => one.key === called.value) ?? card.value.tasks.find(one => !ticked.value.has(one.key)) ?? card.value.tasks[0]!))
  /** An instruction is told once: where the line before says the same it would only take room. */
  const tells = computed(() => card.value !== null && cards.value[at.value - 1]?.step.instruction !== card.value.step.instruction)
  /** Opens on the first line that is not done, once the ticks are here. */
  let opened = false
  watch([cards, ticked], () => {
    if (opened || !cards.value.length) return
    const next = cards.value.findIndex(one => !isDone(one))
    if (struck.value.size) opened = true
    at.value = Math.max(0, next)
  }, { immediate: true })
  const done = computed(() => cards.value.filter(isDone).length)

  const go = (to: number) => {
    opened = true
    called.value = null
    at.value = Math.min(Math.max(0, to), cards.value.length - 1)
  }
  /** Ticks the reading called out and goes on to the next on the line, or to the next line after its last. */
  function marked() {
    if (!card.value || !task.value) return
    const { key } = task.value
    set(key, true)
    navigator.vibrate?.(30)
    called.value = null
    if (card.value.tasks.every(one => one.key === key || ticked.value.has(one.key))) go(at.value + 1)
  }
  function wholeLine() {
    if (!card.value) return
    if (isDone(card.value)) return go(at.value + 1)
    setAll(card.value.tasks.filter(one => !ticked.value.has(one.key)).map(one => one.key))
    navigator.vibrate?.(60)
    go(at.value + 1)
  }

  return { at, card, task, called, isDone, done, tells, go, marked, wholeLine }
}
