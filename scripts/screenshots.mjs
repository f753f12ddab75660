import { chromium } from '@playwright/test'

// Takes the pictures in docs/screenshots from the demo of a running `npm start`. usage: npm run screenshots [ADDRESS]
const address = process.argv[2] ?? 'http://127.0.0.1:3100'
const job = n => `/jobs/2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d${String(n).padStart(4, '0')}`
const wide = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }
const views = [
  ['jobs', '/', wide],
  ['site', `${job(1)}/site`, wide],
  ['survey', `${job(5)}/survey`, wide],
  ['survey-roof', `${job(5)}/survey`, wide, page => page.getByRole('tab', { name: 'Roof' }).click()],
  ['common-roof', `${job(4)}/survey`, wide, async (page) => {
    await page.getByRole('tab', { name: 'Roof' }).click()
    await page.getByRole('button', { name: 'Common roof…' }).click()
    await page.getByRole('dialog').getByLabel('Form').click()
    await page.getByRole('option', { name: 'Gable with a cross gable' }).click()
  }],
  ['rafters', `${job(6)}/rafters`, wide],
  ['purlins', `${job(7)}/rafters`, wide],
  ['keep-clear', `${job(1)}/keep-clear`, wide],
  ['keep-clear-taken', `${job(5)}/keep-clear`, wide, page => page.getByRole('tab', { name: 'Who took what' }).click()],
  ['rows', `${job(1)}/rows`, wide, page => page.getByRole('region', { name: 'Row 1' }).getByText('Row 1').click()],
  ['arrangements', `${job(5)}/rows`, wide, async (page) => {
    await page.getByRole('button', { name: 'Find the best rows…' }).click()
    await page.getByTestId('arrangement').first().waitFor()
  }],
  ['rails', `${job(1)}/rails`, wide, page => page.getByRole('button', { name: /^Rail 3, up/ }).click()],
  ['wind-zones', `${job(5)}/rails`, wide, async (page) => {
    await page.keyboard.press('z')
    await page.getByRole('tab', { name: 'Loads' }).click()
  }],
  ['spans', `${job(1)}/rails`, wide, async (page) => {
    await page.getByRole('button', { name: 'Spans and rails…' }).click()
    await page.getByTestId('rail-choices').waitFor()
  }],
  ['findings', `${job(2)}/rails`, wide, page => page.getByRole('button', { name: 'Show it' }).first().click()],
  ['load-out', `${job(1)}/load-out`, wide],
  ['cut-plan', `${job(1)}/load-out`, wide, page => page.getByText(/Cut plan, rear face/).scrollIntoViewIfNeeded().then(() => page.mouse.move(700, 400)).then(() => page.mouse.wheel(0, 700))],
  ['mark-out', `${job(1)}/mark-out`, wide],
  ['mark-out-phone', `${job(1)}/mark-out`, phone],
]

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update'],
})
for (const [name, path, viewport, act] of views) {
  const page = await browser.newPage({ viewport })
  await page.goto(`${address}${path}`)
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(1200)
  if (act) await act(page)
  await page.mouse.move(1, 1)
  await page.waitForTimeout(600)
  await page.screenshot({ path: `docs/screenshots/${name}.png` })
  await page.close()
}
await browser.close()
