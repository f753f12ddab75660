import { z } from 'zod'
import { lengthMm } from '../../units/length-schema'
import { shelved } from './source'

export const coveringKinds = ['coursed-shingle', 'interlocking-tile', 'plain-tile', 'slate', 'pressed-metal-tile', 'screwed-sheet', 'standing-seam', 'felt-and-battens'] as const
export type CoveringKind = typeof coveringKinds[number]
/** Coverings as they are named to a person. */
export const coveringNames: Record<CoveringKind, string> = {
  'coursed-shingle': 'Coursed shingle', 'interlocking-tile': 'Interlocking tile', 'plain-tile': 'Plain tile', 'slate': 'Slate',
  'pressed-metal-tile': 'Pressed metal tile', 'screwed-sheet': 'Screwed metal sheet', 'standing-seam': 'Standing seam', 'felt-and-battens': 'Felt and battens (for an in-roof array)',
}
export const nailings = ['centre', 'head'] as const
export type Nailing = typeof nailings[number]

/** Kinds of seams, and of pressed metal tiles by the shape that hooks are made for. */
export const profiles = ['double-lock', 'snap-lock', 'bulb', 'pan', 'shake', 'slate-like'] as const
export type Profile = typeof profiles[number]
export const profileNames: Record<Profile, string> = { 'double-lock': 'Double-lock seam', 'snap-lock': 'Snap-lock seam', 'bulb': 'Bulb seam', 'pan': 'Pan tile', 'shake': 'Shake', 'slate-like': 'Slate-like' }
const seamProfiles = ['double-lock', 'snap-lock', 'bulb'] as const
const pressedProfiles = ['pan', 'shake', 'slate-like'] as const

const gaugeMm = lengthMm('The gauge', 50, 900)
const coverWidthMm = lengthMm('The cover width', 80, 1400)

/** The measures of each kind that are the same wherever it lies. */
export const coveringMeasures = {
  shingle: z.object({
    kind: z.literal('coursed-shingle'),
    /** Height of a course that shows, mm. */
    exposureMm: lengthMm('The exposure', 50, 500),
    /** Width of one tab where it is laid in tabs; null where a course runs through. */
    tabMm: lengthMm('The tab', 80, 600).nullable().default(null),
  }),
  interlocking: z.object({
    kind: z.literal('interlocking-tile'), gaugeMm, coverWidthMm, lengthMm: lengthMm('The tile’s length', 150, 900),
    /** The flat pan in which a hook's arm may leave, mm from the tile's left edge. */
    pan: z.object({ fromMm: lengthMm('The pan', 0, 600), toMm: lengthMm('The pan', 0, 600) }).refine(pan => pan.toMm > pan.fromMm, 'The pan must end to the right of where it begins.'),
  }),
  plain: z.object({ kind: z.literal('plain-tile'), gaugeMm, coverWidthMm, lengthMm: lengthMm('The tile’s length', 150, 500) }),
  slate: z.object({
    kind: z.literal('slate'),
    lengthMm: lengthMm('The slate’s length', 150, 900),
    coverWidthMm,
    /** How far a slate reaches over the next but one below, mm. */
    lapMm: lengthMm('The lap', 40, 200),
    nailing: z.enum(nailings),
    /** False for slates that must not be cut: asbestos cement, or what nobody can tell from it. */
    mayCut: z.boolean().default(true),
  }),
  pressed: z.object({ kind: z.literal('pressed-metal-tile'), gaugeMm, coverWidthMm, profile: z.enum(pressedProfiles).default('pan') }),
  sheet: z.object({
    kind: z.literal('screwed-sheet'), coverWidthMm,
    /** Distance between ribs, mm. */
    ribMm: lengthMm('The rib distance', 20, 500),
  }),
  seam: z.object({ kind: z.literal('standing-seam'), coverWidthMm, profile: z.enum(seamProfiles).default('double-lock') }),
  /** Felt and battens by the roofer, for an array that replaces the covering. */
  battens: z.object({ kind: z.literal('felt-and-battens'), gaugeMm }),
}

/** Refuses a slate whose lap leaves nothing of it. */
export function lapFits(covering: { kind: string, lengthMm?: number, lapMm?: number }, context: z.RefinementCtx): void {
  if (covering.kind === 'slate' && covering.lengthMm! - covering.lapMm! < 120) context.addIssue({
    code: 'custom', path: ['lapMm'], message: 'The lap leaves nothing of the slate: it must be at least 120 mm (4 3/4 in) less than the slate’s length.',
  })
}

const { shingle, interlocking, plain, slate, pressed, sheet, seam, battens } = coveringMeasures
export const coveringSizeSchema = z.discriminatedUnion('kind', [shingle, interlocking, plain, slate, pressed, sheet, seam, battens]).superRefine(lapFits)
export type CoveringSize = z.infer<typeof coveringSizeSchema>

/** A covering as it is sold, with its usual sizes: a roof takes them over, and the tape has the last word. */
export const coveringItemSchema = z.object({ ...shelved, size: coveringSizeSchema })
export type CoveringItem = z.infer<typeof coveringItemSchema>
