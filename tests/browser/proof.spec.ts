import type { Locator, Page } from '@playwright/test'
import QRCode from 'qrcode'
import type { ProofEntry } from '../../core/job'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { Prover } from '../../db/demo/prove'
import { house, keep } from './house'
import { onRoof, settledHere, test as phones } from './phones'
import { asFirm, expect, openStage, photo, saved, test } from './support'

const proofOf = async (jobId: string): Promise<ProofEntry[]> => (await asFirm<{ proof: ProofEntry[] }>(DEMO_FIRM_ID, 'select document -> \'proof\' as proof from jobs where job_id = $1', [jobId]))[0]!.proof
const tab = (page: Page, name: string | RegExp) => page.getByRole('tab', { name }).click()
const work = (page: Page): Locator => page.getByRole('region', { name: 'Proof and hand-over' })
const chain = (page: Page, name: string): Locator => work(page).getByRole('button', { name: new RegExp(`^${name}`) })

/** Makes the test that is next, typed or by the stand-in; `fault` is planted before. */
async function make(page: Page, typed: Record<string, string> | 'tester', fault = 'None'): Promise<void> {
  const form = work(page).getByRole('form').first()
  const tick = form.locator('button', { hasText: '☐' })
  await form.locator('button', { hasText: /☐|Keep it/ }).first().waitFor()
  for (let left = await tick.count(); left > 0; left--) {
    await tick.first().click()
    await expect(tick).toHaveCount(left - 1)
  }
  if (typed === 'tester') {
    if (fault !== 'None') await form.getByText(/Try a fault/).click()
    if (fault !== 'None') await form.getByRole('button', { name: fault, exact: true }).click()
    await form.getByRole('button', { name: 'Read the tester' }).click()
    await expect(form.locator('input').or(form.getByRole('radio', { checked: true })).first()).toBeVisible()
  }
  else for (const [label, value] of Object.entries(typed)) await (value.startsWith('=') ? form.getByRole('radio', { name: value.slice(1), exact: true }).click() : form.getByLabel(new RegExp(`^${label}`)).fill(value))
  await form.getByRole('button', { name: 'Keep it' }).click()
}

