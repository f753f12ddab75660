import type { z } from 'zod'
import type { Job } from '../schema'

/** Chooses among examples: `pick` one of several, `whole` a whole number and `between` any number from least to most. */
export interface Chooser { pick: <T>(items: readonly T[]) => T, whole: (least: number, most: number) => number, between: (least: number, most: number) => number }

/** All that is known of one kind of edit. `I` is what takes it back: an edit of the same kind unless it says otherwise. */
export interface EditKind<S extends EditSchema = EditSchema, I = z.infer<S>> {
  schema: S
  /** Why it can't be made to this job at all, in a sentence; null when it can. The others are asked only then. */
  obstacle: (job: Job, edit: z.infer<S>) => string | null
  /** The job after it; the one before is left as it was. */
  apply: (job: Job, edit: z.infer<S>) => Job
  /** What takes it back, worked out on the job as it was before it. */
  invert: (job: Job, edit: z.infer<S>) => I
  /** The facts it touches, as keys that are only compared: two edits collide where they share one. */
  touches: (edit: z.infer<S>) => string[]
  /** The same facts in words, for whoever is told of it. */
  words: (edit: z.infer<S>) => string[]
  /** An edit of this kind that could be made to the job, for tests. */
  example: (job: Job, choose: Chooser) => z.infer<S>
}

export type EditSchema = z.ZodObject<{ type: z.ZodLiteral<string> } & z.ZodRawShape>

/** Names the types of a kind by its schema and its inverse. */
export const editKind = <S extends EditSchema, I>(kind: EditKind<S, I>): EditKind<S, I> => kind

/** The values that `holder` has for the keys of `changes`. */
export const oldValues = <T extends object>(holder: T, changes: Partial<T>): Partial<T> =>
  Object.fromEntries(Object.keys(changes).map(key => [key, holder[key as keyof T]])) as Partial<T>

/** Words of the facts that some values replace. */
export const wordsOfValues = <T extends object>(words: Record<keyof T, string>, values: Partial<T>): string[] =>
  (Object.keys(values) as (keyof T)[]).map(key => words[key])

export const keysOf = (path: string, values: object): string[] => Object.keys(values).map(key => `${path}/${key}`)
