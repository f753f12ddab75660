import { z } from 'zod'
import { lengthMm } from './fields'

/** What modules keep from each kind of edge. */
export const setbacksSchema = z.object({
  eaveMm: lengthMm('The eave setback', 0, 10_000),
  ridgeMm: lengthMm('The ridge setback', 0, 10_000),
  leftRakeMm: lengthMm('The left rake setback', 0, 10_000),
  rightRakeMm: lengthMm('The right rake setback', 0, 10_000),
  hipMm: lengthMm('The hip setback', 0, 10_000),
  valleyMm: lengthMm('The valley setback', 0, 10_000),
  wallMm: lengthMm('The wall setback', 0, 10_000),
})
export type Setbacks = z.infer<typeof setbacksSchema>