test('a string from the goods to the hand-over, with a fault planted at each step and found, and the pack says what the record says', async ({ page }) => {
  test.setTimeout(120_000)
  const jobId = await keep(house('string'))
  await openStage(page, jobId, 'proof')
  await expect(work(page).getByRole('heading', { name: /open before it can be handed over/ })).toBeVisible()

  await tab(page, 'Serials')
  await work(page).getByLabel('Came, of 6').fill('6')
  await work(page).getByRole('button', { name: 'Keep it' }).last().click()
  for (let i = 0; i < 6; i++) {
    await expect(work(page).getByText(`${i} of 6 read`)).toBeVisible()
    await work(page).getByRole('button', { name: 'Stand-in scanner' }).click()
  }
  await expect(work(page).getByText('6 of 6 read')).toBeVisible()
  const serials = (await proofOf(jobId).then(async () => {
    await saved(page)
    return await proofOf(jobId)
  })).flatMap(one => one.kind === 'serial' ? [one.serial] : [])
  expect(serials).toHaveLength(6)
  // A duplicate is refused with where the first stands.
  await work(page).getByRole('button', { name: /^Module 3, row 1/ }).click()
  await work(page).getByRole('textbox', { name: 'Serial number' }).fill(serials[0]!)
  await work(page).getByRole('textbox', { name: 'Serial number' }).press('Enter')
  await expect(work(page).getByRole('alert')).toContainText('stands already at')

  await tab(page, 'Tests')
  await make(page, { Resistance: '2.4' })
  await expect(work(page)).toContainText('over 1 Ω')
  await expect(chain(page, 'String 1')).toContainText('0/4')
  await work(page).getByRole('button', { name: 'Misread: take it out' }).click()
  await make(page, { Resistance: '0.1' })
  await chain(page, 'String 1').click()
  for (const [fault, found] of [['Reversed', /Reversed/], ['One module short', /it reads as 5 modules, 1 module short/], ['Shaded', /% low/], ['Wet plug', /under 1 MΩ/]] as const) {
    await make(page, 'tester', fault)
    await expect(work(page)).toContainText(found)
    await expect(work(page).getByRole('button', { name: 'Join it' })).toBeDisabled()
    await work(page).getByRole('button', { name: 'Misread: take it out' }).click()
    await make(page, 'tester')
  }
  await work(page).getByRole('button', { name: 'Join it' }).click()
  await expect(work(page)).toContainText('Far end: joined')
  for (const one of ['AC disconnect', 'Inverter']) {
    await chain(page, one).click()
    if (one === 'Inverter') for (let i = 0; i < 2; i++) await make(page, { 'It is': '=armed' })
    else await make(page, { It: '=parts' })
    await expect(chain(page, one)).toContainText(one === 'Inverter' ? '2/2' : '1/1')
  }
  await chain(page, 'The whole of it').click()
  await make(page, { It: '=goes on', After: '4' })
  await expect(work(page)).toContainText('It goes on without the grid')
  await work(page).getByRole('button', { name: 'Misread: take it out' }).click()
  await make(page, { It: '=stops', After: '0.4' })
  await make(page, { Left: '44', After: '12' })
  await expect(work(page)).toContainText('over 30 V')
  await work(page).getByRole('button', { name: 'Misread: take it out' }).click()
  await make(page, { Left: '6', After: '12' })

  await tab(page, 'Commissioning')
  await work(page).getByRole('button', { name: 'Ask the gateway' }).click()
  const terminals = page.getByRole('region', { name: 'Terminals' })
  for (let i = 0; await terminals.getByText('nothing logged').count(); i++) {
    expect(i).toBeLessThan(8)
    await terminals.getByLabel('Terminal').fill('L1')
    await terminals.getByLabel('Tool').fill('Screwdriver 7')
    await terminals.getByLabel('Calibrated until').fill('2031-01-01')
    const open = await terminals.getByText('nothing logged').count()
    await terminals.getByRole('button', { name: 'Pull the wrench' }).click()
    await expect(terminals.getByLabel(/^Torque/)).not.toHaveValue('')
    await terminals.getByRole('button', { name: 'Keep it' }).click()
    await expect(terminals.getByText('nothing logged')).toHaveCount(open - 1)
  }
  await work(page).getByRole('button', { name: 'Changed', exact: true }).click()

  await tab(page, 'Photographs')
  const picture = { name: 'camera.jpg', mimeType: 'image/jpeg', buffer: await photo(640, 480) }
  const wanted = work(page).getByText('missing', { exact: true })
  for (let left = await wanted.count(); left > 0; left--) {
    await work(page).locator('li', { has: page.getByText('missing', { exact: true }) }).first().locator('input[type=file]').setInputFiles(picture)
    await expect(wanted).toHaveCount(left - 1)
  }

  await tab(page, 'Papers')
  for (const paper of ['Permit', 'Consent of the grid’s operator', 'Inspection before it is covered', 'Final inspection', 'Letter or certificate', 'Letter to the utility', 'Meter', 'Permission to energise']) {
    await work(page).getByRole('button', { name: new RegExp(`^${paper}`) }).click()
    await work(page).getByRole('radio', { name: paper === 'Meter' ? 'not needed here' : 'there', exact: true }).check()
    await work(page).getByLabel('Its number').fill(`N-${paper.length}`)
    await work(page).getByRole('button', { name: 'Keep it' }).click()
    await expect(work(page).getByRole('button', { name: new RegExp(`^${paper}`) })).toContainText(paper === 'Meter' ? 'not needed' : 'there')
  }

  await tab(page, 'Hand-over')
  await expect(work(page)).toContainText('Nothing is open')
  await work(page).getByLabel('To whom').fill('Mrs Sallow')
  await work(page).getByLabel('Whom they call').fill('The office, 0900 555 014')
  await work(page).getByRole('button', { name: 'Hand it over' }).click()
  await expect(work(page).getByRole('heading', { name: 'Handed over' })).toBeVisible()
  await saved(page)
  const record = await proofOf(jobId)
  expect(record.at(-1)).toMatchObject({ kind: 'handed-over', to: 'Mrs Sallow' })
  // Nothing that was planted and taken out stands in it.
  expect(record.flatMap(one => one.kind === 'test' ? [one.found] : []).some(found => (found.step === 'polarity' && !found.right) || (found.step === 'continuity' && found.ohm > 1))).toBe(false)
  const answer = await page.request.get(`/api/jobs/${jobId}/hand-over.pdf?for=householder`)
  expect([answer.status(), answer.headers()['content-type']]).toEqual([200, 'application/pdf'])
  const { read } = await import('../printed/reader')
  const text = (await read(await answer.body())).pages.join(' ')
  for (const words of [...serials, 'Mrs Sallow', 'The office, 0900 555 014', 'Handed over', 'Screwdriver 7', '6 V left after 12 s', 'N-6']) expect(text).toContain(words)
  expect(text).not.toContain('NOT DONE')
  const layout = await (await page.request.get(`/api/jobs/${jobId}/array-layout.csv`)).text()
  for (const serial of serials) expect(layout).toContain(serial)
})

test('units and a gateway: faults planted one by one, each found with its cause; nothing is handed over above them', async ({ page }) => {
  const one = new Prover(house('units'), 'Ines', '2026-05-04T09:00:00Z')
  one.serials()
  one.tests()
  one.gateway()
  const jobId = await keep(one.job)
  await openStage(page, jobId, 'proof')
  await tab(page, 'Commissioning')
  await expect(work(page)).toContainText('Every unit of the map reports')
  const causes = page.getByRole('list', { name: 'What keeps units from reporting' })
  await work(page).getByText(/Try a fault/).click()
  for (const [fault, words] of [['One unit’s plug', /does not report, though those beside it are heard well/], ['One unit far away', /heard weakly/], ['A trunk open half way', /It is open between/], ['The array switched off', /None of 6 units reports/], ['A profile pending', /pending is not set/], ['One module half in', /module plug half in/], ['A neighbour’s unit', /NEIGHBOUR-77/], ['Not on the network', /not on the network/]] as const) {
    await work(page).getByRole('button', { name: fault, exact: true }).click()
    await work(page).getByRole('button', { name: 'Ask the gateway' }).click()
    await expect(causes).toContainText(words)
  }
  await tab(page, 'Hand-over')
  await work(page).getByLabel('To whom').fill('Mrs Sallow')
  await work(page).getByRole('button', { name: 'Hand it over' }).click()
  await expect(work(page).getByRole('alert')).toContainText('Not yet')
  expect((await proofOf(jobId)).some(one => one.kind === 'handed-over')).toBe(false)
})

