import { expect, freshJob, openStage, saved, test, typeOver } from './support'

const choose = async (page: import('@playwright/test').Page, label: string, option: string | RegExp) => {
  await page.getByLabel(label, { exact: true }).first().click()
  await page.getByRole('option', { name: option }).click()
}

test('usual spans become justified ones: rules, bad figures, utilisation, chart, span table, another rail', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'rails')
  const summary = page.getByTestId('load-summary')
  await expect(summary).toContainText('Not worked out')
  await page.getByRole('tab', { name: 'Loads' }).click()
  await expect(page.getByText('Nobody has said what loads this roof')).toBeVisible()
  await choose(page, 'Rules', /ASCE 7-10/)
  await saved(page)

  // Bad figures get a sentence and lose nothing.
  await typeOver(page, 'Basic wind speed', '900 mph')
  await expect(page.getByRole('alert').filter({ hasText: 'at most 300 mph' })).toBeVisible()
  await typeOver(page, 'Basic wind speed', 'a gale')
  await expect(page.getByRole('alert').filter({ hasText: 'is not a wind speed' })).toBeVisible()
  await typeOver(page, 'Basic wind speed', '130')
  await expect(page.getByLabel('Basic wind speed').first()).toHaveValue('130 mph')
  await typeOver(page, 'Ground snow', '-4 psf')
  await expect(page.getByRole('alert').filter({ hasText: 'can’t be below 0' })).toBeVisible()
  await typeOver(page, 'Ground snow', '30')
  await expect(page.getByLabel('Ground snow').first()).toHaveValue('30.0 psf')

  await page.getByRole('tab', { name: 'Rails' }).click()
  await expect(summary).toContainText('US 2010')
  await expect(summary).toContainText(/Most used.*%/s)
  await page.keyboard.press('z')
  await expect(page.getByRole('button', { name: 'Wind zones' }).first()).toHaveAttribute('aria-pressed', 'true')

  await page.getByRole('button', { name: /^Rail 2, up/ }).click()
  const chart = page.getByTestId('rail-chart')
  await expect(chart).toContainText('Along rail 2')
  const box = (await chart.getByRole('img').boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await expect(page.getByTestId('rail-values')).toContainText(/lb ft.*lb.*sag/)
  for (const kind of ['Shear', 'Sag']) {
    await chart.getByRole('button', { name: kind }).click()
    await expect(chart.getByRole('img')).toHaveAttribute('aria-label', new RegExp(`^${kind} along rail 2`))
  }

  await page.getByRole('button', { name: 'All rails' }).click()
  await page.getByRole('button', { name: 'Spans and rails…' }).click()
  const table = page.getByTestId('span-table')
  await expect(table.locator('tbody tr')).toHaveCount(3)
  await page.getByTestId('rail-choices').getByRole('row', { name: /Bollard deep/ }).getByRole('button', { name: 'Take it' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.getByLabel('Rail', { exact: true }).first()).toContainText('Bollard deep rail')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel('Rail', { exact: true }).first()).toContainText('Bollard light rail')
})

test('an engineer who is asked for stops the job until named, and stands on every sheet; the calculation sheet is a PDF', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'rails')
  await page.getByRole('tab', { name: 'Loads' }).click()
  await choose(page, 'Rules', /European/)
  await choose(page, 'A licensed engineer', /asked for by code/)
  await expect(page.getByText('A licensed engineer is asked for here').first()).toBeVisible()
  await typeOver(page, 'Who, on what paper', 'M. Tamarisk, letter of 3 May')
  await expect(page.getByText('The structure rests on the work of M. Tamarisk').first()).toBeVisible()
  await saved(page)
  for (const stage of ['load-out', 'mark-out']) {
    await openStage(page, jobId, stage)
    await expect(page.getByText('The structure rests on the work of M. Tamarisk').first()).toBeVisible()
  }
  const answer = await page.request.get(`/api/jobs/${jobId}/calculations.pdf`)
  expect(answer.headers()['content-type']).toBe('application/pdf')
  const pdf = await answer.body()
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
  expect(pdf.length).toBeGreaterThan(20_000)
})

test('sticks: the van’s longest load and the yard’s offcuts change the cut plan', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'rails')
  await page.getByRole('tab', { name: 'Sticks' }).click()
  await typeOver(page, 'Longest load the van takes', '12 ft')
  await saved(page)
  await openStage(page, jobId, 'load-out')
  const rails = page.getByRole('region', { name: 'Rails' })
  await expect(rails).toContainText('11\' 0"')
  await expect(rails).not.toContainText('13\' 8"')
  await openStage(page, jobId, 'rails')
  await page.getByRole('tab', { name: 'Sticks' }).click()
  await typeOver(page, 'Add an offcut', '9 ft x two')
  await expect(page.getByRole('alert').filter({ hasText: 'not a number of pieces' })).toBeVisible()
  await typeOver(page, 'Add an offcut', '9 ft x 2')
  await expect(page.getByText('2 of 9')).toBeVisible()
  await saved(page)
  await openStage(page, jobId, 'load-out')
  await page.getByRole('tab', { name: 'Cut plan' }).click()
  await expect(page.getByText('yard offcut').first()).toBeVisible()
})
