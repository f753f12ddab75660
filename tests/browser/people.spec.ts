import { randomUUID } from 'node:crypto'
import config from '../../playwright.config'
import { noSeriousFault } from './faults'
import { enter, expect, freshJob, openStage, saved, test, typeOver } from './support'

const PASSPHRASE = 'tidal gravel nine lanterns'

/** A window of somebody nobody knows yet. */
test.describe('people', () => {
  test('an owner invites, the mail is in the outbox, who is invited joins, signs out and in; signing out ends the session', async ({ browser, page, baseURL }) => {
    const email = `${randomUUID()}@example.org`
    const owner = await browser.newContext({ baseURL })
    await enter(owner, 'owner')
    const people = await owner.newPage()
    await people.goto('/people')
    await people.getByLabel('E-mail').fill(email)
    await people.getByRole('button', { name: 'Invite' }).click()
    await expect(people.getByRole('list', { name: 'Open invitations' })).toContainText(email)
    await noSeriousFault(people)
    await people.getByText(email).last().click()
    const link = await people.locator('details').filter({ hasText: email }).locator('pre').textContent()

    // A guest reads one job: among many, by its name.
    await people.getByLabel('As', { exact: true }).click()
    await people.getByRole('option', { name: 'Guest' }).click()
    await people.getByLabel('Which job').fill('kelp quay')
    await people.getByLabel('To read this job').click()
    await expect(people.getByRole('option')).toHaveText(['Kelp Quay 22'])
    await people.getByRole('option', { name: 'Kelp Quay 22' }).click()
    await people.getByLabel('E-mail').fill(`guest-${email}`)
    await people.getByRole('button', { name: 'Invite' }).click()
    await expect(people.getByRole('list', { name: 'Open invitations' })).toContainText(`guest-${email}, guest`)

    const fresh = await browser.newContext({ baseURL })
    const joiner = await fresh.newPage()
    await joiner.goto(/\/join#\S+/.exec(link!)![0])
    await expect(joiner.getByRole('heading', { name: /^Join Gannet Row Roofworks/ })).toBeVisible()
    await joiner.getByLabel('Your name').fill('Ivo Reed')
    await joiner.getByLabel('A passphrase of your own').fill('too short')
    await joiner.getByRole('button', { name: 'Join', exact: true }).click()
    await expect(joiner.getByRole('alert')).toContainText('At least 12 signs')
    await joiner.getByLabel('A passphrase of your own').fill(PASSPHRASE)
    await joiner.getByRole('button', { name: 'Join', exact: true }).click()
    await expect(joiner.getByText('Gannet Row Roofworks, Ivo Reed')).toBeVisible()
    // A lead opens no jobs.
    await expect(joiner.getByRole('link', { name: 'New job' })).toBeHidden()

    const cookies = await fresh.cookies()
    await joiner.getByRole('button', { name: 'Ivo Reed, lead' }).click()
    await joiner.getByRole('menuitem', { name: 'Sign out' }).click()
    await expect(joiner.getByRole('heading', { name: 'Sign in' })).toBeVisible()
    // The cookie of before opens nothing, whoever kept it.
    await fresh.addCookies(cookies)
    expect((await fresh.request.get('/api/me')).status()).toBe(401)
    await fresh.clearCookies()

    await joiner.goto('/jobs/2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d0001/rows')
    await expect(joiner.getByRole('heading', { name: 'Sign in' })).toBeVisible()
    await noSeriousFault(joiner)
    await joiner.getByLabel('E-mail').fill(email)
    await joiner.getByLabel('Passphrase').fill('not that one at all')
    await joiner.getByRole('button', { name: 'Sign in' }).click()
    await expect(joiner.getByRole('alert')).toContainText('don’t go together')
    await joiner.getByLabel('Passphrase').fill(PASSPHRASE)
    await joiner.getByLabel('Passphrase').press('Enter')
    // And on to where they were going.
    await expect(joiner).toHaveURL(/0001\/rows$/)
    await owner.close()
    await fresh.close()
    await page.bringToFront()
  })

  test('a device’s own key signs its owner in, until it is taken away', async ({ browser }) => {
    // A key is for a name: numbers in the address have none.
    const baseURL = config.use!.baseURL!.replace('127.0.0.1', 'localhost')
    const context = await browser.newContext({ baseURL })
    const window = await context.newPage()
    const cdp = await context.newCDPSession(window)
    await cdp.send('WebAuthn.enable')
    await cdp.send('WebAuthn.addVirtualAuthenticator', { options: { protocol: 'ctap2', transport: 'internal', hasResidentKey: true, hasUserVerification: true, isUserVerified: true, automaticPresenceSimulation: true } })
    const email = `${randomUUID()}@example.org`
    const owner = await browser.newContext({ baseURL: config.use!.baseURL })
    await enter(owner, 'owner')
    const invited = await owner.request.post('/api/invitations', { data: { id: randomUUID(), email, role: 'yard' } })
    const token = (await invited.json() as { link: string }).link.split('#')[1]!
    await window.goto('/sign-in')
    await window.evaluate(body => fetch('/api/join', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }), { token, name: 'Wyn Tarn', passphrase: PASSPHRASE })
    await window.goto('/account')
    await window.getByLabel('Name of this device').fill('The van’s tablet')
    await window.getByRole('button', { name: 'Add this device’s key' }).click()
    const known = window.getByRole('list', { name: 'Keys of your devices' })
    await expect(known).toContainText('The van’s tablet')
    await noSeriousFault(window)

    await context.clearCookies()
    await window.goto('/sign-in?to=/account')
    await window.getByRole('button', { name: 'Sign in with this device’s key' }).click()
    await expect(known).toContainText('used')
    await expect(window.getByText('Gannet Row Roofworks, Wyn Tarn')).toBeVisible()
    await window.getByRole('button', { name: 'Take away' }).click()
    await expect(known).not.toContainText('tablet')
    await context.clearCookies()
    await window.goto('/sign-in')
    await window.getByRole('button', { name: 'Sign in with this device’s key' }).click()
    await expect(window.getByRole('alert')).toContainText('not known here')
    await context.close()
    await owner.close()
  })

  test('a lead’s phone logs and moves, is told what is a planner’s to decide, and the planner is told of it at once', async ({ browser, page, baseURL }) => {
    const jobId = await freshJob()
    await openStage(page, jobId, 'rails')
    const phone = await browser.newContext({ baseURL, viewport: { width: 390, height: 844 }, hasTouch: true })
    await enter(phone, 'lead')
    const lead = await phone.newPage()
    await lead.goto(`/jobs/${jobId}/rows`)
    await lead.getByRole('button', { name: /measurements/i }).first().click()
    const moved = lead.getByLabel('Gap between rows')
    await moved.fill('3/4"')
    await moved.press('Enter')
    await expect(page.getByTestId('meanwhile')).toContainText('Changed on the roof by Dabney Thrift: the gap between rows')
    await typeOver(lead, 'Modules wanted', '9')
    await expect(lead.getByRole('alert').filter({ hasText: 'a planner does that' }).first()).toBeVisible()
    await saved(page)
    await phone.close()
  })

  test('a link shows one job to whoever has it, to read, until it is taken back', async ({ browser, page, baseURL }) => {
    const jobId = await freshJob()
    const title = `Shared ${randomUUID().slice(0, 6)}`
    await openStage(page, jobId, 'survey')
    const renamed = await page.request.post(`/api/jobs/${jobId}/edits`, { data: { baseVersion: null, entries: [{ id: randomUUID(), kind: 'edit', edit: { type: 'set-job', values: { title } } }] } })
    expect(renamed.status()).toBe(200)
    await page.goto('/')
    await page.getByLabel('Search jobs').fill(title)
    await page.getByRole('button', { name: `What to do with ${title}` }).click()
    await page.getByRole('menuitem', { name: 'Links to share…' }).click()
    const dialog = page.getByRole('dialog', { name: `Links to ${title}` })
    await dialog.getByLabel('For whom').fill('The neighbour’s son')
    await dialog.getByRole('button', { name: 'Make a link' }).click()
    const link = (await dialog.getByTestId('link').textContent())!
    await noSeriousFault(page)

    const outside = await browser.newContext({ baseURL })
    const helper = await outside.newPage()
    await helper.goto(link)
    await expect(helper.getByText('To read. This job is shared with you')).toBeVisible()
    await expect(helper.getByLabel('Pitch')).toBeDisabled()
    await helper.goto('/')
    await expect(helper).toHaveURL(new RegExp(`${jobId}/survey`))

    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: `What to do with ${title}` }).click()
    await page.getByRole('menuitem', { name: 'Links to share…' }).click()
    await expect(dialog.getByRole('list', { name: 'Links' })).toContainText('The neighbour’s son')
    await dialog.getByRole('button', { name: 'Take back' }).click()
    await expect(dialog.getByRole('list', { name: 'Links' })).toContainText('taken back')
    await helper.reload()
    await expect(helper.getByRole('heading', { name: 'Sign in' })).toBeVisible()
    await helper.goto(link)
    await expect(helper.getByRole('alert')).toContainText('taken back')
    await outside.close()
    await page.keyboard.press('Escape')
  })
})
