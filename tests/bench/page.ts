import { gzipSync } from 'node:zlib'
import { type Browser, chromium, type Page } from '@playwright/test'
import { eight, forty } from './houses'

const [app, bare] = process.argv.slice(2) as [string, string]
const RUNS = 7
const KEYS = 60

const sorted = (values: number[]): number[] => [...values].sort((a, b) => a - b)
const middle = (values: number[]): number => sorted(values)[Math.floor(values.length / 2)]!
const p95 = (values: number[]): number => sorted(values)[Math.ceil(0.95 * values.length) - 1]!
const ms = (value: number): string => `${Math.round(value)} ms`

interface Weight { js: number, worker: number, css: number }

/** A window of somebody who is signed in; the line of news would never let it rest. */
async function signedIn(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  await context.request.post(`${app}/api/session/demo`, { data: { role: 'planner' } })
  const page = await context.newPage()
  await page.route('**/api/news', route => route.abort())
  return page
}

/** Scripts and styles that a page fetches until it rests, bytes as gzip makes them. */
async function weigh(browser: Browser, address: string): Promise<Weight> {
  const page = await signedIn(browser)
  const weight: Weight = { js: 0, worker: 0, css: 0 }
  const read: Promise<void>[] = []
  page.on('response', (response) => {
    read.push((async () => {
      const bytes = await response.body()
      const kind = /worker.*\.js$/.test(response.url()) ? 'worker' : response.url().endsWith('.js') ? 'js' : response.url().endsWith('.css') ? 'css' : null
      if (kind) weight[kind] += gzipSync(bytes).length
    })())
  })
  await page.goto(address)
  await page.waitForLoadState('networkidle')
  await Promise.all(read)
  await page.context().close()
  return weight
}

/** The largest paint of a page that nothing is kept of, ms after the address was entered. */
async function largestPaint(browser: Browser, address: string): Promise<number> {
  const page = await signedIn(browser)
  await page.goto(address)
  await page.waitForLoadState('networkidle')
  const at = await page.evaluate(() => new Promise<number>((resolve) => {
    new PerformanceObserver(list => resolve(list.getEntries().at(-1)!.startTime)).observe({ type: 'largest-contentful-paint', buffered: true })
  }))
  await page.context().close()
  return at
}

/** From each press of a key that moves a row to the frame that shows the array where it now is, ms. */
async function keysToPaint(page: Page): Promise<number[]> {
  await page.evaluate(() => {
    const times: number[] = []
    Object.assign(window, { paintTimes: times })
    let pressed = 0
    addEventListener('keydown', () => pressed = performance.now(), true)
    new MutationObserver(() => {
      if (!pressed) return
      const from = pressed
      pressed = 0
      // The first task after the next frame's callbacks finds it painted.
      requestAnimationFrame(() => {
        const { port1, port2 } = new MessageChannel()
        port1.onmessage = () => times.push(performance.now() - from)
        port2.postMessage(null)
      })
    }).observe(document.querySelector('[role=application]')!, { subtree: true, attributes: true, childList: true, characterData: true })
  })
  await page.getByRole('application').focus()
  for (let i = 0; i < KEYS; i++) {
    await page.keyboard.press(i % 2 ? 'ArrowLeft' : 'ArrowRight')
    await page.waitForFunction(n => (window as unknown as { paintTimes: number[] }).paintTimes.length >= n, i + 1, { timeout: 5000 })
    await page.waitForTimeout(60)
  }
  return await page.evaluate(() => (window as unknown as { paintTimes: number[] }).paintTimes)
}

const browser = await chromium.launch({ executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] })
const page = await signedIn(browser)
await page.goto(app)
const idOf = async (job: object) => ((await (await page.request.post(`${app}/api/jobs/file`, { data: job })).json()) as { jobId: string }).jobId
const [houses, rails] = [{ 40: await idOf(forty), 200: await idOf(eight) }, `/jobs/2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d0007/rails`]

const views = [['bare page', bare], ['jobs', app], ['shelf', `${app}/shelf`], ['a job, before its first dialog', `${app}${rails}`]] as const
console.log('page                            JavaScript   worker     CSS   largest paint (middle of', RUNS, 'runs, least)')
for (const [name, address] of views) {
  const { js, worker, css } = await weigh(browser, address)
  const paints: number[] = []
  for (let run = 0; run < RUNS; run++) paints.push(await largestPaint(browser, address))
  const kb = (bytes: number) => `${Math.round(bytes / 1000)} kB`
  console.log(name.padEnd(32), kb(js).padStart(9), kb(worker).padStart(8), kb(css).padStart(7), `  ${ms(middle(paints))}, ${ms(Math.min(...paints))}`)
}
console.log('\nSizes are gzip’s; what a browser asks for is brotli’s, and smaller.\n')
for (const [modules, id] of Object.entries(houses)) {
  await page.goto(`${app}/jobs/${id}/rows`)
  await page.getByTestId('totals').getByText('modules').waitFor()
  await page.waitForTimeout(1500)
  const times = await keysToPaint(page)
  console.log(`key to paint, ${modules} modules: middle ${ms(middle(times))}, 95 of 100 within ${ms(p95(times))}, ${times.length} of ${KEYS} keys seen`)
}
await browser.close()
