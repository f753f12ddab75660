import { expect, freshJob, openStage, saved, test, typeOver } from './support'

const choose = async (page: import('@playwright/test').Page, label: string, option: string) => {
  await page.getByLabel(label, { exact: true }).first().click()
  await page.getByRole('option', { name: option }).first().click()
}

test('a hip side by tape with both diagonals: the true shape, what checks what, and a slip that shows', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'survey')
  await choose(page, 'Shape', 'Four sides by tape')
  await expect(page.getByText('leave the face free to fold')).toBeVisible()
  // 36 ft by 20 ft hip side: eave 36, ridge 16, hips √(10² + 15²) = 18.0278 ft, diagonals √(26² + 15²) = 30.0167 ft.
  await typeOver(page, 'A to B', `36'`)
  await typeOver(page, 'B to C', `18.0278'`)
  await typeOver(page, 'C to D', `16'`)
  await typeOver(page, 'D to A', `18.0278'`)
  await typeOver(page, 'A to C', `30.0167'`)
  await expect(page.getByText('none checks another')).toBeVisible()
  await typeOver(page, 'B to D', `30.0167'`)
  await expect(page.getByText('6, 5 needed')).toBeVisible()
  await expect(page.getByText('56.3°, 56.3°')).toBeVisible()
  await choose(page, 'Side B to C is', 'hip')
  await choose(page, 'Side D to A is', 'hip')
  await expect(page.locator('svg text', { hasText: 'Hip' })).toHaveCount(2)
  await typeOver(page, 'B to D', `30' 4"`)
  await expect(page.locator('[data-finding^="tape-wrong"]')).toContainText('it can’t be told which of')
  await typeOver(page, 'B to D', `30.0167'`)
  await expect(page.locator('[data-finding^="tape-wrong"]')).toHaveCount(0)
  // A side longer than all the others can reach round is no face.
  await typeOver(page, 'A to B', `90'`)
  await expect(page.locator('[data-finding^="tape-impossible"]')).toContainText('No face has these lengths')
  await page.keyboard.press('Escape')
  await saved(page)
})

test('eight hits with one wrong: the slip is named, the fit is taken, the fixings move', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'rafters')
  const log = async (reading: string) => {
    await page.getByLabel(/^Reading from/).fill(reading)
    await page.getByLabel(/^Reading from/).press('Enter')
  }
  // Rafters every 24 in from 9 in, while the typed spacing has them from 12 in; the fifth reading is a slip.
  const readings = [`9"`, `33 1/8"`, `56 7/8"`, `81"`, `10'`, `153"`, `201 1/8"`, `249"`]
  for (const [i, reading] of readings.entries()) {
    await log(reading)
    await expect(page.locator('[data-hit]')).toHaveCount(i + 1)
  }
  await expect(page.locator('[data-hit="5"]')).toContainText('fits no rafter')
  await expect(page.getByTestId('fit')).toContainText('7 of 8')
  const finding = page.locator('[data-finding="fit-waits:main"]')
  await expect(finding).toContainText('7 hits agree on rafters every 2\' 0"')
  await expect(finding).toContainText('1 hit does not')
  const fixings = () => page.locator('svg title', { hasText: 'Rafter' }).allTextContents()
  await finding.getByRole('button', { name: 'Go by the fit' }).click()
  await expect(finding).toHaveCount(0)
  await expect(page.getByLabel('Known by')).toContainText('hit log, as a regular row')
  await expect(page.getByRole('button', { name: /^Rafter 1 / })).toContainText(/9|8 15/)
  expect((await fixings()).length).toBeGreaterThan(10)
  await saved(page)

  await page.goto(`/jobs/${jobId}/mark-out`)
  await expect(page.locator('[data-mark="rafters-1"]')).toContainText(/8 15\/16"|9"|9 1\/16"/)
  await page.goto(`/jobs/${jobId}/rafters`)
  await page.locator('[data-finding^="hit-wrong"]').getByRole('button', { name: 'Set that hit aside' }).click()
  await expect(page.getByTestId('fit')).toContainText('7 of 7')
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel('Known by')).toContainText('A typed spacing')
})

