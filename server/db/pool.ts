import pg from 'pg'

let pool: pg.Pool | null = null

/** The server's connections. One pool a process; the server keeps no other state. */
function connections(): pg.Pool {
  pool ??= new pg.Pool({ connectionString: useRuntimeConfig().databaseUrl, max: 10, connectionTimeoutMillis: 5000 })
  return pool
}

/**
 * Runs `work` in one transaction in which row-level security shows only this firm's rows. Rolled back when it throws.
 */
export async function asFirm<T>(firmId: string, work: (client: pg.PoolClient) => Promise<T>): Promise<T> {
  const client = await connections().connect()
  try {
    await client.query('begin')
    await client.query('select set_config(\'app.firm_id\', $1, true)', [firmId])
    const result = await work(client)
    await client.query('commit')
    return result
  }
  catch (error) {
    await client.query('rollback')
    throw error
  }
  finally {
    client.release()
  }
}
