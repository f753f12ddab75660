import type { H3Event } from 'h3'
import type { Catalogue } from '#core/catalogue'
import type { Face, Job } from '#core/job'
import { type FacePlan, planJob, type Plan } from '#core/plan'
import { loadCatalogue } from '../db/catalogue'
import { findJob, type StoredJob } from '../db/jobs'

/** The job of the address with its firm's catalogue. */
export type OpenedJob = StoredJob & { catalogue: Catalogue }

/**
 * The job of the address for a signed-in person; answers 401 or 404.
 * @param more what else is read of it, in the same transaction
 */
export const openedJob = async <T extends object>(event: H3Event, more: (at: AtFirm, jobId: string) => Promise<T> | T = () => ({}) as T): Promise<OpenedJob & T> => await inFirm(event, async (at) => {
  const jobId = jobIdOf(event)
  const stored = await findJob(at.client, jobId) ?? noSuchJob()
  return { ...stored, catalogue: await loadCatalogue(at.client), ...await more(at, jobId) }
})

/** The same, planned on the server once nothing is asked of the database any more: what sheets and exports are made from. */
export async function plannedJob<T extends object>(event: H3Event, more?: (at: AtFirm, jobId: string) => Promise<T> | T): Promise<OpenedJob & T & { plan: Plan }> {
  const opened = await openedJob(event, more)
  return { ...opened, plan: planJob(opened.job, opened.catalogue) }
}

/** A face of the address's job, planned; answers 404 where the job has no such face. */
export async function plannedFace(event: H3Event): Promise<{ job: Job, face: Face, plan: FacePlan }> {
  const { job, plan } = await plannedJob(event)
  const f = job.faces.findIndex(face => face.id === getRouterParam(event, 'face'))
  return f < 0 ? refuse(404, [{ path: 'face', sentence: 'This job has no such face. It may have been removed.' }]) : { job, face: job.faces[f]!, plan: plan.faces[f]! }
}

/** Sends text or bytes as a file with a name made from the job's title. */
export function sendFile<T extends string | Buffer>(event: H3Event, title: string, suffix: string, contentType: string, body: T): T {
  const name = `${title.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '') || 'job'}-${suffix}`
  setResponseHeaders(event, { 'content-type': contentType, 'content-disposition': `attachment; filename="${name}"` })
  return body
}
