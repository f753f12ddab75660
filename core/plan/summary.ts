import type { Interval, Region } from '../geometry'
import type { Job } from '../job'
import { handOverState, type Reminder, remindersOf } from '../proof'
import type { Plan, PlanTotals } from './layout'

/** A plan as a list of jobs shows it: the totals, and one face with its rows, lengths in mm. */
export interface JobSummary {
  totals: PlanTotals
  face: { along: Interval, up: Interval, region: Region, rows: { leftMm: number, rightMm: number, bottomMm: number, topMm: number }[] } | null
  /** Days by which somebody wants something, the next first; none in a summary that was worked out before there were any. */
  reminders?: Reminder[]
  handedOver?: boolean
}

/** So many days are shown in a list. */
const MOST_REMINDERS = 3

/** What a list shows of a plan: of its faces, the first that carries modules. */
export function summaryOf({ totals, faces }: Plan, job: Job): JobSummary {
  const first = faces.find(face => face.modules > 0) ?? faces[0]
  return {
    totals,
    face: first
      ? { along: first.shape.along, up: first.shape.up, region: first.shape.region, rows: first.rows.rows.map(({ leftMm, rightMm, bottomMm, topMm }) => ({ leftMm, rightMm, bottomMm, topMm })) }
      : null,
    reminders: remindersOf({ job }).slice(0, MOST_REMINDERS), handedOver: handOverState({ job }).state === 'handed-over',
  }
}
