import { v4 as newId } from 'uuid'
import type { Role } from '#core/people'

export interface FirmPerson { personId: string, name: string, role: Role, email: string | null, vouches: boolean, licence: string, jobTitle: string | null, createdAt: string, leftAt: string | null, seenAt: string | null }
export interface FirmInvitation { invitationId: string, email: string | null, role: Role, vouches: boolean, jobId: string | null, madeAt: string, expiresAt: string, invitedBy: string | null }
export interface Inviting { email: string, role: Role, vouches: boolean, licence: string, jobId: string | null }

/** The firm's people and open invitations, and what changes them. */
export function usePeople() {
  const { data, error, refresh } = useFetch<{ me: string, people: FirmPerson[], invitations: FirmInvitation[] }>('/api/people')
  const { busy, problem, ask } = useAsking()
  async function then<T>(request: () => Promise<T>): Promise<T | undefined> {
    const answer = await ask(request)
    // What was refused is shown as it stands.
    await refresh()
    return answer
  }
  return {
    data, error, busy, problem,
    change: (personId: string, to: { role?: Role, vouches?: boolean, licence?: string, left?: boolean }) => then(() => $fetch(`/api/people/${personId}`, { method: 'PATCH', body: to })),
    invite: (who: Inviting) => then(() => $fetch<{ link: string, mailed: boolean }>('/api/invitations', { method: 'POST', body: { id: newId(), ...who } })),
    takeBack: (invitationId: string) => then(() => $fetch(`/api/invitations/${invitationId}`, { method: 'DELETE' })),
  }
}
