import type { H3Event } from 'h3'
import { addressOf } from '../secrets/tries'

/** What whoever watches over the office wants to know of afterwards. */
export type Recorded = 'signed-in' | 'sign-in-failed' | 'signed-out' | 'passphrase-changed' | 'passphrase-reset' | 'joined' | 'invited' | 'person-changed' | 'link-made' | 'link-taken-back' | 'link-opened' | 'not-allowed' | 'other-site' | 'too-many-tries'

/** Writes one line of JSON to the server's log: what, when, from where, by whom. Never a passphrase, a token or anything of a job. */
export function record(event: H3Event, what: Recorded, who: Record<string, string | null> = {}): void {
  console.log(JSON.stringify({ at: new Date().toISOString(), what, from: addressOf(event), ...who }))
}
