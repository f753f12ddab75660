import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

/** What the planner is, by its source: the same for the same, whatever else of the app has changed. */
export function plannerVersion(root: string): string {
  const core = join(root, 'core')
  const files = readdirSync(core, { recursive: true, encoding: 'utf8' }).filter(name => name.endsWith('.ts') && !name.endsWith('.test.ts')).sort()
  const hash = createHash('sha256')
  for (const name of files) hash.update(name).update(readFileSync(join(core, name)))
  return hash.digest('hex').slice(0, 12)
}
