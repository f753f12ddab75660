import { z } from 'zod'
import { itemId, mm, price } from './fields'
import { shelved } from './source'

/** What a house is served with: two legs of 120 V, two phases of a 208 V star, or one phase of 230 V. */
export const services = ['split-240', 'wye-208', 'single-230'] as const
export type Service = typeof services[number]
export const serviceVolts: Record<Service, number> = { 'split-240': 240, 'wye-208': 208, 'single-230': 230 }
export const serviceNames: Record<Service, string> = { 'split-240': '240 V split phase', 'wye-208': '208 V of a star', 'single-230': '230 V one phase' }

/** A unit that makes mains current at the module, one that only sets its voltage, or one that only lets go of the string when told. */
export const unitKinds = ['ac-unit', 'optimiser', 'shutdown'] as const
export type UnitKind = typeof unitKinds[number]
export const unitKindNames: Record<UnitKind, string> = { 'ac-unit': 'Makes mains current', 'optimiser': 'Optimiser on a string', 'shutdown': 'Shutdown unit on a string' }

const perService = <T extends z.ZodType>(figure: T) => z.object({ 'split-240': figure, 'wye-208': figure, 'single-230': figure })
const amps = (most: number) => z.number().positive().max(most)
const volts = (most: number) => z.number().positive().max(most)

/** Electronics under modules, by their maker. Lengths in mm; a unit's width runs along its rail. */
export const electronicsSchema = z.object({
  ...shelved,
  kind: z.enum(unitKinds),
  /** What it is bolted to; a module that comes with its unit needs none. */
  on: z.enum(['rail', 'frame', 'module']),
  /** Modules that one takes. */
  modules: z.union([z.literal(1), z.literal(2), z.literal(4)]),
  /** Rated continuous output current at each service, A; null where it is not made for it, or makes no mains current. */
  outA: perService(amps(40).nullable()),
  /** Most on one branch by its maker; null where it gives none. */
  mostPerBranch: perService(z.number().int().min(1).max(60).nullable()),
  /** The largest overcurrent device that a branch of it may have, A; null where its maker gives none. */
  mostDeviceA: amps(100).nullable(),
  /** What its inputs take: greatest open-circuit voltage, short-circuit current and module power. */
  inV: volts(1500), inA: amps(60).nullable(), inW: z.number().positive().max(2000).nullable(),
  /** Units on a string: how many there must and may be on one, and its greatest power; null where nothing is said, or for a branch. */
  string: z.object({ least: z.number().int().min(1).max(60), most: z.number().int().min(1).max(60), mostW: z.number().positive().max(30_000).nullable() }).nullable(),
  /** Volts that one leaves on its output when it has been told to let go, and before it is told to begin; null for a branch. */
  standbyV: z.number().min(0).max(80).nullable(),
  wideMm: mm(20, 500), highMm: mm(20, 500), deepMm: mm(5, 120),
  massKg: z.number().min(0).max(20), price,
  /** Its own leads: towards each module, and along the string to the next unit; null where it has none there. */
  inLeadMm: mm(0, 3000), outLeadMm: mm(0, 3000).nullable(),
  /** Which side goes up, and where its cable leaves, as it lies under the module. */
  up: z.enum(['label', 'either']), drop: z.enum(['left', 'right', 'below']),
  bolt: z.object({ name: z.string().trim().min(1).max(80), torqueNm: z.number().positive().max(60) }).nullable(),
  /** By what it is listed as rapid-shutdown equipment; null where it is not. */
  shutdown: z.string().trim().min(3).max(120).nullable(),
  /** Whether its bolt joins its case to the rail by its listing, so that it needs no lug. */
  bonds: z.boolean(),
  /** Make of the plugs on its leads. */
  plugs: z.string().trim().min(1).max(60),
}).superRefine(({ kind, outA, string, outLeadMm, standbyV }, context) => {
  const refuse = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message })
  if (kind === 'ac-unit' && services.every(service => outA[service] === null)) refuse(['outA'], 'A unit that makes mains current has an output current at one service at least.')
  if (kind !== 'ac-unit' && (!string || outLeadMm === null || standbyV === null)) refuse(['string'], 'A unit on a string needs how many a string takes, its leads along the string and what it leaves there when it lets go.')
  if (string && string.most < string.least) refuse(['string', 'most'], 'The most on a string is under the least.')
})
export type Electronics = z.infer<typeof electronicsSchema>

/** Sizes of copper conductors, thinnest first, as each side of the ocean calls them. */
export const awgSizes = ['14', '12', '10', '8', '6', '4'] as const
export const mm2Sizes = ['2.5', '4', '6', '10', '16'] as const
export const conductorSizes = [...awgSizes.map(size => `${size} AWG` as const), ...mm2Sizes.map(size => `${size} mm²` as const)] as const
export type ConductorSize = typeof conductorSizes[number]
export const isAwg = (size: ConductorSize): boolean => size.endsWith('AWG')

/** Cable that joins the units of a branch, bought by its drops: one plug for each unit, so far apart. */
export const trunkSchema = z.object({
  ...shelved,
  /** The units that plug into it. */
  unitIds: z.array(itemId).min(1, 'Say which units plug into it.').max(20),
  /** The way modules lie for which its drops are far enough apart. */
  for: z.enum(['upright', 'on-side', 'either']),
  /** Cable between two drops, mm. */
  spacingMm: mm(300, 4000),
  /** The current it is listed for, A. */
  listedA: amps(60),
  conductor: z.enum(conductorSizes),
  /** Of one drop with its cable. */
  price, massKg: z.number().min(0).max(5),
})
export type Trunk = z.infer<typeof trunkSchema>

/** An inverter for strings, by its data sheet. */
export const inverterSchema = z.object({
  ...shelved,
  /** Greatest input voltage, its window for full power, and what it starts at, V. */
  mostV: volts(1500), windowV: z.object({ from: volts(1500), to: volts(1500) }), startV: volts(1500),
  /** Trackers: strings that each takes side by side, its greatest working current and the short-circuit current it stands, A. */
  trackers: z.array(z.object({ inputs: z.number().int().min(1).max(6), workingA: amps(100), shortA: amps(200) })).min(1, 'Give one tracker at least.').max(6),
  acW: z.number().positive().max(30_000), outA: perService(amps(150).nullable()),
  /** The most array power it allows, W; null where its maker says nothing. */
  mostDcW: z.number().positive().max(60_000).nullable(),
  /** With optimisers: the voltage it holds a string at; null where it takes none. */
  heldV: volts(1500).nullable(),
  /** Units that work with it; empty where any shutdown unit does. */
  unitIds: z.array(itemId).max(20),
  massKg: z.number().positive().max(120), price,
}).superRefine(({ mostV, windowV, startV }, context) => {
  const refuse = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message })
  if (windowV.to <= windowV.from) refuse(['windowV', 'to'], 'The window ends below where it begins.')
  if (windowV.to > mostV) refuse(['windowV', 'to'], `The window ends at ${windowV.to} V, over the greatest input, ${mostV} V.`)
  if (startV > mostV) refuse(['startV'], 'It would start only over its greatest input.')
})
export type Inverter = z.infer<typeof inverterSchema>
