import type { Locator, Page } from '@playwright/test'
import { type StageId, stages } from '../../core/job'
import { demoJobs } from '../../db/demo/jobs'
import { fitsAcross, inTheme, noSeriousFault, smallerThan, wordsApart } from './faults'
import { PHONE } from './phones'
import { expect, goTo, openStage, press, test, toStage } from './support'

const kelp = demoJobs.find(one => one.job.title === 'Kelp Quay 22')!
const bellbuoy = demoJobs.find(one => one.job.title === '1 Bellbuoy Lane')!
/** px */
const FINGERTIP = 43.5

test.afterEach(async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  await openStage(page, kelp.id, 'site')
  await inTheme(page, 'Light')
})

/** A rung on the phone: what is drawn has room, what is said of it comes up from below. */
async function onPhone(page: Page, id: StageId, drawing: Locator | null) {
  await fitsAcross(page)
  expect([id, await smallerThan(page, FINGERTIP)]).toEqual([id, []])
  if (id === 'load-out' || id === 'mark-out') return
  if (drawing) {
    const box = (await drawing.boundingBox())!
    expect([id, box.height]).toEqual([id, Math.max(box.height, id === 'grid' ? 160 : 420)])
    expect(await wordsApart(page)).toEqual([])
  }
  for (const sheet of [id === 'site' ? 'Photographs' : id === 'proof' ? 'The record' : 'Measurements', /^Findings/]) {
    await page.getByRole('button', { name: sheet }).click()
    const slip = page.getByRole('complementary')
    await expect(slip).toBeVisible()
    await expect(slip).toBeFocused()
    expect([id, await smallerThan(page, FINGERTIP)]).toEqual([id, []])
    await noSeriousFault(page)
    await page.keyboard.press('Escape')
    await expect(slip).toBeHidden()
  }
}

test('the phone: the face has its own room, measurements and findings come up from below, and nothing is smaller than a fingertip', async ({ page }) => {
  test.setTimeout(180_000)
  await page.setViewportSize(PHONE)
  await openStage(page, kelp.id, 'survey')
  for (const { id } of stages) {
    await toStage(page, id)
    // Nothing stands between this roof and the grid yet: that rung asks how to begin; proof has no drawing at first.
    await onPhone(page, id, ['site', 'covering', 'grid', 'proof'].includes(id) ? null : page.getByRole('application'))
  }
  for (const { id } of [kelp, bellbuoy]) {
    await openStage(page, id, 'proof')
    for (const tab of ['Serials', 'Tests', 'Commissioning', 'Photographs', 'Papers', 'Hand-over']) {
      await page.getByRole('tab', { name: tab }).click()
      await fitsAcross(page)
      expect([tab, await smallerThan(page, FINGERTIP)]).toEqual([tab, []])
    }
  }
  await openStage(page, bellbuoy.id, 'grid')
  await onPhone(page, 'grid', page.getByRole('group', { name: /seen from before it, to scale/ }))
})

test('the phone: the drawing is enlarged by its buttons and moved by a finger; marks keep their size, tapes stay in sight', async ({ page }) => {
  await page.setViewportSize(PHONE)
  await openStage(page, kelp.id, 'rails')
  const drawing = page.getByRole('application')
  const cross = drawing.locator('[data-ref^="fixing"]').first()
  const span = async () => {
    const boxes = await Promise.all([0, 1].map(i => drawing.locator('[data-ref^="fixing"]').nth(i).boundingBox()))
    return Math.hypot(boxes[1]!.x - boxes[0]!.x, boxes[1]!.y - boxes[0]!.y)
  }
  const [apart, size] = [await span(), (await cross.boundingBox())!.width]
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Enlarge' }).click()
  expect(await span() / apart).toBeCloseTo(1.5 ** 3, 1)
  expect((await cross.boundingBox())!.width).toBeCloseTo(size, 0)
  expect(await wordsApart(page)).toEqual([])
  await page.getByRole('button', { name: 'Fit the whole face' }).click()
  expect(await span()).toBeCloseTo(apart, 0)
})

test('wheel, keys and drag move a drawing of 1280 px; a press still selects; the fit button brings all of it back', async ({ page }) => {
  await openStage(page, kelp.id, 'rails')
  const drawing = page.getByRole('application')
  const box = (await drawing.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.wheel(0, -600)
  const reduce = page.getByRole('button', { name: 'Reduce' })
  await expect(reduce).toBeEnabled()
  const at = async () => (await drawing.locator('[data-ref^="fixing"]').first().boundingBox())!
  const before = await at()
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2 + 30, { steps: 4 })
  await page.mouse.up()
  expect((await at()).x - before.x).toBeCloseTo(60, 0)
  await drawing.focus()
  await page.keyboard.press('Control+ArrowRight')
  expect((await at()).x - before.x).toBeCloseTo(60 - 80, 0)
  await page.keyboard.press('Home')
  await expect(reduce).toBeDisabled()
  await page.keyboard.press('+')
  await expect(reduce).toBeEnabled()
  await page.keyboard.press('-')
  await expect(reduce).toBeDisabled()
})

