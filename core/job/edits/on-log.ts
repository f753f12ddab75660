import { z } from 'zod'
import { faceSchema, followingSchema, type Job, type LogEntry, logEntrySchema, shortId } from '../schema'
import { faceOf, noSuchFace, withFace } from './face-of'
import { editKind } from './kind'

const faceId = faceSchema.shape.id
/** So much is said at once: a whole line of fixings with their steps. */
const MOST_AT_ONCE = 200
/** An entry with its place in the log, so that taking an edit back puts it where it was; null at its end. */
const placed = z.object({ at: z.number().int().min(0).nullable(), entry: logEntrySchema })
const logSchema = z.object({ type: z.literal('log-work'), entries: z.array(placed).min(1).max(MOST_AT_ONCE) })
const dropSchema = z.object({ type: z.literal('drop-work'), entryIds: z.array(shortId).min(1).max(MOST_AT_ONCE) })
const key = (id: string) => `log ${id}`
/** Kinds of entries, in words. */
export const logWords: Record<LogEntry['kind'], string> = {
  'hole': 'a hole', 'seal': 'a hole sealed', 'give-up': 'a hole given up', 'closure': 'a step of closing the covering', 'height': 'a foot’s height', 'torque': 'a torque', 'seen': 'timber seen',
  'rail': 'a rail cut or laid', 'module': 'a module laid', 'gap': 'a gap read', 'damage': 'damage', 'mended': 'damage made good', 'note': 'a note', 'photograph': 'a photograph',
  'pause': 'a pause', 'resume': 'work gone on with', 'weather': 'the weather', 'settle': 'a difference settled',
}
const inWords = (entries: LogEntry[]): string[] => [...new Set(entries.map(({ kind }) => `the roof log: ${logWords[kind]}`))]

/** Says something from the roof; entries already in the log by their id are passed over, so that a repeat is harmless. */
export const logWork = editKind({
  schema: logSchema,
  obstacle: (job, { entries }) => entries.map(({ entry }) => noSuchFace(job, entry)).find(Boolean) ?? null,
  apply: (job, edit) => {
    const known = new Set(job.log.map(one => one.id))
    const log = [...job.log]
    for (const { at, entry } of edit.entries) if (!known.has(entry.id)) log.splice(at ?? log.length, 0, entry)
    return { ...job, log }
  },
  invert: (job, edit): z.infer<typeof dropSchema> | z.infer<typeof logSchema> => {
    const known = new Set(job.log.map(one => one.id))
    const fresh = edit.entries.filter(({ entry }) => !known.has(entry.id))
    return fresh.length ? { type: 'drop-work', entryIds: fresh.map(({ entry }) => entry.id) } : edit
  },
  touches: edit => edit.entries.map(({ entry }) => key(entry.id)),
  words: edit => inWords(edit.entries.map(({ entry }) => entry)),
  example: (job, { pick, whole, between }) => ({
    type: 'log-work' as const,
    entries: [{ at: null, entry: { id: `l${whole(1, 1e6)}`, faceId: pick(job.faces).id, by: 'A roofer', at: '2026-05-04T09:30:00Z', kind: 'hole' as const, xMm: between(0, 8000), yMm: between(200, 3000), result: pick(['hit', 'miss'] as const), timber: null, dust: pick(['pale', 'dark', null] as const) } }],
  }),
})

/** Takes out what was said wrongly. */
export const dropWork = editKind({
  schema: dropSchema,
  obstacle: () => null,
  apply: (job, edit) => ({ ...job, log: job.log.filter(one => !edit.entryIds.includes(one.id)) }),
  invert: (job, edit): z.infer<typeof logSchema> | z.infer<typeof dropSchema> => {
    const entries = job.log.flatMap((entry, at) => edit.entryIds.includes(entry.id) ? [{ at, entry }] : [])
    return entries.length ? { type: 'log-work', entries } : edit
  },
  touches: edit => edit.entryIds.map(key),
  words: () => ['the roof log'],
  example: (job: Job, { pick }) => ({ type: 'drop-work' as const, entryIds: [pick([...job.log.map(one => one.id), 'gone']), 'gone-too'] }),
})

/** What a crew follows on a face from now on. The first hole says so by itself: of two phones that do, the first holds. */
export const follow = editKind({
  schema: z.object({ type: z.literal('follow'), faceId, following: followingSchema.nullable(), /** Whether what is followed already is left. */ anew: z.boolean() }),
  obstacle: noSuchFace,
  apply: (job, edit) => withFace(job, edit.faceId, face => face.following && !edit.anew ? face : { ...face, following: edit.following }),
  invert: (job, edit) => ({ type: 'follow' as const, faceId: edit.faceId, following: faceOf(job, edit.faceId).following, anew: true }),
  touches: edit => [`face ${edit.faceId}/following`],
  words: () => ['the layout that the crew follows'],
  example: (job, { pick, between }) => ({
    type: 'follow' as const, faceId: pick(job.faces).id, anew: pick([true, false]),
    following: pick([null, { revision: null, shiftMm: between(-50, 50), fixings: [{ xMm: 1000, yMm: 800 }], splices: [], firsts: [] }]),
  }),
})
