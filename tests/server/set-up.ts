import { execFileSync } from 'node:child_process'
import { loadDemo } from '../../db/demo/load'
import { migrate } from '../../db/migrate'

/** A database of its own for the routes' tests, on the project's cluster, with the demo firm in it. */
export default async function setUp(): Promise<() => void> {
  const pg = (...args: string[]) => execFileSync('scripts/pg.sh', args, { encoding: 'utf8' }).trim().split('\n').at(-1)!
  const wasRunning = (() => {
    try {
      pg('status')
      return true
    }
    catch {
      return false
    }
  })()
  pg('start')
  const address = pg('reset', 'upper_deck_routes')
  process.env.ROUTES_DATABASE_URL = address
  await migrate(address)
  await loadDemo(address)
  return () => {
    if (!wasRunning) pg('stop')
  }
}
