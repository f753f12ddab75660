import type { BrowserContext, Page } from '@playwright/test'
import type { LogEntry } from '../../core/job'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { type Link, linkToOffice } from './link'
import { asFirm, expect, test as base } from './support'

export const PHONE = { width: 390, height: 844 }

export interface Phone { link: Link, context: BrowserContext, page: Page }
/** Makes phones with links of their own, somebody signed in on each; they are put away after the test. */
export const test = base.extend<{ phone: (role?: 'lead' | 'planner') => Promise<Phone> }>({
  phone: async ({ browser }, use) => {
    const phones: Phone[] = []
    await use(async (role = 'lead') => {
      const link = await linkToOffice()
      const context = await browser.newContext({ baseURL: link.url, viewport: PHONE, serviceWorkers: 'allow' })
      expect((await context.request.post(`${link.url}/api/session/demo`, { data: { role } })).status()).toBe(200)
      const one = { link, context, page: await context.newPage() }
      phones.push(one)
      return one
    })
    for (const { context, link } of phones) {
      await context.close().catch(() => {})
      await link.close()
    }
  },
})
export const onRoof = async (page: Page, jobId: string) => {
  await page.goto(`/jobs/${jobId}/roof`)
  await expect(page.locator('[data-reading]')).toBeVisible({ timeout: 30_000 })
}
/** The shell stands before the office, and the job is written down. */
export async function settledHere(page: Page, jobId: string) {
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => navigator.serviceWorker.controller ?? new Promise(done => navigator.serviceWorker.addEventListener('controllerchange', done, { once: true }))))
  await expect.poll(() => page.evaluate(async (id) => {
    // Opening what is not there yet would make it, empty.
    if (!(await indexedDB.databases()).some(one => one.name === 'upper-deck-kept')) return false
    return new Promise<boolean>((done) => {
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
    })
  }, jobId), { timeout: 20_000 }).toBe(true)
}

export const toLine = async (page: Page, line: RegExp) => {
  await page.getByRole('button', { name: /all lines/ }).click()
  // The line in hand has its name in the head too.
  await page.getByRole('button', { name: line }).last().click()
}
export const toFixings = (page: Page, rail: number) => toLine(page, new RegExp(`^Fixings on rail ${rail}`))
export const logOf = async (jobId: string): Promise<LogEntry[]> => (await asFirm<{ log: LogEntry[] | null }>(DEMO_FIRM_ID, 'select document -> \'log\' as log from jobs where job_id = $1', [jobId]))[0]!.log ?? []
