import { randomUUID } from 'node:crypto'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { asFirm, expect, goTo, test } from './support'

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

test('a season of jobs comes a page at a time, each once, and another window sees one that is opened', async ({ page, other }) => {
  const name = `Season ${randomUUID().slice(0, 6)}`
  // Last season's: they stand behind the jobs that other tests look for.
  await asFirm(DEMO_FIRM_ID, `insert into jobs (firm_id, document, archived_at, summary_of, created_at, updated_at)
    select $1, jsonb_set(document, '{title}', to_jsonb($2 || ' ' || n)), null, 'older', now() - interval '1 year', now() - interval '1 year' from (select document from jobs where job_id = $3) d, generate_series(1, 300) n`, [DEMO_FIRM_ID, name, '2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d0001'])
  await goTo(page, '/')
  await page.getByLabel('Search jobs').fill(name)
  const lines = page.getByRole('listitem')
  await expect(lines).toHaveCount(50)
  await page.getByRole('combobox', { name: 'Sorted by' }).click()
  await page.getByRole('option', { name: 'Name' }).click()
  await expect(lines.first()).toContainText(`${name} 1`)
  for (let n = 100; n <= 300; n += 50) {
    await page.getByRole('button', { name: /^Show more/ }).click()
    await expect(lines).toHaveCount(n)
  }
  const titles = await lines.locator('.text-lg').allTextContents()
  expect(titles).toEqual(Array.from({ length: 300 }, (_, i) => `${name} ${i + 1}`))
  await expect(page.getByRole('button', { name: /^Show more/ })).toHaveCount(0)

  await goTo(other, '/')
  await other.getByLabel('Search jobs').fill(`${name} 300, copy`)
  await expect(other.getByText(`No job answers to “${name} 300, copy”.`)).toBeVisible()
  await page.getByRole('button', { name: `What to do with ${name} 300`, exact: true }).click()
  await page.getByRole('menuitem', { name: 'Duplicate' }).click()
  await expect(other.getByText(`${name} 300, copy`, { exact: true })).toBeVisible()
  // Whoever is far down the list stays there; the copy stands on the page behind.
  await expect(page.getByRole('button', { name: /^Show more/ })).toBeVisible()
  await expect(lines).toHaveCount(300)
})

test.afterAll(() => asFirm(DEMO_FIRM_ID, 'update jobs set deleted_at = now() where title like \'Season %\''))

test('an address with nothing at it says so, and leads back to the jobs', async ({ page }) => {
  await page.goto('/jobs/nowhere/at/all')
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible()
  await page.getByRole('button', { name: 'All jobs' }).click()
  await expect(page.getByRole('link', { name: 'New job' })).toBeVisible()
})
