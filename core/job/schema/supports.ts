import { z } from 'zod'
import { supportKinds } from '../../catalogue/schema'
import { lengthMm, shortId, sides } from './fields'
import type { WordsOf } from './words'

/** How a reading of a rafter was come by. Edges are the timber's, seen from outside; a pilot is drilled. */
export const hitStates = ['knock', 'edge-left', 'edge-right', 'seen', 'pilot-hit', 'pilot-miss'] as const
export type HitState = typeof hitStates[number]

/** What a person makes of a reading: on a rafter, on the second timber of a doubled one, or not to be used. */
export const hitUses = ['rafter', 'doubled', 'set-aside'] as const
export type HitUse = typeof hitUses[number]

/** One reading of where a rafter is, or with a missed pilot is not. */
export const hitSchema = z.object({
  id: shortId,
  /** Along the eave from its left end, mm. */
  xMm: lengthMm('A reading along the eave', -30_000, 60_000),
  /** Height up the slope at which it was taken, mm. */
  yMm: lengthMm('A height up the slope', 0, 30_000),
  state: z.enum(hitStates),
  use: z.enum(hitUses),
  /** Of a pilot that missed: on which side the timber was felt. */
  timber: z.enum(sides).optional(),
})
export type Hit = z.infer<typeof hitSchema>
export const MOST_HITS = 400

export const rafterFindSchema = z.object({
  /** Rafter number from the left, 1 first. */
  rafter: z.number().int().min(1).max(400),
  centreMm: lengthMm('A rafter', -2000, 62_000),
})

/** How the rafters are known: at a typed spacing, by a fit to the hit log, or each only where it was hit. */
export const rafterLayouts = ['nominal', 'fitted', 'irregular'] as const
export type RafterLayout = typeof rafterLayouts[number]

/** How true the timber stands: set by machine, by a carpenter, or long ago. */
export const timbers = ['truss', 'sawn', 'old'] as const
export type Timber = typeof timbers[number]

/** Spacings that a fit may consider. */
export const spacingsSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('nominals') }),
  z.object({ kind: z.literal('free'), fromMm: lengthMm('The least spacing', 150, 3000), toMm: lengthMm('The greatest spacing', 150, 3000) })
    .refine(range => range.toMm > range.fromMm, 'The greatest spacing must be above the least.'),
])

const raftersSchema = z.object({
  kind: z.literal(supportKinds[0]),
  layout: z.enum(rafterLayouts),
  /** Centre of rafter 1 from the eave's left end, mm. */
  firstCentreMm: lengthMm('The first rafter', 0, 5000),
  spacingMm: lengthMm('The rafter spacing', 150, 3000),
  widthMm: lengthMm('The rafter width', 19, 300),
  /** Rafters said to stand elsewhere than the typed spacing has them; used by the nominal layout. */
  found: z.array(rafterFindSchema).max(400),
  timber: z.enum(timbers),
  spacings: spacingsSchema,
  hits: z.array(hitSchema).max(MOST_HITS, `A face has at most ${MOST_HITS} hits.`),
})

/** Nails that hold a batten on each rafter it crosses. */
const battenNailsSchema = z.object({
  kind: z.enum(['smooth', 'ring-shank']),
  diameterMm: lengthMm('A nail', 1.5, 8), lengthMm: lengthMm('A nail', 25, 200), headMm: lengthMm('A nail’s head', 2, 20),
  /** Withdrawal parameter declared by the maker of ring-shank nails, N/mm²; null where nobody has it. */
  faxMpa: z.number().min(0.5, 'The withdrawal parameter is at least 0.5 N/mm².').max(25, 'The withdrawal parameter is at most 25 N/mm².').nullable(),
  perRafter: z.number().int('A whole number.').min(1, 'At least one nail.').max(6, 'At most six nails.'),
})
export type BattenNails = z.infer<typeof battenNailsSchema>

