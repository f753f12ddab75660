import { z } from 'zod'
import type { BetterModule } from '#core/asks'
import { loadCatalogue } from '../../../db/catalogue'
import { findJob } from '../../../db/jobs'
import { jobsNaming } from '../../../db/job-list'

/** So many jobs are planned with a module for one answer: whoever asks may ask on. */
const MOST = 6
const querySchema = z.object({ /** The last job of the answer before. */ after: z.uuid('This is no place in the list. Ask from the start.').optional() })

/** Open jobs whose in-roof system a module was approved with, and what it would change on each: a few at a time. */
export default defineEventHandler(async (event) => {
  const { after } = readQuery(event, querySchema)
  const asked = decodeURIComponent(getRouterParam(event, 'approval') ?? '')
  const { firmId, catalogue, approval, jobs, next } = await inFirm(event, 'read-shelf', async ({ client, firmId }) => {
    const catalogue = await loadCatalogue(client)
    const approval = catalogue.approvals.find(one => one.id === asked) ?? refuse(404, [{ path: 'id', sentence: 'There is no such approval on the shelf. It may have been taken away.' }])
    const ids = await jobsNaming(client, 'inRoofs', approval.systemId, after ?? null, MOST + 1)
    const jobs = []
    for (const jobId of ids.slice(0, MOST)) {
      const stored = await findJob(client, jobId)
      if (stored) jobs.push(stored)
    }
    return { firmId, catalogue, approval, jobs, next: ids.length > MOST ? ids[MOST - 1]! : null }
  })
  const { moduleId, systemId } = approval
  const found: { jobId: string, title: string, version: number, offers: BetterModule[] }[] = []
  for (const { jobId, job, version } of jobs) {
    const offers = await workFor(firmId, 'betterModules', { job, catalogue, only: { moduleId, systemId } }, `“${job.title}” takes too long to plan with another module.`)
    if (offers.length) found.push({ jobId, title: job.title, version, offers })
  }
  return { jobs: found, next }
})
