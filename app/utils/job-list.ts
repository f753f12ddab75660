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
  /** Whether the server could not plan it. */
  failed: boolean
  summary: JobSummary | null
}

/** How the list is sorted. */
export const jobOrders = { changed: 'Changed last', opened: 'Opened last', name: 'Name', settle: 'Most to settle' } as const
export type JobOrder = keyof typeof jobOrders

const words = (text: string): string[] => text.toLowerCase().split(/\s+/).filter(Boolean)
const settle = ({ summary }: JobLine): number => summary?.totals.stops ?? 0
const byOrder: Record<JobOrder, (a: JobLine, b: JobLine) => number> = {
  changed: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
  opened: (a, b) => b.createdAt.localeCompare(a.createdAt),
  name: (a, b) => a.title.localeCompare(b.title, undefined, { numeric: true }),
  settle: (a, b) => settle(b) - settle(a) || a.title.localeCompare(b.title, undefined, { numeric: true }),
}

/** The jobs that have every word in their name or place, in order. */
export const jobsShown = (jobs: JobLine[], sought: string, order: JobOrder, archived: boolean): JobLine[] =>
  jobs.filter(job => job.archived === archived && words(sought).every(word => `${job.title} ${job.place}`.toLowerCase().includes(word))).sort(byOrder[order])
