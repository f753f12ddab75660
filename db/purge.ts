import pg from 'pg'
import type { PictureStore } from '../server/pictures/store'

/**
 * Jobs that were deleted a month ago go for good, with their pictures wherever these lie, and sessions that have run out.
 * @param ownerUrl the database, for the owner of its tables: the app's own role can't take a job away
 */
export async function purge(ownerUrl: string, pictures: PictureStore | null): Promise<void> {
  const client = new pg.Client({ connectionString: ownerUrl })
  await client.connect()
  try {
    const { rows } = await client.query<{ firmId: string, jobId: string }>('delete from jobs where deleted_at < now() - interval \'30 days\' returning firm_id as "firmId", job_id as "jobId"')
    for (const job of rows) await pictures?.removeAll(job)
    await client.query('delete from sessions where expires_at < now()')
  }
  finally {
    await client.end()
  }
}
