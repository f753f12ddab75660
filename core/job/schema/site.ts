import { z } from 'zod'
import { freeText, lengthMm } from './fields'
import type { WordsOf } from './words'

export const accesses = ['ladder', 'tower', 'lift'] as const
export const exposures = ['sheltered', 'built-up', 'open', 'coast'] as const
export const coveringStates = ['unseen', 'sound', 'worn', 'brittle', 'failing'] as const
export const decisions = ['open', 'go-ahead', 'repair-first', 're-roof-first'] as const
export type Access = typeof accesses[number]
export type Exposure = typeof exposures[number]
export type CoveringState = typeof coveringStates[number]
export type Decision = typeof decisions[number]

/** What can hurt somebody here. */
export const hazards = ['high-eave', 'steep', 'slippery', 'fragile', 'overhead-line', 'rotten-timber', 'soft-ground', 'public-below', 'old-array-live'] as const
export type Hazard = typeof hazards[number]

/** What stops the work until somebody with the right to has cleared it. */
export const siteStops = ['asbestos', 'protected-building', 'nesting-birds', 'bats'] as const
export type SiteStop = typeof siteStops[number]

/** What has to be brought besides the parts. */
export const brings = ['ladder', 'roof-ladder', 'tower', 'lift', 'walk-boards', 'edge-protection', 'harness-anchors', 'debris-net', 'tarpaulin'] as const
export type Bring = typeof brings[number]

const azimuthDeg = z.number().min(0, 'A direction runs from 0° to 360°.').lt(360, 'A direction runs from 0° to below 360°.')
const years = z.number().int('Whole years.').min(0, 'Years start at 0.').max(200, 'At most 200 years.')

/** What people find out and decide before anyone climbs. */
export const siteSchema = z.object({
  access: z.enum(accesses).nullable(),
  accessNote: freeText('The note', 400),
  altitudeM: z.number().min(-400, 'At least −400 m.').max(4500, 'At most 4500 m.').nullable(),
  exposure: z.enum(exposures).nullable(),
  /** Direction in which the street lies from the house, degrees from north clockwise; likewise the driveway. */
  streetDeg: azimuthDeg.nullable(),
  drivewayDeg: azimuthDeg.nullable(),
  coveringState: z.enum(coveringStates),
  coveringAgeYears: years.nullable(),
  coveringYearsLeft: years.nullable(),
  decision: z.enum(decisions),
  decisionNote: freeText('The reason', 400),
  hazards: z.array(z.enum(hazards)).max(hazards.length),
  stops: z.array(z.object({
    kind: z.enum(siteStops),
    /** Who cleared it and on what paper; empty while it stands. */
    cleared: freeText('The clearance', 200),
  })).max(siteStops.length),
  bring: z.array(z.enum(brings)).max(brings.length),
  bringNote: freeText('The list', 400),
  /** Who works here, of the firm's people: the job is on their phones by itself. */
  crew: z.array(z.uuid('A person is named by an id.')).max(20, 'A crew has at most twenty people.'),
})
export type Site = z.infer<typeof siteSchema>

export const siteFactWords: WordsOf<Site> = {
  access: 'the access', accessNote: 'the site sheet', altitudeM: 'the site sheet', exposure: 'the site sheet', streetDeg: 'the street’s side', drivewayDeg: 'the driveway’s side',
  coveringState: 'the covering’s state', coveringAgeYears: 'the covering’s age', coveringYearsLeft: 'the covering’s years left', decision: 'the decision', decisionNote: 'the site sheet',
  hazards: 'the hazards', stops: 'the site’s stops', bring: 'what to bring', bringNote: 'the site sheet', crew: 'the crew',
}

export const facePlaceSchema = z.object({
  /** The way the slope faces, downhill, degrees from north clockwise. */
  azimuthDeg,
  /** Plan position of the eave's left end, mm east and north of the job's own origin. */
  eastMm: lengthMm('The place east', -200_000, 200_000),
  northMm: lengthMm('The place north', -200_000, 200_000),
  /** Height of the eave above the ground below it, mm. */
  eaveHeightMm: lengthMm('The eave’s height', 0, 40_000),
  /** Storeys below the eave. */
  storeys: z.number().int('Whole storeys.').min(1, 'At least one storey.').max(8, 'At most eight storeys.'),
})
export type FacePlace = z.infer<typeof facePlaceSchema>
