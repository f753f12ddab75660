import { z } from 'zod'
import { type Job, MOST_THINGS, MOST_WALLS, plainRun, plainThing, plainWall, type RunChoice, runChoiceSchema, shortId, type Thing, thingSchema, thingWords, type Wall, wallSchema, wallWords } from '../schema'
import { at, before, byId, isRun, noGround, placed, withGround } from './ground-of'
import { editKind, keysOf, oldValues, wordsOfValues } from './kind'

const whole = (owner: string) => [`${owner}/whole`]

/** A thing put on the walls whole; null takes it away, and what led to it leads nowhere. */
export const putThing = editKind({
  schema: z.object({ type: z.literal('put-thing'), thingId: shortId, thing: thingSchema.nullable(), at }),
  obstacle: (job, edit) => noGround(job) ?? (edit.thing && job.ground!.things.length >= MOST_THINGS && !byId(job.ground!.things, edit.thingId) ? `At most ${MOST_THINGS} things stand on the walls.` : null),
  apply: (job, edit) => withGround(job, own => ({ ...own, things: placed(own.things, one => one.id === edit.thingId, edit.thing && { ...edit.thing, id: edit.thingId }, edit.at) })),
  invert: (job, edit) => {
    const { old, where } = before(job.ground?.things, one => one.id === edit.thingId)
    return { type: edit.type, thingId: edit.thingId, thing: old, ...where }
  },
  touches: edit => whole(`thing ${edit.thingId}`),
  words: edit => [edit.thing ? `the thing “${edit.thing.name}”` : 'a thing on the wall'],
  example: (job, { pick, whole: number }) => {
    const thingId = pick([...(job.ground?.things ?? []).map(one => one.id), `t${number(1, 9)}`])
    return { type: 'put-thing' as const, thingId, thing: pick([null, { ...plainThing, id: thingId, massKg: number(1, 40) }]) }
  },
})

/** Facts of a thing, each replaced whole: whoever types others of it does not collide. */
export const setThing = editKind({
  schema: z.object({ type: z.literal('set-thing'), thingId: shortId, values: thingSchema.omit({ id: true }).partial() }),
  obstacle: (job, edit) => noGround(job) ?? (byId(job.ground!.things, edit.thingId) ? null : 'That thing stands on no wall any more.'),
  apply: (job, edit) => withGround(job, own => ({ ...own, things: own.things.map(one => one.id === edit.thingId ? { ...one, ...edit.values } : one) })),
  invert: (job, edit) => ({ ...edit, values: oldValues<Thing>(byId(job.ground!.things, edit.thingId)!, edit.values) }),
  touches: edit => keysOf(`thing ${edit.thingId}`, edit.values),
  words: edit => wordsOfValues(thingWords, edit.values),
  example: (job, { pick, whole: number }) => ({ type: 'set-thing' as const, thingId: job.ground?.things[0]?.id ?? 'none', values: pick<Partial<Thing>>([{ massKg: number(1, 40) }, { at: null, name: 'Another' }]) }),
})

/** A wall put up whole; null takes it away. */
export const putWall = editKind({
  schema: z.object({ type: z.literal('put-wall'), wallId: shortId, wall: wallSchema.nullable(), at }),
  obstacle: (job, edit) => noGround(job) ?? (edit.wall && job.ground!.walls.length >= MOST_WALLS && !byId(job.ground!.walls, edit.wallId) ? 'A job has at most six walls.' : null),
  apply: (job, edit) => withGround(job, own => ({ ...own, walls: placed(own.walls, one => one.id === edit.wallId, edit.wall && { ...edit.wall, id: edit.wallId }, edit.at) })),
  invert: (job, edit) => {
    const { old, where } = before(job.ground?.walls, one => one.id === edit.wallId)
    return { type: edit.type, wallId: edit.wallId, wall: old, ...where }
  },
  touches: edit => whole(`wall ${edit.wallId}`),
  words: edit => [edit.wall ? `the wall “${edit.wall.name}”` : 'a wall'],
  example: (job, { pick, whole: number }) => {
    const wallId = pick([...(job.ground?.walls ?? []).map(one => one.id), `w${number(1, 4)}`])
    return { type: 'put-wall' as const, wallId, wall: pick([null, { ...plainWall, id: wallId, wideMm: number(3000, 9000) }]) }
  },
})