/** What a batten is and how it is held, as far as it carries an array. */
export const battenSchema = z.object({
  rafterSpacingMm: lengthMm('The rafter spacing', 150, 1500),
  /** Allowable or characteristic, by the rules in force. */
  bendingMpa: z.number().min(1, 'The bending strength is at least 1 MPa (145 psi).').max(60, 'The bending strength is at most 60 MPa (8700 psi).'),
  shearMpa: z.number().min(0.2, 'The shear strength is at least 0.2 MPa (29 psi).').max(8, 'The shear strength is at most 8 MPa (1160 psi).'),
  nails: battenNailsSchema,
})
export type BattenBuild = z.infer<typeof battenSchema>

/** A usual batten's nailing, to be typed over (common practice). */
export const plainBatten: BattenBuild = {
  rafterSpacingMm: 600,
  bendingMpa: 16,
  shearMpa: 3.2,
  nails: { kind: 'smooth', diameterMm: 3.1, lengthMm: 63, headMm: 7, faxMpa: null, perRafter: 1 },
}

/** Lines of timber across the roof. */
const acrossSchema = z.object({
  kind: z.literal('purlins'),
  member: z.enum(['purlin', 'batten']),
  /** Centre of the lowest, mm up the slope. */
  firstMm: lengthMm('The first line', 0, 10_000),
  spacingMm: lengthMm('The distance between lines', 100, 4000),
  widthMm: lengthMm('The timber width', 19, 300),
  /** Along a screw driven into it; null where nobody has measured it. */
  thicknessMm: lengthMm('The timber’s thickness', 15, 400).nullable(),
  /** How a batten is held; null where nobody has said, and for purlins. */
  batten: battenSchema.nullable(),
  found: z.array(z.object({ line: z.number().int().min(1).max(200), centreMm: lengthMm('A line', 0, 30_000) })).max(200),
})

const seamsSchema = z.object({
  kind: z.literal('seams'),
  firstMm: lengthMm('The first seam', 0, 5000),
  spacingMm: lengthMm('The distance between seams', 150, 1500),
})

const screwsSchema = z.object({
  kind: z.literal('screws'),
  firstMm: lengthMm('The first screw', 0, 5000),
  spacingMm: lengthMm('The distance between screws', 50, 2000),
  firstRowMm: lengthMm('The first row of screws', 0, 10_000),
  rowSpacingMm: lengthMm('The distance between rows of screws', 100, 4000),
})

const areaSchema = z.object({
  fromXMm: lengthMm('An area’s left edge', -30_000, 60_000), toXMm: lengthMm('An area’s right edge', -30_000, 60_000),
  fromYMm: lengthMm('An area’s lower edge', 0, 30_000), toYMm: lengthMm('An area’s upper edge', 0, 30_000),
}).refine(area => area.toXMm > area.fromXMm && area.toYMm > area.fromYMm, 'An area must have a width and a height.')

const sheathingSchema = z.object({
  kind: z.literal('sheathing'),
  thicknessMm: lengthMm('The sheathing’s thickness', 6, 60),
  /** Sound areas; none means the whole face. */
  areas: z.array(areaSchema).max(30),
})

export const supportsSchema = z.discriminatedUnion('kind', [raftersSchema, acrossSchema, seamsSchema, screwsSchema, sheathingSchema])
export type Supports = z.infer<typeof supportsSchema>
export type RafterSupports = z.infer<typeof raftersSchema>
export type PurlinSupports = z.infer<typeof acrossSchema>

/** Facts of rafters that one edit replaces; hits and finds have edits of their own, so that two people's logs never collide. */
export const rafterFacts = raftersSchema.omit({ kind: true, found: true, hits: true }).partial()
export const rafterWords: WordsOf<z.infer<typeof rafterFacts>> = {
  layout: 'how the rafters are known', firstCentreMm: 'the first rafter', spacingMm: 'the rafter spacing', widthMm: 'the timber width', timber: 'the kind of timber', spacings: 'the spacings looked for',
}
