import ExcelJS from 'exceljs'
import { demoCatalogue } from '../../core/catalogue'
import { writeTables } from '../../core/shelf'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { asFirm, choose, expect, freshJob, goTo, openStage, saved, test, toStage, typeOver } from './support'

/** A firm's own module and rail, as a supplier's spreadsheet has them, in inches and pounds, with a column that nobody asked for. */
async function ownParts(name: string): Promise<Buffer> {
  const workbook = new ExcelJS.Workbook()
  const modules = workbook.addWorksheet('Modules')
  modules.addRow(['Manufacturer', 'Model', 'Pmax', 'Voc (V)', 'Vmp (V)', 'Isc (A)', 'Imp (A)', 'Temperature coefficient of Pmax (%/°C)', 'Temperature coefficient of Voc (%/°C)', 'Temperature coefficient of Isc (%/°C)', 'Cells', 'Half-cut', 'Length (in)', 'Width (in)', 'Thickness (mm)', 'Weight (lb)', 'Long edge, zone from (in)', 'Long edge, zone to (in)', 'Short edge, zone from (in)', 'Short edge, zone to (in)', 'Rating 1 edge', 'Rating 1 from (in)', 'Rating 1 to (in)', 'Rating 1 up (psf)', 'Rating 1 down (psf)', 'Bay'])
  modules.addRow(['Tern Works', `${name} 405`, 405, 37.2, 31.1, 13.8, 13.02, -0.34, -0.26, 0.05, 108, 'yes', 67.8, 44.6, 32, 46.7, 9.5, 17, 4, 10, 'long', 9.5, 17, 50, 75, 'B4'])
  const rails = workbook.addWorksheet('Rails')
  const { rows: [heads, row] } = writeTables({ ...demoCatalogue, rails: [demoCatalogue.rails[1]!] }).find(table => table.name === 'Rails')!
  const own = heads!.map((head, i) => head === 'Id' ? '' : head === 'Name' ? `${name} rail` : head === 'Source' || head === 'Document' || head === 'Source date' ? '' : row![i]!)
  rails.addRow([...heads!, 'Goes with'])
  rails.addRow([...own, 'Limpet flashed foot; Pinch clamps, one inch past'])
  return Buffer.from(await workbook.xlsx.writeBuffer())
}
const xlsx = (buffer: Buffer) => ({ name: 'own parts.xlsx', mimeType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', buffer })

test('a module and a rail of one’s own come from a spreadsheet, are planned with and issued; retired, they leave the old sheet as it was', async ({ page }) => {
  await goTo(page, '/shelf/modules')
  await page.getByRole('button', { name: 'From a file…' }).click()
  const dialog = page.getByRole('dialog', { name: 'Parts from a file' })
  await dialog.locator('input[type=file]').setInputFiles(xlsx(await ownParts('Tern')))
  await expect(dialog).toContainText('column “Bay” was left out')
  await expect(dialog).toContainText('Needs a source: 2')
  await expect(dialog.getByRole('button', { name: 'Nothing to take' })).toBeDisabled()
  await choose(page, 'Where its lines don’t say, the figures are', 'Maker')
  await expect(dialog.getByRole('status')).toHaveText('New: 2')
  await dialog.getByRole('button', { name: 'Take 2 parts' }).click()
  await expect(page.getByRole('status').filter({ hasText: '2 parts were taken from own parts.xlsx' })).toBeVisible()

  const jobId = await freshJob()
  await openStage(page, jobId, 'rows')
  await choose(page, 'Module', 'Tern 405')
  await expect(page.getByTestId('totals')).toContainText('15 modules, 6.08 kW')
  await toStage(page, 'rails')
  await choose(page, 'Rail', 'Tern rail')
  await saved(page)
  await toStage(page, 'mark-out')
  await page.getByRole('button', { name: 'Issue revision A' }).click()
  await expect(page.getByRole('region', { name: 'Issue' })).toContainText('Revision A issued by')
  // What the printed sheet and the roof's cards are drawn from.
  const sheet = async () => JSON.stringify(await asFirm(DEMO_FIRM_ID, 'select sheet from issued_sheets where job_id = $1', [jobId]))
  const before = await sheet()
  expect(before.length).toBeGreaterThan(10_000)

  // The module was taped again: 67 7/8 in. A job stands on the old figure, so the new one gets a part of its own.
  await goTo(page, '/shelf/modules')
  await page.getByRole('button', { name: 'Tern 405' }).click()
  await choose(page, 'The figures are', 'Measured')
  await typeOver(page, 'Document', 'Steel tape in the yard')
  await typeOver(page, 'Long side', '67 7/8"')
  await page.getByRole('button', { name: 'Save in its place' }).click()
  await expect(page.getByRole('status').filter({ hasText: '1 job keeps the old one, which is retired' })).toBeVisible()
  expect(await sheet()).toBe(before)
  await openStage(page, jobId, 'rows')
  await expect(page.getByText('Tern 405 is retired on the shelf; Tern 405 came in its place.')).toBeVisible()
  await page.getByRole('button', { name: 'Use Tern 405' }).click()
  await saved(page)
  expect(await sheet()).toBe(before)
})

test('a part is typed, refused by what its plate says, mended, copied, retired and taken away', async ({ page }) => {
  await goTo(page, '/shelf/modules')
  await page.getByRole('button', { name: 'Lantern 460 wide' }).click()
  await page.getByRole('button', { name: 'Copy and change' }).click()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Say whether the figures are the maker’s' })).toBeInViewport()
  await choose(page, 'The figures are', 'From memory')
  await typeOver(page, 'Document', 'Perrin remembers')
  await typeOver(page, 'Name', 'Lantern 450')
  await typeOver(page, 'Vmp', '42')
  await expect(page.getByText('Vmp, 42 V, is over Voc, 41.3 V')).toBeVisible()
  await typeOver(page, 'Vmp', '33.8')
  await typeOver(page, 'Nominal power', '450')
  await expect(page.getByText('450 W at 33.8 V are 13.31 A.')).toBeVisible()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Saved.' })).toBeVisible()
  await expect(page).toHaveURL(/part=lantern-450$/)
  await page.getByRole('button', { name: 'Retire' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'it is not offered any more' })).toBeVisible()
  await page.getByRole('button', { name: 'Take away' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Lantern 450 was taken from the shelf.' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Lantern 450' })).toHaveCount(0)
})

test('choosing a covering offers the sets that go through it, and a part brings along what must change with it', async ({ page }) => {
  await openStage(page, await freshJob(), 'survey')
  await page.getByRole('tab', { name: 'Covering' }).click()
  await choose(page, 'Covering', 'Slate')
  await choose(page, 'As sold', 'Scaur 500 x 250')
  await expect(page.getByLabel('Length', { exact: false }).first()).toHaveValue(`1' 7 11/16"`)
  await choose(page, 'Set that goes through it', 'Slate hooks')
  await expect(page.getByText('is not made for this covering')).toHaveCount(0)
  await choose(page, 'Covering', 'Coursed shingle')
  await toStage(page, 'rails')
  await choose(page, 'Mount', 'Limpet flashed foot, with Bollard light rail and Pinch clamps, one inch past')
  await expect(page.getByLabel('Rail', { exact: true })).toContainText('Bollard light rail')
  await expect(page.getByLabel('Set', { exact: true })).toContainText('Shingle, light rail')
  await expect(page.getByText(/does not take|do not fit|is not made for/)).toHaveCount(0)
})
