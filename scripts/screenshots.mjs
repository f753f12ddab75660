import { chromium } from '@playwright/test'

// Takes the pictures in docs/screenshots from the demo of a running `npm start`. usage: npm run screenshots [ADDRESS [NAME ...]]
const address = process.argv[2] ?? 'http://127.0.0.1:3100'
const only = process.argv.slice(3)
const job = n => `/jobs/2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d${String(n).padStart(4, '0')}`
const wide = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }
const views = [
  ['jobs', '/', wide],
  ['start', '/jobs/new', wide, async (page) => {
    for (const [label, text] of [['Name or address', '6 Bosun Row'], ['Place', 'Saltmarsh Haven'], ['Along the eave', '34\' 4"'], ['Up the slope', '17\' 1"'], ['Pitch', '6/12'], ['Modules wanted', '14']]) {
      await page.getByLabel(label).first().fill(text)
      await page.getByLabel(label).first().press('Enter')
    }
    await page.getByRole('radiogroup', { name: 'Building and fire' }).getByRole('radio', { name: '2021' }).check()
    await page.getByText('14 modules').waitFor()
    await page.getByLabel('Name or address').scrollIntoViewIfNeeded()
  }],
  ['wall', `${job(9)}/grid`, wide],
  ['one-line', `${job(6)}/grid`, wide, page => page.getByRole('tab', { name: 'One-line' }).click()],
  ['survey', `${job(5)}/survey`, wide],
  ['rafters', `${job(6)}/rafters`, wide, async (page) => {
    await page.getByTestId('ladder').waitFor()
    await page.getByTestId('probes').evaluate(probes => probes.scrollIntoView())
  }],
  ['keep-clear', `${job(1)}/keep-clear`, wide],
  ['rows', `${job(1)}/rows`, wide, page => page.getByRole('region', { name: 'Row 1' }).getByText('Row 1').click()],
  ['rails', `${job(1)}/rails`, wide, page => page.getByRole('button', { name: /^Rail 3, up/ }).click()],
  ['dark', `${job(17)}/on-roof`, wide, page => page.getByRole('button', { name: 'Dark theme' }).click()],
  ['covering', `${job(3)}/covering`, wide, page => page.getByRole('button', { name: 'Next' }).click()],
  ['in-roof', `${job(14)}/covering`, wide],
  ['wiring', `${job(14)}/wiring`, wide, async (page) => {
    await page.getByRole('tab', { name: 'Circuit', exact: true }).click()
    await page.getByRole('button', { name: 'Branch 1' }).first().click()
  }],
  ['shelf', '/shelf/modules?part=skerry-390', wide, page => page.getByText('clamp zones:').scrollIntoViewIfNeeded()],
  ['load-out', `${job(1)}/load-out`, wide],
  ['mark-out', `${job(1)}/mark-out`, wide],
  // The line that the crew is at.
  ['roof-line', `${job(17)}/roof`, phone, page => page.getByText('Drill: hit or miss').waitFor()],
  ['roof-level', `${job(17)}/roof`, phone, async (page) => {
    await page.getByRole('button', { name: /all lines/ }).click()
    await page.getByRole('button', { name: 'Level the feet' }).click()
    await page.getByText(/By 7 readings/).waitFor()
  }],
  // The last, since it says something: what was a picture is a hole from then on.
  ['roof-miss', `${job(17)}/roof`, phone, async (page) => {
    await page.getByRole('button', { name: /all lines/ }).click()
    await page.getByRole('button', { name: /^Fixings on rail 3/ }).click()
    await page.getByRole('button', { name: /Drill: hit or miss/ }).click()
    await page.getByRole('button', { name: /timber left/ }).click()
    await page.getByText('What this does to the plan').waitFor()
    await page.waitForTimeout(2500)
  }],
]

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update'],
})
async function windowOf(viewport) {
  const context = await browser.newContext({ viewport })
  await context.request.post(`${address}/api/session/demo`, { data: { role: 'planner' } })
  const page = await context.newPage()
  // The line of news would never let a page rest.
  await page.route('**/api/news', route => route.abort())
  return page
}
for (const [name, path, viewport, act] of views.filter(([name]) => !only.length || only.includes(name))) {
  const page = await windowOf(viewport)
  await page.goto(`${address}${path}`)
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(1200)
  await page.getByText('Working out the sheet').waitFor({ state: 'detached', timeout: 60_000 })
  if (act) await act(page)
  await page.mouse.move(1, 1)
  await page.waitForTimeout(600)
  await page.screenshot({ path: `docs/screenshots/${name}.png` })
  await page.context().close()
}

await browser.close()
