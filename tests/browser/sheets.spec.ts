import { randomUUID } from 'node:crypto'
import Papa from 'papaparse'
import { expect, freshJob, goTo, jobWithEngineerAsked, openStage, saved, test, toStage, typeOver } from './support'

test('a mark-out is issued, then superseded by an edit, then issued again; each revision keeps its sheet', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'mark-out')
  const issue = page.getByRole('region', { name: 'Issue' })
  await expect(issue).toContainText('Not issued yet')
  await page.getByLabel('Note on the issued sheet').fill('Ladder at the left rake')
  await issue.getByRole('button', { name: 'Issue revision A' }).click()
  await expect(issue).toContainText('Revision A issued by')
  await expect(issue).toContainText('It holds')

  await toStage(page, 'rails')
  await page.getByRole('button', { name: /^Rail 1, up/ }).click()
  await typeOver(page, 'Above the row’s edge', '12 3/4"')
  await saved(page)
  await toStage(page, 'mark-out')
  await expect(issue).toContainText('Revision A is superseded')
  await issue.getByRole('button', { name: 'Show what changed' }).click()
  await expect(issue.getByText('Moved Rail lines: Rail 1')).toBeVisible()
  await issue.getByRole('button', { name: 'Issue revision B' }).click()
  await expect(issue).toContainText('Revision B issued by')
  await issue.getByText('2 issued').click()
  await expect(issue).toContainText('Ladder at the left rake')

  // The old sheet is drawn from what was issued, not from the plan as it stands.
  const sizes = await Promise.all([1, 2].map(async (revision) => {
    const answer = await page.request.get(`/api/jobs/${jobId}/mark-out.pdf?revision=${revision}`)
    expect(answer.headers()['content-type']).toBe('application/pdf')
    return (await answer.body()).length
  }))
  expect(Math.min(...sizes)).toBeGreaterThan(10_000)
  expect((await page.request.get(`/api/jobs/${jobId}/mark-out.pdf?revision=3`)).status()).toBe(404)
  expect((await page.request.get(`/api/jobs/${jobId}/mark-out.pdf?paper=A0`)).status()).toBe(400)
  expect((await page.request.post(`/api/jobs/${jobId}/sheets`, { data: { id: randomUUID(), version: 0, note: '' } })).status()).toBe(409)
})

test('a mark-out with a stop open is issued only with a reason, and sheet and phone carry it', async ({ page }) => {
  const jobId = await jobWithEngineerAsked(page)
  await saved(page)
  await toStage(page, 'mark-out')
  const issue = page.getByRole('region', { name: 'Issue' })
  const button = issue.getByRole('button', { name: 'Issue revision A' })
  await expect(page.getByRole('region', { name: 'What stops the work' })).toContainText('engineer')
  await expect(page.getByRole('navigation', { name: 'Stages of the job' }).getByRole('link', { name: /Mark-out/ })).toContainText(/stop/i)
  await expect(button).toBeDisabled()
  // Past the screen, the server holds to it too.
  const { version } = await (await page.request.get(`/api/jobs/${jobId}/sheet`)).json() as { version: number }
  const answer = await page.request.post(`/api/jobs/${jobId}/sheets`, { data: { id: randomUUID(), version, note: '', reason: '  ' } })
  expect(answer.status()).toBe(409)
  expect(await answer.text()).toContain('say why the sheet is issued all the same')
  await page.getByLabel('Reason for issuing with a stop open').fill('Rails only today, fixings wait for the letter')
  await button.click()
  await expect(issue).toContainText('Revision A issued by')
  await expect(issue).toContainText('Rails only today, fixings wait for the letter')
  await page.setViewportSize({ width: 390, height: 844 })
  await goTo(page, `/jobs/${jobId}/roof`)
  await expect(page.getByRole('alert').filter({ hasText: 'issued it all the same: Rails only today' })).toBeVisible()
})

