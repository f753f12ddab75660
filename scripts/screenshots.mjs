import { readFileSync } from 'node:fs'
import { chromium } from '@playwright/test'

// Takes the pictures in docs/screenshots from the demo of a running `npm start`. usage: npm run screenshots [ADDRESS [NAME ...]]
const address = process.argv[2] ?? 'http://127.0.0.1:3100'
const only = process.argv.slice(3)
const job = n => `/jobs/2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d${String(n).padStart(4, '0')}`
const wide = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }
/** What jobs come to is worked out behind the list, which is not told of it here: it is looked until all are there. */
async function listWorkedOut(page) {
  for (let i = 0; i < 60; i++) {
    const { jobs } = await (await page.request.get(`${address}/api/jobs`)).json()
    if (jobs.every(one => one.summary && !one.older)) break
    await page.waitForTimeout(2000)
  }
  await page.reload()
  await page.waitForLoadState('networkidle')
}
const views = [
  ['jobs', '/', wide, listWorkedOut],
  ['wall', `${job(9)}/grid`, wide],
  ['survey', `${job(5)}/survey`, wide],
  ['rafters', `${job(6)}/rafters`, wide, async (page) => {
    await page.getByTestId('ladder').waitFor()
    await page.getByTestId('probes').evaluate(probes => probes.scrollIntoView())
  }],
  ['keep-clear', `${job(1)}/keep-clear`, wide],
  ['rails', `${job(1)}/rails`, wide, page => page.getByRole('button', { name: /^Rail 3, up/ }).click()],
  ['dark', `${job(17)}/on-roof`, wide, page => page.getByRole('button', { name: 'Dark theme' }).click()],
  ['covering', `${job(3)}/covering`, wide, page => page.getByRole('button', { name: 'Next' }).click()],
  ['in-roof', `${job(14)}/covering`, wide],
  ['wiring', `${job(14)}/wiring`, wide, async (page) => {
    await page.getByRole('tab', { name: 'Circuit', exact: true }).click()
    await page.getByRole('button', { name: 'Branch 1' }).first().click()
  }],
  ['shelf', '/shelf/modules?part=skerry-390', wide, page => page.getByText('clamp zones:').scrollIntoViewIfNeeded()],
  ['serials', `${job(18)}/proof`, wide, page => page.getByRole('tab', { name: 'Serials' }).click()],
  ['papers', `${job(17)}/proof`, wide, page => page.getByRole('tab', { name: 'Papers' }).click()],
  ['string-test', `${job(8)}/roof`, phone, async (page) => {
    await page.getByRole('button', { name: /all lines/ }).click()
    await page.getByRole('button', { name: 'Tests', exact: true }).click()
    await page.getByLabel(/Resistance/).fill('0.1')
    await page.getByRole('button', { name: 'Keep it' }).click()
    await page.getByRole('button', { name: /far end is open/ }).click()
    for (const name of ['Read the tester', 'Keep it', 'Read the tester', 'Keep it']) await page.getByRole('button', { name }).click()
    await page.getByText('can’t be told from this reading').scrollIntoViewIfNeeded()
  }],
  ['pack', `${job(18)}/proof`, wide, page => showPdfPage(page, `${job(18)}/hand-over.pdf`, 'Tests')],
  ['load-out', `${job(1)}/load-out`, wide],
  ['mark-out', `${job(1)}/mark-out`, wide],
  // The line that the crew is at.
  ['roof-line', `${job(17)}/roof`, phone, page => page.getByText('Drill: hit or miss').waitFor()],
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

/** Puts the first page of a PDF that has a title in place of the window's page, drawn by the tests' reader. */
async function showPdfPage(page, path, title) {
  const bytes = [...await (await page.request.get(`${address}/api${path}`)).body()]
  const blank = await page.context().newPage()
  const file = name => readFileSync(`node_modules/pdfjs-dist/legacy/build/${name}.mjs`, 'utf8')
  await blank.addScriptTag({ content: file('pdf'), type: 'module' })
  await blank.evaluate(async ({ bytes, worker, title }) => {
    const { getDocument, GlobalWorkerOptions } = globalThis.pdfjsLib
    GlobalWorkerOptions.workerSrc = URL.createObjectURL(new Blob([worker], { type: 'text/javascript' }))
    const pdf = await getDocument({ data: new Uint8Array(bytes) }).promise
    for (let p = 1; p <= pdf.numPages; p++) {
      const own = await pdf.getPage(p)
      if (!(await own.getTextContent()).items.some(item => item.str === title)) continue
      const viewport = own.getViewport({ scale: 1.7 })
      const canvas = document.createElement('canvas')
      Object.assign(canvas, { width: viewport.width, height: viewport.height })
      document.body.style.margin = 0
      document.body.append(canvas)
      await own.render({ canvasContext: canvas.getContext('2d'), viewport }).promise
      return
    }
  }, { bytes, worker: file('pdf.worker'), title })
  await blank.setViewportSize({ width: 1012, height: 1000 })
  return blank
}

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
  const shown = await act?.(page)
  const pictured = shown && 'screenshot' in shown && 'goto' in shown ? shown : page
  await page.mouse.move(1, 1)
  await page.waitForTimeout(600)
  await pictured.screenshot({ path: `docs/screenshots/${name}.png` })
  await page.context().close()
}

await browser.close()
