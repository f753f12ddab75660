import type { z } from 'zod'

/** One thing wrong with what was given: where, and what to do. */
export interface Problem { path: string, sentence: string }

/** Problems as they are read: a sentence that stands for several places is said once. */
export const sentencesOf = (problems: Problem[]): string => [...new Set(problems.map(problem => problem.sentence))].join(' ')

export type Reading<T> = { ok: true, value: T } | { ok: false, problems: Problem[] }

/** Zod's issues as paths and sentences. */
export const problemsOf = (error: z.ZodError): Problem[] =>
  error.issues.map(issue => ({ path: issue.path.join('.') || '(whole)', sentence: issue.message }))
