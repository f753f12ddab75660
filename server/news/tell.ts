import type { PoolClient } from 'pg'

/** What every copy of the server is told of, and whoever has the firm's pages open: that something is there to be read, never what. */
export interface News {
  firmId: string
  jobId?: string
  /** The job's version by now. */
  version?: number
  /** A revision of its mark-out that was issued. */
  sheet?: number
  /** A list on which something was ticked. */
  ticks?: string
  /** What the list of jobs shows has changed: a job came or went, or was worked out anew. */
  list?: true
  /** Who did it, so that their own page need not ask. */
  personId?: string
}

export const CHANNEL = 'news'

/** Tells everybody once the transaction is through; nobody hears of what is rolled back. */
export async function tellNews(client: PoolClient, firmId: string, news: Omit<News, 'firmId'>): Promise<void> {
  await client.query('select pg_notify($1, $2)', [CHANNEL, JSON.stringify({ firmId, ...news })])
}
