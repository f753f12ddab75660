import { expect, freshJob, goTo, openStage, test } from './support'

test('what goes over the wire is packed: files once at the build, kept for good by their hash, answers as they are made', async ({ page }) => {
  await goTo(page, '/')
  const scripts = await page.evaluate(() => [...document.querySelectorAll<HTMLScriptElement>('script[src]')].map(one => one.src))
  const sizes: number[] = []
  for (const encoding of ['br', 'gzip', 'identity']) {
    const { headers, length } = await page.evaluate(async (url) => {
      const answer = await fetch(url, { cache: 'no-store' })
      return { headers: Object.fromEntries(answer.headers), length: (await answer.arrayBuffer()).byteLength }
    }, scripts[0]!)
    expect(headers['cache-control']).toContain('immutable')
    expect(length).toBeGreaterThan(100_000)
    // The browser asks for all it knows; the encodings one by one are asked for past it.
    const asked = await page.request.get(scripts[0]!, { headers: { 'accept-encoding': encoding } })
    expect(asked.headers()['content-encoding'] ?? 'identity').toBe(encoding)
    expect((await asked.body()).length).toBe(length)
    sizes.push(Number(asked.headers()['content-length']))
  }
  expect(sizes[0]).toBeLessThan(sizes[1]!)
  expect(sizes[1]).toBeLessThan(0.5 * sizes[2]!)

  const address = `/api/jobs/${await freshJob()}`
  const [packed, plain] = [await page.request.get(address, { headers: { 'accept-encoding': 'br' } }), await page.request.get(address, { headers: { 'accept-encoding': 'identity' } })]
  expect([packed.headers()['content-encoding'], plain.headers()['content-encoding']]).toEqual(['br', undefined])
  expect(packed.headers().vary).toContain('accept-encoding')
  expect(await packed.json()).toEqual(await plain.json())
  const pdf = await page.request.get(`${address}/mark-out.pdf`)
  expect(pdf.headers()['content-encoding']).toBeUndefined()
})

test('a dialog that was never opened opens without a signal, some seconds after the page stands', async ({ page }) => {
  await openStage(page, await freshJob(), 'rows')
  const fetched = () => page.evaluate(() => performance.getEntriesByType('resource').filter(one => one.name.endsWith('.js')).length)
  await page.reload()
  await expect(page.getByTestId('totals')).toContainText('modules')
  const before = await fetched()
  await expect.poll(fetched, { timeout: 20_000 }).toBeGreaterThan(before + 3)
  await page.waitForLoadState('networkidle')
  await page.context().setOffline(true)
  await page.getByRole('button', { name: 'Shortcuts' }).click()
  await expect(page.getByRole('dialog', { name: 'Shortcuts' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.context().setOffline(false)
})

test('pages run no script that is not theirs, stand in no frame, and tell nobody where one comes from', async ({ page }) => {
  const headers = (await page.request.get('/sign-in')).headers()
  const policy = headers['content-security-policy']!
  const scripts = /script-src ([^;]*)/.exec(policy)![1]!
  expect(scripts).toMatch(/'nonce-[\w+/=]{16,}'/)
  expect(scripts).not.toMatch(/'unsafe-|https?:|\*/)
  expect(policy).toContain('frame-ancestors \'none\'')
  expect((await page.request.get('/sign-in')).headers()['content-security-policy']).not.toBe(policy)
  expect([headers['x-content-type-options'], headers['referrer-policy']]).toEqual(['nosniff', 'same-origin'])
  // One that somebody smuggled in does not run.
  await page.goto('/sign-in')
  const ran = await page.evaluate(() => {
    const script = document.createElement('div')
    script.innerHTML = '<img src="data:," onerror="window.smuggled = 1">'
    document.body.append(script)
    return new Promise(resolve => setTimeout(() => resolve('smuggled' in window), 500))
  })
  expect(ran).toBe(false)
})

test('a connection that was quiet for a while is not closed under whoever asks again', async ({ page }) => {
  const answer = await page.request.get('/api/health')
  expect(answer.headers()['keep-alive']).toBe('timeout=65')
})
