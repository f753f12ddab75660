import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { createTransport } from 'nodemailer'

export interface Mail { to: string, subject: string, text: string }
/** A mail in the outbox, as its firm's owner sees it. */
export interface Posted extends Mail { at: string }

/** Where mail goes: by a server where one is set, else into a folder on this machine. */
export type Post = 'smtp' | 'outbox'
export const postIs = (): Post => useRuntimeConfig().smtpUrl ? 'smtp' : 'outbox'

/** Kept for those whom no page shows it: whoever has this machine reads it there. */
export const NO_FIRM = 'server'
/** So many are shown of a folder. */
const MOST_SHOWN = 50

const folderOf = (firmId: string) => join(useRuntimeConfig().outbox || '.data/outbox', firmId)

/**
 * Sends a mail, or lays it in the outbox of a firm.
 * @param firmId whose owner may see it in the outbox; `NO_FIRM` for nobody's
 */
export async function sendMail(firmId: string, mail: Mail): Promise<void> {
  const { smtpUrl, mailFrom } = useRuntimeConfig()
  const letter = { from: mailFrom || 'Upper Deck <upper-deck@localhost>', ...mail }
  if (smtpUrl) {
    await createTransport(smtpUrl).sendMail(letter)
    return
  }
  const folder = folderOf(firmId)
  await mkdir(folder, { recursive: true, mode: 0o700 })
  const at = new Date().toISOString()
  const name = `${at.replace(/[:.]/g, '-')}-${Math.random().toString(36).slice(2, 8)}`
  const { message } = await createTransport({ streamTransport: true, buffer: true, newline: 'unix' }).sendMail(letter)
  await writeFile(join(folder, `${name}.eml`), message as Buffer, { mode: 0o600 })
  await writeFile(join(folder, `${name}.json`), JSON.stringify({ ...mail, at }), { mode: 0o600 })
}

/** The newest mails in a firm's outbox. */
export async function outboxOf(firmId: string): Promise<Posted[]> {
  const folder = folderOf(firmId)
  const names = (await readdir(folder).catch(() => [] as string[])).filter(name => name.endsWith('.json')).sort().reverse().slice(0, MOST_SHOWN)
  return await Promise.all(names.map(async name => JSON.parse(await readFile(join(folder, name), 'utf8')) as Posted))
}
