import { execFileSync, spawn } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { setTimeout as later } from 'node:timers/promises'
import pg from 'pg'
import { demoCatalogue } from '../../core/catalogue'
import { handOut } from '../../server/secrets/token'
import { threeRowsOfSix } from '../fixtures/jobs'

const [firms = 1000, jobs = 100_000, largest = 100_000] = process.argv.slice(2).map(Number)
const CALLS = 200
const MEASURED_FIRMS = 12
const PEOPLE = 200

const run = (...args: string[]) => execFileSync('scripts/pg.sh', args, { encoding: 'utf8' }).trim().split('\n').at(-1)!
run('start')
const databaseUrl = run('reset', 'upper_deck_scale')
const ownerUrl = run('owner', 'upper_deck_scale')
execFileSync('npx', ['tsx', 'db/set-up.ts'], { env: { ...process.env, UPPER_DECK_OWNER_URL: ownerUrl }, stdio: 'ignore' })

/** As the keeper of the tables, whom no firm's border stops. */
const keeper = new pg.Client({ connectionString: ownerUrl })
await keeper.connect()
const start = Date.now()
const firmIds = Array.from({ length: firms }, () => randomUUID())
const large = firmIds[0]!
await keeper.query('insert into firms (firm_id, name) select id, \'Firm \' || n from unnest($1::uuid[]) with ordinality as f(id, n)', [firmIds])
await keeper.query('insert into people (firm_id, person_id, name, role) select id, gen_random_uuid(), \'Planner\', \'planner\' from unnest($1::uuid[]) as f(id)', [firmIds])
await keeper.query('insert into people (firm_id, person_id, name, role) select $1, gen_random_uuid(), \'Lead \' || n, \'lead\' from generate_series(2, $2) n', [large, PEOPLE])
const { currency: _, ...shelves } = demoCatalogue
for (const [kind, items] of Object.entries(shelves)) {
  await keeper.query('insert into catalogue_items (firm_id, kind, item_id, position, data) select f.id, $2, one->>\'id\', nth, one from unnest($1::uuid[]) as f(id), jsonb_array_elements($3) with ordinality as items(one, nth)', [firmIds, kind, JSON.stringify(items)])
}
const document = JSON.stringify(threeRowsOfSix())
const summary = JSON.stringify({ totals: { modules: 18, powerW: 7650, fixings: 36, sticks: 9, splices: 3, stops: 0 }, face: null })
const fill = (ids: string[], each: number) => keeper.query(
  `insert into jobs (firm_id, job_id, document, created_at, updated_at, archived_at, summary, summary_of)
   select f.id, gen_random_uuid(), jsonb_set(jsonb_set($2::jsonb, '{title}', to_jsonb('Lane ' || n)), '{place}', to_jsonb('Quarter ' || n % 37)), now() - n * interval '7 minutes', now() - (n * 7919 % 100000) * interval '1 minute',
     case when n % 10 = 0 then now() end, $3::jsonb, 'older'
   from unnest($1::uuid[]) as f(id), generate_series(1, $4) as n`, [ids, document, summary, each])
for (let i = 0; i < largest; i += 10_000) await fill([large], Math.min(10_000, largest - i))
const each = Math.floor(jobs / (firms - 1))
for (let i = 1; i < firms; i += 100) await fill(firmIds.slice(i, i + 100), each)
await keeper.query(`insert into job_edits (firm_id, job_id, version, edit_id, person_id, kind, edit, inverse)
  select j.firm_id, j.job_id, n, gen_random_uuid(), p.person_id, 'edit', '{"type":"set-face","faceId":"main","values":{"pitchDeg":30}}', '{"type":"set-face","faceId":"main","values":{"pitchDeg":31}}'
  from jobs j join lateral (select person_id from people where firm_id = j.firm_id limit 1) p on true cross join generate_series(1, 5) n`)
await keeper.query('update jobs set version = 5')
await keeper.query('insert into sessions (firm_id, person_id, device, expires_at) select firm_id, person_id, \'A browser\', now() + interval \'20 days\' from people cross join generate_series(1, 4)')
await keeper.query('insert into accounts (email, passphrase_hash) select person_id || \'@example.org\', \'none\' from people')
await keeper.query('insert into account_firms (email, firm_id, person_id) select person_id || \'@example.org\', firm_id, person_id from people')
await keeper.query('analyze')
const { rows: [size] } = await keeper.query<{ jobs: number, edits: number, mb: number }>('select (select count(*)::int from jobs) as jobs, (select count(*)::int from job_edits) as edits, (pg_database_size(current_database()) / 1e6)::int as mb')
console.log(`${firms} firms, ${size!.jobs} jobs (one firm has ${largest} and ${PEOPLE} people), ${size!.edits} edits, ${size!.mb} MB; filled in ${Math.round((Date.now() - start) / 1000)} s`)

const app = 'http://127.0.0.1:3196'
const server = spawn(process.execPath, ['.output/server/index.mjs'], { stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, NUXT_DATABASE_URL: databaseUrl, NITRO_HOST: '127.0.0.1', NITRO_PORT: '3196', NUXT_BEHIND_PROXY: 'true', NUXT_SESSION_PASSWORD: 'only-for-the-benchmark-32-characters!', NUXT_OUTBOX: '/tmp' } })
process.on('exit', () => server.kill('SIGKILL'))
while (!await fetch(`${app}/api/entry`).then(() => true, () => false)) await later(50)

