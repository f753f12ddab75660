import { z } from 'zod'
import { lengthMm } from './fields'
import type { WordsOf } from './words'

/** Sets of keep-clear rules by edition; each is one edition with all its parts. */
export const ruleSets = ['plain', 'us-2018', 'us-2012', 'european', 'own'] as const
export type RuleSetId = typeof ruleSets[number]

/** How pathways from eave to ridge are asked for. */
export const pathwayRules = ['none', 'per-plane', 'per-slope'] as const
export type PathwayRule = typeof pathwayRules[number]

/** What the covered share of the roof counts: the modules' glass, or the outline of the rows with their gaps. */
export const coverages = ['glass', 'envelope'] as const
export type Coverage = typeof coverages[number]

/** Which ridge strip is built to: whichever leaves the more modules, or the one that somebody chose. */
export const ridgeChoices = ['best', 'near', 'far'] as const
export type RidgeChoice = typeof ridgeChoices[number]

export const roofAims = ['modules', 'energy'] as const
export type RoofAim = typeof roofAims[number]

const share = z.number().min(0, 'A share runs from 0 to 100 %.').max(1, 'A share runs from 0 to 100 %.')

/** Every figure of a rule set, so that any can be typed over. */
export const keepClearValuesSchema = z.object({
  /** Faces no steeper than this are outside the rules, degrees. */
  fromPitchDeg: z.number().min(0).max(75),
  pathways: z.enum(pathwayRules),
  pathwayMm: lengthMm('The pathway', 0, 3000),
  /** Pathways that the building needs, each on a plane of its own. */
  pathwaysPerBuilding: z.number().int().min(0).max(8),
  /** Strip below a level ridge while no more than a share of the roof is covered, and above it. */
  ridgeNearMm: lengthMm('The ridge strip', 0, 3000),
  ridgeFarMm: lengthMm('The ridge strip', 0, 3000),
  coverShare: share,
  coverShareSprinklers: share,
  hipValleyMm: lengthMm('The strip at hips and valleys', 0, 3000),
  /** Width kept clear below an escape opening, from the eave to it. */
  escapeMm: lengthMm('The way to an escape opening', 0, 3000),
  /** Strip along every edge, for wind and work. */
  edgeMm: lengthMm('The strip along every edge', 0, 3000),
  /** Distance from a wall that rises at the roof’s edge, a party wall among them. */
  wallMm: lengthMm('The distance from a wall', 0, 5000),
})
export type KeepClearValues = z.infer<typeof keepClearValuesSchema>

/** The rules that the whole roof is judged by. */
export const keepClearSchema = z.object({
  ruleSet: z.enum(ruleSets),
  values: keepClearValuesSchema,
  sprinklers: z.boolean(),
  coverageAs: z.enum(coverages),
  ridgeChoice: z.enum(ridgeChoices),
  /** What the roof is filled for: as many modules as may be, or most energy by the faces' typed weights. */
  aim: z.enum(roofAims),
})
export type KeepClearRules = z.infer<typeof keepClearSchema>
export const keepClearWords: WordsOf<KeepClearRules> = {
  ruleSet: 'the keep-clear rules', values: 'a keep-clear figure', sprinklers: 'the sprinklers', coverageAs: 'how cover is counted', ridgeChoice: 'the ridge strip', aim: 'what the roof is filled for',
}

/** A part of a face that somebody has reserved. */
export const reservedSchema = z.object({
  name: z.string().trim().min(1, 'Say what it is reserved for.').max(60),
  fromXMm: lengthMm('Its left edge', -30_000, 60_000), toXMm: lengthMm('Its right edge', -30_000, 60_000),
  fromYMm: lengthMm('Its lower edge', 0, 30_000), toYMm: lengthMm('Its upper edge', 0, 30_000),
}).refine(area => area.toXMm > area.fromXMm && area.toYMm > area.fromYMm, 'A reserved part must have a width and a height.')
export type Reserved = z.infer<typeof reservedSchema>
