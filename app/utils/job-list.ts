import type { JobSummary } from '#core/plan'
import type { UnitSystem } from '#core/units'

/** A job as the list shows it; its figures are null until the server has worked them out. */
export interface JobLine {
  jobId: string
  title: string
  place: string
  units: UnitSystem
  createdAt: string
  updatedAt: string
  archived: boolean
  summary: JobSummary | null
  /** Why the server could not work it out. */
  problem: { kind: 'broken' | 'too-long', sentence: string } | null
  /** Whether the figures are of an earlier state of the job, of the shelf or of the planner. */
  older: boolean
}

/** How the list is sorted. */
export const jobOrders = { changed: 'Changed last', opened: 'Opened last', name: 'Name', settle: 'Most to settle', due: 'Next day first' } as const
export type JobOrder = keyof typeof jobOrders
