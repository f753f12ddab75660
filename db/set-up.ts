import pg from 'pg'
import { loadDemo } from './demo/load'
import { firstOwner } from './first-owner'
import { migrate } from './migrate'

// Run by the start and test commands: migrations first; then the demo firm, once, or the way in for the first owner.
const ownerUrl = process.env.UPPER_DECK_OWNER_URL
if (!ownerUrl) throw new Error('Set UPPER_DECK_OWNER_URL to the address of the database for the owner of its tables.')
try {
  const migrations = await migrate(ownerUrl)
  console.log(migrations.length ? `Database brought forward: ${migrations.join(', ')}.` : 'Database is up to date.')
  if (process.env.UPPER_DECK_DEMO === 'no') {
    const token = await firstOwner(ownerUrl)
    if (token) console.log(`The first owner joins here, once, within a week: ${process.env.UPPER_DECK_SITE ?? ''}/join#${token}`)
  }
  else console.log(await loadDemo(ownerUrl) ? 'Demo data loaded.' : 'Demo data are there already.')
  await purge(ownerUrl)
}
catch (error) {
  console.error((error as Error).message)
  process.exitCode = 1
}

/** Jobs that were deleted a month ago go for good, and sessions that have run out. */
async function purge(databaseUrl: string): Promise<void> {
  const client = new pg.Client({ connectionString: databaseUrl })
  await client.connect()
  await client.query('delete from jobs where deleted_at < now() - interval \'30 days\'')
  await client.query('delete from sessions where expires_at < now()')
  await client.end()
}
