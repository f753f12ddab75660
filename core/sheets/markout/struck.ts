import { SAME_MM } from './changes'
import type { MarkTask } from './tasks'

/** So much is lost where a place is written down, mm. */
const WRITTEN_MM = 0.05

/**
 * Where a task's mark is to be struck: its reading, and the line that it is on, mm. Null of a check, which marks nothing, and of a rafter, whose
 * line only shows where to look: it moves a little with every hole.
 */
const placeOf = (task: MarkTask): [number, number] | null => task.kind === 'check' || task.mark.of?.kind === 'rafter' ? null : [task.mark.readingMm, task.mark.upMm ?? task.step.lineMm ?? 0]

/** What a tick is kept by: the task, and where its mark was struck. A mark that the plan moves afterwards is to be struck anew. */
export function strikeOf(task: MarkTask): string {
  const place = placeOf(task)
  return place ? `${task.key}@${place.map(mm => mm.toFixed(1)).join(',')}` : task.key
}

/** Ticks that are of this task as it is now. Those of before ticks kept their place are of it wherever it is. */
export function strikesOf(task: MarkTask, ticks: ReadonlySet<string>): string[] {
  const place = placeOf(task)
  return [...ticks].filter((tick) => {
    if (tick === task.key) return true
    if (!place || !tick.startsWith(`${task.key}@`)) return false
    return tick.slice(task.key.length + 1).split(',').every((mm, i) => Math.abs(Number(mm) - place[i]!) <= SAME_MM + WRITTEN_MM)
  })
}

/** Keys of the tasks that are struck where they are now. */
export function struckAmong(tasks: MarkTask[], ticks: ReadonlySet<string>): Set<string> {
  const byTask = new Map<string, Set<string>>()
  for (const tick of ticks) {
    const key = tick.replace(/@[^@]*$/, '')
    byTask.set(key, (byTask.get(key) ?? new Set()).add(tick))
  }
  return new Set(tasks.filter(task => strikesOf(task, byTask.get(task.key) ?? new Set()).length).map(task => task.key))
}
