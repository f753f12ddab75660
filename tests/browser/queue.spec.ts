import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { asFirm, expect, freshJob, goTo, openStage, saved, test } from './support'

const historyOf = async (jobId: string) => await asFirm<{
  version: number
  edit: { type: string, values: { shiftMm: number } }
}>(DEMO_FIRM_ID, 'select version, edit from job_edits where job_id = $1 order by version', [jobId])
const shiftOf = async (jobId: string) => (await asFirm<{ mm: number }>(DEMO_FIRM_ID, 'select (document #>> \'{faces,0,array,shiftMm}\')::float as mm from jobs where job_id = $1', [jobId]))[0]!.mm

/** The array is selected and the drawing has the keys. */
async function atTheRows(page: Page, jobId: string) {
  await openStage(page, jobId, 'rows')
  await page.getByRole('application').focus()
}
/** One push in a job measured in inches. */
const SIXTEENTH_MM = 25.4 / 16
const savedLate = (page: Page) => expect(page.getByTestId('save-state')).toHaveText('Saved', { timeout: 60_000 })

test('an arrow key held for ten seconds, then a reload: every push is there, once', async ({ page }) => {
  test.setTimeout(180_000)
  const jobId = await freshJob()
  await atTheRows(page, jobId)
  const until = Date.now() + 10_000
  let pushes = 0
  while (Date.now() < until) {
    // A key that is down and pressed again repeats, as one that is held does.
    await page.keyboard.down('ArrowRight')
    pushes++
    await page.waitForTimeout(10)
  }
  await page.keyboard.up('ArrowRight')
  // What is pushed is made once the plan is there: the last of it takes a moment.
  const moved = async () => Math.round(((await historyOf(jobId)).at(-1)?.edit.values.shiftMm ?? 0) / SIXTEENTH_MM)
  await expect.poll(moved, { timeout: 30_000 }).toBe(pushes)
  page.on('dialog', dialog => void dialog.accept())
  await page.reload()
  await expect(page.getByTestId('totals')).toContainText('modules')
  await savedLate(page)
  const history = await historyOf(jobId)
  expect(history.map(one => one.version)).toEqual(history.map((_, i) => i + 1))
  expect(await shiftOf(jobId)).toBeCloseTo(pushes * SIXTEENTH_MM, 6)
})

test('500 edits without a signal, then a reload, then a signal: all arrive, in order', async ({ page }) => {
  test.setTimeout(180_000)
  const jobId = await freshJob()
  await atTheRows(page, jobId)
  await page.keyboard.press('ArrowRight')
  await saved(page)
  await page.route('**/api/jobs/*/edits', route => route.abort())
  // Taking an edit back and making it again are edits like any other.
  for (let i = 0; i < 25; i++) {
    await page.keyboard.press('Control+z')
    await page.keyboard.press('Control+Shift+z')
  }
  // The rest faster than a hand: the same keys, but the page draws only after every tenth pair.
  await page.evaluate(async () => {
    const press = (shiftKey: boolean) => document.activeElement!.dispatchEvent(new KeyboardEvent('keydown', { key: shiftKey ? 'Z' : 'z', ctrlKey: true, shiftKey, bubbles: true, cancelable: true }))
    for (let i = 0; i < 225; i++) {
      press(false)
      press(true)
      if (i % 10 === 9) await new Promise(requestAnimationFrame)
    }
  })
  await expect(page.getByTestId('save-state')).toHaveText('No signal: 500 changes kept on this device', { timeout: 60_000 })
  page.on('dialog', dialog => void dialog.accept())
  await page.reload()
  await expect(page.getByTestId('save-state')).toContainText('500 changes kept', { timeout: 60_000 })
  expect(await historyOf(jobId)).toHaveLength(1)
  await page.unroute('**/api/jobs/*/edits')
  await savedLate(page)
  const history = await asFirm<{ version: number, kind: string }>(DEMO_FIRM_ID, 'select version, kind from job_edits where job_id = $1 order by version', [jobId])
  expect(history.map(one => one.version)).toEqual(Array.from({ length: 501 }, (_, i) => i + 1))
  expect(history.slice(1).map(one => one.kind)).toEqual(Array.from({ length: 500 }, (_, i) => i % 2 ? 'redo' : 'undo'))
  expect(await shiftOf(jobId)).toBeCloseTo(SIXTEENTH_MM, 6)
})

test('a tick made without a signal on a revision that is superseded meanwhile reaches the office', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'mark-out')
  const post = (path: string, data: unknown) => page.request.post(`/api/jobs/${jobId}/${path}`, { data })
  expect((await post('sheets', { id: randomUUID(), version: 0, note: '' })).status()).toBe(201)
  await goTo(page, `/jobs/${jobId}/roof`)
  await expect(page.getByText('Revision A')).toBeVisible()
  await page.route('**/api/jobs/*/ticks?*', route => route.request().method() === 'PUT' ? route.abort() : route.continue())
  await page.getByRole('button', { name: 'Marked' }).click()
  await expect(page.getByText('ticks kept on this phone')).toBeVisible()
  // Meanwhile the office changes the plan and issues it anew.
  await post('edits', { baseVersion: 0, entries: [{ id: randomUUID(), kind: 'edit', edit: { type: 'set-array', faceId: 'main', values: { shiftMm: 60 } } }] })
  expect((await post('sheets', { id: randomUUID(), version: 1, note: '' })).status()).toBe(201)
  await page.reload()
  await expect(page.getByText('Revision B')).toBeVisible()
  const ticks = () => asFirm<{ list: string, item: string }>(DEMO_FIRM_ID, 'select list, item from ticks where job_id = $1', [jobId])
  expect(await ticks()).toEqual([])
  await page.unroute('**/api/jobs/*/ticks?*')
  await expect(page.getByText('ticks have reached the office')).toBeVisible({ timeout: 30_000 })
  expect(await ticks()).toEqual([{ list: 'mark-out:A', item: expect.stringContaining('datum') as unknown }])
})

test('what the office does not take is set aside by name, and the rest goes on', async ({ page }) => {
  const jobId = await freshJob()
  await atTheRows(page, jobId)
  // A catalogue that has changed meanwhile: the rail that is chosen here is gone there.
  await page.route('**/api/jobs/*/edits', async (route) => {
    const body = route.request().postDataJSON() as { entries: { edit: { values: Record<string, unknown> } }[] }
    for (const { edit } of body.entries) if ('rowGapMm' in edit.values) edit.values = { railId: 'gone-meanwhile' }
    await route.continue({ postData: JSON.stringify(body) })
  })
  await page.getByLabel('Gap between rows').fill('1"')
  await page.getByLabel('Gap between rows').press('Enter')
  const aside = page.getByRole('alert', { name: 'Not taken by the office' })
  await expect(aside).toContainText('The gap between rows: set aside.')
  await expect(aside).toContainText('gone-meanwhile')
  await page.getByRole('application').focus()
  await page.keyboard.press('ArrowRight')
  await saved(page)
  expect(await historyOf(jobId)).toHaveLength(1)
  await page.unroute('**/api/jobs/*/edits')
  await aside.getByRole('button', { name: 'Try it again' }).click()
  await expect(aside).toHaveCount(0)
  await saved(page)
  expect(await historyOf(jobId)).toHaveLength(2)
})
