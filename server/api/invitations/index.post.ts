import { z } from 'zod'
import { roles, roleWords } from '#core/people'
import { addInvitation, INVITATION_DAYS } from '../../db/invitations'
import { findJob } from '../../db/jobs'
import { worksUnder } from '../../db/people'
import { sendMail } from '../../mail/mail'
import { handOut } from '../../secrets/token'
import { countTry } from '../../secrets/tries'

const bodySchema = z.object({
  id: z.uuid('An invitation has an id of its own.'),
  email: emailSchema, role: z.enum(roles, 'Say as what they are invited.'),
  vouches: z.boolean().default(false), licence: z.string().trim().max(80, 'A licence has at most 80 letters.').default(''),
  jobId: z.uuid().nullable().default(null),
}).refine(({ role, jobId }) => (role === 'guest') === (jobId !== null), { path: ['jobId'], message: 'A guest is invited to one job; everybody else to all.' })
  .refine(({ vouches, licence }) => !vouches || licence, { path: ['licence'], message: 'Whoever vouches for figures has a licence: type its number, and where it is from.' })

/** Invites somebody by e-mail. The link is answered too, to be handed over where no mail goes out. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { id, ...invited } = await readChecked(event, bodySchema, 10_000)
  const { link, firmId, firmName, personName } = await inFirm(event, 'people', async ({ client, firmId, firmName, personId, personName }) => {
    await countTry(event, [['invite', personId]])
    if (invited.jobId && !await findJob(client, invited.jobId)) noSuchJob()
    const known = await worksUnder(client, invited.email)
    if (known) refuse(409, [{ path: 'email', sentence: `${known.name} works here already. Change what they are in the list of people.` }])
    const { token, hash } = handOut(firmId, id)
    await addInvitation(client, firmId, personId, id, hash, invited)
    return { link: `${siteOf(event)}/join#${token}`, firmId, firmName, personName }
  })
  const mailed = await sendMail(firmId, {
    to: invited.email, subject: `${firmName} invites you to Upper Deck`,
    text: `${personName} of ${firmName} invites you as ${roleWords[invited.role].title.toLowerCase()}: ${roleWords[invited.role].does}.\n\nThis link lets you join, once, within ${INVITATION_DAYS} days:\n\n${link}\n`,
  }).then(() => true, (error: Error) => {
    // The link is answered too: the mail server's trouble keeps nobody out.
    console.error('An invitation could not be mailed:', error.message)
    return false
  })
  record(event, 'invited', { firmId, email: invited.email, role: invited.role })
  setResponseStatus(event, 201)
  return { link, mailed }
})
