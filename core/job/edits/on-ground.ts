import { z } from 'zod'
import { bareGround, type Ground, type GroundSettings, groundSchema, groundWords, type Job, MOST_THINGS, MOST_WALLS, plainRun, plainThing, plainWall, runChoiceSchema, shortId, thingSchema, wallSchema } from '../schema'
import { editKind, keysOf, oldValues, wordsOfValues } from './kind'

const noGround = (job: Job): string | null => job.ground ? null : 'Nothing stands between the roof and the grid yet: begin with one way of connecting it.'
const withGround = (job: Job, change: (own: Ground) => Ground): Job => ({ ...job, ground: job.ground && change(job.ground) })
const byId = <T extends { id: string }>(list: T[] | undefined, id: string): T | null => list?.find(one => one.id === id) ?? null

/** Where in its list something new stands: letters on the wall go by it, so that undo puts it back where it was. The end where nothing is said. */
const at = z.number().int().min(0).max(100).optional()
/** A list with one of its members replaced where it stands, put in, or taken out. */
function placed<T>(list: T[], is: (one: T) => boolean, one: T | null, where: number | undefined): T[] {
  if (one === null) return list.filter(old => !is(old))
  return list.some(is) ? list.map(old => is(old) ? one : old) : list.toSpliced(where ?? list.length, 0, one)
}
/** What takes a change of a list back: the member as it was, and where it stood. */
function before<T>(list: T[] | undefined, is: (one: T) => boolean): { old: T | null, where: { at: number } | object } {
  const i = list?.findIndex(is) ?? -1
  return i < 0 ? { old: null, where: {} } : { old: list![i]!, where: { at: i } }
}

/** Everything from the roof box to the meter at once: a way of connecting it to begin with, or none. */
export const beginGround = editKind({
  schema: z.object({ type: z.literal('begin-ground'), ground: groundSchema.nullable() }),
  obstacle: () => null,
  apply: (job, edit) => ({ ...job, ground: edit.ground }),
  invert: (job, edit) => ({ ...edit, ground: job.ground }),
  touches: () => ['ground/whole'],
  words: () => ['how the roof is connected to the grid'],
  example: (job, { pick }) => ({ type: 'begin-ground' as const, ground: pick([null, { ...bareGround, airC: 30 }]) }),
})

/** Facts of the whole, each replaced whole; things, walls, runs and typed figures have edits of their own. */
export const setGround = editKind({
  schema: z.object({ type: z.literal('set-ground'), values: groundSchema.omit({ figures: true, walls: true, things: true, runs: true }).partial() }),
  obstacle: noGround,
  apply: (job, edit) => withGround(job, own => ({ ...own, ...edit.values })),
  invert: (job, edit) => ({ ...edit, values: oldValues<GroundSettings>(job.ground!, edit.values) }),
  touches: edit => keysOf('ground', edit.values),
  words: edit => wordsOfValues(groundWords, edit.values),
  example: (_, { pick, whole }) => ({ type: 'set-ground' as const, values: pick<Partial<GroundSettings>>([{ airC: whole(20, 45) }, { growth: ['pull-string'] }, { electrician: { name: 'Wren Tallis', licence: 'E 4711' } }]) }),
})

/** A thing on the walls, new or as it stands now; null takes it away, and what led to it leads nowhere. */
export const putThing = editKind({
  schema: z.object({ type: z.literal('put-thing'), thingId: shortId, thing: thingSchema.nullable(), at }),
  obstacle: (job, edit) => noGround(job) ?? (edit.thing && job.ground!.things.length >= MOST_THINGS && !byId(job.ground!.things, edit.thingId) ? `At most ${MOST_THINGS} things stand on the walls.` : null),
  apply: (job, edit) => withGround(job, own => ({ ...own, things: placed(own.things, one => one.id === edit.thingId, edit.thing && { ...edit.thing, id: edit.thingId }, edit.at) })),
  invert: (job, edit) => {
    const { old, where } = before(job.ground?.things, one => one.id === edit.thingId)
    return { type: edit.type, thingId: edit.thingId, thing: old, ...where }
  },
  touches: edit => [`thing ${edit.thingId}`],
  words: edit => [edit.thing ? `the thing “${edit.thing.name}”` : 'a thing on the wall'],
  example: (job, { pick, whole }) => {
    const thingId = pick([...(job.ground?.things ?? []).map(one => one.id), `t${whole(1, 9)}`])
    return { type: 'put-thing' as const, thingId, thing: pick([null, { ...plainThing, id: thingId, massKg: whole(1, 40) }]) }
  },
})

