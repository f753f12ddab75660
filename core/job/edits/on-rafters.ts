import { z } from 'zod'
import { faceSchema, hitSchema, hitStates, hitUses, type Job, MOST_HITS, rafterFacts, type RafterSupports, rafterWords, shortId } from '../schema'
import { noRafters, raftersOf, withRafters } from './face-of'
import { type Chooser, editKind, keysOf, oldValues, wordsOfValues } from './kind'

const faceId = faceSchema.shape.id
/** A hit with its place in the log, so that taking an edit back puts it where it was. */
const placedHit = z.object({ at: z.number().int().min(0).max(MOST_HITS), hit: hitSchema })
const logHitsSchema = z.object({ type: z.literal('log-hits'), faceId, hits: z.array(placedHit).min(1).max(MOST_HITS) })
const dropHitsSchema = z.object({ type: z.literal('drop-hits'), faceId, hitIds: z.array(shortId).min(1).max(MOST_HITS) })

const hitKey = (face: string, id: string) => `face ${face}/hit ${id}`
const hitLog = () => ['the hit log']
const rafteredFace = (job: Job, { pick }: Chooser) => pick(job.faces.filter(face => face.supports.kind === 'rafters')).id
const hitIdsOf = (job: Job, id: string): string[] => raftersOf(job, id).hits.map(hit => hit.id)

export const setRafters = editKind({
  schema: z.object({ type: z.literal('set-rafters'), faceId, values: rafterFacts }),
  obstacle: noRafters,
  apply: (job, edit) => withRafters(job, edit.faceId, rafters => ({ ...rafters, ...edit.values })),
  invert: (job, edit) => ({ ...edit, values: oldValues<RafterSupports>(raftersOf(job, edit.faceId), edit.values) as z.infer<typeof rafterFacts> }),
  touches: edit => keysOf(`face ${edit.faceId}/rafters`, edit.values),
  words: edit => wordsOfValues(rafterWords, edit.values),
  example: (job, choose) => ({ type: 'set-rafters' as const, faceId: rafteredFace(job, choose), values: { layout: choose.pick(['nominal', 'fitted'] as const), spacingMm: choose.between(400, 700) } }),
})

/** Says where a rafter was found; null puts it back to its nominal place. */
export const moveRafter = editKind({
  schema: z.object({ type: z.literal('move-rafter'), faceId, /** From the left rake, 1 first. */ rafter: z.number().int().min(1).max(400), centreMm: z.number().min(-2000).max(62_000).nullable() }),
  obstacle: noRafters,
  apply: (job, edit) => withRafters(job, edit.faceId, rafters => ({
    ...rafters,
    found: [
      ...rafters.found.filter(find => find.rafter !== edit.rafter),
      ...(edit.centreMm === null ? [] : [{ rafter: edit.rafter, centreMm: edit.centreMm }]),
    ].sort((a, b) => a.rafter - b.rafter),
  })),
  invert: (job, edit) => ({ ...edit, centreMm: raftersOf(job, edit.faceId).found.find(find => find.rafter === edit.rafter)?.centreMm ?? null }),
  touches: edit => [`face ${edit.faceId}/rafter ${edit.rafter}`],
  words: edit => [`rafter ${edit.rafter}`],
  example: (job, choose) => ({ type: 'move-rafter' as const, faceId: rafteredFace(job, choose), rafter: choose.whole(1, 9), centreMm: choose.pick([null, 1234]) }),
})

/** Adds hits to the log; those already in it by their id are passed over. */
export const logHits = editKind({
  schema: logHitsSchema,
  obstacle: noRafters,
  apply: (job, edit) => withRafters(job, edit.faceId, (rafters) => {
    const known = new Set(rafters.hits.map(hit => hit.id))
    const hits = [...rafters.hits]
    for (const { at, hit } of edit.hits) if (!known.has(hit.id)) hits.splice(at, 0, hit)
    return { ...rafters, hits }
  }),
  invert: (_, edit): z.infer<typeof dropHitsSchema> => ({ type: 'drop-hits', faceId: edit.faceId, hitIds: edit.hits.map(({ hit }) => hit.id) }),
  touches: edit => edit.hits.map(({ hit }) => hitKey(edit.faceId, hit.id)),
  words: hitLog,
  example: (job, choose) => ({
    type: 'log-hits' as const, faceId: rafteredFace(job, choose),
    hits: [{ at: 0, hit: { id: `h${choose.whole(1, 1e6)}`, xMm: choose.between(0, 8000), yMm: 1000, state: choose.pick(hitStates), use: 'rafter' as const } }],
  }),
})

export const dropHits = editKind({
  schema: dropHitsSchema,
  obstacle: noRafters,
  apply: (job, edit) => withRafters(job, edit.faceId, rafters => ({ ...rafters, hits: rafters.hits.filter(hit => !edit.hitIds.includes(hit.id)) })),
  invert: (job, edit): z.infer<typeof logHitsSchema> | z.infer<typeof dropHitsSchema> => {
    const hits = raftersOf(job, edit.faceId).hits.flatMap((hit, at) => edit.hitIds.includes(hit.id) ? [{ at, hit }] : [])
    return hits.length ? { type: 'log-hits', faceId: edit.faceId, hits } : edit
  },
  touches: edit => edit.hitIds.map(id => hitKey(edit.faceId, id)),
  words: hitLog,
  example: (job, choose) => {
    const face = rafteredFace(job, choose)
    return { type: 'drop-hits' as const, faceId: face, hitIds: [choose.pick([...hitIdsOf(job, face), 'gone']), 'gone-too'] }
  },
})

/** What a person makes of one reading. */
export const useHit = editKind({
  schema: z.object({ type: z.literal('use-hit'), faceId, hitId: shortId, use: z.enum(hitUses) }),
  obstacle: noRafters,
  apply: (job, edit) => withRafters(job, edit.faceId, rafters => ({ ...rafters, hits: rafters.hits.map(hit => hit.id === edit.hitId ? { ...hit, use: edit.use } : hit) })),
  invert: (job, edit) => ({ ...edit, use: raftersOf(job, edit.faceId).hits.find(hit => hit.id === edit.hitId)?.use ?? edit.use }),
  touches: edit => [hitKey(edit.faceId, edit.hitId)],
  words: hitLog,
  example: (job, choose) => {
    const face = rafteredFace(job, choose)
    return { type: 'use-hit' as const, faceId: face, hitId: choose.pick([...hitIdsOf(job, face), 'gone']), use: choose.pick(hitUses) }
  },
})
