import { z } from 'zod'
import { roles } from '#core/people'
import { changePerson, findPerson, otherOwners } from '../../db/people'
import { endSessionsOf } from '../../db/sessions'

const bodySchema = z.object({
  role: z.enum(roles).exclude(['guest'], 'A guest is invited to one job.').optional(),
  vouches: z.boolean().optional(),
  licence: z.string().trim().max(80, 'A licence has at most 80 letters.').optional(),
  /** Whether they have left the firm; whoever has is signed out at once. */
  left: z.boolean().optional(),
})
const nobody = (): never => refuse(404, [{ path: 'person', sentence: 'There is no such person in this firm.' }])

/** Changes what somebody is in the firm, or lets them go. The last owner stays one. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const body = await readChecked(event, bodySchema, 10_000)
  return await inFirm(event, 'people', async ({ client, firmId, personId: by }) => {
    const personId = z.uuid().safeParse(getRouterParam(event, 'person')).data ?? nobody()
    const was = await findPerson(client, personId) ?? nobody()
    const owns = (body.role ?? was.role) === 'owner' && !(body.left ?? was.leftAt !== null)
    if (was.role === 'owner' && !was.leftAt && !owns && !await otherOwners(client, personId)) refuse(409, [{ path: 'role', sentence: `${was.name} is the firm’s only owner. Make somebody else owner first.` }])
    if (was.role === 'guest' && body.role) refuse(409, [{ path: 'role', sentence: 'A guest reads one job. Invite them again as what they are to be.' }])
    if ((body.vouches ?? was.vouches) && !(body.licence ?? was.licence)) refuse(400, [{ path: 'licence', sentence: 'Whoever vouches for figures has a licence: type its number, and where it is from.' }])
    await changePerson(client, personId, body)
    record(event, 'person-changed', { firmId, personId, by, to: JSON.stringify(body) })
    if (body.left) await endSessionsOf(client, personId)
    return { changed: personId }
  })
})
