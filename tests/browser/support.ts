import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { type APIRequestContext, expect, type Page, test as base } from '@playwright/test'
import type { QueryResultRow } from 'pg'
import sharp from 'sharp'
import type { App } from 'vue'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import config from '../../playwright.config'
import { sqlAsFirm } from '../fixtures/sql'

export const asFirm = <T extends QueryResultRow>(firmId: string, sql: string, values: unknown[] = []): Promise<T[]> => sqlAsFirm<T>(process.env.NUXT_DATABASE_URL, firmId, sql, values)

/** A fresh copy of the countable fixture in the demo firm, so that no test leans on another. */
export async function freshJob(firmId = DEMO_FIRM_ID): Promise<string> {
  const jobId = randomUUID()
  const document = JSON.parse(readFileSync('tests/fixtures/three-rows-of-six.json', 'utf8')) as unknown
  await asFirm(firmId, 'insert into jobs (firm_id, job_id, document) values ($1, $2, $3)', [firmId, jobId, document])
  return jobId
}

/** Goes to an address. A window that shows the app already goes on inside it, as at work; only a new one loads it. */
export async function goTo(page: Page, path: string): Promise<void> {
  const inside = await page.evaluate(async (to) => {
    const root = document.querySelector<HTMLElement & { __vue_app__?: App }>('#__nuxt')
    await root?.__vue_app__?.config.globalProperties.$router.push(to)
    return Boolean(root?.__vue_app__)
  }, path)
  if (!inside) await page.goto(path)
  await expect(page).toHaveURL(new RegExp(`${path}$`))
}

export async function openStage(page: Page, jobId: string, stage: string): Promise<void> {
  await goTo(page, `/jobs/${jobId}/${stage}`)
  await expect(page.getByRole('navigation', { name: 'Stages of the job' })).toBeVisible()
  await expect(page.getByTestId('totals')).toContainText('modules')
}

/** Climbs to a stage by the ladder: nothing is loaded again, as for somebody at work. */
export async function toStage(page: Page, stage: string): Promise<void> {
  const rung = `nav [data-stage="${stage}"]`
  await press(page, rung)
  await expect(page.locator(rung)).toHaveAttribute('aria-current', 'page')
}

/**
 * Presses what is found and named so as soon as it is there. Playwright's own click also waits until it is in view, still and
 * uncovered, and a role is looked for in the whole page: right where pressing is tested, but half of the time of a long walk.
 */
export async function press(page: Page, css: string, name: string | RegExp = '', nth = 0): Promise<void> {
  const source = typeof name === 'string' ? `^${name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}${name && '$'}` : name.source
  await page.waitForFunction(({ css, source, nth }) => {
    const named = new RegExp(source)
    const one = [...document.querySelectorAll<HTMLElement>(css)].filter(one => named.test(one.ariaLabel ?? one.textContent.trim()))[nth]
    // Tabs open when a button of the mouse goes down.
    one?.dispatchEvent(new MouseEvent('mousedown', { bubbles: true, button: 0 }))
    one?.click()
    return one !== undefined
  }, { css, source, nth })
}

/** Types over a field of the slip and takes it. */
export async function typeOver(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label).first()
  await field.fill(text)
  await field.press('Enter')
}

/** Picks one of few that are all in sight. */
export const pick = (page: Page, group: string, option: string) => page.getByRole('radiogroup', { name: group }).getByRole('radio', { name: option, exact: true }).check()

/** Picks from a list that opens. */
export async function choose(page: Page, label: string, option: string | RegExp): Promise<void> {
  await page.getByLabel(label, { exact: true }).first().click()
  await page.getByRole('option', { name: option }).first().click()
  // A list that closes gives the focus back: what is typed next must not go to it.
  await expect(page.getByRole('listbox')).toHaveCount(0)
}

/** Loads a fresh job by European rules and has an engineer asked for, whom nobody has named: a stop that only a name takes away. */
export async function jobWithEngineerAsked(page: Page): Promise<string> {
  const jobId = await freshJob()
  await openStage(page, jobId, 'rails')
  await page.getByRole('tab', { name: 'Loads' }).click()
  await choose(page, 'Rules', /European/)
  await typeOver(page, 'Basic wind speed', '25')
  await pick(page, 'Terrain', 'II')
  await typeOver(page, 'Ground snow load', '0.65 kPa')
  // The form grows as the rules begin: a list opened before would stay where it was.
  await expect(page.getByLabel('Sliding', { exact: true })).toBeVisible()
  await choose(page, 'A licensed engineer', /asked for by code/)
  return jobId
}

/** A picture as a camera gives one. */
export const photo = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#7b8794' } }).jpeg().toBuffer()

export const saved = (page: Page) => expect(page.getByTestId('save-state')).toHaveText('Saved')

export { expect }

/** Enters the demo as one of its people, for all windows of a context. */
export async function enter(context: { request: APIRequestContext }, role: 'planner' | 'lead' | 'yard' | 'owner' = 'planner'): Promise<void> {
  expect((await context.request.post(`${config.use!.baseURL}/api/session/demo`, { data: { role } })).status()).toBe(200)
}

const VIEW = { width: 1280, height: 800 }

/** Every test also fails on an error in the page or a request that leaves this machine. */
export const test = base.extend<{ watched: undefined, other: Page }, { shared: Page }>({
  /** The window that tests of one worker share, one after the other: what each should start with is put back after the last. */
  shared: [async ({ browser }, use) => {
    const context = await browser.newContext({ baseURL: config.use!.baseURL, viewport: VIEW, serviceWorkers: 'block' })
    await enter(context)
    await use(await context.newPage())
    await context.close()
  }, { scope: 'worker' }],
  page: async ({ shared }, use) => {
    await use(shared)
    await shared.unrouteAll({ behavior: 'ignoreErrors' })
    await shared.context().setOffline(false)
    await shared.setViewportSize(VIEW)
    shared.removeAllListeners()
  },
  context: async ({ page }, use) => await use(page.context()),
  /** A window of somebody else, who shares nothing with the first but the office. */
  other: async ({ browser }, use) => {
    const context = await browser.newContext({ serviceWorkers: 'block' })
    await enter(context)
    await use(await context.newPage())
    await context.close()
  },
  watched: [async ({ page }, use) => {
    const troubles: string[] = []
    page.on('pageerror', error => troubles.push(error.message))
    page.on('request', (request) => {
      const { hostname, protocol } = new URL(request.url())
      if (!['data:', 'blob:'].includes(protocol) && hostname !== '127.0.0.1') troubles.push(`asked ${hostname}`)
    })
    await use(undefined)
    expect(troubles).toEqual([])
  }, { auto: true }],
})
