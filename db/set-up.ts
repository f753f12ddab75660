import { loadDemo } from './demo/load'
import { migrate } from './migrate'

// Run by the start and test commands: migrations first, then the demo firm, once.
const databaseUrl = process.env.NUXT_DATABASE_URL
if (!databaseUrl) throw new Error('Set NUXT_DATABASE_URL to the address of the database.')
const migrations = await migrate(databaseUrl)
console.log(migrations.length ? `Database brought forward: ${migrations.join(', ')}.` : 'Database is up to date.')
console.log(await loadDemo(databaseUrl) ? 'Demo data loaded.' : 'Demo data are there already.')
