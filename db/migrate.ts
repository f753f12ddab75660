import { fileURLToPath } from 'node:url'
import { runner } from 'node-pg-migrate'

/** Brings a database forward to the newest migration; does nothing to one that is there already. */
export async function migrate(databaseUrl: string): Promise<string[]> {
  const done = await runner({
    databaseUrl, dir: fileURLToPath(new URL('./migrations', import.meta.url)),
    direction: 'up', migrationsTable: 'migrations', count: Infinity, log: () => {},
  })
  return done.map(migration => migration.name)
}
