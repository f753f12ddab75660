import { z } from 'zod'
import { jobSchema } from '#core/job'
import { lastCodes } from '../db/jobs'

const asked = z.object({ units: jobSchema.shape.units })

/** The editions that the firm's last job of these units goes by, to be offered for the next; null where none says so. */
export default defineEventHandler(event => inFirm(event, 'read-shelf', async ({ client }) => {
  const query = asked.safeParse(getQuery(event))
  if (!query.success) refuse(400, [{ path: 'units', sentence: 'Say for which units: imperial or metric.' }])
  return { codes: await lastCodes(client, query.data.units) }
}))