test('the log says no with a sentence, takes a pasted column, and a meter feeds it; undo takes all back', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'rafters')
  const log = page.getByRole('region', { name: 'Hit log' })
  await log.getByLabel(/^Reading from/).fill('about three feet')
  await log.getByRole('button', { name: 'Log it' }).click()
  await expect(log.getByRole('alert')).toContainText('is not a length')
  await log.getByLabel(/^Reading from/).fill('99 ft')
  await log.getByRole('button', { name: 'Log it' }).click()
  await expect(log.getByRole('alert')).toContainText('off the face')

  await log.getByRole('button', { name: 'Paste a column' }).click()
  const readings = page.getByRole('dialog').getByLabel('Readings')
  // Typing ten thousand lines key by key would take minutes; a paste sets them at once.
  await readings.evaluate((field: HTMLTextAreaElement) => {
    field.value = Array.from({ length: 10_000 }, (_, i) => i).join('\n')
    field.dispatchEvent(new Event('input'))
  })
  await page.getByRole('button', { name: 'Log them' }).click()
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('10,000 lines')
  await readings.fill(`1' 0"\n3' 0"\tpilot hit\n5' 0"\tleft\t6' 0"`)
  await page.getByRole('button', { name: 'Log them' }).click()
  await expect(page.locator('[data-hit]')).toHaveCount(3)
  await expect(page.locator('[data-hit="2"]')).toContainText('Pilot hit')

  await log.getByRole('button', { name: 'Try a meter' }).click()
  await log.getByRole('button', { name: 'Measure' }).click()
  await expect(page.locator('[data-hit]')).toHaveCount(4)
  await log.getByRole('button', { name: 'Meter off' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('[data-hit]')).toHaveCount(0)
})

test('probe next names readings with the expected misses before and after, and typing one lowers them', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'rafters')
  const probes = page.getByTestId('probes')
  await expect(probes).toContainText('expected misses')
  const [before, after] = (await probes.locator('li').first().innerText()).match(/misses ([\d.]+) → ([\d.]+)/)!.slice(1).map(Number) as [number, number]
  expect(after).toBeLessThan(before)
  const rafter = (await probes.locator('li').first().innerText()).match(/Rafter (\d+)/)![1]!
  await typeOver(page, `Rafter ${rafter}`, `${(12 + 24 * (Number(rafter) - 1))}.25"`)
  const now = async () => Number((await probes.locator('li').first().innerText()).match(/misses ([\d.]+)/)![1])
  await expect.poll(now).toBeLessThan(before - 0.5 * (before - after))
})

test('a common roof gives all its faces; one is picked from above; undo brings the old one back', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'survey')
  await page.getByRole('tab', { name: 'Roof' }).click()
  await page.getByRole('button', { name: 'Common roof…' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Form').click()
  await page.getByRole('option', { name: 'Hip' }).click()
  await dialog.getByLabel('Length').fill('20 ft')
  await dialog.getByLabel('Length').press('Enter')
  await expect(dialog.getByRole('alert')).toContainText('ends meet before the sides')
  await expect(dialog.getByRole('button', { name: 'Make these faces' })).toBeDisabled()
  await dialog.getByLabel('Length').fill('40 ft')
  await dialog.getByLabel('Length').press('Enter')
  await expect(dialog).toContainText('4 faces')
  await dialog.getByRole('button', { name: 'Make these faces' }).click()
  await expect(page).toHaveURL(/face=/)
  const plan = page.getByRole('complementary').getByRole('group', { name: 'The roof from above, north up' })
  await expect(plan.getByRole('button')).toHaveCount(4)
  await plan.getByRole('button', { name: /Right end, faces east/ }).click()
  await expect(page.getByRole('heading', { name: 'Where Right end lies' })).toBeVisible()
  await page.getByRole('tab', { name: 'Shape' }).click()
  await expect(page.getByLabel('B along')).toHaveValue(`26' 0"`)
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Right end')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Test face')
})

