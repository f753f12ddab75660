import { z } from 'zod'
import { conductorSizes, services } from '../../catalogue/schema'
import { freeText, lengthMm, partId, shortId } from './fields'
import type { WordsOf } from './words'

/** How a group of modules is wired. */
export const wiringSystems = ['unit-each', 'unit-for-two', 'unit-for-four', 'strings', 'optimisers', 'shutdown-units'] as const
export type WiringSystem = typeof wiringSystems[number]
export const wiringSystemNames: Record<WiringSystem, string> = {
  'unit-each': 'One unit a module', 'unit-for-two': 'One unit for two modules', 'unit-for-four': 'One unit for four modules', 'strings': 'String inverter', 'optimisers': 'Strings with an optimiser a module', 'shutdown-units': 'Strings with a shutdown unit a module',
}
export const onBranches = (system: WiringSystem): boolean => system.startsWith('unit-')

/** Schools of splitting rows into branches. */
export const branchSchools = ['fill', 'even', 'rows', 'least'] as const
export type BranchSchool = typeof branchSchools[number]
export const branchSchoolNames: Record<BranchSchool, string> = { fill: 'Fill to the limit, then the rest', even: 'Even', rows: 'Whole rows', least: 'Least cable' }

/** Schools of bonding. */
export const bondingSchools = ['row-lug', 'every-rail', 'every-unit', 'washer'] as const
export type BondingSchool = typeof bondingSchools[number]
export const bondingSchoolNames: Record<BondingSchool, string> = { 'row-lug': 'One lug a row, listed clamps', 'every-rail': 'A lug on every rail', 'every-unit': 'Every rail and every unit', 'washer': 'A toothed washer a module' }

/** What lets a string stay over 80 V inside the array (NEC 690.12(B)(2)): nothing, a listed array or hazard control system, or no exposed conductive parts within 8 ft, which the 2017 and 2020 editions take. */
export const insideBy = ['none', 'listed', 'no-exposed-metal'] as const
export type InsideBy = typeof insideBy[number]

const mayBe = <T extends z.ZodType>(part: T) => part.nullable()
const tempC = (what: string) => z.number({ error: `${what} must be a temperature.` }).min(-60, `${what} must be at least −60 °C.`).max(60, `${what} must be at most 60 °C.`)

/** A group of modules that are wired one way. */
export const wireGroupSchema = z.object({
  id: shortId,
  name: z.string().trim().min(1, 'Give the group a name.').max(40),
  system: z.enum(wiringSystems),
  unitId: mayBe(partId), trunkId: mayBe(partId), inverterId: mayBe(partId),
  /** Faces whose modules are in it; none: every module that no other group has. */
  faceIds: z.array(shortId).max(20),
})
export type WireGroup = z.infer<typeof wireGroupSchema>
export const MOST_GROUPS = 8

/** Where two plugs were made or joined on the roof: what, with which tool, where, and by whom. */
export const siteEndSchema = z.object({
  id: shortId,
  place: z.string().trim().min(1, 'Say where it is, as “string 1, + end”.').max(80),
  plugs: z.string().trim().min(1, 'Name the make of the plug.').max(60),
  /** The plug that it goes into. */
  mate: z.string().trim().min(1, 'Name the make of the plug it goes into.').max(60),
  pin: freeText('The pin', 60), tool: freeText('The crimp tool', 60), by: freeText('Who made it', 80),
  /** Whether somebody pulled at it after it had clicked. */
  clicked: z.boolean(),
})
export type SiteEnd = z.infer<typeof siteEndSchema>
export const MOST_ENDS = 80

/** A module that a person put into another branch than the school would, or into another string; by its face and its own name. */
export const putInSchema = z.object({ faceId: shortId, moduleId: z.string().regex(/^row\d{1,2}-\d{1,3}$/, 'A module is named by its row and its place.'), circuit: z.number().int().min(1).max(60) })
export type PutIn = z.infer<typeof putInSchema>
export const MOST_PUT = 400