test('a code in a picture is read on the device and kept at its place', async ({ page }) => {
  const jobId = await keep(house('string'))
  await openStage(page, jobId, 'proof')
  await tab(page, 'Serials')
  await work(page).locator('label', { hasText: 'Read a picture' }).locator('input').setInputFiles({ name: 'label.png', mimeType: 'image/png', buffer: await QRCode.toBuffer('SKG26-771204', { width: 420 }) })
  await expect(work(page).getByText('1 of 6 read')).toBeVisible({ timeout: 30_000 })
  await saved(page)
  expect((await proofOf(jobId)).at(-1)).toMatchObject({ kind: 'serial', serial: 'SKG26-771204', via: 'scanned' })
})

test('a link to the pack shows the pack and nothing beside it', async ({ page, browser }) => {
  const jobId = await keep(house('units'))
  await openStage(page, jobId, 'proof')
  await tab(page, 'Hand-over')
  await page.getByRole('region', { name: 'Packs' }).getByRole('button', { name: 'Make a link' }).first().click()
  const link = await page.getByTestId('link').textContent()
  const guest = await browser.newContext({ serviceWorkers: 'block' })
  const window = await guest.newPage()
  await window.goto(link!)
  await expect(window.getByRole('link', { name: 'Open it (PDF)' })).toBeVisible()
  const base = new URL(link!).origin
  expect((await guest.request.get(`${base}/api/jobs/${jobId}/hand-over.pdf?for=householder`)).status()).toBe(200)
  for (const path of ['hand-over.pdf?for=inspector', 'mark-out.pdf', 'permit.pdf', 'job.json', '']) expect([path, (await guest.request.get(`${base}/api/jobs/${jobId}/${path}`)).status()]).toEqual([path, 403])
  await guest.close()
})

test('a tester’s file: what fits is taken in, every line that does not is named', async ({ page }) => {
  const jobId = await keep(house('string'))
  await openStage(page, jobId, 'proof')
  await tab(page, 'Tests')
  const csv = ['Circuit;Test;Value;Second;Irradiance;Cell temperature;Test voltage;Operator', 'String 1;Voc;221,4;;702;41;;A', 'String 1;Riso;> 199 MΩ;> 199 MΩ;;;500;A', 'String 9;Voc;221;;702;41;;A', 'String 1;Isc;9.1;;;;;A', 'String 1;Polarity;maybe;;;;;A'].join('\n')
  await work(page).locator('label', { hasText: 'Read a tester’s file' }).locator('input').setInputFiles({ name: 'readings.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  for (const words of ['2 readings taken in', 'operator', 'there is no circuit “String 9”', 'Line 5: irradiance or cell temperature is missing', 'says neither right nor reversed']) await expect(work(page).getByRole('status')).toContainText(words)
  await saved(page)
  expect((await proofOf(jobId)).filter(one => one.kind === 'test')).toHaveLength(2)
})

phones('on the phone without a signal: a number and a test are kept, and reach the office once the signal is back', async ({ phone }) => {
  phones.setTimeout(150_000)
  const jobId = await keep(house('string'))
  const { link, page } = await phone()
  await onRoof(page, jobId)
  await settledHere(page, jobId)
  link.cut(true)
  await page.getByRole('button', { name: /all lines/ }).click()
  await page.getByRole('button', { name: 'Serial numbers' }).click()
  await page.getByRole('textbox', { name: 'Serial number' }).fill('SKG26-100200')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('1 of 6 read')).toBeVisible()
  // The reader of codes lies on the phone too.
  await page.locator('label', { hasText: 'Read a picture' }).locator('input').setInputFiles({ name: 'label.png', mimeType: 'image/png', buffer: await QRCode.toBuffer('SKG26-100201', { width: 420 }) })
  await expect(page.getByText('2 of 6 read')).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: 'Back', exact: true }).click()
  await page.getByRole('button', { name: 'Tests', exact: true }).click()
  await page.getByLabel(/Resistance/).fill('0.2')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('heading', { name: 'Tests' }).or(page.getByText('String 1').first())).toBeVisible()
  await expect(page.getByText(/on this phone, not at the office yet/)).toBeVisible()
  expect(await proofOf(jobId)).toEqual([])
  link.cut(false)
  await expect.poll(async () => (await proofOf(jobId)).map(one => one.kind), { timeout: 60_000 }).toEqual(['serial', 'serial', 'test'])
})
