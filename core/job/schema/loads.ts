import { z } from 'zod'
import { MS_PER_MPH, PA_PER_PSF } from '../../units'
import { freeText, lengthMm } from './fields'
import type { WordsOf } from './words'

/** A load rule set is one edition with all its parts: wind, snow, combinations and the kind of resistance that goes with them. */
export const loadEditions = ['none', 'us-2010', 'us-2016', 'us-2022', 'en'] as const
export type LoadEdition = typeof loadEditions[number]

export const roofForms = ['gable', 'hip', 'monopitch'] as const
export type RoofFormKind = typeof roofForms[number]
export const usExposures = ['B', 'C', 'D'] as const
export const riskCategories = ['I', 'II', 'III', 'IV'] as const
export type RiskCategory = typeof riskCategories[number]
/** What carries the roof from eave to ridge, where unbalanced snow depends on it. */
export const roofFramings = ['unasked', 'rafters', 'other'] as const
export type RoofFraming = typeof roofFramings[number]
export const terrains = ['0', 'I', 'II', 'III', 'IV'] as const

const STRONGEST_MPH = 300
const pa = (what: string, most: number) => z.number({ error: `${what} must be a pressure.` }).min(0, `${what} can’t be below 0.`).max(most, `${what} must be at most ${Math.round(most / PA_PER_PSF)} psf (${(most / 1000).toFixed(0)} kPa).`)
const speedMs = (least: number) => z.number({ error: 'The wind speed must be a speed.' })
  .min(least, `A basic wind speed is at least ${Math.round(least / MS_PER_MPH)} mph (${Math.round(least)} m/s).`)
  .max(STRONGEST_MPH * MS_PER_MPH, `A basic wind speed is at most ${STRONGEST_MPH} mph (${Math.round(STRONGEST_MPH * MS_PER_MPH)} m/s): check the map and the unit.`)
const ratio = (what: string, min: number, max: number) => z.number({ error: `${what} must be a number.` }).min(min, `${what} must be at least ${min}.`).max(max, `${what} must be at most ${max}.`)

/** Coefficients of one roof zone as somebody entered them: both as sizes, up is suction. */
const zoneCoefficients = z.object({ up: ratio('A coefficient', 0, 8), down: ratio('A coefficient', 0, 8) })
/** Zones that each edition names. EN letters stand for wind across the ridge, with `a` before them along it and with `b` on the high eave. */
export const zoneNames = {
  'us-2010': ['1', '2', '3'],
  'us-2016': ['1', '2e', '2n', '2r', '3e', '3r'],
  'en': ['F', 'G', 'H', 'I', 'J', 'K', 'L', 'M', 'N', 'aF', 'aG', 'aH', 'aI', 'aFu', 'aFl', 'bF', 'bG', 'bH'],
} as const
const editionWords = { 'us-2010': 'The 2010 edition', 'us-2016': 'The 2016 edition', 'en': 'EN 1991-1-4' }
/** By zone name; zones that are not in it keep the table's. A zone that the edition lacks would be dropped in silence, so it is refused. */
const coefficientsOf = (edition: keyof typeof zoneNames) => z.record(z.string().max(3), zoneCoefficients).superRefine((given, context) => {
  const names: readonly string[] = zoneNames[edition]
  for (const name of Object.keys(given)) {
    if (!names.includes(name)) context.addIssue({ code: 'custom', path: [name], message: `${editionWords[edition]} has no zone “${name}”. Its zones are ${names.join(', ')}.` })
  }
})

const zonePressures = z.object({ upPa: pa('The suction', 20_000), downPa: pa('The pressure', 20_000) })
/** An engineer's own pressures: at strength level for US editions, characteristic for EN. */
const typedWind = z.object({
  kind: z.literal('typed'), by: freeText('The source', 120),
  /** Width of the edge zone in plan, mm. */
  edgeMm: lengthMm('The edge zone', 0, 10_000),
  interior: zonePressures, edge: zonePressures, corner: zonePressures,
})
const usWind = z.object({
  kind: z.literal('computed'), speedMs: speedMs(30 * MS_PER_MPH), exposure: z.enum(usExposures),
  kzt: ratio('Kzt', 1, 3), kd: ratio('Kd', 0.8, 1), coefficients: coefficientsOf('us-2010'),
  /** Least net pressure at strength level, Pa. */
  leastPa: pa('The least pressure', 2000),
})
/** The 2016 edition's own ground elevation factor. */
const usWind2016 = usWind.extend({ ke: ratio('Ke', 0.6, 1), coefficients: coefficientsOf('us-2016') })
const enWind = z.object({
  kind: z.literal('computed'), speedMs: speedMs(10), terrain: z.enum(terrains), orography: ratio('The orography factor', 1, 2),
  /** Altitude and direction factors of the national annex, multiplied. */
  altitudeFactor: ratio('The altitude factor', 0.5, 3),
  densityKgM3: ratio('The air’s density', 1, 1.3), coefficients: coefficientsOf('en'),
})
const usSnow = z.object({ groundPa: pa('The ground snow load', 20_000), ce: ratio('Ce', 0.7, 1.2), ct: ratio('Ct', 0.85, 1.3), slippery: z.boolean() })
/** The 2022 edition's snow is at strength level and by risk category; W2 is the share of the winter with wind over 10 mph. */
const usSnow2022 = usSnow.extend({ riskCategory: z.enum(riskCategories), winterWind: ratio('W2', 0.1, 1).nullable() })
const enSnow = z.object({
  groundPa: pa('The ground snow load', 20_000), ce: ratio('Ce', 0.8, 1.2), ct: ratio('Ct', 0.5, 1),
  /** Snow guards, a parapet or the like keep it from sliding off. */
  held: z.boolean(),
  provenance: freeText('Where it comes from', 200),
})

