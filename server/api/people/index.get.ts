import { may } from '#core/people'
import { openInvitations } from '../../db/invitations'
import { listPeople } from '../../db/people'

/** Who belongs to the firm, and who is invited. Everybody who works here sees who there is; invitations are for whoever gives them. */
export default defineEventHandler(event => inFirm(event, 'read-shelf', async ({ client, role, personId }) => ({
  me: personId,
  people: await listPeople(client),
  invitations: may(role, 'people') ? await openInvitations(client) : [],
})))
