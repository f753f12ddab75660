import { z } from 'zod'
import { freeText, lengthMm, partId, shortId } from './fields'

export const MOST_PROOF = 6000
/** Units that a gateway's report may name. */
export const MOST_SEEN = 400

/** Who said it and when, by his device's clock. */
const said = { id: shortId, by: freeText('A name', 80), at: z.iso.datetime('A time is written like 2026-05-04T09:30:00Z.') }
/** A place on a face, mm along the eave from its left end and up the slope: the middle of a module or of a unit under it. */
const place = { faceId: shortId, xMm: lengthMm('A place along the eave', -30_000, 60_000), yMm: lengthMm('A height up the slope', 0, 30_000) }
const day = z.iso.date('A day is written like 2026-04-30.')
const reading = (what: string, unit: string, most: number) => z.number({ error: `Type ${what[0]!.toLowerCase()}${what.slice(1)} in ${unit}.` }).min(0, `${what} can’t be under 0 ${unit}.`).max(most, `${what} can’t be over ${most} ${unit}.`)
const volts = (what: string) => reading(what, 'V', 1600)

/** Light and warmth with which a reading was taken: irradiance in the array's plane, W/m², and the temperature of cells, °C. */
export const lightSchema = z.object({ gWm2: reading('The irradiance', 'W/m²', 1600), cellC: z.number({ error: 'Type the cells’ temperature.' }).min(-40, 'Cells are at least −40 °C.').max(110, 'Cells are at most 110 °C.') })
export type Light = z.infer<typeof lightSchema>

/** A circuit as it was when something was said of it: its number, how many modules it had and which were at its ends. What has become another circuit is so known. */
export const circuitTagSchema = z.object({ number: z.number().int().min(1).max(60), count: z.number().int().min(1).max(400), first: z.string().max(90), last: z.string().max(90) })
export type CircuitTag = z.infer<typeof circuitTagSchema>

/** What something is said of. */
export const subjectSchema = z.discriminatedUnion('of', [
  z.object({ of: z.literal('job') }),
  z.object({ of: z.literal('face'), faceId: shortId }),
  z.object({ of: z.literal('circuit'), tag: circuitTagSchema }),
  z.object({ of: z.literal('thing'), thingId: shortId }),
])
export type Subject = z.infer<typeof subjectSchema>

/** An insulation resistance, MΩ; over the instrument's range it is a lower bound and nothing more. */
export const resistanceSchema = z.object({ mohm: reading('The insulation', 'MΩ', 100_000), atLeast: z.boolean() })
export type Resistance = z.infer<typeof resistanceSchema>

/** What units on a string do while it is read: there are none, they stand by, or they were told to begin. */
export const unitStates = ['none', 'standby', 'enabled'] as const
export type UnitState = typeof unitStates[number]
/** Insulation is tested from − and then from + to earth, or from both joined (IEC 62446-1, methods 1 and 2). */
export const insulationMethods = ['each', 'joined'] as const
export type InsulationMethod = typeof insulationMethods[number]

/** What a test found, by its step. */
export const foundSchema = z.discriminatedUnion('step', [
  z.object({ step: z.literal('continuity'), ohm: reading('The resistance', 'Ω', 1000) }),
  z.object({ step: z.literal('polarity'), right: z.boolean() }),
  z.object({ step: z.literal('combiner'), right: z.boolean() }),
  z.object({ step: z.literal('voc'), volts: volts('The open-circuit voltage'), light: lightSchema, units: z.enum(unitStates) }),
  z.object({ step: z.literal('isc'), amps: reading('The short-circuit current', 'A', 400), light: lightSchema }),
  z.object({ step: z.literal('switch'), opens: z.boolean() }),
  z.object({ step: z.literal('insulation'), method: z.enum(insulationMethods), testV: volts('The test voltage'), minus: resistanceSchema, plus: resistanceSchema.nullable() }),
  z.object({ step: z.literal('mains-polarity'), right: z.boolean() }),
  z.object({ step: z.literal('mains-volts'), volts: volts('The voltage') }),
  z.object({ step: z.literal('rcd'), ratedMa: reading('The rated residual current', 'mA', 1000), ms: reading('The time at its rated current', 'ms', 5000), fiveMs: reading('The time at five times that', 'ms', 5000) }),
  z.object({ step: z.literal('loop'), ohm: reading('The loop impedance', 'Ω', 2000) }),
  z.object({ step: z.literal('phase-order'), right: z.boolean() }),
  z.object({ step: z.literal('ground-fault'), armed: z.boolean() }),
  z.object({ step: z.literal('arc-fault'), armed: z.boolean() }),
  z.object({ step: z.literal('mains-loss'), stops: z.boolean(), seconds: reading('The time', 's', 3600) }),
  z.object({ step: z.literal('shutdown'), volts: volts('The voltage that was left'), seconds: reading('The time', 's', 600) }),
])
export type Found = z.infer<typeof foundSchema>
export type FoundOf<S extends Found['step']> = Extract<Found, { step: S }>
export type TestStep = Found['step']

/** What a reading came to, and the band of a good one where it has one; no upper end where more is better. */
const judgedSchema = z.object({ state: z.enum(['pass', 'caution', 'fail']), band: z.object({ from: z.number(), to: z.number().nullable(), unit: z.string().max(10) }).nullable() })
export type Judged = z.infer<typeof judgedSchema>

/** What has to be so before a test may be made, ticked by whoever made it so. */
export const readyWhats = ['far-end-open', 'no-load', 'electronics-off'] as const
export type ReadyWhat = typeof readyWhats[number]
/** The other end of a circuit: joined to its inverter or device, opened again, or capped and tagged until a later stage. */
export const endStates = ['joined', 'opened', 'capped'] as const

