import { expect, test } from '@playwright/test'
import { freshJob, enter, openStage } from './support'

test('a system is chosen, a module put into another branch by the keyboard alone, and a stop says that it is too many', async ({ page, context }) => {
  await enter(context, 'planner')
  await openStage(page, await freshJob(), 'wiring')
  const slip = page.getByRole('region', { name: 'The slip' })
  await page.getByRole('tab', { name: 'Circuits' }).click()
  // Eighteen units of 1 A at 16 a branch: two, as alike as can be.
  await expect(page.getByText('9 of 16 units')).toHaveCount(2)
  await expect(page.getByText(/Together 18 A, 22.5 A with 1.25: 25 A/)).toBeVisible()
  await page.getByRole('button', { name: /^Take it: Fill/ }).click()
  await expect(page.getByText('16 of 16 units')).toBeVisible()

  await page.getByRole('button', { name: 'Branch 1' }).first().click()
  const chosen = slip.getByRole('combobox', { name: /^Circuit of row/ }).first()
  await chosen.focus()
  await page.keyboard.press('Enter')
  await page.getByRole('option', { name: 'Branch 2' }).press('Enter')
  await expect(page.getByText('15 of 16 units')).toBeVisible()
  await slip.getByRole('button', { name: 'Put back the module that was moved' }).click()
  await expect(page.getByText('16 of 16 units')).toBeVisible()

  await slip.getByRole('tab', { name: 'Place and runs' }).click()
  const device = slip.getByLabel('Device of each branch')
  await device.fill('40')
  await device.press('Enter')
  const findings = page.getByRole('region', { name: 'Findings' })
  await expect(findings.getByText(/a branch’s device of 40 A is over the 20 A/)).toBeVisible()
  await findings.getByRole('button', { name: 'Take 20 A' }).click()
  await expect(findings.getByText(/is over the 20 A/)).toHaveCount(0)
})

test('strings without shutdown stop on a house under the NEC, and the cure puts a unit under each module', async ({ page, context }) => {
  await enter(context, 'planner')
  await openStage(page, await freshJob(), 'wiring')
  const slip = page.getByRole('region', { name: 'The slip' })
  await slip.getByLabel('System').click()
  await page.getByRole('option', { name: 'String inverter' }).click()
  const findings = page.getByRole('region', { name: 'Findings' })
  await expect(findings.getByText(/Rapid shutdown \(NEC 690\.12/)).toBeVisible()
  await page.getByRole('tab', { name: 'Shutdown and bond' }).click()
  await expect(page.getByText('nothing parts the modules from each other').first()).toBeVisible()
  await findings.getByRole('button', { name: 'A Tern shutdown unit a module' }).click()
  await expect(findings.getByText(/Rapid shutdown/)).toHaveCount(0)
  await page.getByRole('tab', { name: 'Sheet' }).click()
  await expect(page.getByText(/both of 12 AWG through one notch/).first()).toBeVisible()
})

test('a plug made on site is written down, and asks for what is missing', async ({ page, context }) => {
  await enter(context, 'planner')
  await openStage(page, await freshJob(), 'wiring')
  await page.getByRole('tab', { name: 'Plugs' }).click()
  await page.getByLabel('Where').fill('String 1, + end')
  await page.getByLabel('Pin', { exact: true }).fill('6 mm²')
  await page.getByRole('button', { name: 'Write it down' }).click()
  const findings = page.getByRole('region', { name: 'Findings' })
  await expect(findings.getByText(/String 1, \+ end \(tool/)).toBeVisible()
})
