import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type Browser, type BrowserContext, chromium, type Page } from '@playwright/test'
import type { App } from 'vue'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import type { LogEntry } from '../../core/job'
import config from '../../playwright.config'
import { type Link, linkToOffice } from './link'
import { asFirm, expect, freshJob, test } from './support'

const PHONE = { width: 390, height: 844 }
const office = config.use!.baseURL!

interface Phone { link: Link, context: BrowserContext, page: Page }
const phones: Phone[] = []
test.afterEach(async () => {
  for (const { context, link } of phones.splice(0)) {
    await context.close().catch(() => {})
    await link.close()
  }
})

/** A phone with a link of its own, somebody signed in on it. */
async function phone(browser: Browser, role: 'lead' | 'planner' = 'lead'): Promise<Phone> {
  const link = await linkToOffice()
  const context = await browser.newContext({ baseURL: link.url, viewport: PHONE, serviceWorkers: 'allow' })
  expect((await context.request.post(`${link.url}/api/session/demo`, { data: { role } })).status()).toBe(200)
  const one = { link, context, page: await context.newPage() }
  phones.push(one)
  return one
}
const onRoof = async (page: Page, jobId: string) => {
  await page.goto(`/jobs/${jobId}/roof`)
  await expect(page.locator('[data-reading]')).toBeVisible({ timeout: 30_000 })
}
/** The shell stands before the office, and the job is written down. */
async function settledHere(page: Page, jobId: string) {
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => navigator.serviceWorker.controller ?? new Promise(done => navigator.serviceWorker.addEventListener('controllerchange', done, { once: true }))))
  await expect.poll(() => page.evaluate(id => new Promise<boolean>((done) => {
    const open = indexedDB.open('upper-deck-kept')
    open.onsuccess = () => {
      const db = open.result
      if (!db.objectStoreNames.contains('jobs')) return done(false)
      const asked = db.transaction('jobs').objectStore('jobs').get(id)
      asked.onsuccess = () => {
        db.close()
        done(Boolean(asked.result))
      }
    }
    open.onerror = () => done(false)
  }), jobId), { timeout: 20_000 }).toBe(true)
}
const fixingsLine = async (page: Page, rail: number) => {
  await page.getByRole('button', { name: /all lines/ }).click()
  await page.getByRole('button', { name: new RegExp(`^Fixings on rail ${rail}`) }).click()
}
const drillFirst = async (page: Page, what: RegExp) => {
  await page.getByRole('button', { name: /Drill: hit or miss/ }).click()
  await page.getByRole('button', { name: what }).click()
}
const logOf = async (jobId: string): Promise<LogEntry[]> => (await asFirm<{ log: LogEntry[] | null }>(DEMO_FIRM_ID, 'select document -> \'log\' as log from jobs where job_id = $1', [jobId]))[0]!.log ?? []

test('starts cold without a signal: the page, the job, the plan; what is logged outlives closing and reaches the office once', async ({ browser }) => {
  test.setTimeout(180_000)
  const jobId = await freshJob()
  const { link, context, page } = await phone(browser)
  await onRoof(page, jobId)
  await settledHere(page, jobId)
  await page.close()

  link.cut(true)
  const cold = await context.newPage()
  await onRoof(cold, jobId)
  await expect(cold.getByText(/No signal: as the office had it/)).toBeVisible()
  await fixingsLine(cold, 1)
  await drillFirst(cold, /Hit: pale dust/)
  await expect(cold.getByText(/In timber/)).toBeVisible()
  await expect(cold.getByText(/on this phone, not at the office yet/)).toBeVisible()
  await cold.close()

  const again = await context.newPage()
  await onRoof(again, jobId)
  await fixingsLine(again, 1)
  await expect(again.getByRole('button', { name: /Drilled: its steps/ })).toBeVisible()
  link.cut(false)
  await expect.poll(async () => (await logOf(jobId)).map(one => one.kind), { timeout: 30_000 }).toEqual(['hole'])
  await expect(again.getByText(/not at the office yet/)).toHaveCount(0)
})

/** Says so many notes, as the page itself would, a few at a time while the link comes and goes. */
const sayNotes = (page: Page, who: string, from: number, count: number) => page.evaluate(({ who, from, count }) => {
  const root = document.querySelector<HTMLElement & { __vue_app__?: App }>('#__nuxt')!
  const store = (root.__vue_app__!.config.globalProperties.$pinia as unknown as { _s: Map<string, { commit: (edit: unknown) => { ok: boolean } }> })._s.get('job')!
  for (let i = from; i < from + count; i++) {
    const entry = { id: `${who}-${i}`, faceId: 'main', by: who, at: new Date().toISOString(), kind: 'note', holeId: null, words: `Note ${i}` }
    if (!store.commit({ type: 'log-work', entries: [{ at: null, entry }] }).ok) throw new Error(`Note ${i} was refused.`)
  }
}, { who, from, count })

test('1000 entries of two phones over links that come and go: each is there once, in order for each phone', async ({ browser }) => {
  test.setTimeout(420_000)
  const jobId = await freshJob()
  const both = [await phone(browser), await phone(browser, 'planner')]
  for (const { page } of both) await onRoof(page, jobId)
  for (let at = 0; at < 500; at += 25) {
    for (const [i, { page, link }] of both.entries()) {
      link.cut((at / 25 + i) % 3 !== 0)
      await sayNotes(page, `phone-${i}`, at, 25)
    }
    await both[0]!.page.waitForTimeout(120)
  }
  for (const { link } of both) link.cut(false)
  await expect.poll(async () => (await logOf(jobId)).length, { timeout: 240_000, intervals: [2000] }).toBe(1000)
  const log = await logOf(jobId)
  for (const i of [0, 1]) expect(log.filter(one => one.by === `phone-${i}`).map(one => one.id)).toEqual(Array.from({ length: 500 }, (_, n) => `phone-${i}-${n}`))
})

