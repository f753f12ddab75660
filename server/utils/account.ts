import { randomBytes } from 'node:crypto'
import type { H3Event } from 'h3'
import { z } from 'zod'
import { firmsOf, passphraseHash, plainEmail } from '../db/accounts'
import { firmName } from '../db/people'
import { asFirm, inTransaction } from '../db/pool'
import { endSession, openSession } from '../db/sessions'
import { addressOf, countTry, forgetTries, type Limit } from '../secrets/tries'

export const emailSchema = z.email('This is not an e-mail address.').max(254).transform(plainEmail)
/** As it was typed: a passphrase is never cut or trimmed. Longer ones than any that is taken would only take work. */
export const passphraseSchema = z.string('Type the passphrase.').min(1, 'Type the passphrase.').max(1000, 'This is longer than any passphrase.')

let nobodys: Promise<string> | null = null
/** Checked where there is no account, so that the time it takes does not tell. */
const hashOfNobody = (): Promise<string> => nobodys ??= hashPassword(randomBytes(24).toString('hex'))

/** Whether this is the passphrase of the account with the address; takes as long where there is none. */
export async function isPassphraseOf(email: string, passphrase: string): Promise<boolean> {
  const hash = await orAway(() => inTransaction({ email }, client => passphraseHash(client, email)))
  const right = await verifyPassword(hash ?? await hashOfNobody(), passphrase)
  return hash !== null && right
}

const wrong = (): never => refuse(401, [{ path: 'passphrase', sentence: 'Address and passphrase don’t go together. Look at both once more.' }])

/**
 * Checks who somebody says they are; answers 401, the same for an unknown address and a wrong passphrase, and 429 after too many tries.
 * @returns where they work
 */
export async function checkAccount(event: H3Event, email: string, passphrase: string): Promise<{ firmId: string, personId: string }[]> {
  const address = addressOf(event)
  const own: [Limit, string][] = [['sign-in', `${email} ${address}`]]
  await countTry(event, [...own, ['sign-in-person', email], ['sign-in-address', address]])
  if (!await isPassphraseOf(email, passphrase)) {
    record(event, 'sign-in-failed', { email })
    wrong()
  }
  await forgetTries(own)
  return await orAway(() => inTransaction({ email }, client => firmsOf(client, email)))
}

/** Firms by their names, for whoever works for several. */
export const namesOf = (firms: { firmId: string }[]): Promise<{ firmId: string, name: string }[]> => Promise.all(firms.map(async ({ firmId }) => ({ firmId, name: await orAway(() => asFirm(firmId, firmName)) })))

/** What somebody signs in with, as they know it again in a list. */
export function deviceOf(event: H3Event): string {
  const agent = getRequestHeader(event, 'user-agent') ?? ''
  const first = (names: [RegExp, string][]) => names.find(([pattern]) => pattern.test(agent))?.[1]
  const browser = first([[/Edg\//, 'Edge'], [/OPR\//, 'Opera'], [/Firefox\//, 'Firefox'], [/Chrom(e|ium)\//, 'Chrome'], [/Safari\//, 'Safari']]) ?? 'A browser'
  const system = first([[/iPhone|iPad/, 'iPhone or iPad'], [/Android/, 'Android'], [/Windows/, 'Windows'], [/Mac OS X/, 'Mac'], [/Linux/, 'Linux']])
  return system ? `${browser}, ${system}` : browser
}

/** Signs somebody in from now on, with a session that nobody had before; the one they came with ends. */
export async function signIn(event: H3Event, firmId: string, personId: string): Promise<void> {
  const before = await cookieOf(event)
  if (before && 'sessionId' in before) await orAway(() => inTransaction({ firmId: before.firmId }, client => endSession(client, before.sessionId)))
  const sessionId = await orAway(() => inTransaction({ firmId }, client => openSession(client, firmId, personId, deviceOf(event))))
  await setCookieFor(event, { firmId, sessionId })
  record(event, 'signed-in', { firmId, personId })
}
