import type { z } from 'zod'

/** One thing wrong with what was given: where, and what to do. */
export interface Problem { path: string, sentence: string }

/** Problems as they are read: a sentence that stands for several places is said once. */
export const sentencesOf = (problems: Problem[]): string => [...new Set(problems.map(problem => problem.sentence))].join(' ')

export type Reading<T> = { ok: true, value: T } | { ok: false, problems: Problem[] }

/** What a schema says where nobody gave it words. */
export const UNWORDED = /^(Too (small|big)|Invalid|Unrecognized)/

/** Zod's issues as paths and sentences; those without words of their own get plain ones. */
export const problemsOf = (error: z.ZodError): Problem[] =>
  error.issues.map(issue => ({ path: issue.path.join('.') || '(whole)', sentence: UNWORDED.test(issue.message) ? plainly(issue) : issue.message }))

function plainly(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'too_big': return issue.origin === 'string' ? `This is too long: at most ${issue.maximum} letters.` : issue.origin === 'array' ? `There may be ${issue.maximum} of these at most.` : `This may be ${issue.maximum} at most.`
    case 'too_small': return issue.origin === 'string' ? 'This must not be empty.' : issue.origin === 'array' ? `There must be ${issue.minimum} of these at least.` : `This must be ${issue.inclusive ? 'at least' : 'above'} ${issue.minimum}.`
    case 'invalid_type': return issue.message.endsWith('undefined') ? 'This is missing.' : issue.expected === 'int' ? 'This must be a whole number.' : `This must be ${/^[aeiou]/.test(issue.expected) ? 'an' : 'a'} ${issue.expected}.`
    case 'invalid_value': return `This must be ${issue.values.map(String).join(', ').replace(/, ([^,]*)$/, ' or $1')}.`
    default: return 'This can’t be read.'
  }
}
