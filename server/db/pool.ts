import pg from 'pg'

/** Whose rows a transaction sees: a firm's, and those of the account with an address. */
export interface Scope { firmId?: string, email?: string, /** The id of a device's key, for whoever shows it. */ credential?: string }

/** So long somebody waits for a connection before being told that the office is busy, ms. */
const WAIT_MS = 5000
/** A little past the role's own limit: only a dead connection gets here, ms. */
const ANSWER_MS = 25_000

let pool: pg.Pool | null = null

/** The server's connections. One pool a process; the server keeps no other state. */
export function connections(): pg.Pool {
  if (!pool) {
    const { databaseUrl, connections: max } = useRuntimeConfig()
    pool = new pg.Pool({ connectionString: databaseUrl, max: Number(max) || 10, connectionTimeoutMillis: WAIT_MS, query_timeout: ANSWER_MS, keepAlive: true })
    // A connection that dies while nobody uses it is replaced by the next that is asked for; unheard, it would end the process.
    pool.on('error', error => console.error('A connection to the database was lost:', error.message))
  }
  return pool
}

/** The database is away, or has no connection free: what was asked can be asked again. */
export class DatabaseAway extends Error {}

/** Errors of a connection rather than of a statement: SQLSTATE classes 08, 53 and 57 (PostgreSQL, appendix A), and those of the socket. */
const isAway = (error: unknown): boolean => {
  const { code = '', message = '' } = error as { code?: string, message?: string }
  return /^(08|53|57P)/.test(code) || /^E[A-Z]+$/.test(code) || /timeout exceeded when trying to connect|Connection terminated|Client has encountered a connection error|Query read timeout/.test(message)
}

/** What went wrong, as `DatabaseAway` where it was the connection. */
export const awayOr = (error: unknown): unknown => isAway(error) ? new DatabaseAway((error as Error).message) : error

const literal = (text: string): string => pg.escapeLiteral(text)
const opening = ({ firmId = '', email = '', credential = '' }: Scope): string => `begin; select set_config('app.firm_id', ${literal(firmId)}, true), set_config('app.email', ${literal(email)}, true), set_config('app.credential', ${literal(credential)}, true)`

async function connected(): Promise<pg.PoolClient> {
  try {
    return await connections().connect()
  }
  catch (error) {
    throw new DatabaseAway((error as Error).message)
  }
}

/**
 * Runs `work` in one transaction in which row-level security shows only the rows of `scope`. Rolled back when it throws.
 * @param first a statement to be answered with the opening, in the same round trip; its rows go to `work`
 * @throws DatabaseAway when there is no connection to be had, or it was lost
 */
export async function inTransaction<T, Row extends pg.QueryResultRow = never>(scope: Scope, work: (client: pg.PoolClient, rows: Row[]) => Promise<T>, first = ''): Promise<T> {
  const client = await connected()
  let broken: Error | undefined
  const lost = (error: Error) => broken = error
  client.on('error', lost)
  try {
    const opened = await client.query(`${opening(scope)}${first && `; ${first}`}`) as unknown as pg.QueryResult<Row>[]
    const result = await work(client, first ? opened.at(-1)!.rows : [])
    await client.query('commit')
    return result
  }
  catch (error) {
    if (!broken && isAway(error)) broken = error as Error
    if (!broken) await client.query('rollback').catch(lost)
    throw broken ? new DatabaseAway(broken.message) : error
  }
  finally {
    client.off('error', lost)
    client.release(broken)
  }
}

/**
 * Reads by several statements in one transaction and one round trip: what is asked for most goes so. They carry their values as
 * literals, which whoever writes them has escaped.
 * @returns the rows of each
 * @throws DatabaseAway when there is no connection to be had, or it was lost
 */
export async function readInOne(scope: Scope, statements: string[]): Promise<unknown[][]> {
  const client = await connected()
  try {
    const results = await client.query(`${opening(scope)}; ${statements.join('; ')}; commit`) as unknown as pg.QueryResult[]
    client.release()
    return results.slice(2, -1).map(result => result.rows as unknown[])
  }
  catch (error) {
    // Its transaction is open still: nobody else gets this connection.
    client.release(error as Error)
    throw awayOr(error)
  }
}

export const asFirm = <T>(firmId: string, work: (client: pg.PoolClient) => Promise<T>): Promise<T> => inTransaction({ firmId }, work)

/** Whether the database answers within a moment. */
export async function databaseAnswers(withinMs: number): Promise<boolean> {
  try {
    await Promise.race([
      connections().query('select 1'),
      new Promise((_, late) => setTimeout(() => late(new Error('late')), withinMs).unref()),
    ])
    return true
  }
  catch {
    return false
  }
}
