import { type MarkTask, strikeOf, strikesOf, struckAmong } from '#core/sheets/markout'

/** Tasks of a mark-out that are ticked, each for the place where its mark was: one that the plan moves afterwards is to be struck anew. */
export function useStruck(jobId: string, list: MaybeRefOrGetter<string>, tasks: Ref<MarkTask[]>) {
  const { ticked, set: tick, reached, refused } = useTicks(jobId, list)
  const struck = computed(() => struckAmong(tasks.value, ticked.value))
  const byKey = computed(() => new Map(tasks.value.map(task => [task.key, task])))
  function set(key: string, done: boolean) {
    const task = byKey.value.get(key)
    if (!task) return
    if (done) tick(strikeOf(task), true)
    else for (const strike of strikesOf(task, ticked.value)) tick(strike, false)
  }
  const setAll = (keys: string[]) => keys.forEach(key => set(key, true))
  return { struck, set, setAll, reached, refused }
}
