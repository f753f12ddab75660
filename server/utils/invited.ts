import type { H3Event } from 'h3'
import type { PoolClient } from 'pg'
import { findInvitation, type OpenedInvitation } from '../db/invitations'
import { inTransaction } from '../db/pool'
import { type ReadToken, readToken, sameHash } from '../secrets/token'
import { addressOf, countTry } from '../secrets/tries'

const over = (): never => refuse(410, [{ path: 'token', sentence: 'This invitation has been used, taken back or has run out. Ask whoever invited you for another.' }])

/** What a token says, or 410; counted by the address, so that nobody finds one by trying. */
export async function tokenOf(event: H3Event, token: string, ended: () => never = over): Promise<ReadToken> {
  await countTry(event, [['token', addressOf(event)]])
  return readToken(token) ?? ended()
}

/** Does something with an invitation that still holds, in its firm; answers 410 where it does not. */
export async function atInvitation<T>(token: ReadToken, email: string | undefined, work: (client: PoolClient, invited: OpenedInvitation) => Promise<T>): Promise<T> {
  return await orAway(() => inTransaction({ firmId: token.firmId, email }, async (client) => {
    const invited = await findInvitation(client, token.id)
    return invited && sameHash(invited.hash, token.hash) ? await work(client, invited) : over()
  }))
}

/** The address under which people reach this office, for links in mails. */
export const siteOf = (event: H3Event): string => useRuntimeConfig().site || getRequestURL(event, { xForwardedHost: Boolean(useRuntimeConfig().behindProxy), xForwardedProto: Boolean(useRuntimeConfig().behindProxy) }).origin
