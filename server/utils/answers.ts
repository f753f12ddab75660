import type { H3Event } from 'h3'
import { z } from 'zod'
import { type Problem, problemsOf, sentencesOf } from '#core/outcome'

/** Refuses a request with what is wrong, where, and what to do. */
export function refuse(statusCode: number, problems: Problem[]): never {
  throw createError({ statusCode, statusMessage: 'Refused', message: sentencesOf(problems), data: { problems } })
}

/** Reads a request's body by a schema, or answers 400 with paths and sentences. */
export async function readChecked<T>(event: H3Event, schema: z.ZodType<T>): Promise<T> {
  let body: unknown
  try {
    body = await readBody(event)
  }
  catch {
    refuse(400, [{ path: '(body)', sentence: 'The request’s body is not JSON.' }])
  }
  const parsed = schema.safeParse(body)
  return parsed.success ? parsed.data : refuse(400, problemsOf(parsed.error))
}

/** The job id of the address; an address that can't be one answers 404 like a job that is not there. */
export function jobIdOf(event: H3Event): string {
  const parsed = z.uuid().safeParse(getRouterParam(event, 'id'))
  return parsed.success ? parsed.data : noSuchJob()
}

export const noSuchJob = (): never => refuse(404, [{ path: 'id', sentence: 'There is no such job. It may have been removed, or the address is not whole.' }])