test('vents, rafters, rows, modules, rails and fixings are taken hold of by key alone, and told', async ({ page }) => {
  await openStage(page, demoJobs[0]!.id, 'survey')
  const drawing = page.getByRole('application')
  const announced = page.getByTestId('announced')
  const told: string[] = []
  for (let i = 0; i < 12; i++) {
    await drawing.focus()
    await page.keyboard.press('PageUp')
    await expect(announced).not.toHaveText(told.at(-1) ?? '-')
    told.push(await announced.innerText())
  }
  for (const what of [/^Rafter 1,/, /^Row 1$/, /^Module 1, row 1/, /^Rail 1$/, /^Fixing 1 of rail 1, rafter/]) expect(told.some(one => what.test(one))).toBe(true)
  await drawing.focus()
  while (!/^Fixing/.test(await announced.innerText())) {
    await page.keyboard.press('PageUp')
    await page.waitForTimeout(100)
    await drawing.focus()
  }
  await page.keyboard.press(']')
  await expect(announced).toHaveText(/^Fixing 2 of rail 1/)
  await expect(page.getByRole('region', { name: /^Fixing 2 of rail 1/ })).toContainText('Driven into')

  // As fast as a key can be, each before the rung of the one before is reached: every press counts.
  await openStage(page, demoJobs[0]!.id, 'survey')
  let presses = 0
  for (const more of [5, 3, 4]) {
    await drawing.evaluate((one, times) => {
      for (let i = 0; i < times; i++) one.dispatchEvent(new KeyboardEvent('keydown', { key: 'PageUp', bubbles: true, cancelable: true }))
    }, more)
    presses += more
    await expect(announced).toHaveText(told[presses - 1]!)
  }
})

test('the dark theme is kept, and has no serious fault on the start of a job, on the shelf, in lists and dialogs', async ({ page }) => {
  test.setTimeout(180_000)
  await goTo(page, '/')
  await inTheme(page, 'Dark')
  await noSeriousFault(page)
  await page.reload()
  await expect(page.locator('html')).toHaveClass(/dark/)
  for (const path of ['/jobs/new', '/shelf/modules']) {
    await goTo(page, path)
    await page.waitForTimeout(500)
    await noSeriousFault(page)
  }
  // The rungs are walked in the dark by every-view.spec.ts.
  await openStage(page, kelp.id, 'rows')
  for (const dialog of ['Find the best rows…', 'Shortcuts', 'Working']) {
    await press(page, 'button', dialog)
    await expect(page.getByRole('dialog')).toBeVisible()
    await noSeriousFault(page)
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
  await page.getByLabel('Modules lie').click()
  await expect(page.getByRole('listbox')).toBeVisible()
  await noSeriousFault(page, '[role=listbox]')
  await page.keyboard.press('Escape')
})

test('every worked-out figure of the rails opens its own working where it stands, by press and by key, and leads on', async ({ page }) => {
  await openStage(page, demoJobs[0]!.id, 'rails')
  const summary = page.getByTestId('load-summary')
  const wind = summary.getByRole('button').first()
  await wind.click()
  const card = page.getByRole('article', { name: /^Wind on a module, zone/ })
  await expect(card).toContainText('qh GCp')
  await card.getByRole('button', { name: /how it comes about/ }).first().click()
  await expect(page.getByRole('article', { name: 'Velocity pressure' })).toContainText('0.00256')
  await page.getByRole('button', { name: /^‹ Wind on a module/ }).click()
  await expect(card).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(card).toBeHidden()
  await page.getByRole('button', { name: /^Rail 2, up/ }).click()
  await page.getByText('All rails').waitFor()
  const figures = page.getByRole('complementary').locator('dl').getByRole('button')
  expect(await figures.count()).toBeGreaterThan(7)
  for (let i = 0; i < await figures.count(); i++) {
    await figures.nth(i).focus()
    await page.keyboard.press('.')
    await expect(page.getByRole('dialog').getByRole('article')).toHaveCount(1)
    await expect(page.getByText('Nothing was worked out here')).toHaveCount(0)
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
})

for (const [n, title] of [[4, '5 Net Loft Row'], [6, 'Oakum Shed 2']] as const) {
  test(`${title}: no figure of a slip that says it was worked out has nothing behind it`, async ({ page }) => {
    await openStage(page, demoJobs[n]!.id, 'survey')
    let opened = 0
    const everyFigure = async () => {
      const figures = page.locator('button[title^="How it comes about"]')
      for (let i = 0; i < Math.min(12, await figures.count()); i++) {
        await figures.nth(i).focus()
        await page.keyboard.press('.')
        await expect(page.getByRole('dialog').getByRole('article'), await figures.nth(i).innerText()).toHaveCount(1)
        expect(await page.getByRole('dialog').innerText()).not.toMatch(/NaN|undefined|Infinity/)
        await page.keyboard.press('Escape')
        await expect(page.getByRole('dialog')).toHaveCount(0)
        opened++
      }
    }
    for (const stage of ['survey', 'rafters', 'keep-clear', 'rows', 'rails'] as const) {
      await toStage(page, stage)
      const tabs = page.getByRole('complementary').getByRole('tab')
      await everyFigure()
      for (let t = 1; t < await tabs.count(); t++) {
        await tabs.nth(t).click()
        await everyFigure()
      }
    }
    expect(opened).toBeGreaterThan(12)
  })
}

test('the head keeps its height from job to job, and thirteen rungs stand in 800 px', async ({ page }) => {
  const heights: number[] = []
  // One face and several, short names and long, on both tapes.
  for (const { id } of demoJobs.filter((_, i) => i % 3 === 0)) {
    await openStage(page, id, 'rows')
    heights.push((await page.locator('header').first().boundingBox())!.height)
  }
  expect(new Set(heights).size).toBe(1)
  const clipped = await page.getByRole('navigation', { name: 'Stages of the job' }).evaluate((nav) => {
    const line = nav.firstElementChild!
    const rungs = [...line.children]
    for (let i = rungs.length; i < 13; i++) line.prepend(rungs[i % rungs.length]!.cloneNode(true))
    return { scrolls: line.scrollHeight > line.clientHeight + 1, cut: [...line.children].filter(rung => rung.scrollHeight > rung.clientHeight + 1).map(rung => rung.textContent) }
  })
  expect(clipped).toEqual({ scrolls: false, cut: [] })
})