test('faces come from files, and files that are not what they say get a sentence', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'survey')
  await page.getByRole('tab', { name: 'Roof' }).click()
  await page.getByRole('button', { name: 'From a file…' }).click()
  const dialog = page.getByRole('dialog')
  const give = (name: string, text: string | Buffer) => dialog.getByLabel('File').setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(text) })
  for (const [name, text, words] of [
    ['roof.dxf', '\u0089PNG not a drawing', 'not a DXF file'], ['roof.geojson', 'well', 'not JSON'], ['roof.xlsx', 'PK', 'not a kind of file'],
    ['face.csv', '0,0\n9000,4000\n9000,0\n0,4000', 'crosses itself'], ['face.csv', Array.from({ length: 10_000 }, (_, i) => `${i},${i}`).join('\n'), 'at most 40 corners'],
    ['face.csv', Buffer.alloc(3_000_000, 49), 'MB at most'],
  ] as const) {
    await give(name, text)
    await expect(dialog.getByRole('alert')).toContainText(words)
  }
  // A footprint that does not say which way it faces is not taken until somebody says which edge is its eave.
  const ring = [[4, 52], [4.00014, 52], [4.00014, 52.00004], [4, 52.00004], [4, 52]]
  await give('roof.geojson', JSON.stringify({ type: 'Feature', properties: { pitch: 30, azimuth: null }, geometry: { type: 'Polygon', coordinates: [ring] } }))
  await expect(dialog).toContainText('No polygon says which way it faces')
  await expect(dialog.getByRole('button', { name: 'Take this face' })).toBeDisabled()
  await dialog.getByRole('button', { name: 'Edge 3' }).click()
  await expect(dialog.getByRole('button', { name: 'Edge 3' })).toHaveAttribute('aria-pressed', 'true')
  await expect(dialog.getByRole('button', { name: 'Take this face' })).toBeEnabled()
  await give('garage side.csv', `along,up,edge\n0,0,eave\n24',0,rake\n24',12',ridge\n0,12',rake`)
  await expect(dialog).toContainText('1 face: garage side')
  await dialog.getByRole('button', { name: 'Take this face' }).click()
  await expect(page.getByRole('heading', { name: 'Where garage side lies' })).toBeVisible()
  await page.getByRole('tab', { name: 'Shape' }).click()
  await expect(page.getByLabel('C up')).toHaveValue(`12' 0"`)
})

test('an obstruction is added, picked on the face, nudged by keys, and takes its place from the rows', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'survey')
  await page.getByRole('tab', { name: 'On it' }).click()
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByLabel('Middle along')).toHaveValue(`14' 0"`)
  await typeOver(page, 'Across', '30"')
  await expect(page.getByTestId('changes')).toContainText('modules −')
  await page.getByRole('application').focus()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByLabel('Middle along')).toHaveValue(`14' 1"`)
  await page.keyboard.press('ArrowUp')
  await expect(page.getByLabel('Middle up')).toHaveValue(`10' 1/16"`)
  await typeOver(page, 'Middle along', `60'`)
  await expect(page.locator('[data-finding^="obstruction-outside"]')).toContainText('lies outside the face')
  await page.locator('[data-finding^="obstruction-outside"]').getByRole('button', { name: 'Take it off' }).click()
  await expect(page.getByText('Nothing yet. Vents')).toBeVisible()
})

test('every covering and every support has its own measures, and a mount that does not go says so', async ({ page }) => {
  const jobId = await freshJob()
  await openStage(page, jobId, 'survey')
  await page.getByRole('tab', { name: 'Covering' }).click()
  await choose(page, 'Covering', 'Slate')
  await expect(page.getByText('Gauge', { exact: true })).toBeVisible()
  await typeOver(page, 'Lap', '3 3/4"')
  await expect(page.locator('dl')).toContainText(`7 1/8"`)
  await page.getByRole('link', { name: /^Rows/ }).click()
  await expect(page.locator('[data-finding="parts:main:mount-covering"]')).toContainText('not made for this covering')
  await page.getByRole('link', { name: /^Rafters/ }).click()
  await choose(page, 'Fixed to', 'Purlins or battens')
  await expect(page.getByLabel(/^Purlin 1/).first()).toBeVisible()
  await choose(page, 'Fixed to', 'Sheathing')
  await page.getByRole('button', { name: 'Add a sound area' }).click()
  const area = page.getByRole('region', { name: 'Sound area 1' })
  const type = async (label: RegExp, text: string) => {
    await area.getByLabel(label).first().fill(text)
    await area.getByLabel(label).first().press('Enter')
  }
  await type(/^To/, '6"')
  await expect(area.getByLabel(/^To/).first()).toHaveValue('6"')
  await type(/^From/, '9"')
  await expect(page.getByRole('alert').filter({ hasText: 'An area must have a width' })).toBeVisible()
})