const rulesSchema = z.discriminatedUnion('edition', [
  z.object({ edition: z.literal('none') }),
  z.object({ edition: z.literal('us-2010'), wind: z.discriminatedUnion('kind', [usWind, typedWind]), snow: usSnow.extend({ importance: ratio('Is', 0.8, 1.2) }) }),
  z.object({ edition: z.literal('us-2016'), wind: z.discriminatedUnion('kind', [usWind2016, typedWind]), snow: usSnow.extend({ importance: ratio('Is', 0.8, 1.2) }) }),
  z.object({ edition: z.literal('us-2022'), wind: typedWind, snow: usSnow2022 }),
  z.object({ edition: z.literal('en'), wind: z.discriminatedUnion('kind', [enWind, typedWind]), snow: enSnow }),
])

/** What only the place can say, and of which there is no usual value: maps and the view from the roof. Null: nobody has said, or it stands in the rules already. */
const placeLoadsSchema = z.object({
  /** Rules that are wanted here; null where nobody has asked for loads to be worked out. */
  edition: z.enum(loadEditions).exclude(['none']).nullable(),
  speedMs: speedMs(10).nullable(), exposure: z.enum(usExposures).nullable(), terrain: z.enum(terrains).nullable(),
  groundPa: pa('The ground snow load', 20_000).nullable(), riskCategory: z.enum(riskCategories).nullable(),
  /** An engineer's pressures, where the edition's own are not worked out here. */
  typed: typedWind.nullable(),
})
export type PlaceLoads = z.infer<typeof placeLoadsSchema>
/** Nobody has asked for loads at all. */
export const noPlaceLoads: PlaceLoads = { edition: null, speedMs: null, exposure: null, terrain: null, groundPa: null, riskCategory: null, typed: null }

/** What loads the array, and whose rules say so. */
export const loadsSchema = z.object({
  rules: rulesSchema,
  place: placeLoadsSchema,
  building: z.object({
    /** Null: a gable, unless a face has hips. */
    form: z.enum(roofForms).nullable(),
    /** Mean roof height for US editions, ridge height for EN; null takes the eave's height and the face's rise. */
    heightMm: lengthMm('The roof’s height', 1000, 60_000).nullable(),
    /** Across the ridge in plan; null is twice the face's own run. */
    widthMm: lengthMm('The building’s width', 1000, 200_000).nullable(),
    /** Along the ridge in plan; null is the eave's length. */
    lengthMm: lengthMm('The building’s length', 1000, 200_000).nullable(),
    /** Simply supported rafters of one section from eave to ridge, or anything else (trusses, collars, purlins). */
    framing: z.enum(roofFramings),
    /** How far the roof stands out past the wall at the eave, in plan; null where nobody has said. */
    eaveOverhangMm: lengthMm('The eave’s overhang', 0, 3000).nullable(),
  }),
  /** Whether the code or the authority asks for a licensed engineer, and whose work it rests on then. */
  engineer: z.object({ asked: z.boolean(), name: freeText('The engineer', 120) }),
})
export type Loads = z.infer<typeof loadsSchema>
export const loadsWords: WordsOf<Loads> = { rules: 'what loads the roof', place: 'the place’s wind and snow', building: 'the building’s size', engineer: 'the engineer' }
export type LoadRules = z.infer<typeof rulesSchema>
export type TypedWind = z.infer<typeof typedWind>
export type UsWind = z.infer<typeof usWind>
export type UsWind2016 = z.infer<typeof usWind2016>
export type EnWind = z.infer<typeof enWind>
export type UsSnow = z.infer<typeof usSnow>
export type UsSnow2022 = z.infer<typeof usSnow2022>
export type EnSnow = z.infer<typeof enSnow>

/** Nobody has said what loads the roof: spans are the usual ones. */
export const noLoads: Loads = {
  rules: { edition: 'none' }, place: noPlaceLoads, building: {
    form: null,
    heightMm: null,
    widthMm: null,
    lengthMm: null,
    framing: 'unasked',
    eaveOverhangMm: null,
  }, engineer: { asked: false, name: '' },
}
