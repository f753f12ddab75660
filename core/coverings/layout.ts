import type { Interval } from '../geometry'
import type { SupportsLayout } from '../supports'
import type { Joint } from './courses'

/** The face with its covering, and what that allows. */
export interface CoveringLayout extends SupportsLayout {
  /** Lower edges of the courses, mm up the slope. */
  courses: number[]
  /** Where units of the covering meet. */
  joints: Joint[]
  /** Lines on which the covering lets a rail run: heights of rails across, places along the eave of rails up the slope, mm. */
  railLines: Interval[]
}
