import type { H3Event } from 'h3'
import { z } from 'zod'
import { type Problem, problemsOf, sentencesOf } from '#core/outcome'

/** What a usual request may bring, bytes; routes that take more say so. */
const MOST_BODY_BYTES = 1_000_000

/** Refuses a request with what is wrong, where, and what to do. */
export function refuse(statusCode: number, problems: Problem[]): never {
  throw createError({ statusCode, statusMessage: 'Refused', message: sentencesOf(problems), data: { problems } })
}

/** Reads JSON that can be kept, or answers 400 or 413 with path and sentence. */
export async function readJson(event: H3Event, mostBytes: number, tooMuch: string, notJson: string): Promise<unknown> {
  const type = getRequestHeader(event, 'content-type') ?? ''
  if (!/^application\/([\w.+-]+\+)?json\b/i.test(type)) refuse(415, [{ path: '(body)', sentence: 'This is asked for with JSON, and said to be so.' }])
  const bytes = await readLimited(event, mostBytes) ?? refuse(413, [{ path: '(body)', sentence: tooMuch }])
  let body: unknown
  try {
    body = JSON.parse(bytes.toString('utf8'))
  }
  catch {
    refuse(400, [{ path: '(body)', sentence: notJson }])
  }
  const bad = unstorableIn(body)
  return bad === null ? body : refuse(400, [{ path: bad, sentence: 'There is a sign in it that can’t be kept, or it is nested too deep. Type it again.' }])
}

/** Reads a request's body by a schema, or answers 400 with paths and sentences. */
export async function readChecked<T>(event: H3Event, schema: z.ZodType<T>, mostBytes = MOST_BODY_BYTES): Promise<T> {
  const body = await readJson(event, mostBytes, `This is more than can be sent at once: at most ${mostBytes / 1e6} MB.`, 'The request’s body is not JSON.')
  const parsed = schema.safeParse(body)
  return parsed.success ? parsed.data : refuse(400, problemsOf(parsed.error))
}

/** Reads a request's query by a schema, or answers 400 with paths and sentences. */
export function readQuery<T>(event: H3Event, schema: z.ZodType<T>): T {
  const parsed = schema.safeParse(getQuery(event))
  return parsed.success ? parsed.data : refuse(400, problemsOf(parsed.error))
}

/** The job id of the address; an address that can't be one answers 404 like a job that is not there. */
export function jobIdOf(event: H3Event): string {
  const parsed = z.uuid().safeParse(getRouterParam(event, 'id'))
  return parsed.success ? parsed.data : noSuchJob()
}

/** The greatest number that a column of versions or revisions holds. */
export const MOST_COUNT = 2 ** 31 - 1

export const noSuchJob = (): never => refuse(404, [{ path: 'id', sentence: 'There is no such job. It may have been removed, or the address is not whole.' }])
