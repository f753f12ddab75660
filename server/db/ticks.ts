import type { PoolClient } from 'pg'

/** What has been ticked off on one of a job's lists. */
export async function listTicks(client: PoolClient, jobId: string, list: string): Promise<string[]> {
  return (await client.query<{ item: string }>('select item from ticks where job_id = $1 and list = $2 order by item', [jobId, list])).rows.map(row => row.item)
}

/** Sets or takes off ticks. Doing so twice does no harm. */
export async function setTicks(client: PoolClient, where: {
  firmId: string
  jobId: string
  personId: string
  list: string
}, ticks: { item: string, done: boolean }[]): Promise<void> {
  const { firmId, jobId, personId, list } = where
  const on = ticks.filter(tick => tick.done).map(tick => tick.item)
  const off = ticks.filter(tick => !tick.done).map(tick => tick.item)
  await client.query('insert into ticks (firm_id, job_id, list, item, person_id) select $1, $2, $3, unnest($4::text[]), $5 on conflict do nothing', [
    firmId,
    jobId,
    list,
    on,
    personId,
  ])
  await client.query('delete from ticks where job_id = $1 and list = $2 and item = any($3)', [jobId, list, off])
}
