import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { demoCatalogue, shelves } from '../../core/catalogue'
import { checkItem } from '../../core/shelf'
import { readJob } from '../../core/job'
import { struckBefore } from './half-way'
import { DEMO_FIRM_ID, DEMO_LEAD } from './ids'
import { lookAtPicture } from '../../server/documents/picture'
import { insertPhotograph } from '../../server/db/photographs'
import { demoJobs } from './jobs'
import { finishedPictures } from './finished'
import { demoPictures, finishedPicture } from './pictures'

const people = [
  { id: '6a1f0c1e-5b0e-4a0c-9d57-0d4f6f9a1001', name: 'Perrin Oakum', role: 'planner' },
  { ...DEMO_LEAD, role: 'lead' },
  { id: '6a1f0c1e-5b0e-4a0c-9d57-0d4f6f9a1003', name: 'Wilmot Sedge', role: 'yard' },
  { id: '6a1f0c1e-5b0e-4a0c-9d57-0d4f6f9a1004', name: 'Thora Brine', role: 'owner' },
]
/** Who vouches for engineers' and electricians' figures in the demo, and under which invented licence. */
const VOUCHES = { personId: people[0]!.id, licence: 'Structural, Saltmarsh board 4471' }

/**
 * Loads the invented firm with its people, catalogue and jobs, once: returns false and changes nothing when the
 * firm is there already, so that what was done with the demo is kept.
 */
export async function loadDemo(databaseUrl: string): Promise<boolean> {
  const client = new pg.Client({ connectionString: databaseUrl })
  await client.connect()
  try {
    await client.query('begin')
    await client.query('select set_config(\'app.firm_id\', $1, true)', [DEMO_FIRM_ID])
    const firm = await client.query('insert into firms (firm_id, name, currency) values ($1, $2, $3) on conflict do nothing', [DEMO_FIRM_ID, 'Gannet Row Roofworks', demoCatalogue.currency])
    await stockShelves(client)
    await takeIn(client)
    if (firm.rowCount) await fill(client)
    await client.query('commit')
    return Boolean(firm.rowCount)
  }
  catch (error) {
    await client.query('rollback')
    throw error
  }
  finally {
    await client.end()
  }
}

/**
 * The invented parts, on shelves that are empty. What was done with the demo's shelf is kept; only items of an earlier version that
 * newer checks would refuse are put right.
 */
async function stockShelves(client: pg.Client): Promise<void> {
  for (const shelf of shelves) {
    const { rows } = await client.query<{ data: unknown }>('select data from catalogue_items where firm_id = $1 and kind = $2', [DEMO_FIRM_ID, shelf])
    const wrong = new Set(rows.filter(({ data }) => !checkItem(shelf, data).ok).map(({ data }) => (data as { id: string }).id))
    for (const [position, item] of demoCatalogue[shelf].entries()) {
      if (rows.length && !wrong.has(item.id)) continue
      await client.query(
        'insert into catalogue_items (firm_id, kind, item_id, position, data) values ($1, $2, $3, $4, $5) on conflict (firm_id, kind, item_id) do update set data = excluded.data',
        [DEMO_FIRM_ID, shelf, item.id, position, item],
      )
    }
  }
}

/** The firm's people; those of an earlier version stay as they were made since. */
async function takeIn(client: pg.Client): Promise<void> {
  for (const { id, name, role } of people) {
    await client.query('insert into people (firm_id, person_id, name, role, vouches, licence) values ($1, $2, $3, $4, $5, $6) on conflict do nothing', [DEMO_FIRM_ID, id, name, role, id === VOUCHES.personId, id === VOUCHES.personId ? VOUCHES.licence : ''])
  }
  await client.query('update people set vouches = true, licence = $2 where person_id = $1 and licence = \'\' and not vouches', [VOUCHES.personId, VOUCHES.licence])
}

async function fill(client: pg.Client): Promise<void> {
  for (const { id, job } of demoJobs) {
    const read = readJob(job, demoCatalogue)
    if (!read.ok) throw new Error(`Demo job “${job.title}”: ${read.problems.map(problem => `${problem.path}: ${problem.sentence}`).join(' ')}`)
    await client.query('insert into jobs (firm_id, job_id, document) values ($1, $2, $3)', [DEMO_FIRM_ID, id, read.value])
    for (const item of struckBefore(read.value)) await client.query('insert into ticks (firm_id, job_id, list, item, person_id) values ($1, $2, $3, $4, $5)', [DEMO_FIRM_ID, id, 'mark-out', item, DEMO_LEAD.id])
  }
  for (const { jobIndex, caption, picture } of await demoPictures()) await keepPicture(client, demoJobs[jobIndex]!.id, randomUUID(), caption, picture)
  for (const { photoId, caption } of finishedPictures()) await keepPicture(client, demoJobs.at(-1)!.id, photoId, caption, await finishedPicture(caption))
}

async function keepPicture(client: pg.Client, jobId: string, photoId: string, caption: string, picture: Buffer): Promise<void> {
  const seen = await lookAtPicture(picture)
  if (!seen) throw new Error(`Demo picture “${caption}” can’t be read.`)
  await insertPhotograph(client, { photoId, firmId: DEMO_FIRM_ID, jobId, personId: people[1]!.id, caption, ...seen })
}
