import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { stages } from '../../core/job'
import { demoJobs } from '../../db/demo/jobs'
import { expect, openStage, test } from './support'

// Nothing here changes a job, so that views may be looked at side by side.
test.describe.configure({ mode: 'parallel' })

const NO_FIGURE = /\bNaN\b|\bInfinity\b|\bundefined\b|\bnull\b|\[object/

async function noSeriousFault(page: Page) {
  const { violations } = await new AxeBuilder({ page }).analyze()
  expect(violations.filter(one => one.impact === 'serious' || one.impact === 'critical').map(one => `${one.id}: ${one.nodes.map(node => node.html.slice(0, 120)).join(' | ')}`)).toEqual([])
}

for (const [i, { id, job }] of demoJobs.entries()) {
  test(`${job.title}: every stage of the ladder without a figure that is none`, async ({ page }) => {
    // Looking for faults of accessibility takes its time on a busy machine.
    test.setTimeout(240_000)
    await openStage(page, id, stages[0].id)
    const ladder = page.getByRole('navigation', { name: 'Stages of the job' })
    for (const stage of stages) {
      await ladder.locator(`[data-stage="${stage.id}"]`).click()
      await expect(ladder.locator(`[data-stage="${stage.id}"]`)).toHaveAttribute('aria-current', 'page')
      if (stage.id === 'load-out' || stage.id === 'mark-out') await expect(page.getByRole('heading', { name: stage.title, level: 2 })).toBeVisible()
      expect(await page.locator('body').innerText()).not.toMatch(NO_FIGURE)
      // A plain face, a hit log with an outlier, and supports of another kind.
      if ([0, 5, 11].includes(i)) await noSeriousFault(page)
    }
  })
}

test('Jobs: no serious accessibility fault', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByText('Kelp Quay 22')).toBeVisible()
  await noSeriousFault(page)
})

test('every face of a hipped roof and every part of its survey: no fault, and no figure that is none', async ({ page }) => {
  const { id, job } = demoJobs[4]!
  for (const face of job.faces) {
    await page.goto(`/jobs/${id}/survey?face=${face.id}`)
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue(face.name)
    for (const part of ['Roof', 'Shape', 'On it', 'Covering']) {
      await page.getByRole('tab', { name: part }).click()
      expect(await page.locator('body').innerText()).not.toMatch(NO_FIGURE)
      if (face === job.faces[0]) await noSeriousFault(page)
    }
  }
  await page.getByRole('tab', { name: 'Roof' }).click()
  for (const dialog of ['Common roof…', 'From a file…']) {
    await page.getByRole('button', { name: dialog }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
    await noSeriousFault(page)
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
})

test('loads, holds, sticks, every rail’s chart and the span table of every demo job have no figure that is none', async ({ page }) => {
  test.setTimeout(240_000)
  for (const [i, { id }] of demoJobs.entries()) {
    await openStage(page, id, 'rails')
    for (const part of ['Loads', 'Holds', 'Sticks', 'Rails']) {
      await page.getByRole('tab', { name: part }).click()
      expect(await page.locator('body').innerText()).not.toMatch(NO_FIGURE)
      if (i === 2) await noSeriousFault(page)
    }
    const rails = await page.getByRole('button', { name: /^(Rail|Line) \d+, (up|along)/ }).all()
    for (let r = 0; r < Math.min(8, rails.length); r++) {
      await page.getByRole('button', { name: /^(Rail|Line) \d+, (up|along)/ }).nth(r).click()
      expect(await page.locator('body').innerHTML()).not.toMatch(/\bNaN\b|\bInfinity\b/)
      if (i === 2 && r === 0) await noSeriousFault(page)
      await page.getByRole('button', { name: 'All rails' }).click()
    }
    await page.getByRole('button', { name: 'Spans and rails…' }).click()
    await expect(page.getByTestId('rail-choices')).toBeVisible()
    expect(await page.getByRole('dialog').innerText()).not.toMatch(NO_FIGURE)
    if (i === 2) await noSeriousFault(page)
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await page.keyboard.press('.')
    expect(await page.getByRole('dialog').innerText()).not.toMatch(NO_FIGURE)
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
})

test('every part of the load-out and every mark on the roof of every demo job: no fault, and no figure that is none', async ({ page }) => {
  test.setTimeout(240_000)
  for (const [i, { id, job }] of demoJobs.entries()) {
    await openStage(page, id, 'load-out')
    for (const part of ['By face', 'Lifts', 'Cut plan', 'Buy', 'Spares', 'Van list']) {
      await page.getByRole('tab', { name: part }).click()
      expect(await page.locator('body').innerText()).not.toMatch(NO_FIGURE)
      if (i === 2) await noSeriousFault(page)
    }
    await page.setViewportSize({ width: 390, height: 844 })
    await page.goto(`/jobs/${id}/roof`)
    await expect(page.getByRole('button', { name: 'Marked' }), job.title).toBeVisible()
    if (i === 2) await noSeriousFault(page)
    await page.getByRole('button', { name: /all lines/ }).click()
    expect(await page.locator('body').innerText()).not.toMatch(NO_FIGURE)
    await page.getByRole('listitem').nth(6).getByRole('button').click()
    expect(await page.locator('body').innerText()).not.toMatch(NO_FIGURE)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    await page.setViewportSize({ width: 1280, height: 800 })
  }
})

test('the mark-out fits a phone: nothing runs past its edge', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  for (const { id } of demoJobs) {
    await openStage(page, id, 'mark-out')
    await expect(page.getByRole('heading', { name: 'Mark-out', level: 2 })).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  }
})

test('a wrong address says so', async ({ page }) => {
  await page.goto('/jobs/2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d9999/survey')
  await expect(page.getByRole('alert')).toContainText('There is no such job')
})
