import type { PoolClient } from 'pg'

/** Addresses are compared without regard to large and small letters, as people type them. */
export const plainEmail = (email: string): string => email.trim().toLowerCase()

/** The hash of an account's passphrase; null where there is no such account. The transaction names its address. */
export async function passphraseHash(client: PoolClient, email: string): Promise<string | null> {
  return (await client.query<{ hash: string }>('select passphrase_hash as hash from accounts where email = $1', [email])).rows[0]?.hash ?? null
}

/** Where an account works: the one statement of the app that looks over the borders of firms, by its own address only. */
export async function firmsOf(client: PoolClient, email: string): Promise<{ firmId: string, personId: string }[]> {
  return (await client.query<{ firmId: string, personId: string }>('select firm_id as "firmId", person_id as "personId" from account_firms where email = $1', [email])).rows
}

/** Opens an account, or leaves the one that is there as it is. */
export async function openAccount(client: PoolClient, email: string, hash: string): Promise<void> {
  await client.query('insert into accounts (email, passphrase_hash) values ($1, $2) on conflict (email) do nothing', [email, hash])
}

export async function setPassphrase(client: PoolClient, email: string, hash: string): Promise<void> {
  await client.query('update accounts set passphrase_hash = $2, changed_at = now() where email = $1', [email, hash])
  await client.query('update passphrase_resets set used_at = coalesce(used_at, now()) where email = $1', [email])
}

export async function joinFirm(client: PoolClient, email: string, firmId: string, personId: string): Promise<void> {
  await client.query('insert into account_firms (email, firm_id, person_id) values ($1, $2, $3) on conflict (email, firm_id) do nothing', [email, firmId, personId])
}

/** A way back in for somebody who has forgotten the passphrase, for an hour and for one use. */
export async function addReset(client: PoolClient, email: string, secretHash: string): Promise<void> {
  await client.query('insert into passphrase_resets (email, secret_hash, expires_at) values ($1, $2, now() + interval \'1 hour\')', [email, secretHash])
}

/** Uses a way back in up; false where there is none that still holds. */
export async function takeReset(client: PoolClient, email: string, secretHash: string): Promise<boolean> {
  return (await client.query('update passphrase_resets set used_at = now() where email = $1 and secret_hash = $2 and used_at is null and expires_at > now()', [email, secretHash])).rowCount === 1
}
