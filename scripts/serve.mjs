import { spawn, spawnSync } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { networkInterfaces } from 'node:os'
import { createServer } from 'node:net'
import QRCode from 'qrcode'

/** Stays by the server and its database: starts what has died again, says what is wrong in one sentence, and ends both together. */

const lan = process.argv.includes('--lan') || process.env.UPPER_DECK_LAN === 'yes'
const takeOver = process.argv.includes('--take-over')
const demo = process.env.UPPER_DECK_DEMO !== 'no'
const STATE = process.env.UPPER_DECK_STATE || '.data/serving.json'
/** A server that lives so long is well; the wait before the next start begins anew, ms. */
const WELL_MS = 30_000
const WAIT = { first: 300, most: 15_000 }
const LOOK_MS = 2000

const say = sentence => console.log(sentence)
function stop(sentence) {
  console.error(sentence)
  process.exit(1)
}
/** What a command prints last, or what it says is wrong. */
function run(command, args, env = {}) {
  const { status, stdout, stderr } = spawnSync(command, args, { encoding: 'utf8', env: { ...process.env, ...env } })
  return { ok: status === 0, out: stdout.trim(), last: stdout.trim().split('\n').at(-1), problem: stderr.trim() }
}
const pg = (...args) => run('scripts/pg.sh', args)

const port = Number(process.env.PORT || 3100)
if (!Number.isInteger(port) || port < 1 || port > 65_535) stop(`PORT is “${process.env.PORT}”, which is no port. Give a number: PORT=3200 npm start`)

// One at a time: another start says what runs, and can take over.
function running() {
  try {
    const known = JSON.parse(readFileSync(STATE, 'utf8'))
    process.kill(known.pid, 0)
    return readFileSync(`/proc/${known.pid}/cmdline`, 'utf8').includes('serve.mjs') ? known : null
  }
  catch {
    return null
  }
}
const other = running()
if (other) {
  if (!takeOver) stop(`Upper Deck runs already, at ${other.address} since ${other.since}. To run this one instead: npm start -- --take-over`)
  process.kill(other.pid, 'SIGTERM')
  for (let i = 0; i < 100 && running(); i++) await new Promise(later => setTimeout(later, 100))
  if (running()) stop(`The one at ${other.address} does not stop. Give: kill -9 ${other.pid}`)
}

const host = lan ? '0.0.0.0' : process.env.HOST || '127.0.0.1'
await new Promise((resolve) => {
  const probe = createServer()
  probe.once('error', error => stop(error.code === 'EACCES' ? `Port ${port} is not for you. Choose one above 1023: PORT=3200 npm start` : `Port ${port} is taken. Choose another: PORT=3200 npm start`))
  probe.listen(port, host, () => probe.close(resolve))
})

const built = spawnSync('scripts/build.sh', { stdio: 'inherit' })
if (built.status !== 0) process.exit(1)

const wasRunning = pg('status').ok
const endDatabase = () => wasRunning || pg('stop')
const started = pg('start')
if (!started.ok) stop(started.problem || 'PostgreSQL did not start.')

/** The address by which a phone on the same network finds this machine. */
const onNetwork = Object.values(networkInterfaces()).flat().find(one => one && one.family === 'IPv4' && !one.internal)?.address
if (lan && !onNetwork) {
  endDatabase()
  stop('This machine is on no network, so that no phone can find it. Join one, or start without --lan.')
}
const site = process.env.NUXT_SITE || (lan ? `https://${onNetwork}:${port}` : `http://${host}:${port}`)

