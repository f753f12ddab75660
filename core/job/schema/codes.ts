import { z } from 'zod'
import { type ElectricalEdition, electricalEditions } from '../../electrical'

export { type ElectricalEdition, electricalEditions }

/** Editions of the model codes that an authority may have adopted: building and fire together, and electrical. */
export const buildingEditions = ['2018', '2021', '2024'] as const
export type BuildingEdition = typeof buildingEditions[number]

/** Whose rules a place has adopted, as one set; nobody has said so yet, or the job was written before it was asked. */
export const codesSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('unsaid') }),
  z.object({ kind: z.literal('us'), building: z.enum(buildingEditions), electrical: z.enum(electricalEditions) }),
  z.object({ kind: z.literal('european') }),
])
export type Codes = z.infer<typeof codesSchema>
