import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { handOut } from '../server/secrets/token'
import { DEMO_FIRM_ID } from './demo/ids'

/**
 * The way in for the first owner of an office that nobody belongs to yet: the token of an invitation, new at each start, with which any
 * before opens nothing. Null once somebody has joined.
 */
export async function firstOwner(ownerUrl: string): Promise<string | null> {
  const client = new pg.Client({ connectionString: ownerUrl })
  await client.connect()
  try {
    if ((await client.query('select from people where role = \'owner\' and email is not null limit 1')).rowCount) return null
    await client.query('begin')
    const known = await client.query<{ firm_id: string }>('select firm_id from firms where firm_id <> $1 order by created_at limit 1 for update', [DEMO_FIRM_ID])
    const firmId = known.rows[0]?.firm_id ?? randomUUID()
    if (!known.rowCount) await client.query('insert into firms (firm_id, name) values ($1, $2)', [firmId, 'New firm'])
    await client.query('update invitations set taken_back_at = now() where firm_id = $1 and invited_by is null and accepted_at is null and taken_back_at is null', [firmId])
    const id = randomUUID()
    const { token, hash } = handOut(firmId, id)
    await client.query('insert into invitations (firm_id, invitation_id, secret_hash, role, expires_at) values ($1, $2, $3, \'owner\', now() + interval \'7 days\')', [firmId, id, hash])
    await client.query('commit')
    return token
  }
  finally {
    await client.end()
  }
}
