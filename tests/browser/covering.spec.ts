import { expect, test } from '@playwright/test'
import { demoJobs } from '../../db/demo/jobs'
import { enter, openStage } from './support'

const kelp = demoJobs.find(({ job }) => job.title === 'Kelp Quay 22')!

test('the covering’s rung shows each fixing’s section with its card, and a key goes to the next', async ({ page, context }) => {
  await enter(context, 'planner')
  await openStage(page, kelp.id, 'covering')
  const slip = page.getByRole('region', { name: 'The slip' })
  await expect(page.getByTestId('section')).toBeVisible()
  await expect(slip.getByText('Rail 1, fixing 1 of 9')).toBeVisible()
  await page.getByRole('region', { name: 'Section through one fixing' }).press('ArrowRight')
  await expect(slip.getByText('Rail 1, fixing 2 of 9')).toBeVisible()
  await expect(slip.getByText(/Notch tile \d+: 44 mm wide, 11 mm deep/)).toBeVisible()
  await page.getByRole('tab', { name: 'All fixings' }).click()
  await page.getByRole('button', { name: '3, 2', exact: true }).click()
  await expect(slip.getByText('Rail 3, fixing 2 of 6')).toBeVisible()
  await page.getByRole('tab', { name: 'Units to lift' }).click()
  await expect(page.getByRole('button', { name: /Openings/ })).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('tab', { name: 'Take-off' }).click()
  await expect(page.getByText('To buy')).toBeVisible()
})

test('another way through changes every card, and a broken tile changes what is bought', async ({ page, context }) => {
  await enter(context, 'planner')
  await openStage(page, kelp.id, 'covering')
  const slip = page.getByRole('region', { name: 'The slip' })
  await slip.getByRole('tab', { name: 'Way through' }).click()
  await slip.getByLabel('Way through the covering').click()
  await page.getByRole('option', { name: 'No notch: the tile rides on the arm' }).click()
  await slip.getByRole('tab', { name: 'Card' }).click()
  await expect(slip.getByText(/rides up 11 mm/)).toBeVisible()
  await slip.getByRole('tab', { name: 'Broken' }).click()
  await slip.getByLabel('Course from the eave').fill('2')
  await slip.getByRole('button', { name: 'Log it' }).click()
  await expect(slip.getByRole('alert')).toHaveText('Type the unit, counted along its course.')
  await slip.getByLabel('Tile from the left').fill('6')
  await slip.getByRole('button', { name: 'Log it' }).click()
  await expect(slip.getByText('Course 2, tile 6')).toBeVisible()
  await expect(slip.getByText(/Take 2 sound tiles from under the array/)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(slip.getByText('Course 2, tile 6')).toBeHidden()
})

test('on the roof an opening’s card has its section and its steps', async ({ page, context }) => {
  await enter(context, 'lead')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`/jobs/${kelp.id}/roof`)
  await page.getByRole('button', { name: /all lines/ }).click()
  await page.getByRole('button', { name: /Openings for rail 1/ }).click()
  await page.getByRole('button', { name: /Section and steps/ }).click()
  await expect(page.getByRole('img', { name: /Rail 1, fixing 1 of 9/ })).toBeVisible()
  await expect(page.getByText(/Stand on a roof ladder/)).toBeAttached()
  await page.getByRole('button', { name: /Back to the readings/ }).click()
  await expect(page.locator('[data-reading]')).toBeVisible()
})
