import { z } from 'zod'
import { lengthMm, shortId } from './fields'

/** Obstructions, with whether a person may have to get out through it. */
export const obstructionKinds = ['vent', 'chimney', 'roof-window', 'escape-window', 'dish', 'conduit', 'old-array'] as const
export type ObstructionKind = typeof obstructionKinds[number]

export const obstructionSchema = z.object({
  id: shortId,
  kind: z.enum(obstructionKinds),
  /** Round by its width alone, else a rectangle with its sides along eave and slope. */
  round: z.boolean(),
  /** Its middle by running readings: along the eave from its left end, and up the slope. */
  xMm: lengthMm('The reading along the eave', -30_000, 60_000),
  yMm: lengthMm('The reading up the slope', 0, 30_000),
  widthMm: lengthMm('The width', 10, 20_000),
  heightMm: lengthMm('The height', 10, 20_000),
  clearanceMm: lengthMm('The clearance', 0, 3000),
})
export type Obstruction = z.infer<typeof obstructionSchema>
