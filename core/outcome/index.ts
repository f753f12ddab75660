export * from './problem'

/** The answer to something a person typed: a value, or a sentence that says what to do instead. */
export type Outcome<T> = { ok: true, value: T } | { ok: false, problem: string }

export const done = <T>(value: T): Outcome<T> => ({ ok: true, value })
export const refused = (problem: string): Outcome<never> => ({ ok: false, problem })
