import { z } from 'zod'
import { takeInvitationBack } from '../../db/invitations'

/** Takes an invitation back; its link opens nothing from now on. */
export default defineEventHandler(event => inFirm(event, 'people', async ({ client }) => {
  const id = z.uuid().safeParse(getRouterParam(event, 'invitation')).data
  if (!id || !await takeInvitationBack(client, id)) refuse(404, [{ path: 'invitation', sentence: 'There is no such invitation. It may have been taken up, or taken back.' }])
  return { takenBack: id }
}))
