import { z } from 'zod'
import { demoRoles } from '#core/people'
import { DEMO_FIRM_ID } from '../../../db/demo/ids'
import { asFirm } from '../../db/pool'
import { firstOfRole } from '../../db/people'

const bodySchema = z.object({ role: z.enum(demoRoles, `Enter as ${demoRoles.join(', ')}.`) })

/** Enters the demo as one of its people. Only where the server is a demo; anywhere else there is no such address. */
export default defineEventHandler(async (event) => {
  if (!useRuntimeConfig().demo) refuse(404, [{ path: 'address', sentence: 'There is no demo here.' }])
  const { role } = await readChecked(event, bodySchema, 1000)
  const personId = await orAway(() => asFirm(DEMO_FIRM_ID, client => firstOfRole(client, role)))
  if (!personId) refuse(404, [{ path: 'role', sentence: 'Nobody in the demo has this part any more.' }])
  await signIn(event, DEMO_FIRM_ID, personId)
  return { role }
})
