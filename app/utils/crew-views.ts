import type { FacePlan } from '#core/plan'
import { onFace } from '#core/rails'
import { type Drilled, holeAt, type Spot } from '#core/rooflog'
import type { LineCard, MarkTask } from '#core/sheets/markout'

/** What stands on the phone's screen in place of a line: one thing at a time. */
export type CrewViewId = 'hole' | 'moves' | 'laid' | 'level' | 'turn' | 'pause' | 'damage' | 'serials' | 'tests' | 'phone'

/** A fixing whose card is open. */
export interface HeldFixing { spot: Spot, railId: string, title: string }

/** The fixing that a task marks; null where it marks something else. */
export function fixingOfTask(task: MarkTask, plan: FacePlan): HeldFixing & { id: string } | null {
  const of = task.kind === 'mark' ? task.mark.of : undefined
  if (of?.kind !== 'fixing') return null
  const r = plan.fixings.rails.findIndex(rail => rail.fixings.some(own => own.id === of.id))
  const own = plan.fixings.rails[r]?.fixings ?? []
  const i = own.findIndex(fixed => fixed.id === of.id)
  if (i < 0) return null
  const rail = plan.rails[r]!
  return { id: of.id, spot: onFace(rail, own[i]!.atMm), railId: rail.id, title: `Rail ${rail.number}, fixing ${i + 1} of ${own.length}, ${own[i]!.member}` }
}

/** Tasks of a line whose fixing has a hole, with its state. */
export const drilledTasks = (card: LineCard, plan: FacePlan, holes: Drilled[]): [key: string, state: Drilled['state']][] => card.tasks.flatMap((task) => {
  const fixing = fixingOfTask(task, plan)
  const hole = fixing && holeAt(holes, fixing.spot)
  return hole ? [[task.key, hole.state]] : []
})