/** Facts of a wall, each replaced whole. */
export const setWall = editKind({
  schema: z.object({ type: z.literal('set-wall'), wallId: shortId, values: wallSchema.omit({ id: true }).partial() }),
  obstacle: (job, edit) => noGround(job) ?? (byId(job.ground!.walls, edit.wallId) ? null : 'That wall is not there any more.'),
  apply: (job, edit) => withGround(job, own => ({ ...own, walls: own.walls.map(one => one.id === edit.wallId ? { ...one, ...edit.values } : one) })),
  invert: (job, edit) => ({ ...edit, values: oldValues<Wall>(byId(job.ground!.walls, edit.wallId)!, edit.values) }),
  touches: edit => keysOf(`wall ${edit.wallId}`, edit.values),
  words: edit => wordsOfValues(wallWords, edit.values),
  example: (job, { pick, whole: number }) => ({ type: 'set-wall' as const, wallId: job.ground?.walls[0]?.id ?? 'none', values: pick<Partial<Wall>>([{ wideMm: number(3000, 9000) }, { base: 'concrete', sleeping: true }]) }),
})

/** All that is chosen for the run between two things; null leaves it to the rules again. */
export const putRun = editKind({
  schema: z.object({ type: z.literal('put-run'), fromId: shortId, toId: shortId, run: runChoiceSchema.nullable(), at }),
  obstacle: noGround,
  apply: (job, edit) => withGround(job, own => ({ ...own, runs: placed(own.runs, one => isRun(one, edit), edit.run && { ...edit.run, fromId: edit.fromId, toId: edit.toId }, edit.at) })),
  invert: (job, edit) => {
    const { old, where } = before(job.ground?.runs, one => isRun(one, edit))
    return { type: edit.type, fromId: edit.fromId, toId: edit.toId, run: old, ...where }
  },
  touches: edit => whole(`run ${edit.fromId} ${edit.toId}`),
  words: () => ['how a run is laid'],
  example: (job, { pick, whole: number }) => {
    const [from, to] = [job.ground?.things[0]?.id ?? 'a', job.ground?.things[1]?.id ?? 'b']
    return { type: 'put-run' as const, fromId: from, toId: to, run: pick([null, { ...plainRun(from, to), lengthMm: number(500, 20_000) }]) }
  },
})

const chosenFor = (job: Job, edit: { fromId: string, toId: string }): RunChoice | undefined => job.ground?.runs.find(one => isRun(one, edit))
/** How a run is laid as far as somebody chose it: where nobody did, the rules choose. */
export const runOn = (job: Job, edit: { fromId: string, toId: string }): RunChoice => chosenFor(job, edit) ?? plainRun(edit.fromId, edit.toId)

/** What somebody chooses of a run, each fact replaced whole; what is not chosen follows from the rules. */
export const setRun = editKind({
  schema: z.object({ type: z.literal('set-run'), fromId: shortId, toId: shortId, values: runChoiceSchema.omit({ fromId: true, toId: true }).partial() }),
  obstacle: noGround,
  apply: (job, edit) => {
    const run = { ...runOn(job, edit), ...edit.values }
    return withGround(job, own => ({ ...own, runs: placed(own.runs, one => isRun(one, edit), run, undefined) }))
  },
  invert: (job, edit) => {
    const old = chosenFor(job, edit)
    return old ? { ...edit, values: oldValues<RunChoice>(old, edit.values) } : { type: 'put-run' as const, fromId: edit.fromId, toId: edit.toId, run: null }
  },
  touches: edit => keysOf(`run ${edit.fromId} ${edit.toId}`, edit.values),
  words: () => ['how a run is laid'],
  example: (job, { pick, whole: number }) => ({ type: 'set-run' as const, fromId: job.ground?.things[0]?.id ?? 'a', toId: job.ground?.things[1]?.id ?? 'b', values: pick<Partial<RunChoice>>([{ lengthMm: number(500, 20_000) }, { fireStop: true, bendsDeg: 270 }]) }),
})
