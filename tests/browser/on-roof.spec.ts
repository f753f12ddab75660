import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import type { App } from 'vue'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import config from '../../playwright.config'
import { linkToOffice } from './link'
import { logOf, onRoof, PHONE, settledHere, test, toFixings } from './phones'
import { asFirm, expect, freshJob } from './support'

const office = config.use!.baseURL!
const drillFirst = async (page: Page, what: RegExp) => {
  await page.getByRole('button', { name: /Drill: hit or miss/ }).click()
  await page.getByRole('button', { name: what }).click()
}

test('starts cold without a signal: the page, the job, the plan; what is logged outlives closing and reaches the office once', async ({ phone }) => {
  test.setTimeout(180_000)
  const jobId = await freshJob()
  const { link, context, page } = await phone()
  await onRoof(page, jobId)
  await settledHere(page, jobId)
  // As an earlier version of the app wrote it down, which knew of no log and no feet.
  await page.evaluate(id => new Promise<void>((done, failed) => {
    const open = indexedDB.open('upper-deck-kept')
    open.onerror = failed
    open.onsuccess = () => {
      const store = open.result.transaction('jobs', 'readwrite').objectStore('jobs')
      const asked = store.get(id)
      asked.onsuccess = () => {
        const kept = asked.result as { job: { log?: unknown, faces: { feet?: unknown, following?: unknown }[] } }
        delete kept.job.log
        for (const face of kept.job.faces) {
          delete face.feet
          delete face.following
        }
        store.put(kept).onsuccess = () => {
          open.result.close()
          done()
        }
      }
    }
  }), jobId)
  await page.close()

  link.cut(true)
  const cold = await context.newPage()
  await onRoof(cold, jobId)
  await expect(cold.getByText(/No signal: as the office had it/)).toBeVisible()
  await toFixings(cold, 1)
  await drillFirst(cold, /Hit: pale dust/)
  await expect(cold.getByText(/In timber/)).toBeVisible()
  await expect(cold.getByText(/on this phone, not at the office yet/)).toBeVisible()
  await cold.close()

  const again = await context.newPage()
  await onRoof(again, jobId)
  await toFixings(again, 1)
  await expect(again.getByRole('button', { name: /^Fixing 1, drilled/ })).toBeVisible()
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

test('1000 entries of two phones over links that come and go: each is there once, in order for each phone', async ({ phone }) => {
  test.setTimeout(420_000)
  const jobId = await freshJob()
  const both = [await phone(), await phone('planner')]
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

test('two phones say one hole differently: both are kept, both are told, and a person settles it', async ({ phone }) => {
  test.setTimeout(180_000)
  const jobId = await freshJob()
  const [one, two] = [await phone(), await phone('planner')]
  for (const { page } of [one, two]) await onRoof(page, jobId)
  for (const { page } of [one, two]) await settledHere(page, jobId)
  two.link.cut(true)
  for (const { page } of [one, two]) await toFixings(page, 1)
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

test('a sheet issued while the crew is up says so at once, in large words', async ({ phone, page: desk }) => {
  test.setTimeout(180_000)
  const jobId = await freshJob()
  const { page } = await phone()
  await onRoof(page, jobId)
  await page.getByRole('button', { name: 'Whole line' }).click()
  await toFixings(page, 1)
  await drillFirst(page, /Hit: pale dust/)
  await expect.poll(async () => (await logOf(jobId)).length, { timeout: 30_000 }).toBe(1)
  await expect(page.getByRole('button', { name: /1 of \d+ done/ })).toBeVisible()
  const { version } = await (await desk.request.get(`${office}/api/jobs/${jobId}`)).json() as { version: number }
  const issued = await desk.request.post(`${office}/api/jobs/${jobId}/sheets`, { data: { id: crypto.randomUUID(), version, note: '', reason: 'Only for this test' } })
  expect(issued.status()).toBe(201)
  await expect(page.getByText(/Stop: revision A is out/)).toBeVisible({ timeout: 40_000 })
  // What was struck on the old sheet stays struck, before the new one is followed and after.
  await expect(page.getByRole('button', { name: /1 of \d+ done/ })).toBeVisible()
  await page.getByRole('button', { name: 'Follow A from here' }).click()
  await expect(page.getByText(/Stop: revision A is out/)).toHaveCount(0)
  await expect(page.getByRole('button', { name: /1 of \d+ done/ })).toBeVisible()
  await expect.poll(async () => (await asFirm<{ list: string }>(DEMO_FIRM_ID, 'select distinct list from ticks where job_id = $1 order by list', [jobId])).map(one => one.list), { timeout: 30_000 }).toEqual(['mark-out', 'mark-out:A'])
})

test('a new version of the app in mid-job: the page goes on with the old one, and nothing is lost when it is taken', async ({ phone }) => {
  test.setTimeout(180_000)
  const jobId = await freshJob()
  const { page, link } = await phone()
  await onRoof(page, jobId)
  await settledHere(page, jobId)
  link.cut(true)
  await toFixings(page, 2)
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
