import { outboxOf, postIs } from '../mail/mail'

/** Mail that waits on this machine to be handed over, because no mail server is set. */
export default defineEventHandler(async (event) => {
  const firmId = await inFirm(event, 'people', async at => at.firmId)
  return { post: postIs(), mails: postIs() === 'outbox' ? await outboxOf(firmId) : [] }
})
