import type { PoolClient } from 'pg'
import type { Role } from '#core/people'

/** An invitation lasts so long, days. */
export const INVITATION_DAYS = 7

export interface Invited { email: string | null, role: Role, vouches: boolean, licence: string, jobId: string | null }
export interface Invitation extends Invited { invitationId: string, madeAt: string, expiresAt: string, invitedBy: string | null }

/** Keeps an invitation; one whose answer was lost and that is made again under its id has the new secret. */
export async function addInvitation(client: PoolClient, firmId: string, personId: string, invitationId: string, secretHash: string, { email, role, vouches, licence, jobId }: Invited): Promise<void> {
  await client.query(
    `insert into invitations (firm_id, invitation_id, secret_hash, email, role, vouches, licence, job_id, invited_by, expires_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, now() + make_interval(days => $10))
     on conflict (firm_id, invitation_id) do update set secret_hash = excluded.secret_hash where invitations.accepted_at is null and invitations.invited_by = excluded.invited_by`,
    [firmId, invitationId, secretHash, email, role, vouches, licence, jobId, personId, INVITATION_DAYS])
}

/** Invitations that nobody has taken up yet, the newest first. */
export async function openInvitations(client: PoolClient): Promise<Invitation[]> {
  return (await client.query<Invitation>(
    `select i.invitation_id as "invitationId", i.email, i.role, i.vouches, i.licence, i.job_id as "jobId", i.made_at as "madeAt", i.expires_at as "expiresAt", p.name as "invitedBy"
     from invitations i left join people p on p.firm_id = i.firm_id and p.person_id = i.invited_by
     where i.accepted_at is null and i.taken_back_at is null and i.expires_at > now() order by i.made_at desc`)).rows
}

export type OpenedInvitation = Invited & { firmName: string, hash: string, invitedBy: string | null }

/** An invitation that still holds, held until the transaction ends; null where there is none. */
export async function findInvitation(client: PoolClient, invitationId: string): Promise<OpenedInvitation | null> {
  return (await client.query<OpenedInvitation>(
    `select i.email, i.role, i.vouches, i.licence, i.job_id as "jobId", i.secret_hash as hash, f.name as "firmName", p.name as "invitedBy"
     from invitations i join firms f using (firm_id) left join people p on p.firm_id = i.firm_id and p.person_id = i.invited_by
     where i.invitation_id = $1 and i.accepted_at is null and i.taken_back_at is null and i.expires_at > now() for update of i`, [invitationId])).rows[0] ?? null
}

export async function acceptInvitation(client: PoolClient, invitationId: string): Promise<void> {
  await client.query('update invitations set accepted_at = now() where invitation_id = $1', [invitationId])
}

/** @returns false where there is none to take back */
export async function takeInvitationBack(client: PoolClient, invitationId: string): Promise<boolean> {
  return (await client.query('update invitations set taken_back_at = now() where invitation_id = $1 and accepted_at is null and taken_back_at is null', [invitationId])).rowCount === 1
}