test('two phones say one hole differently: both are kept, both are told, and a person settles it', async ({ browser }) => {
  test.setTimeout(180_000)
  const jobId = await freshJob()
  const [one, two] = [await phone(browser), await phone(browser, 'planner')]
  for (const { page } of [one, two]) await onRoof(page, jobId)
  for (const { page } of [one, two]) await settledHere(page, jobId)
  two.link.cut(true)
  for (const { page } of [one, two]) await fixingsLine(page, 1)
  await drillFirst(one.page, /Hit: pale dust/)
  await drillFirst(two.page, /^Miss$/)
  two.link.cut(false)
  await expect.poll(async () => (await logOf(jobId)).length, { timeout: 30_000 }).toBe(2)
  await one.page.getByRole('button', { name: 'Back to the line' }).click()
  await one.page.getByRole('button', { name: /all lines/ }).click()
  await one.page.getByRole('button', { name: /What moves/ }).click()
  await expect(one.page.getByText(/Two people say one hole differently/)).toBeVisible({ timeout: 40_000 })
  await one.page.getByRole('button', { name: /It is a hit/ }).click()
  await expect(one.page.getByText(/Two people say one hole differently/)).toHaveCount(0)
  await expect.poll(async () => (await logOf(jobId)).map(entry => entry.kind), { timeout: 30_000 }).toEqual(['hole', 'hole', 'settle'])
})

test('a sheet issued while the crew is up says so at once, in large words', async ({ browser, page: desk }) => {
  test.setTimeout(180_000)
  const jobId = await freshJob()
  const { page } = await phone(browser)
  await onRoof(page, jobId)
  await fixingsLine(page, 1)
  await drillFirst(page, /Hit: pale dust/)
  await expect.poll(async () => (await logOf(jobId)).length, { timeout: 30_000 }).toBe(1)
  const { version } = await (await desk.request.get(`${office}/api/jobs/${jobId}`)).json() as { version: number }
  const issued = await desk.request.post(`${office}/api/jobs/${jobId}/sheets`, { data: { id: crypto.randomUUID(), version, note: '', reason: 'Only for this test' } })
  expect(issued.status()).toBe(201)
  await expect(page.getByText(/Stop: revision A is out/)).toBeVisible({ timeout: 40_000 })
  await page.getByRole('button', { name: 'Follow A from here' }).click()
  await expect(page.getByText(/Stop: revision A is out/)).toHaveCount(0)
})

test('a new version of the app in mid-job: the page goes on with the old one, and nothing is lost when it is taken', async ({ browser }) => {
  test.setTimeout(180_000)
  const jobId = await freshJob()
  const { page, link } = await phone(browser)
  await onRoof(page, jobId)
  await settledHere(page, jobId)
  link.cut(true)
  await fixingsLine(page, 2)
  await drillFirst(page, /Hit: pale dust/)
  link.cut(false)
  link.newVersion()
  await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.update())
  await expect(page.getByText(/A new version of Upper Deck is here/)).toBeVisible({ timeout: 40_000 })
  await page.getByRole('button', { name: 'All of these are done' }).click()
  await page.getByRole('button', { name: 'Take it now' }).click()
  await expect(page.locator('[data-reading]')).toBeVisible({ timeout: 60_000 })
  await expect.poll(async () => (await logOf(jobId)).filter(one => one.kind === 'hole').length, { timeout: 30_000 }).toBe(1)
  expect((await logOf(jobId)).filter(one => one.kind === 'closure').length).toBeGreaterThan(0)
})

test('the browser is killed in mid-entry without a signal: all that was said is there when it is started again', async () => {
  test.setTimeout(240_000)
  const jobId = await freshJob()
  const link = await linkToOffice()
  const folder = mkdtempSync(join(tmpdir(), 'upper-deck-phone-'))
  const launch = () => chromium.launchPersistentContext(folder, { ...config.use!.launchOptions, baseURL: link.url, viewport: PHONE })
  try {
    const signedIn = await launch()
    expect((await signedIn.request.post(`${link.url}/api/session/demo`, { data: { role: 'lead' } })).status()).toBe(200)
    // Whoever signed in did so in the morning: it is on the disk by now.
    await signedIn.close()
    const context = await launch()
    const page = await context.newPage()
    await onRoof(page, jobId)
    await settledHere(page, jobId)
    link.cut(true)
    await sayNotes(page, 'killed', 0, 40)
    // Written down is what the device has; the last of it is being written when the power goes.
    await page.waitForTimeout(300)
    await sayNotes(page, 'killed', 40, 5)
    execFileSync('pkill', ['-9', '-f', folder])
    await context.close().catch(() => {})

    const restarted = await launch()
    const again = await restarted.newPage()
    await onRoof(again, jobId)
    link.cut(false)
    await expect.poll(async () => (await logOf(jobId)).length, { timeout: 60_000 }).toBeGreaterThanOrEqual(40)
    await again.waitForTimeout(3000)
    const ids = (await logOf(jobId)).map(one => one.id)
    // None twice, none out of order, and none missing in between.
    expect(ids).toEqual(Array.from({ length: ids.length }, (_, n) => `killed-${n}`))
    await restarted.close()
  }
  finally {
    await link.close()
    rmSync(folder, { recursive: true, force: true })
  }
})