/** A wall with what is there already. */
export const putWall = editKind({
  schema: z.object({ type: z.literal('put-wall'), wallId: shortId, wall: wallSchema.nullable(), at }),
  obstacle: (job, edit) => noGround(job) ?? (edit.wall && job.ground!.walls.length >= MOST_WALLS && !byId(job.ground!.walls, edit.wallId) ? 'A job has at most six walls.' : null),
  apply: (job, edit) => withGround(job, own => ({ ...own, walls: placed(own.walls, one => one.id === edit.wallId, edit.wall && { ...edit.wall, id: edit.wallId }, edit.at) })),
  invert: (job, edit) => {
    const { old, where } = before(job.ground?.walls, one => one.id === edit.wallId)
    return { type: edit.type, wallId: edit.wallId, wall: old, ...where }
  },
  touches: edit => [`wall ${edit.wallId}`],
  words: edit => [edit.wall ? `the wall “${edit.wall.name}”` : 'a wall'],
  example: (job, { pick, whole }) => {
    const wallId = pick([...(job.ground?.walls ?? []).map(one => one.id), `w${whole(1, 4)}`])
    return { type: 'put-wall' as const, wallId, wall: pick([null, { ...plainWall, id: wallId, wideMm: whole(3000, 9000) }]) }
  },
})

const isRun = (one: { fromId: string, toId: string }, other: { fromId: string, toId: string }): boolean => one.fromId === other.fromId && one.toId === other.toId

/** What somebody chose for the run between two things; null leaves it to the rules again. */
export const putRun = editKind({
  schema: z.object({ type: z.literal('put-run'), fromId: shortId, toId: shortId, run: runChoiceSchema.nullable(), at }),
  obstacle: noGround,
  apply: (job, edit) => withGround(job, own => ({ ...own, runs: placed(own.runs, one => isRun(one, edit), edit.run && { ...edit.run, fromId: edit.fromId, toId: edit.toId }, edit.at) })),
  invert: (job, edit) => {
    const { old, where } = before(job.ground?.runs, one => isRun(one, edit))
    return { type: edit.type, fromId: edit.fromId, toId: edit.toId, run: old, ...where }
  },
  touches: edit => [`run ${edit.fromId} ${edit.toId}`],
  words: () => ['how a run is laid'],
  example: (job, { pick, whole }) => {
    const [from, to] = [job.ground?.things[0]?.id ?? 'a', job.ground?.things[1]?.id ?? 'b']
    return { type: 'put-run' as const, fromId: from, toId: to, run: pick([null, { ...plainRun(from, to), lengthMm: whole(500, 20_000) }]) }
  },
})

/** A code's figure typed over, by name; null lets the code's own stand again. */
export const typeFigure = editKind({
  schema: z.object({ type: z.literal('type-figure'), figureId: groundSchema.shape.figures.element.shape.id, figure: groundSchema.shape.figures.element.omit({ id: true }).nullable(), at }),
  obstacle: noGround,
  apply: (job, edit) => withGround(job, own => ({ ...own, figures: placed(own.figures, one => one.id === edit.figureId, edit.figure && { ...edit.figure, id: edit.figureId }, edit.at) })),
  invert: (job, edit) => {
    const { old, where } = before(job.ground?.figures, one => one.id === edit.figureId)
    return { type: edit.type, figureId: edit.figureId, figure: old && { value: old.value, by: old.by }, ...where }
  },
  touches: edit => [`figure ${edit.figureId}`],
  words: () => ['a figure of the electrical code'],
  example: (_, { pick, whole }) => ({ type: 'type-figure' as const, figureId: pick(['gas', 'handle', 'slack'] as const), figure: pick([null, { value: whole(500, 2000), by: 'Wren Tallis, E 4711' }]) }),
})