test('on the roof: one card a line, ticked mark by mark or whole, ticks kept over a reload and without a signal, and a superseded sheet says so', async ({ page, context }) => {
  const jobId = await freshJob()
  await page.setViewportSize({ width: 390, height: 844 })
  await goTo(page, `/jobs/${jobId}/roof`)
  await expect(page.getByRole('heading', { name: 'Datum corner' })).toBeVisible()
  await page.getByRole('button', { name: 'Marked' }).click()
  await expect(page.getByRole('heading', { name: /far end/ })).toBeVisible()
  await expect(page.locator('[data-reading]')).toContainText(`28' 0"`)
  await page.getByRole('button', { name: 'It proves' }).click()
  await expect(page.getByText('ticks have reached the office')).toBeVisible()

  // Down to the fixings of rail 1, whose first stands on a rafter that is guessed.
  await page.getByRole('button', { name: /all lines/ }).click()
  await page.getByRole('button', { name: /^Fixings on rail 1/ }).click()
  await expect(page.getByRole('heading', { name: 'Fixing 1' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Called out' })).toContainText('guessed: pilot first')
  await context.setOffline(true)
  await page.getByRole('button', { name: 'Marked' }).click()
  await expect(page.getByText('ticks kept on this phone')).toBeVisible()
  await context.setOffline(false)
  await expect(page.getByText('ticks have reached the office')).toBeVisible()
  await page.reload()
  await page.getByRole('button', { name: /1 of \d+ done, all lines/ }).click()
  await page.getByRole('button', { name: /^Fixings on rail 1/ }).click()
  await expect(page.getByRole('button', { name: 'Fixing 1: done' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Fixing 2' })).toBeVisible()
  await page.getByRole('button', { name: 'Whole line' }).click()
  await expect(page.getByRole('button', { name: /2 of \d+ done/ })).toBeVisible()

  // Issued, then changed: what was ticked belongs to the sheet it was ticked on, and the roof is told.
  await page.request.post(`/api/jobs/${jobId}/sheets`, { data: { id: randomUUID(), version: 0, note: '' } })
  await page.reload()
  await expect(page.getByText('Revision A')).toBeVisible()
  await expect(page.getByRole('button', { name: /0 of \d+ done/ })).toBeVisible()
  await page.setViewportSize({ width: 1280, height: 800 })
  await openStage(page, jobId, 'rows')
  await page.getByRole('button', { name: 'One row fewer' }).click()
  await saved(page)
  await goTo(page, `/jobs/${jobId}/roof`)
  await expect(page.getByRole('alert').filter({ hasText: 'Not the issued sheet' })).toBeVisible()
})

test('the van list is ticked, spares and lifts are typed, and files can be had', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'load-out')
  const modules = page.locator('li[data-part="module"]')
  await modules.getByRole('checkbox').check()
  await expect(page.getByText(/^1 of \d+ on the van/)).toBeVisible()
  await page.reload()
  await expect(modules.getByRole('checkbox')).toBeChecked()

  await page.getByRole('tab', { name: 'Spares' }).click()
  await typeOver(page, 'Skerry 425', 'a few')
  await expect(page.getByRole('alert').filter({ hasText: 'no rule for spares' })).toBeVisible()
  await typeOver(page, 'Skerry 425', '5 % + 1')
  await saved(page)
  await page.getByRole('tab', { name: 'Van list' }).click()
  await expect(modules).toContainText('20')

  await page.getByRole('tab', { name: 'Lifts' }).click()
  await typeOver(page, 'Rated load of the lift', '5 lb')
  await expect(page.getByRole('alert').filter({ hasText: 'at least 20 kg' })).toBeVisible()
  await typeOver(page, 'Rated load of the lift', '330 lb')
  await typeOver(page, 'Crate or cradle', '40 lb')
  await expect(page.getByRole('heading', { name: /^Lift 1/ })).toBeVisible()
  await expect(page.getByRole('listitem').filter({ hasText: /^6 Skerry 425/ }).first()).toBeVisible()
  await saved(page)

  const csv = Papa.parse<Record<string, string>>(await (await page.request.get(`/api/jobs/${jobId}/load-out.csv`)).text(), { header: true })
  expect(csv.data.find(row => row.part === 'Skerry 425')!.total).toBe('20')
  for (const [path, type] of [
    ['load-out.xlsx', 'spreadsheetml'],
    ['purchases.csv', 'text/csv'],
    ['mark-out.csv', 'text/csv'],
    ['roof.geojson', 'geo+json'],
    ['faces/main/drawing.dxf', 'dxf'],
    ['faces/main/drawing.svg', 'svg'],
    ['job.json', 'json'],
  ] as const) {
    const answer = await page.request.get(`/api/jobs/${jobId}/${path}`)
    expect(answer.status(), path).toBe(200)
    expect(answer.headers()['content-type']).toContain(type)
    expect((await answer.body()).length).toBeGreaterThan(300)
  }
  expect((await page.request.get(`/api/jobs/${jobId}/faces/nowhere/drawing.dxf`)).status()).toBe(404)
})

test('a job file goes out and comes in as the same job; one that is none says why', async ({ page }) => {
  const jobId = await freshJob()
  await goTo(page, '/')
  const file = await (await page.request.get(`/api/jobs/${jobId}/job.json`)).body()
  const input = page.locator('input[type="file"]')
  await input.setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: file })
  await expect(page).toHaveURL(/\/jobs\/[0-9a-f-]+\/survey$/)
  const opened = /jobs\/([0-9a-f-]+)/.exec(page.url())![1]!
  expect(opened).not.toBe(jobId)
  expect(await (await page.request.get(`/api/jobs/${opened}/job.json`)).json()).toEqual(JSON.parse(file.toString()))

  await goTo(page, '/')
  await input.setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: Buffer.from('{"format": "something else"}') })
  await expect(page.getByRole('alert')).toContainText('This file was not opened')
  await input.setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: Buffer.from('not JSON') })
  await expect(page.getByRole('alert')).toContainText('not JSON at all')
})

test('rails are turned up the slope, and a row is parted by an expansion break', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'rails')
  await page.getByLabel('Rails run').click()
  await page.getByRole('option', { name: 'Up the slope' }).click()
  await expect(page.getByRole('button', { name: /^Rail 12, along/ })).toBeVisible()
  await saved(page)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: /^Rail 6, up/ })).toBeVisible()
  await saved(page)

  await toStage(page, 'rows')
  const row = page.getByRole('region', { name: 'Row 1' })
  await row.getByText('Row 1').click()
  await row.getByRole('button', { name: 'Press to drop' }).click()
  await row.getByRole('button', { name: 'Press to hold' }).click()
  await expect(row.getByRole('button', { name: 'Press to part after' })).toBeVisible()
  await row.getByRole('button', { name: 'Place 3' }).click()
  await expect(row.getByRole('button', { name: 'Place 3, expansion break after it' })).toBeVisible()
  await toStage(page, 'rails')
  await expect(page.getByRole('button', { name: /^Rail 8, up/ })).toBeVisible()
  await saved(page)
})