const from = () => Array.from({ length: 4 }, () => Math.floor(Math.random() * 250)).join('.')
/** A planner of a firm, who joins by an invitation as people do. */
async function planner(firmId: string): Promise<string> {
  const id = randomUUID()
  const { token, hash } = handOut(firmId, id)
  await keeper.query('insert into invitations (firm_id, invitation_id, secret_hash, email, role, expires_at) values ($1, $2, $3, $4, \'planner\', now() + interval \'1 day\')', [firmId, id, hash, `${id}@example.org`])
  const joined = await fetch(`${app}/api/join`, { method: 'POST', headers: { 'content-type': 'application/json', 'x-forwarded-for': from() }, body: JSON.stringify({ token, name: 'Measured', passphrase: 'tidal gravel nine lanterns' }) })
  return joined.headers.getSetCookie().map(one => one.split(';')[0]).join('; ')
}
const some = firmIds.slice(1, MEASURED_FIRMS + 1)
const cookies = new Map<string, string>()
for (const firmId of [large, ...some]) cookies.set(firmId, await planner(firmId))
const pick = <T>(items: readonly T[]): T => items[Math.floor(Math.random() * items.length)]!
const jobIds = new Map<string, string[]>()
for (const firmId of cookies.keys()) jobIds.set(firmId, (await keeper.query<{ job_id: string }>('select job_id from jobs where firm_id = $1 limit 500', [firmId])).rows.map(row => row.job_id))

const p = (times: number[], share: number): number => [...times].sort((a, b) => a - b)[Math.floor(share * times.length)]!
async function measure(name: string, of: readonly string[], call: (firmId: string) => { method?: string, path: string, body?: unknown }): Promise<void> {
  const times: number[] = []
  for (let i = 0; i < CALLS; i++) {
    const firmId = pick(of)
    const { method = 'GET', path, body } = call(firmId)
    const began = performance.now()
    const answer = await fetch(`${app}${path}`, { method, headers: { 'cookie': cookies.get(firmId)!, 'content-type': 'application/json', 'x-forwarded-for': from() }, ...(body ? { body: JSON.stringify(body) } : {}) })
    await answer.arrayBuffer()
    if (answer.status !== 200) throw new Error(`${name}: answered ${answer.status}`)
    times.push(performance.now() - began)
  }
  console.log(`  ${name.padEnd(28)} median ${p(times, 0.5).toFixed(1).padStart(6)} ms, p95 ${p(times, 0.95).toFixed(1).padStart(6)} ms`)
}
const edit = (firmId: string) => ({ method: 'POST', path: `/api/jobs/${pick(jobIds.get(firmId)!)}/edits`, body: { baseVersion: null, entries: [{ id: randomUUID(), kind: 'edit', edit: { type: 'set-face', faceId: 'main', values: { pitchDeg: 20 + Math.random() * 20 } } }] } })
const scans = async () => new Map((await keeper.query<{ relname: string, seq_scan: string }>('select relname, seq_scan from pg_stat_user_tables')).rows.map(row => [row.relname, Number(row.seq_scan)]))
await later(1500)
const before = await scans()
for (const [name, of] of [['firms of a hundred jobs', some], [`the firm of ${largest} jobs`, [large]]] as const) {
  console.log(`In ${name}:`)
  await measure('list, a page', of, () => ({ path: `/api/jobs?order=${pick(['changed', 'opened', 'name', 'settle'])}` }))
  await measure('list, searched', of, () => ({ path: `/api/jobs?search=lane+${Math.floor(Math.random() * 90)}+quarter` }))
  await measure('open a job', of, firmId => ({ path: `/api/jobs/${pick(jobIds.get(firmId)!)}?shelf=0` }))
  await measure('open a job, with the shelf', of, firmId => ({ path: `/api/jobs/${pick(jobIds.get(firmId)!)}` }))
  await measure('edit', of, edit)
  await measure('shelf', of, () => ({ path: '/api/shelf' }))
  await measure('people', of, () => ({ path: '/api/people' }))
}
await later(1500)
const after = await scans()
/** Tables that are small whoever grows, and one that none is kept in. */
const read = [...after].map(([table, n]) => [table, n - (before.get(table) ?? 0)] as const).filter(([, n]) => n > 0)
console.log(`Tables read from end to end meanwhile: ${read.map(([table, n]) => `${table} ${n} times`).join(', ') || 'none'}`)

const asApp = new pg.Client({ connectionString: databaseUrl })
await asApp.connect()
await asApp.query('select set_config(\'app.firm_id\', $1, false)', [large])
const statements = {
  'a page of the list': 'select job_id, title, place, summary from jobs where firm_id = current_firm() and deleted_at is null and archived = false order by updated_at desc, job_id desc limit 50',
  'a job': `select document from jobs where firm_id = current_firm() and job_id = '${jobIds.get(large)![0]}' and deleted_at is null`,
  'its last edits': `select edit from job_edits where firm_id = current_firm() and job_id = '${jobIds.get(large)![0]}' order by version desc limit 400`,
  'a search': 'select job_id from jobs where firm_id = current_firm() and deleted_at is null and archived = false and sought like \'%lane 4711%\' order by updated_at desc, job_id desc limit 50',
  'parts used': 'select shelf, item_id, jobs from parts_used where firm_id = current_firm()',
}
for (const [name, sql] of Object.entries(statements)) {
  const { rows } = await asApp.query<{ 'QUERY PLAN': string }>(`explain (analyze, costs off, timing off, summary off) ${sql}`)
  console.log(`Plan of ${name}:\n${rows.map(row => `    ${row['QUERY PLAN']}`).join('\n')}`)
}
await asApp.end()
await keeper.end()
process.exit(0)
