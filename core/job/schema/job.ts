import { z } from 'zod'
import { STEEPEST_PITCH_DEG } from '../../units'
import { arraySchema } from './array'
import { brokenSchema, MOST_BROKEN } from './broken'
import { codesSchema } from './codes'
import { coveringSchema } from './covering'
import { lengthMm, shortId, sides } from './fields'
import { groundSchema } from './ground'
import { inRoofFactsSchema } from './in-roof'
import { feetSchema } from './feet'
import { loadoutSchema } from './loadout'
import { loadsSchema } from './loads'
import { followingSchema, logEntrySchema, MOST_LOG } from './log'
import { keepClearSchema, reservedSchema } from './keepclear'
import { obstructionSchema } from './obstruction'
import { outlineSchema } from './outline'
import { MOST_PROOF, proofEntrySchema } from './proof'
import { setbacksSchema } from './setbacks'
import { facePlaceSchema, siteSchema } from './site'
import { supportsSchema } from './supports'
import { timberSchema } from './timber'
import { vanSchema } from './van'
import { wiringSchema } from './wiring'
import type { WordsOf } from './words'

export const faceSchema = z.object({
  id: shortId,
  name: z.string().trim().min(1, 'Give the face a name.').max(60),
  outline: outlineSchema,
  pitchDeg: z.number().gt(0, 'The pitch must be above 0°.').max(STEEPEST_PITCH_DEG, `The pitch must be at most ${STEEPEST_PITCH_DEG}°.`),
  /** Where and how the face lies on the house. */
  place: facePlaceSchema,
  covering: coveringSchema,
  supports: supportsSchema,
  timber: timberSchema,
  setbacks: setbacksSchema,
  /** What a module here yields beside one on the best face, 0 to 1: a typed weight until the weather is computed. */
  yieldShare: z.number().min(0, 'A share runs from 0 to 100 %.').max(1, 'A share runs from 0 to 100 %.'),
  /** Strip along every edge of this face for its wind zone, mm. */
  windStripMm: lengthMm('The wind strip', 0, 3000),
  reserved: z.array(reservedSchema).max(20, 'A face has at most twenty reserved parts.'),
  /** A wish: the array's lower edge no farther from the eave than this, mm; null for none. */
  lowEdgeMm: lengthMm('The wish', 0, 10_000).nullable(),
  /** Units of the covering that were found or made broken. */
  broken: z.array(brokenSchema).max(MOST_BROKEN, `A face has at most ${MOST_BROKEN} broken units.`),
  obstructions: z.array(obstructionSchema).max(60, 'A face has at most sixty obstructions.'),
  /** The corner at the eave where both tapes start. */
  datum: z.enum(sides),
  array: arraySchema,
  /** An array that takes the covering's place; null for one on rails above it. */
  inRoof: inRoofFactsSchema.nullable(),
  /** How far its feet can be set. */
  feet: feetSchema,
  /** What the crew follows, from the first hole on; null before. */
  following: followingSchema.nullable(),
})

export const MOST_FACES = 20
export const MOST_WANTED = 400

/** A job: what people know and decide. What follows from it is the plan, which is never stored as truth. */
export const jobSchema = z.object({
  format: z.literal('upper-deck-job'),
  formatVersion: z.literal(1),
  title: z.string().trim().min(1, 'Give the job a name.').max(80),
  place: z.string().trim().max(80),
  units: z.enum(['imperial', 'metric']),
  codes: codesSchema,
  /** Modules asked for on the whole roof; null fills it. */
  wanted: z.number({ error: 'Type how many modules are wanted.' }).int('Whole modules only.').min(1, 'At least one module.').max(MOST_WANTED, `At most ${MOST_WANTED} modules.`).nullable(),
  /** Facts that stand at a usual size and nobody has read or decided, as the keys that edits touch. */
  assumed: z.array(z.string().max(120)).max(200),
  site: siteSchema,
  keepClear: keepClearSchema,
  loads: loadsSchema,
  van: vanSchema,
  loadout: loadoutSchema,
  wiring: wiringSchema,
  /** From the roof box to the meter; null until somebody begins with it. */
  ground: groundSchema.nullable(),
  /** What the crew says from the roof, in the order in which it arrived. */
  log: z.array(logEntrySchema).max(MOST_LOG, `The roof log has at most ${MOST_LOG} entries.`),
  /** What was said in proof of what was built: serial numbers, tests, papers, in the order in which it arrived. */
  proof: z.array(proofEntrySchema).max(MOST_PROOF, `The proof has at most ${MOST_PROOF} entries.`),
  faces: z.array(faceSchema).min(1, 'A job has at least one face.').max(MOST_FACES, `A job has at most ${MOST_FACES} faces.`),
}).superRefine((job, context) => {
  const seen = new Set<string>()
  job.faces.forEach((face, index) => {
    if (seen.has(face.id)) context.addIssue({ code: 'custom', path: ['faces', index, 'id'], message: `Two faces have the id “${face.id}”.` })
    seen.add(face.id)
  })
})

export type Job = z.infer<typeof jobSchema>
export type Face = z.infer<typeof faceSchema>

/** A face's own facts; its array has words of its own. */
export const faceWords: WordsOf<Omit<Face, 'id' | 'array' | 'inRoof' | 'following'>> = {
  name: 'the face’s name', outline: 'the face’s size', pitchDeg: 'the pitch', place: 'where the face lies', covering: 'the covering', supports: 'what it is fixed to', timber: 'the timber', setbacks: 'the setbacks',
  yieldShare: 'how much the face yields', windStripMm: 'the wind strip', reserved: 'the reserved parts', lowEdgeMm: 'the wish for the lower edge', broken: 'the broken units', obstructions: 'what stands on the face', datum: 'the datum corner', feet: 'how far feet can be set',
}
export const jobWords: WordsOf<Pick<Job, 'title' | 'place' | 'units' | 'codes' | 'wanted'>> = { title: 'the job’s name', place: 'the place', units: 'the units', codes: 'the adopted codes', wanted: 'how many modules are wanted' }
