import { z } from 'zod'
import { bareGround, type GroundSettings, groundSchema, groundWords } from '../schema'
import { at, before, noGround, placed, withGround } from './ground-of'
import { editKind, keysOf, oldValues, wordsOfValues } from './kind'

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
