import { createServer } from 'node:http'
import pg from 'pg'

/** A handler with nothing round it: reads a job's row and sends it. What the app is measured against. */
const pool = new pg.Pool({ connectionString: process.env.NUXT_DATABASE_URL, max: 10 })
createServer(async (request, response) => {
  const client = await pool.connect()
  await client.query('begin')
  await client.query('select set_config(\'app.firm_id\', $1, true)', [process.env.BARE_FIRM])
  const { rows } = await client.query('select job_id, document, version from jobs where job_id = $1', [request.url.split('/').at(-1)])
  await client.query('commit')
  client.release()
  response.setHeader('content-type', 'application/json')
  response.end(JSON.stringify(rows[0]))
}).listen(Number(process.env.NITRO_PORT), '127.0.0.1')
