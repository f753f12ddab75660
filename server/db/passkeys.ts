import type { PoolClient } from 'pg'

export interface Passkey { credentialId: string, name: string, madeAt: string, usedAt: string | null }
export interface KnownKey { email: string, publicKey: Buffer, counter: number }

const MINUTES = 5

/** Keeps what a device is to sign; for whom, where that is known. */
export async function addChallenge(client: PoolClient, challenge: string, email: string | null): Promise<void> {
  await client.query('delete from challenges where expires_at < now()')
  await client.query('insert into challenges (challenge, email, expires_at) values ($1, $2, now() + make_interval(mins => $3))', [challenge, email, MINUTES])
}

/** Uses it up: true once. */
export async function takeChallenge(client: PoolClient, challenge: string, email: string | null): Promise<boolean> {
  return (await client.query('delete from challenges where challenge = $1 and email is not distinct from $2 and expires_at > now()', [challenge, email])).rowCount === 1
}

export async function addPasskey(client: PoolClient, email: string, key: { id: string, publicKey: Uint8Array, counter: number }, name: string): Promise<void> {
  await client.query('insert into passkeys (email, credential_id, public_key, counter, name) values ($1, $2, $3, $4, $5)', [email, key.id, Buffer.from(key.publicKey), key.counter, name])
}

export async function passkeysOf(client: PoolClient, email: string): Promise<Passkey[]> {
  return (await client.query<Passkey>('select credential_id as "credentialId", name, made_at as "madeAt", used_at as "usedAt" from passkeys where email = $1 order by made_at', [email])).rows
}

export async function findPasskey(client: PoolClient, credentialId: string): Promise<KnownKey | null> {
  return (await client.query<KnownKey>('select email, public_key as "publicKey", counter::int from passkeys where credential_id = $1', [credentialId])).rows[0] ?? null
}

export async function usedPasskey(client: PoolClient, credentialId: string, counter: number): Promise<void> {
  await client.query('update passkeys set counter = $2, used_at = now() where credential_id = $1', [credentialId, counter])
}

/** @returns false where there is none */
export async function removePasskey(client: PoolClient, email: string, credentialId: string): Promise<boolean> {
  return (await client.query('delete from passkeys where email = $1 and credential_id = $2', [email, credentialId])).rowCount === 1
}
