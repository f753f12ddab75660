import { z } from 'zod'
import { shortId } from './fields'

/** Who gives the new unit for one that was found or made broken. */
export const suppliers = ['householder', 'firm', 'roofer'] as const
export type Supplier = typeof suppliers[number]
export const supplierNames: Record<Supplier, string> = { householder: 'the householder', firm: 'the firm', roofer: 'the roofer' }
export const MOST_BROKEN = 200

/** A unit of the covering that is broken: where it lies, who says so, who supplies another and when. */
export const brokenSchema = z.object({
  id: shortId,
  /** Its course from the eave, and its place in it from the left, whichever corner is the datum, 1 first. */
  course: z.number({ error: 'Type the course, counted from the eave.' }).int('A whole course.').min(1, 'Courses are counted from 1.').max(400, 'A roof has 400 courses at most.'),
  unit: z.number({ error: 'Type the unit, counted along its course.' }).int('A whole unit.').min(1, 'Units are counted from 1.').max(400, 'A course has 400 units at most.'),
  by: z.string().trim().max(80),
  supplies: z.enum(suppliers),
  on: z.iso.date('A day is written like 2026-04-30.'),
})
export type Broken = z.infer<typeof brokenSchema>
