import { expect, test } from '@playwright/test'
import { demoJobs } from '../../db/demo/jobs'
import { enter, freshJob, openStage } from './support'

const demoJob = (title: string): string => demoJobs.find(one => one.job.title === title)!.id

test('a way to the grid is begun, its busbar cured, a box fixed by typed readings, and the diagram and labels follow', async ({ page, context }) => {
  await enter(context, 'planner')
  await openStage(page, await freshJob(), 'grid')
  await page.getByRole('button', { name: 'To the main panel' }).first().click()
  const findings = page.getByRole('region', { name: 'Findings' })
  await expect(findings.getByText(/No licensed electrician’s name and licence/)).toBeVisible()
  await expect(findings.getByText(/busbar does not take its sources/)).toBeVisible()
  await findings.getByRole('button', { name: 'Put the source’s device at the end opposite to the main' }).click()
  await expect(findings.getByText(/busbar does not take its sources/)).toHaveCount(0)

  const slip = page.getByRole('region', { name: 'The slip' })
  const wall = page.getByRole('table', { name: /Where things stand/ })
  await wall.getByRole('button', { name: /AC disconnect/ }).click()
  const corner = slip.getByLabel('From the left corner')
  await corner.fill('8\'')
  await corner.press('Enter')
  await expect(wall.getByRole('row', { name: /AC disconnect/ })).toContainText('typed')
  await expect(wall.getByRole('row', { name: /AC disconnect/ })).toContainText('8\' 0"')

  await page.getByRole('tab', { name: 'One-line' }).click()
  await expect(page.getByRole('button', { name: 'Combiner panel' })).toBeVisible()
  await page.getByRole('button', { name: 'Run 1' }).click()
  await expect(slip.getByRole('heading', { name: /^Run 1: Roof box to/ })).toBeVisible()
  await slip.getByLabel('Whole length, as measured').fill('60 ft')
  await slip.getByLabel('Whole length, as measured').press('Enter')
  await page.getByRole('tab', { name: 'Runs' }).click()
  await expect(page.getByRole('table', { name: /Runs from the roof box/ })).toContainText('60')
  await page.getByRole('tab', { name: 'Labels' }).click()
  await expect(page.getByText('PV SYSTEM DISCONNECT')).toBeVisible()
})

test('a house with storage says what it gives in an outage, and what every rule comes to', async ({ page, context }) => {
  await enter(context, 'planner')
  await openStage(page, demoJob('30 Capstan Walk'), 'grid')
  await page.getByRole('tab', { name: 'Connection' }).click()
  await expect(page.getByText(/10\.2 kWh; gives 4\.81 kW, limited by the batteries/)).toBeVisible()
  await expect(page.getByRole('table', { name: 'Rules tried on Backup gateway' }).getByRole('row', { name: /Source at the far end/ })).toContainText('holds')
  const id = demoJob('30 Capstan Walk')
  const files = await Promise.all(['permit.pdf', 'ground/one-line.svg', 'ground/garage.dxf', 'ground/attic.svg'].map(name => page.request.get(`/api/jobs/${id}/${name}`)))
  expect(files.map(one => one.status())).toEqual([200, 200, 200, 404])
  expect((await files[0]!.body()).subarray(0, 4).toString()).toBe('%PDF')
  await page.getByRole('tab', { name: 'Runs' }).click()
  await expect(page.getByText('Neutral and earth are joined here, and nowhere after it.')).toBeVisible()
})
