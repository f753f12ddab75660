import { execFileSync } from 'node:child_process'
import { mkdirSync } from 'node:fs'
import { pathToFileURL } from 'node:url'
import { loadDemo } from '../../db/demo/load'
import { migrate } from '../../db/migrate'
import { bundleThread } from '../../server/threads/bundle'

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
  const owner = pg('owner', 'upper_deck_routes')
  process.env.ROUTES_OWNER_URL = owner
  await migrate(owner)
  await loadDemo(owner)
  const folder = 'node_modules/.cache/thread'
  mkdirSync(folder, { recursive: true })
  await bundleThread(process.cwd(), folder)
  process.env.ROUTES_WORK_FILE = pathToFileURL(`${folder}/thread.mjs`).href
  return () => {
    if (!wasRunning) pg('stop')
  }
}
