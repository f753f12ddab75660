import { readdir } from 'node:fs/promises'
import { fileURLToPath } from 'node:url'
import { runner } from 'node-pg-migrate'
import pg from 'pg'

const folder = fileURLToPath(new URL('./migrations', import.meta.url))

/** Migrations that a database has had and this program has not: a newer one was here. */
async function fromLater(databaseUrl: string): Promise<string[]> {
  const known = new Set((await readdir(folder)).map(name => name.replace(/\.sql$/, '')))
  const client = new pg.Client({ connectionString: databaseUrl })
  await client.connect()
  try {
    const { rows: [there] } = await client.query<{ there: boolean }>('select to_regclass(\'migrations\') is not null as there')
    if (!there!.there) return []
    return (await client.query<{ name: string }>('select name from migrations order by id')).rows.map(row => row.name).filter(name => !known.has(name))
  }
  finally {
    await client.end()
  }
}

/**
 * Brings a database forward to the newest migration, as the owner of its tables; does nothing to one that is there already.
 * @throws where a newer version of the program has brought it further than this one knows
 */
export async function migrate(ownerUrl: string): Promise<string[]> {
  const later = await fromLater(ownerUrl)
  if (later.length) throw new Error(`A newer version of Upper Deck has been at this database (${later.join(', ')}). Get that version again (git pull), or restore a backup made before it (npm run restore).`)
  const done = await runner({ databaseUrl: ownerUrl, dir: folder, direction: 'up', migrationsTable: 'migrations', count: Infinity, log: () => {} })
  return done.map(migration => migration.name)
}
