import type { Interval, Region } from '#core/geometry'
import type { Plan, PlanTotals } from '#core/plan'

/** What the list of jobs shows of a plan: the totals, and the first face with its rows. */
export interface JobSummary {
  totals: PlanTotals
  face: { along: Interval, up: Interval, region: Region, rows: { leftMm: number, rightMm: number, bottomMm: number, topMm: number }[] } | null
}

export function summaryOf({ totals, faces }: Plan): JobSummary {
  const first = faces.find(face => face.modules > 0) ?? faces[0]
  return {
    totals,
    face: first
      ? { along: first.shape.along, up: first.shape.up, region: first.shape.region, rows: first.rows.rows.map(({ leftMm, rightMm, bottomMm, topMm }) => ({ leftMm, rightMm, bottomMm, topMm })) }
      : null,
  }
}
