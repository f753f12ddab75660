import { spawn } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'

/** Runs every check to its end, even when one fails, and prints what each part took and the true sum as the last line. */
const results = 'test-results'
rmSync(results, { recursive: true, force: true })
mkdirSync(results, { recursive: true })

/** Runs a command; what it prints comes at once, or together at its end where something else runs beside it. */
const run = (command, { env = {}, held = false } = {}) => new Promise((resolve) => {
  const child = spawn(command, { shell: true, stdio: held ? ['ignore', 'pipe', 'pipe'] : 'inherit', env: { ...process.env, ...env } })
  let text = ''
  for (const stream of held ? [child.stdout, child.stderr] : []) stream.on('data', chunk => text += chunk)
  child.on('close', (status) => {
    if (text.trim()) console.log(text.trimEnd())
    resolve(status ?? 1)
  })
})
const json = file => JSON.parse(readFileSync(file, 'utf8'))

/** A check without tests of its own counts as one. */
const single = (...commands) => async () => {
  for (const command of commands) if (await run(command, { held: true }) !== 0) return { passed: 0, failed: 1 }
  return { passed: 1, failed: 0 }
}

async function unitTests() {
  const file = `${results}/unit.json`
  const status = await run(`npx vitest run --reporter=default --reporter=json --outputFile.json=${file}`)
  const { numPassedTests: passed, numFailedTests, numFailedTestSuites } = json(file)
  // A file that can't be loaded fails without a failed test in it.
  const failed = Math.max(numFailedTests, Math.min(numFailedTestSuites, 1))
  return { passed, failed: status === 0 ? failed : Math.max(failed, 1) }
}

async function faultTests() {
  const file = `${results}/faults.json`
  const status = await run(`npx vitest run --config vitest.faults.config.ts --reporter=default --reporter=json --outputFile.json=${file}`, { held: true, env: { FAULTS: 'few' } })
  const { numPassedTests: passed, numFailedTests } = json(file)
  return { passed, failed: status === 0 ? numFailedTests : Math.max(numFailedTests, 1) }
}

async function browserTests() {
  const file = `${results}/browser.json`
  const status = await run('npx playwright test --reporter=list,json', { env: { PLAYWRIGHT_JSON_OUTPUT_NAME: file } })
  const { expected, flaky, unexpected } = json(file).stats
  return { passed: expected + flaky, failed: status === 0 ? unexpected : Math.max(unexpected, 1) }
}

const sum = { passed: 0, failed: 0 }
const times = []
async function part(name, check) {
  const start = Date.now()
  let result
  try {
    result = await check()
  }
  catch (error) {
    console.error(`${name} did not finish: ${error.message}`)
    result = { passed: 0, failed: 1 }
  }
  times.push(`${name} ${Math.round((Date.now() - start) / 1000)} s`)
  console.log(`== ${name}: ${result.passed} passed, ${result.failed} failed`)
  sum.passed += result.passed
  sum.failed += result.failed
}

// Two lanes for two cores: unit tests begin as soon as the build leaves one free. Browser tests have the machine to themselves.
console.log('\n== Build, lint, types, unit tests and cross-checks')
const build = part('Build', single('bash scripts/build.sh'))
await Promise.all([
  (async () => {
    await build
    await part('Unit tests and cross-checks', unitTests)
  })(),
  (async () => {
    await part('Lint and floors', single('npm run -s lint'))
    await part('Types', single('npm run -s typecheck'))
    await build
    await part('Faults', faultTests)
  })(),
])
console.log('\n== Browser tests')
await part('Browser tests', browserTests)
console.log(`\nTimes: ${times.join(', ')}`)
console.log(`${sum.passed} passed, ${sum.failed} failed`)
process.exitCode = sum.failed ? 1 : 0
