import { checked, config, recorded } from './globals'
import { execFileSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, readdirSync, readFileSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Postgres from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { firstOwner } from '../../db/first-owner'
import { migrate } from '../../db/migrate'
import { passphraseProblem } from '../../core/people'
import { readToken } from '../../server/secrets/token'
import { asKeeper, type Caller, demoPerson, freshJob, Office, otherFirm } from './office'

const office = new Office()
beforeAll(() => office.open())
afterAll(() => office.close())

const PASSPHRASE = 'tidal gravel nine lanterns'
const cookieOf = (answer: { headers: Headers }): Caller | null => JSON.parse(answer.headers.get('x-test-session') ?? 'null') as Caller | null
const tokenIn = (text: string) => /#([\w-]+)/.exec(text)![1]!
/** Everybody asks from an address of their own, so that nobody's tries are counted to another. */
let address = 1
const from = () => `10.0.${Math.floor(++address / 250)}.${address % 250}`

/** A firm with an owner who has joined by an invitation, as people do. */
async function ownedFirm(email = `${randomUUID()}@example.org`) {
  const planner = await otherFirm()
  await asKeeper(planner.firmId, 'update people set role = \'owner\' where person_id = $1', [planner.personId])
  const made = await invite(planner, { email, role: 'owner' })
  const joined = await office.ask('post', '/api/join', { from: from(), body: { token: tokenIn((made.json() as { link: string }).link), name: 'Maren Holt', passphrase: PASSPHRASE } })
  return { email, firmId: planner.firmId, as: cookieOf(joined)!, joined }
}
const invite = (as: Caller, who: object) => office.ask('post', '/api/invitations', { as, body: { id: randomUUID(), ...who } })
const signIn = (email: string, passphrase: string, more: object = {}, at = from()) => office.ask('post', '/api/session', { from: at, body: { email, passphrase, ...more } })
const meOf = async (as: Caller | null) => await office.ask('get', '/api/me', { as })

describe('signing in', () => {
  it('is by e-mail and passphrase, in whatever letters the address is typed; signing out ends the session for whoever has its cookie', async () => {
    const { email } = await ownedFirm()
    const answer = await signIn(`  ${email.toUpperCase()}`.trim(), PASSPHRASE)
    const as = cookieOf(answer)!
    expect((await meOf(as)).json()).toMatchObject({ personName: 'Maren Holt', role: 'owner', email })
    expect((await office.ask('get', '/api/me/sessions', { as })).json()).toHaveLength(2)
    const out = await office.ask('delete', '/api/session', { as })
    expect([out.status, out.headers.get('x-test-session')]).toEqual([204, 'null'])
    expect((await meOf(as)).status).toBe(401)
  })
  it('answers the same for an unknown address and a wrong passphrase, and does the same work', async () => {
    const { email } = await ownedFirm()
    const answers = []
    for (const who of [email, `${randomUUID()}@example.org`]) {
      const before = checked.times
      const answer = await signIn(who, 'wrong but long enough')
      answers.push([answer.status, answer.problems(), checked.times - before])
    }
    // A passphrase is hashed either way: that is what takes the time.
    expect(answers[0]).toEqual(answers[1])
    expect([answers[0]![0], answers[0]![2]]).toEqual([401, 1])
  })
  it('and what failed of it are written down for whoever watches over the office, never a passphrase or a token', async () => {
    const { email, firmId } = await ownedFirm()
    await signIn(email, 'not this one at all')
    await signIn(email, PASSPHRASE)
    for (const one of [{ what: 'invited', email }, { what: 'joined', firmId }, { what: 'sign-in-failed', email }, { what: 'signed-in', firmId }]) expect(recorded).toContainEqual(expect.objectContaining(one))
    expect(JSON.stringify(recorded)).not.toMatch(/tidal gravel|not this one|[\w-]{70}/)
  })
  it('is slowed down where somebody guesses, for that address and no other', async () => {
    const { email } = await ownedFirm()
    const at = from()
    const answers = []
    for (let i = 0; i < 8; i++) answers.push(await signIn(email, `guess number ${i} of many`, {}, at))
    expect(answers.map(one => one.status)).toEqual([401, 401, 401, 401, 401, 401, 429, 429])
    expect(Number(answers.at(-1)!.headers.get('retry-after'))).toBeGreaterThan(60)
    expect((await signIn(email, PASSPHRASE, {}, at)).status).toBe(429)
    expect((await signIn(email, PASSPHRASE)).status).toBe(200)
  })
  it('ends after a rest, and after a month however much it is used', async () => {
    const { as, firmId } = await ownedFirm()
    expect((await meOf(as)).status).toBe(200)
    await asKeeper(firmId, 'update sessions set seen_at = now() - interval \'73 hours\' where session_id = $1', [as.sessionId])
    expect((await meOf(as)).status).toBe(401)
    await asKeeper(firmId, 'update sessions set seen_at = now() - interval \'71 hours\' where session_id = $1', [as.sessionId])
    expect((await meOf(as)).status).toBe(200)
    await asKeeper(firmId, 'update sessions set expires_at = now() where session_id = $1', [as.sessionId])
    expect((await meOf(as)).status).toBe(401)
  })
  it('to the demo is by its people, without a passphrase, and only where there is a demo', async () => {
    for (const role of ['planner', 'lead', 'yard', 'owner']) expect((await meOf(cookieOf(await office.ask('post', '/api/session/demo', { body: { role } })))).json()).toMatchObject({ role })
    expect((await office.ask('post', '/api/session/demo', { body: { role: 'guest' } })).status).toBe(400)
    config.demo = false
    expect((await office.ask('post', '/api/session/demo', { body: { role: 'planner' } })).status).toBe(404)
    expect((await office.ask('get', '/api/entry')).json()).toMatchObject({ demo: [] })
    config.demo = true
  })
  it('with a session of before leaves none behind that somebody else may have', async () => {
    const { email, as } = await ownedFirm()
    const again = cookieOf(await office.ask('post', '/api/session', { as, from: from(), body: { email, passphrase: PASSPHRASE } }))!
    expect(again.sessionId).not.toBe(as.sessionId)
    expect((await meOf(as)).status).toBe(401)
  })
})

describe('a passphrase', () => {
  it('is changed by who knows it; every other session ends, and the old one opens nothing', async () => {
    const { email, as } = await ownedFirm()
    const other = cookieOf(await signIn(email, PASSPHRASE))!
    const change = (now: string, next: string) => office.ask('put', '/api/me/passphrase', { as, from: from(), body: { now, next } })
    expect((await change('not this one at all', 'seven quiet harbours')).status).toBe(401)
    expect((await change(PASSPHRASE, 'short')).problems()[0]!.path).toBe('next')
    expect((await change(PASSPHRASE, 'seven quiet harbours')).status).toBe(200)
    expect([(await meOf(as)).status, (await meOf(other)).status]).toEqual([200, 401])
    expect([(await signIn(email, PASSPHRASE)).status, (await signIn(email, 'seven quiet harbours')).status]).toEqual([401, 200])
  })
  it('that was forgotten is replaced by a link that is sent, once, within the hour; whether there is such an account is not told', async () => {
    const { email, as, firmId } = await ownedFirm()
    const [known, unknown] = [email, `${randomUUID()}@example.org`].map(one => office.ask('post', '/api/session/forgotten', { from: from(), body: { email: one } }))
    expect((await known!).json()).toEqual((await unknown!).json())
    // It is written once the answer is out, so that the time that takes tells nothing either.
    const mailed = async () => ((await office.ask('get', '/api/outbox', { as })).json() as { mails: { subject: string, text: string }[] }).mails.find(mail => mail.subject.includes('passphrase'))
    await expect.poll(mailed).toBeDefined()
    const secret = tokenIn((await mailed())!.text)
    const reset = (passphrase: string, by = secret) => office.ask('post', '/api/session/reset', { from: from(), body: { email, secret: by, passphrase } })
    expect((await reset('four new words here', 'guessed')).status).toBe(410)
    expect((await reset('four new words here')).status).toBe(200)
    expect([(await meOf(as)).status, (await signIn(email, 'four new words here')).status, (await reset('and once more again')).status]).toEqual([401, 200, 410])
    // Mail of one firm lies where no other firm's owner sees it, and nobody else on the machine reads it.
    expect(readdirSync(config.outbox)).toContain(firmId)
    expect(statSync(join(config.outbox, firmId)).mode & 0o077).toBe(0)
  })
  it.each([
    ['short one', 'signs'], ['aaaaaaaaaaaaaaaa', 'different'], ['passwordpassword1', 'guessed first'], ['qwertyuiopasdf', 'guessed first'], ['Gannet Row Roofworks!', 'guessed first'],
    ['abcdefghijklmnop', 'guessed first'], ['x'.repeat(201), 'At most'],
  ])('“%s” is not taken', (passphrase, why) => expect(passphraseProblem(passphrase, ['Gannet Row Roofworks', 'maren@example.org'])).toContain(why))
  it.each(['tidal gravel nine lanterns', 'vier grüne Regenschirme', '雨の日は屋根に登らないこと。', 'correct-horse 1987 battery'])('“%s” is', passphrase => expect(passphraseProblem(passphrase, ['maren@example.org'])).toBe(''))
})

describe('people', () => {
  it('join by an invitation, once; as what they were invited; until it is taken back or has run out', async () => {
    const { as } = await ownedFirm()
    const email = `${randomUUID()}@example.org`
    const link = ((await invite(as, { email, role: 'planner', vouches: true, licence: 'Board 12' })).json() as { link: string }).link
    const token = tokenIn(link)
    expect((await office.ask('post', '/api/join/look', { from: from(), body: { token } })).json()).toMatchObject({ email, role: 'planner', invitedBy: 'Maren Holt', known: false })
    const join = (name = 'Ivo Reed', passphrase = PASSPHRASE) => office.ask('post', '/api/join', { from: from(), body: { token, name, passphrase } })
    expect((await join('Ivo Reed', 'short')).problems()[0]!.path).toBe('passphrase')
    const joined = await join()
    expect((await meOf(cookieOf(joined))).json()).toMatchObject({ personName: 'Ivo Reed', role: 'planner', vouches: true, licence: 'Board 12', email })
    expect((await join()).status).toBe(410)
    const back = (await invite(as, { email: `${randomUUID()}@example.org`, role: 'yard' })).json() as { link: string }
    const { invitations } = (await office.ask('get', '/api/people', { as })).json() as { invitations: { invitationId: string }[] }
    expect((await office.ask('delete', `/api/invitations/${invitations[0]!.invitationId}`, { as })).status).toBe(200)
    expect((await office.ask('post', '/api/join/look', { from: from(), body: { token: tokenIn(back.link) } })).status).toBe(410)
  })
  it('are invited with what is needed and no more', async () => {
    const { as } = await ownedFirm()
    for (const [who, path] of [[{ email: 'nobody', role: 'lead' }, 'email'], [{ email: 'a@example.org', role: 'captain' }, 'role'], [{ email: 'a@example.org', role: 'guest' }, 'jobId'], [{ email: 'a@example.org', role: 'planner', vouches: true }, 'licence']] as const) {
      const answer = await invite(as, who)
      expect([answer.status, answer.problems()[0]!.path]).toEqual([400, path])
    }
    expect((await invite(as, { email: 'a@example.org', role: 'guest', jobId: await freshJob() })).status).toBe(404)
    const own = await freshJob(as.firmId)
    const guest = await invite(as, { email: `${randomUUID()}@example.org`, role: 'guest', jobId: own })
    const joined = await office.ask('post', '/api/join', { from: from(), body: { token: tokenIn((guest.json() as { link: string }).link), name: 'Helper', passphrase: PASSPHRASE } })
    expect(joined.json()).toEqual({ jobId: own })
    expect((await office.ask('get', `/api/jobs/${own}`, { as: cookieOf(joined) })).status).toBe(200)
  })
  it('who work here already are not invited again, and a second invitation makes no owner a yard hand', async () => {
    const { as, email } = await ownedFirm()
    expect((await invite(as, { email, role: 'yard' })).problems()[0]).toMatchObject({ path: 'email', sentence: expect.stringContaining('Maren Holt works here already') as string })
    const other = `${randomUUID()}@example.org`
    const [first, second] = await Promise.all(['owner', 'yard'].map(async role => tokenIn(((await invite(as, { email: other, role })).json() as { link: string }).link)))
    const join = (token: string) => office.ask('post', '/api/join', { from: from(), body: { token, name: 'Ivo Reed', passphrase: PASSPHRASE } })
    const joined = cookieOf(await join(first!))
    expect((await join(second!)).status).toBe(409)
    expect((await meOf(joined)).json()).toMatchObject({ role: 'owner' })
  })
  it('vouch with a licence, never without', async () => {
    const { as } = await ownedFirm()
    const { me } = (await office.ask('get', '/api/people', { as })).json() as { me: string }
    const change = async (body: object) => (await office.ask('patch', `/api/people/${me}`, { as, body })).status
    expect(await change({ vouches: true })).toBe(400)
    expect(await change({ vouches: true, licence: ' ' })).toBe(400)
    expect(await change({ vouches: true, licence: 'Board 7' })).toBe(200)
    expect(await change({ licence: '' })).toBe(400)
    expect(await change({ vouches: false, licence: '' })).toBe(200)
  })
  it('who work for two firms have one passphrase, and say for which they come', async () => {
    const first = await ownedFirm()
    const second = await ownedFirm(first.email)
    expect(second.joined.status).toBe(200)
    const both = (await signIn(first.email, PASSPHRASE)).json() as { firms: { firmId: string, name: string }[] }
    expect(both.firms.map(one => one.firmId).sort()).toEqual([first.firmId, second.firmId].sort())
    const as = cookieOf(await signIn(first.email, PASSPHRASE, { firmId: second.firmId }))!
    expect([as.firmId, (await meOf(as)).status]).toEqual([second.firmId, 200])
    expect((await signIn(first.email, PASSPHRASE, { firmId: randomUUID() })).status).toBe(403)
    // A link that lets somebody in shows no owner the way into another firm.
    await office.ask('post', '/api/session/forgotten', { from: from(), body: { email: first.email } })
    for (const { as: owner } of [first, second]) expect((await office.ask('get', '/api/outbox', { as: owner })).text).not.toContain('A new passphrase')
  })
  it('who have left are signed out at once and come in no more; who comes back is asked anew; the last owner stays', async () => {
    const { as } = await ownedFirm()
    const email = `${randomUUID()}@example.org`
    const join = async () => cookieOf(await office.ask('post', '/api/join', { from: from(), body: { token: tokenIn(((await invite(as, { email, role: 'lead' })).json() as { link: string }).link), name: 'Ivo Reed', passphrase: PASSPHRASE } }))!
    const lead = await join()
    const list = async () => ((await office.ask('get', '/api/people', { as })).json() as { people: { personId: string, name: string, email: string | null, role: string, leftAt: string | null }[] }).people
    const ivo = (await list()).find(one => one.email === email)!
    expect((await office.ask('patch', `/api/people/${ivo.personId}`, { as, body: { left: true } })).status).toBe(200)
    expect((await meOf(lead)).status).toBe(401)
    expect((await meOf(cookieOf(await signIn(email, PASSPHRASE)))).status).toBe(401)
    expect((await meOf(await join())).json()).toMatchObject({ role: 'lead' })
    const owners = (await list()).filter(one => one.role === 'owner')
    expect(owners).toHaveLength(2)
    const answers = await Promise.all(owners.map(one => office.ask('patch', `/api/people/${one.personId}`, { as, body: { role: 'lead' } })))
    // Of two owners who step down at once one stays.
    expect((await list()).filter(one => one.role === 'owner')).toHaveLength(1)
    expect(answers.filter(one => one.status === 200)).toHaveLength(1)
  })
  it('of a firm are seen by who works there, invitations and mail by owners', async () => {
    const lead = await demoPerson('lead')
    const { people, invitations } = (await office.ask('get', '/api/people', { as: lead })).json() as { people: unknown[], invitations: unknown[] }
    expect(people.length).toBeGreaterThan(3)
    expect(invitations).toEqual([])
    expect((await office.ask('get', '/api/outbox', { as: lead })).status).toBe(403)
  })
  it('of an office that is empty begin with an owner, by a link that is made anew at each start until it is used', async () => {
    const pg = (...args: string[]) => execFileSync('scripts/pg.sh', args, { encoding: 'utf8' }).trim().split('\n').at(-1)!
    pg('reset', 'upper_deck_empty')
    const owner = pg('owner', 'upper_deck_empty')
    await migrate(owner)
    const [old, token] = [await firstOwner(owner), await firstOwner(owner)]
    const client = new Postgres.Client({ connectionString: owner })
    await client.connect()
    const open = async (one: string) => (await client.query('select from invitations where invitation_id = $1 and taken_back_at is null and accepted_at is null', [readToken(one)!.id])).rowCount
    expect([await open(old!), await open(token!)]).toEqual([0, 1])
    await client.query('insert into people (firm_id, person_id, name, role, email) select firm_id, gen_random_uuid(), \'Maren\', \'owner\', \'maren@example.org\' from firms')
    await client.end()
    expect(await firstOwner(owner)).toBeNull()
  })
})

describe('mail', () => {
  it('waits in a folder of its firm where no server is set, as a letter that any program opens', async () => {
    const { sendMail, outboxOf } = await import('../../server/mail/mail')
    const folder = mkdtempSync(join(tmpdir(), 'mail-'))
    const before = config.outbox
    config.outbox = folder
    const firmId = randomUUID()
    await sendMail(firmId, { to: 'ivo@example.org', subject: 'Grüße\nBcc: all@example.org', text: 'A line\n' })
    const [letter] = readdirSync(join(folder, firmId)).filter(name => name.endsWith('.eml'))
    const text = readFileSync(join(folder, firmId, letter!), 'utf8')
    expect(text).toMatch(/^To: ivo@example.org$/m)
    expect(text).not.toMatch(/^Bcc:/m)
    expect(await outboxOf(firmId)).toMatchObject([{ to: 'ivo@example.org', text: 'A line\n' }])
    expect(await outboxOf(randomUUID())).toEqual([])
    config.outbox = before
  })
})