export const wiringSchema = z.object({
  service: mayBe(z.enum(services)),
  /** Greatest voltage to earth or between conductors, V; null takes the rules': 600 on a dwelling by the NEC, 1000 by the IEC. */
  mostV: z.number().min(50, 'At least 50 V.').max(1500, 'At most 1500 V.').nullable(),
  /** The lowest temperature expected (the extreme annual mean minimum of the place) and the air's on a hot day (2 % of the summer hours), °C; null where nobody has said. */
  coldC: tempC('The lowest temperature').nullable(), hotC: tempC('The hot day').nullable(),
  /** Where the home runs leave the roof; null takes the array's corner at the datum. */
  roofBox: z.object({ faceId: shortId, xMm: lengthMm('The roof box along the eave', -1000, 61_000), yMm: lengthMm('The roof box up the slope', -1000, 30_000) }).nullable(),
  school: z.enum(branchSchools),
  feed: z.enum(['end', 'middle']),
  /** Overcurrent device of each branch, A; null takes the largest that trunk and unit allow. */
  deviceA: z.number().min(6, 'At least 6 A.').max(100, 'At most 100 A.').nullable(),
  /** Device and its enclosure are listed for 100 % of the device's rating. */
  listedFull: z.boolean(),
  /** How far devices side by side in the board warm each other (IEC 61439), as a share of their rating. */
  boardShare: z.number().min(0.4, 'At least 40 %.').max(1, 'At most 100 %.'),
  bonding: z.enum(bondingSchools),
  earth: z.object({ lightning: z.boolean(), /** The country lets an array of class II go without earth. */ classTwo: z.boolean(), /** Bare earth wire is covered where it could be struck. */ guarded: z.boolean() }),
  /** Conductors of home runs, where somebody chose them; null takes the thinnest that carries the current within the drop. */
  homeSize: z.enum(conductorSizes).nullable(),
  /** Height of home runs over the covering, mm, and how many current-carrying conductors lie together. */
  overRoofMm: lengthMm('The height over the roof', 0, 1000), together: z.number().int().min(1).max(40).nullable(),
  insulation: z.enum(['90', 'xhhw-2']),
  /** The authority still reads the adder from the table of heights that came before the 2017 edition. */
  heightTable: z.boolean(),
  /** Volts lost from the farthest unit to the point of connection, as a share. */
  dropShare: z.number().min(0.002).max(0.05),
  /** Runs below the roof box up to the connection, which share that budget: their length and size; null where nobody has said. */
  below: z.object({ mm: lengthMm('The run below', 0, 200_000), size: z.enum(conductorSizes) }).nullable(),
  fourCore: z.boolean(),
  insideBy: z.enum(insideBy), insideNote: freeText('The listing', 120),
  /** Where rapid shutdown is begun, outside and within reach; empty where nobody has said. */
  initiation: freeText('Where shutdown is begun', 120),
  boxes: z.boolean(),
  groups: z.array(wireGroupSchema).max(MOST_GROUPS, `A job has at most ${MOST_GROUPS} groups.`),
  putIn: z.array(putInSchema).max(MOST_PUT),
  ends: z.array(siteEndSchema).max(MOST_ENDS, `A job has at most ${MOST_ENDS} ends made on site.`),
})
export type WiringFacts = z.infer<typeof wiringSchema>
export type WiringSettings = Omit<WiringFacts, 'groups' | 'putIn' | 'ends'>

export const wiringWords: WordsOf<WiringSettings> = {
  service: 'the service', mostV: 'the greatest voltage', coldC: 'the lowest temperature', hotC: 'the hot day', roofBox: 'the roof box', school: 'how rows are split into branches', feed: 'where trunks are fed', deviceA: 'the branches’ device', listedFull: 'whether the device is listed for 100 %', boardShare: 'the grouping in the board',
  bonding: 'how it is bonded', earth: 'the earth', homeSize: 'the home runs’ conductor', overRoofMm: 'how high home runs lie', together: 'how many conductors lie together', insulation: 'the insulation', heightTable: 'which table of roof heat is read', dropShare: 'the volts that may be lost', below: 'the runs below the roof box', fourCore: 'the four-core cable',
  insideBy: 'what lets strings stay live inside the array', insideNote: 'that listing', initiation: 'where shutdown is begun', boxes: 'the enclosures of plugs',
}

/** Nobody has chosen how it is wired. */
export const plainWiring: WiringFacts = {
  service: null, mostV: null, coldC: null, hotC: null, roofBox: null, school: 'even', feed: 'end', deviceA: null, listedFull: false, boardShare: 0.8, bonding: 'row-lug', earth: { lightning: false, classTwo: false, guarded: false }, homeSize: null, overRoofMm: 60, together: null, insulation: '90', heightTable: false,
  dropShare: 0.01, below: null, fourCore: false, insideBy: 'none', insideNote: '', initiation: '', boxes: false, groups: [], putIn: [], ends: [],
}
