import type { Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { MOST_LOG } from '../../core/job'
import { demoJobs } from '../../db/demo/jobs'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { fitsAcross, noSeriousFault, smallerThan } from './faults'
import { logOf, onRoof, PHONE, settledHere, test, toFixings } from './phones'
import { asFirm, expect, freshJob, goTo, photo } from './support'

const sprat = demoJobs.find(one => one.job.title === '21 Sprat Walk')!
/** What a thumb in a wet glove hits, px (common practice), less what a border rounds away. */
const GLOVE = 59.5

async function held(page: Page, what: string) {
  await fitsAcross(page)
  expect([what, await smallerThan(page, GLOVE)]).toEqual([what, []])
  await noSeriousFault(page)
}

test('every view of the crew: nothing smaller than a thumb in a glove, nothing cut at the side, no serious fault', async ({ page }) => {
  test.setTimeout(180_000)
  await page.setViewportSize(PHONE)
  await goTo(page, `/jobs/${sprat.id}/roof`)
  await expect(page.locator('[data-reading]')).toBeVisible({ timeout: 30_000 })
  await held(page, 'the line in hand')
  const lines = () => page.getByRole('button', { name: /all lines/ }).click()
  await lines()
  await held(page, 'all lines')
  for (const view of [/^What moves/, /^Rails, modules/, /^Level the feet/, /^Is the row true/, /^Rain, day’s end/, /^Damage/, /^On this phone/]) {
    await page.getByRole('button', { name: view }).click()
    await held(page, String(view))
    await page.getByRole('button', { name: 'Back', exact: true }).click()
  }
  await lines()
  // A fixing in timber, and one that is not drilled yet.
  for (const [rail, mark, state] of [[1, /^Fixing 1, drilled/, /Drilled: its steps/], [3, /^Fixing 1/, /Drill: hit or miss/]] as const) {
    await toFixings(page, rail)
    await page.getByRole('button', { name: mark }).last().click()
    await page.getByRole('button', { name: state }).click()
    await held(page, `the hole of a fixing on rail ${rail}`)
    await page.getByRole('button', { name: 'Back to the line' }).click()
  }
})

test('who is on a job has it on the phone without asking: it opens there cold, without a signal', async ({ phone }) => {
  test.setTimeout(180_000)
  const [jobId, other] = [await freshJob(), await freshJob()]
  const [lead] = await asFirm<{ id: string }>(DEMO_FIRM_ID, 'select person_id as id from people where firm_id = $1 and name = $2', [DEMO_FIRM_ID, 'Dabney Thrift'])
  await asFirm(DEMO_FIRM_ID, 'update jobs set document = jsonb_set(document, \'{site,crew}\', to_jsonb(array[$2::text])) where job_id = $1', [jobId, lead!.id])
  const { link, context, page } = await phone()
  // The app is opened, no job is.
  await page.goto('/')
  await settledHere(page, jobId)
  link.cut(true)
  await page.close()
  const cold = await context.newPage()
  await onRoof(cold, jobId)
  await toFixings(cold, 1)
  await cold.getByRole('button', { name: /Drill: hit or miss/ }).click()
  await cold.getByRole('button', { name: /Hit: pale dust/ }).click()
  await expect(cold.getByText(/In timber/)).toBeVisible()
  // A job that nobody took along says so, and what it would take.
  const none = await context.newPage()
  await none.goto(`/jobs/${other}/roof`)
  await expect(none.getByText(/this job is not on this phone/)).toBeVisible({ timeout: 30_000 })
  link.cut(false)
  await expect.poll(async () => (await logOf(jobId)).map(one => one.kind), { timeout: 30_000 }).toEqual(['hole'])
})

test('a photograph of a flashing is asked for, waits on the phone without a signal, and is with its hole at the office', async ({ phone }) => {
  test.setTimeout(180_000)
  const jobId = await freshJob()
  const { link, page } = await phone()
  await onRoof(page, jobId)
  await settledHere(page, jobId)
  link.cut(true)
  await toFixings(page, 1)
  await page.getByRole('button', { name: /Drill: hit or miss/ }).click()
  await page.getByRole('button', { name: /Hit: pale dust/ }).click()
  const flashing = page.locator('label', { hasText: 'Flashing before it is covered' })
  await expect(flashing).toContainText('asked for')
  await flashing.locator('input').setInputFiles({ name: `${randomUUID()}.jpg`, mimeType: 'image/jpeg', buffer: await photo(640, 480) })
  await expect(flashing).toContainText('✓ again')
  link.cut(false)
  await expect.poll(async () => (await logOf(jobId)).map(one => one.kind), { timeout: 30_000 }).toEqual(['hole', 'photograph'])
  const said = (await logOf(jobId)).find(one => one.kind === 'photograph')!
  await expect.poll(async () => (await asFirm<{ caption: string }>(DEMO_FIRM_ID, 'select caption from photographs where job_id = $1 and photo_id = $2', [jobId, said.kind === 'photograph' ? said.photoId : ''])).map(one => one.caption), { timeout: 30_000 }).toEqual(['Flashing before it is covered'])
})

test('what is not kept is said: a log that is full takes nothing more, and says so where it was pressed', async ({ page }) => {
  const jobId = await freshJob()
  const log = Array.from({ length: MOST_LOG }, (_, i) => ({ id: `n${i}`, faceId: 'main', by: 'Tom', at: '2026-05-04T09:30:00Z', kind: 'note', holeId: null, words: `Note ${i}` }))
  await asFirm(DEMO_FIRM_ID, 'update jobs set document = document || jsonb_build_object(\'log\', $2::jsonb) where job_id = $1', [jobId, JSON.stringify(log)])
  await page.setViewportSize(PHONE)
  await goTo(page, `/jobs/${jobId}/roof`)
  await expect(page.locator('[data-reading]')).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: /all lines/ }).click()
  await page.getByRole('button', { name: /^Rain/ }).click()
  await page.getByRole('button', { name: 'Read the thermometer' }).click()
  await expect(page.getByRole('status').filter({ hasText: `at most ${MOST_LOG} entries` })).toBeVisible()
})
