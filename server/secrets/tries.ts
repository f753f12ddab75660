import type { H3Event } from 'h3'
import { RateLimiterPostgres, type RateLimiterRes } from 'rate-limiter-flexible'
import { awayOr, connections } from '../db/pool'

/** How often something may be tried: points in so many seconds. */
const limits = {
  /** Passphrases of one person from one address. */
  'sign-in': { points: 6, duration: 15 * 60 },
  /** Of one person from anywhere: a passphrase is not to be found by asking from many places. */
  'sign-in-person': { points: 40, duration: 60 * 60 },
  /** Of anybody from one address. */
  'sign-in-address': { points: 120, duration: 60 * 60 },
  /** Mails that are asked for from outside, to one person. */
  'mail': { points: 3, duration: 60 * 60 },
  /** Secrets of links and invitations that are tried from one address. */
  'token': { points: 120, duration: 60 * 60 },
  /** Invitations of one person. */
  'invite': { points: 60, duration: 60 * 60 },
} as const
export type Limit = keyof typeof limits

const made = new Map<Limit, RateLimiterPostgres>()

/** Counts in the database, so that every copy of the server counts together. */
function limiter(limit: Limit): RateLimiterPostgres {
  const known = made.get(limit)
  if (known) return known
  const fresh = new RateLimiterPostgres({ storeClient: connections(), tableName: 'tries', tableCreated: true, keyPrefix: limit, ...limits[limit] })
  made.set(limit, fresh)
  return fresh
}

/** The address somebody asks from; behind a proxy that is said to be one, the address it names. */
export const addressOf = (event: H3Event): string => getRequestIP(event, { xForwardedFor: Boolean(useRuntimeConfig().behindProxy) }) ?? 'unknown'

const isLimited = (thrown: unknown): thrown is RateLimiterRes => typeof thrown === 'object' && thrown !== null && 'msBeforeNext' in thrown

/**
 * Counts a try by each key; answers 429 with how long to wait where there were too many.
 * @param tries limits with the key each counts by
 */
export async function countTry(event: H3Event, tries: [Limit, string][]): Promise<void> {
  for (const [limit, key] of tries) {
    try {
      await limiter(limit).consume(key.slice(0, 200))
    }
    catch (thrown) {
      if (!isLimited(thrown)) return await orAway(() => Promise.reject(awayOr(thrown)))
      record(event, 'too-many-tries', { limit })
      const seconds = Math.ceil(thrown.msBeforeNext / 1000)
      setResponseHeader(event, 'retry-after', seconds)
      refuse(429, [{ path: 'tries', sentence: `Too many tries. Wait ${seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`}, then try again.` }])
    }
  }
}

/** Forgets the tries of somebody who has shown who they are. */
export async function forgetTries(tries: [Limit, string][]): Promise<void> {
  for (const [limit, key] of tries) await limiter(limit).delete(key.slice(0, 200))
}
