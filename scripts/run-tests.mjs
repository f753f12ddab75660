import { spawnSync } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'

/** Runs every check to its end, even when one fails, and prints the true sum as the last line. */
const results = 'test-results'
rmSync(results, { recursive: true, force: true })
mkdirSync(results, { recursive: true })

const run = (command, env = {}) => spawnSync(command, { shell: true, stdio: 'inherit', env: { ...process.env, ...env } }).status ?? 1
const json = file => JSON.parse(readFileSync(file, 'utf8'))

/** A check without tests of its own counts as one. */
const single = command => () => run(command) === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 }

function unitTests() {
  const file = `${results}/unit.json`
  const status = run(`npx vitest run --reporter=default --reporter=json --outputFile.json=${file}`)
  const { numPassedTests: passed, numFailedTests, numFailedTestSuites } = json(file)
  // A file that can't be loaded fails without a failed test in it.
  const failed = Math.max(numFailedTests, Math.min(numFailedTestSuites, 1))
  return { passed, failed: status === 0 ? failed : Math.max(failed, 1) }
}

function browserTests() {
  if (run('bash scripts/build.sh') !== 0) return { passed: 0, failed: 1 }
  const file = `${results}/browser.json`
  const status = run('npx playwright test --reporter=list,json', { PLAYWRIGHT_JSON_OUTPUT_NAME: file })
  const { expected, flaky, unexpected } = json(file).stats
  return { passed: expected + flaky, failed: status === 0 ? unexpected : Math.max(unexpected, 1) }
}

const checks = [
  ['Lint', single('npx eslint .')],
  ['Types', single('npm run -s typecheck')],
  ['Unit tests and cross-checks', unitTests],
  ['Browser tests', browserTests],
]

const sum = { passed: 0, failed: 0 }
for (const [name, check] of checks) {
  console.log(`\n== ${name}`)
  let result
  try {
    result = check()
  }
  catch (error) {
    console.error(`${name} did not finish: ${error.message}`)
    result = { passed: 0, failed: 1 }
  }
  console.log(`== ${name}: ${result.passed} passed, ${result.failed} failed`)
  sum.passed += result.passed
  sum.failed += result.failed
}
console.log(`\n${sum.passed} passed, ${sum.failed} failed`)
process.exitCode = sum.failed ? 1 : 0
