import type { H3Event } from 'h3'
import { z } from 'zod'

export const noSuchPhotograph = (): never => refuse(404, [{ path: 'photo', sentence: 'There is no such photograph. It may have been taken away.' }])

/** The photograph's id of the address; one that can't be an id answers 404 like one that is not there. */
export function photoIdOf(event: H3Event): string {
  const parsed = z.uuid().safeParse(getRouterParam(event, 'photo'))
  return parsed.success ? parsed.data : noSuchPhotograph()
}
