import { loadDemo } from './demo/load'
import { firstOwner } from './first-owner'
import { migrate } from './migrate'
import { purge } from './purge'
import { folderStore } from '../server/pictures/store'

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
  await purge(ownerUrl, process.env.NUXT_PICTURES ? folderStore(process.env.NUXT_PICTURES) : null)
}
catch (error) {
  console.error((error as Error).message)
  process.exitCode = 1
}
