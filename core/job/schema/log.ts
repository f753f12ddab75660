import { z } from 'zod'
import { suppliers } from './broken'
import { freeText, lengthMm, shortId, sides } from './fields'
import { coveringSteps } from './steps'

export const MOST_LOG = 4000

/** Who said it and when by his phone's clock; every entry is about one face. */
const said = { id: shortId, faceId: shortId, by: freeText('A name', 80), at: z.iso.datetime('A time is written like 2026-05-04T09:30:00Z.') }
/** A place on the face, mm along the eave from its left end and up the slope. */
const place = { xMm: lengthMm('A place along the eave', -30_000, 60_000), yMm: lengthMm('A height up the slope', 0, 30_000) }

/** What came up the bit: pale dust is timber, dark is covering or felt. */
export const dusts = ['pale', 'dark', 'none'] as const
export const drivers = ['wrench', 'drill', 'impact'] as const
export const damageKinds = ['module', 'tile', 'other'] as const
export const pauseReasons = ['rain', 'day', 'break'] as const
export const mendedWith = ['new', 'lent'] as const
/** Where a temperature and whether it is dry were had from. */
export const weatherSources = ['thermometer', 'forecast', 'typed'] as const

/** Kinds of what a crew says of a face, each a line of the roof log. Nothing in the log is altered: what was wrong is taken out, and what two people say differently is settled. */
export const logEntrySchema = z.discriminatedUnion('kind', [
  /** A hole drilled for a fixing: in timber or beside it. */
  z.object({ ...said, kind: z.literal('hole'), ...place, result: z.enum(['hit', 'miss']), /** Which way the timber lies, seen from outside, where one that missed felt it. */ timber: z.enum(sides).nullable(), dust: z.enum(dusts).nullable() }),
  z.object({ ...said, kind: z.literal('seal'), holeId: shortId }),
  /** A hole in timber that nothing stands in any more. */
  z.object({ ...said, kind: z.literal('give-up'), holeId: shortId }),
  /** A step of closing the covering round a fixing, done or not. */
  z.object({ ...said, kind: z.literal('closure'), holeId: shortId, step: z.enum(coveringSteps), done: z.boolean() }),
  /** The rail seat's height above the covering once the foot is set. */
  z.object({ ...said, kind: z.literal('height'), holeId: shortId, heightMm: lengthMm('The height of a foot', 0, 600) }),
  z.object({ ...said, kind: z.literal('torque'), holeId: shortId, torqueNm: z.number({ error: 'Type the torque.' }).positive('A torque is above nought.').max(200, 'At most 200 N·m (148 lb·ft).'), driver: z.enum(drivers), wrench: freeText('The wrench', 60) }),
  /** A support seen with the covering open. */
  z.object({ ...said, kind: z.literal('seen'), ...place }),
  /** A rail's pieces cut or laid: what lies between its ends and joints can't be cut anew. */
  z.object({
    ...said, kind: z.literal('rail'), way: z.enum(['across', 'up']), lineMm: lengthMm('A rail’s line', -30_000, 60_000),
    fromMm: lengthMm('A rail’s end', -30_000, 60_000), toMm: lengthMm('A rail’s end', -30_000, 60_000), splicesMm: z.array(lengthMm('A splice', -30_000, 60_000)).max(40), state: z.enum(['cut', 'placed']),
  }),
  /** A module laid or taken off again, by its middle. */
  z.object({ ...said, kind: z.literal('module'), ...place, state: z.enum(['laid', 'lifted']) }),
  /** A gap read at a fixing: from a stretched string down to the foot's seat, or a height by the meter. */
  z.object({ ...said, kind: z.literal('gap'), ...place, gapMm: lengthMm('A gap', -500, 1000), from: z.enum(['string', 'meter']) }),
  z.object({
    ...said, kind: z.literal('damage'), what: z.enum(damageKinds), place: z.object(place).nullable(), words: freeText('What is broken', 300), doneBy: freeText('Who did it', 80),
    supplies: z.enum(suppliers), due: z.iso.date('A day is written like 2026-04-30.').nullable(), photoId: z.uuid().nullable(),
  }),
  /** What was broken is made good, or a sound unit from under the array mends it and a new one goes back there. */
  z.object({ ...said, kind: z.literal('mended'), damageId: shortId, with: z.enum(mendedWith) }),
  z.object({ ...said, kind: z.literal('note'), holeId: shortId.nullable(), words: freeText('A note', 600) }),
  z.object({ ...said, kind: z.literal('photograph'), holeId: shortId.nullable(), photoId: z.uuid(), step: freeText('A step', 60) }),
  z.object({ ...said, kind: z.literal('pause'), why: z.enum(pauseReasons) }),
  z.object({ ...said, kind: z.literal('resume') }),
  z.object({ ...said, kind: z.literal('weather'), airC: z.number().min(-60).max(70), surface: z.enum(['dry', 'damp', 'wet', 'frost']), from: z.enum(weatherSources) }),
  /** Of things said differently about one hole, which holds. */
  z.object({ ...said, kind: z.literal('settle'), holdsId: shortId, overId: shortId }),
])
export type LogEntry = z.infer<typeof logEntrySchema>
export type LogKind = LogEntry['kind']
export type LogOf<K extends LogKind> = Extract<LogEntry, { kind: K }>

const spot = z.object(place)

/**
 * The layout that a crew follows up there: where the array stood and where fixings and splices were to be when the first hole was drilled.
 * Once it is there, the plan is made again round the holes with as few changes from it as can be.
 */
export const followingSchema = z.object({
  /** Of the mark-out that was in hand; null where none was issued. */
  revision: z.number().int().min(1).nullable(),
  shiftMm: lengthMm('The shift of the array', -60_000, 60_000),
  fixings: z.array(spot).max(1200),
  splices: z.array(spot).max(400),
  /** Fixings to be opened first, where some are. */
  firsts: z.array(spot).max(12),
})
export type Following = z.infer<typeof followingSchema>
