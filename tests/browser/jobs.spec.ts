import { randomUUID } from 'node:crypto'
import { expect, goTo, test } from './support'

test('jobs are searched, sorted, duplicated, archived, brought back and deleted', async ({ page }) => {
  const name = `Sea Lane ${randomUUID().slice(0, 6)}`
  await goTo(page, '/')
  await page.getByRole('link', { name: 'New job' }).click()
  await page.getByLabel('Name or address').fill(name)
  await page.getByLabel('Name or address').press('Enter')
  // A double click opens one job.
  await page.getByRole('button', { name: 'Open the job' }).dblclick()
  await expect(page).toHaveURL(/\/survey$/)
  await expect(page).toHaveTitle(`${name} · Survey · Upper Deck`)
  await goTo(page, '/')
  const lines = page.getByRole('listitem')
  await page.getByLabel('Search jobs').fill(name)
  await expect(lines).toHaveCount(1)
  const act = async (of: string, what: string) => {
    await page.getByRole('button', { name: `What to do with ${of}`, exact: true }).click()
    await page.getByRole('menuitem', { name: what }).click()
  }
  await act(name, 'Duplicate')
  await expect(lines).toHaveCount(2)
  await expect(page.getByRole('status').filter({ hasText: `“${name}, copy” stands beside it` })).toBeVisible()
  await page.getByRole('combobox', { name: 'Sorted by' }).click()
  await page.getByRole('option', { name: 'Name' }).click()
  await expect(lines.first()).not.toContainText('copy')
  await act(`${name}, copy`, 'Archive')
  await expect(lines).toHaveCount(1)
  await page.getByRole('button', { name: /^Archived: / }).click()
  await expect(lines).toHaveCount(1)
  await act(`${name}, copy`, 'Bring back')
  await page.getByRole('button', { name: 'Jobs at work' }).click()
  await expect(lines).toHaveCount(2)
  await act(`${name}, copy`, 'Delete…')
  const dialog = page.getByRole('dialog', { name: `Delete ${name}, copy?` })
  await dialog.getByRole('button', { name: 'Keep it' }).click()
  await expect(lines).toHaveCount(2)
  await act(`${name}, copy`, 'Delete…')
  await dialog.getByRole('button', { name: 'Delete it for good' }).click()
  await expect(lines).toHaveCount(1)
  await page.getByLabel('Search jobs').fill('no such street')
  await expect(page.getByText('No job answers to “no such street”.')).toBeVisible()
})

test('an address with nothing at it says so, and leads back to the jobs', async ({ page }) => {
  await page.goto('/jobs/nowhere/at/all')
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible()
  await page.getByRole('button', { name: 'All jobs' }).click()
  await expect(page.getByRole('link', { name: 'New job' })).toBeVisible()
})
