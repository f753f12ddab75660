import AxeBuilder from '@axe-core/playwright'
import { stages } from '../../core/job'
import { demoJobs } from '../../db/demo/jobs'
import { expect, openStage, test } from './support'

for (const stage of stages) {
  test(`${stage.title}: no serious accessibility fault, and no figure that is none, on every demo job`, async ({ page }) => {
    for (const { id } of demoJobs) {
      await openStage(page, id, stage.id)
      if (stage.id === 'load-out' || stage.id === 'mark-out') await expect(page.getByRole('heading', { name: stage.title, level: 2 })).toBeVisible()
      expect(await page.locator('body').innerText()).not.toMatch(/\bNaN\b|\bInfinity\b|\bundefined\b|\bnull\b|\[object/)
    }
    const { violations } = await new AxeBuilder({ page }).analyze()
    expect(violations.filter(one => one.impact === 'serious' || one.impact === 'critical').map(one => `${one.id}: ${one.nodes.map(node => node.html.slice(0, 120)).join(' | ')}`)).toEqual([])
  })
}

test('Jobs: no serious accessibility fault', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByText('Kelp Quay 22')).toBeVisible()
  const { violations } = await new AxeBuilder({ page }).analyze()
  expect(violations.filter(one => one.impact === 'serious' || one.impact === 'critical').map(one => one.id)).toEqual([])
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