export const serialOf = ['module', 'unit'] as const
export const serialVias = ['scanned', 'typed', 'map'] as const
const serial = z.string().trim().min(4, 'A serial number has 4 signs at least.').max(40, 'A serial number has at most 40 signs.').regex(/^[A-Z0-9./-]+$/, 'A serial number has capitals, figures, dots, strokes and dashes.')

/** Papers in the order in which a job usually needs them. */
export const paperKinds = ['permit', 'grid-consent', 'rough-inspection', 'inspection', 'letter', 'utility', 'meter', 'energise'] as const
export type PaperKind = typeof paperKinds[number]
export const paperStates = ['asked', 'booked', 'granted', 'refused', 'not-needed'] as const

export const visitReasons = ['fault', 'swap', 'extension', 'check'] as const
/** How the grid's profile stands on a unit: set, sent and not taken yet, or none. */
export const profileStates = ['set', 'pending', 'none'] as const
const seenUnit = z.object({
  serial, /** 0 none to 5 full. */ signal: z.number().min(0).max(5), profile: z.enum(profileStates),
  /** What it makes, W; null where it says nothing. */
  watts: z.number().min(0).max(3000).nullable(),
})
export type SeenUnit = z.infer<typeof seenUnit>

/**
 * One thing said in proof that what was built is right: serial numbers, readings, what was commissioned, papers, what is still open. Nothing is
 * altered: who says it anew adds an entry, and what was wrong is taken out.
 */
export const proofEntrySchema = z.discriminatedUnion('kind', [
  /** Goods counted and looked at before anything is lifted. */
  z.object({
    ...said, kind: z.literal('goods'), partId, ordered: z.number().int().min(0).max(2000), counted: z.number().int().min(0).max(2000),
    glass: z.boolean(), frame: z.boolean(), label: z.boolean(), secondHand: z.boolean(), words: freeText('What was seen', 300),
  }),
  /** A module measured on the ground: what was used before is measured before it is lifted. */
  z.object({ ...said, kind: z.literal('bench'), serial, partId, volts: volts('The open-circuit voltage'), amps: reading('The short-circuit current', 'A', 40), light: lightSchema }),
  z.object({ ...said, kind: z.literal('serial'), ...place, what: z.enum(serialOf), serial, /** The part that its label names. */ partId, via: z.enum(serialVias) }),
  z.object({ ...said, kind: z.literal('serial-off'), ...place, what: z.enum(serialOf), serial }),
  z.object({ ...said, kind: z.literal('ready'), subject: subjectSchema, what: z.enum(readyWhats) }),
  z.object({ ...said, kind: z.literal('end'), subject: subjectSchema, state: z.enum(endStates), /** What its tag says. */ tag: freeText('The tag', 120), until: day.nullable() }),
  z.object({
    ...said, kind: z.literal('test'), subject: subjectSchema, found: foundSchema, instrument: freeText('The instrument', 80),
    /** As it was judged when it was said, by the plan and the shelf of that day; null where nobody judged it. */
    judged: judgedSchema.nullable().default(null),
  }),
  /** A lug or terminal with a calibrated tool: once, and marked so that it shows when it turns. */
  z.object({ ...said, kind: z.literal('torque'), thingId: shortId, terminal: z.string().trim().min(1, 'Name the terminal.').max(60), torqueNm: z.number({ error: 'Type the torque.' }).positive('A torque is above nought.').max(100), tool: z.string().trim().min(1, 'Name the tool.').max(60), calibratedTo: day, marked: z.boolean(), /** By whose word it was tightened a second time; empty for the first. */ againBy: freeText('Who allows it', 120) }),
  z.object({ ...said, kind: z.literal('gateway'), powered: z.boolean(), online: z.boolean(), indoors: z.boolean(), nearPanel: z.boolean(), updating: z.boolean() }),
  z.object({ ...said, kind: z.literal('report'), units: z.array(seenUnit).max(MOST_SEEN), gWm2: reading('The irradiance', 'W/m²', 1600).nullable() }),
  z.object({ ...said, kind: z.literal('password'), what: freeText('What it is the password of', 60) }),
  z.object({ ...said, kind: z.literal('photograph'), photoId: z.uuid(), wanted: z.string().max(120), caption: freeText('The caption', 200) }),
  z.object({ ...said, kind: z.literal('paper'), paper: z.enum(paperKinds), state: z.enum(paperStates), on: day, due: day.nullable(), who: freeText('Who deals with it', 80), number: freeText('Its number', 60), photoId: z.uuid().nullable() }),
  z.object({ ...said, kind: z.literal('item'), words: z.string().trim().min(1, 'Say what is open.').max(300), who: z.string().trim().min(1, 'Say who does it.').max(80), due: day.nullable() }),
  z.object({ ...said, kind: z.literal('item-done'), itemId: shortId }),
  /** Storage begins alone, strings follow months later. */
  z.object({ ...said, kind: z.literal('stage'), storageAlone: z.boolean() }),
  z.object({ ...said, kind: z.literal('handed-over'), to: z.string().trim().min(1, 'Say to whom it is handed over.').max(80), on: day, /** Whom to call, with the number. */ calls: freeText('Whom to call', 160) }),
  /** A job that was handed over is opened again. */
  z.object({ ...said, kind: z.literal('visit'), why: z.enum(visitReasons), words: freeText('What it is about', 300) }),
])
export type ProofEntry = z.infer<typeof proofEntrySchema>
export type ProofKind = ProofEntry['kind']
export type ProofOf<K extends ProofKind> = Extract<ProofEntry, { kind: K }>