const tls = {}
if (lan) {
  const made = certificate(onNetwork)
  if (!made) {
    endDatabase()
    stop('No certificate could be made: openssl is missing. Give: apt-get install -y openssl. Without TLS a phone can’t sign in: browsers keep a session’s cookie, the camera and work without a signal for secure addresses.')
  }
  Object.assign(tls, made)
}
/** A certificate for this machine's address, made once for each, by itself alone: the phone asks once whether it is trusted. */
function certificate(address) {
  const folder = '.data/secrets'
  const [key, cert, of] = ['tls-key.pem', 'tls-cert.pem', 'tls-address'].map(name => `${folder}/${name}`)
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const read = () => ({ NITRO_SSL_KEY: readFileSync(key, 'utf8'), NITRO_SSL_CERT: readFileSync(cert, 'utf8') })
  try {
    if (readFileSync(of, 'utf8') === address && run('openssl', ['x509', '-in', cert, '-noout', '-checkend', String(14 * 86_400)]).ok) return read()
  }
  catch {
    // Made below.
  }
  const before = process.umask(0o077)
  const made = run('openssl', ['req', '-x509', '-newkey', 'ec', '-pkeyopt', 'ec_paramgen_curve:prime256v1', '-nodes', '-keyout', key, '-out', cert, '-days', '365', '-subj', '/CN=Upper Deck on this machine', '-addext', `subjectAltName=IP:${address},IP:127.0.0.1,DNS:localhost`])
  process.umask(before)
  if (!made.ok) return null
  writeFileSync(of, address)
  return read()
}

const env = {
  ...tls,
  NUXT_DATABASE_URL: started.last, NUXT_DEMO: String(demo), NUXT_SITE: site, NUXT_PICTURES: process.env.NUXT_PICTURES || '', NUXT_OUTBOX: process.env.NUXT_OUTBOX || `${process.cwd()}/.data/outbox`,
  NUXT_SESSION_PASSWORD: pg('secret', 'session').last, NITRO_HOST: host, NITRO_PORT: String(port),
}
const ready = run('npx', ['tsx', 'db/set-up.ts'], { UPPER_DECK_OWNER_URL: pg('owner').last, UPPER_DECK_DEMO: demo ? 'yes' : 'no', UPPER_DECK_SITE: site })
if (ready.out) say(ready.out)
if (!ready.ok) {
  endDatabase()
  stop(ready.problem.split('\n').filter(line => !line.startsWith('npm warn')).join('\n'))
}

mkdirSync('.data', { recursive: true })
writeFileSync(STATE, JSON.stringify({ pid: process.pid, address: site, since: new Date().toISOString().slice(0, 16).replace('T', ' ') }))
say(`Upper Deck is at ${site}${demo ? ', with the demo' : ''} (Ctrl-C stops it)`)
if (lan) {
  say(await QRCode.toString(site, { type: 'terminal', small: true }))
  say('The certificate is this machine’s own: the phone warns once. Compare its SHA-256 fingerprint before you go on:')
  say(run('openssl', ['x509', '-in', '.data/secrets/tls-cert.pem', '-noout', '-fingerprint', '-sha256']).last.split('=').at(-1))
}

let ending = false
let server = null
let wait = WAIT.first
function serve() {
  const since = Date.now()
  server = spawn(process.execPath, ['.output/server/index.mjs'], { stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } })
  server.on('exit', (code, signal) => {
    if (ending) return
    if (Date.now() - since > WELL_MS) wait = WAIT.first
    say(`The server ended (${signal ?? `code ${code}`}). It is started again in ${(wait / 1000).toFixed(1)} s.`)
    setTimeout(serve, wait)
    wait = Math.min(wait * 2, WAIT.most)
  })
}
serve()

/** A database that died is started again; the server finds it by itself. */
let looking = false
setInterval(() => {
  if (looking || ending) return
  looking = true
  const look = spawn('scripts/pg.sh', ['status'], { stdio: 'ignore' })
  look.on('exit', (status) => {
    looking = false
    if (status === 0 || ending) return
    say('PostgreSQL has died. It is started again.')
    const again = pg('start')
    say(again.ok ? 'PostgreSQL is back.' : again.problem)
  })
}, LOOK_MS)

function end() {
  if (ending) return
  ending = true
  server?.kill('SIGTERM')
  const late = setTimeout(() => server?.kill('SIGKILL'), 5000)
  server?.on('exit', () => {
    clearTimeout(late)
    endDatabase()
    rmSync(STATE, { force: true })
    process.exit(0)
  })
}
process.on('SIGINT', end)
process.on('SIGTERM', end)
