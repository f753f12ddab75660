import type { H3Event } from 'h3'
import type { Right } from '#core/people'
import { bigness } from '#core/job'
import type { Catalogue } from '#core/catalogue'
import { loadCatalogue } from '../db/catalogue'
import { findJob, type StoredJob } from '../db/jobs'
import { TooBusy, TooLong, work } from '../threads/pool'
import type { TaskName, Tasks } from '../threads/tasks'

/** The job of the address with its firm's catalogue. */
export type OpenedJob = StoredJob & { catalogue: Catalogue, firmId: string }

/**
 * The job of the address for a signed-in person; answers 401, 403 or 404.
 * @param more what else is read of it, in the same transaction
 */
export const openedJob = async <T extends object>(event: H3Event, more: (at: AtJob, stored: StoredJob) => Promise<T> | T = () => ({}) as T, right: Right = 'read'): Promise<OpenedJob & T> => await inJob(event, right, async (at) => {
  const stored = await findJob(at.client, at.jobId) ?? noSuchJob()
  return { ...stored, firmId: at.firmId, catalogue: await loadCatalogue(at.client), ...await more(at, stored) }
})

/** Works something out in a thread for a firm; answers 422 where it takes longer than anybody may have, 503 where much of the firm's waits already. */
export async function workFor<N extends TaskName>(firmId: string, name: N, data: Parameters<Tasks[N]>[0], tooLong: string): Promise<Awaited<ReturnType<Tasks[N]>>> {
  try {
    return await work(firmId, name, data)
  }
  catch (error) {
    if (error instanceof TooLong) refuse(422, [{ path: '(whole)', sentence: tooLong }])
    if (error instanceof TooBusy) refuse(503, [{ path: 'server', sentence: 'Much of your firm’s is being worked out already. Try again in a minute.' }])
    throw error
  }
}

/** The same with an opened job; what makes it big is said where it takes too long. */
export const workOn = <N extends TaskName>({ firmId, job, catalogue }: OpenedJob, name: N, more: Omit<Parameters<Tasks[N]>[0], 'job' | 'catalogue'>): Promise<Awaited<ReturnType<Tasks[N]>>> =>
  workFor(firmId, name, { job, catalogue, ...more } as unknown as Parameters<Tasks[N]>[0], `This job takes too long to work out: ${bigness(job)}. It can still be edited; part it into several jobs, or take off what is not needed.`)

/** Sends text or bytes as a file with a name made from the job's title. */
export function sendFile<T extends string | Uint8Array>(event: H3Event, title: string, suffix: string, contentType: string, body: T): T | Buffer {
  const name = `${title.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '') || 'job'}-${suffix}`
  setResponseHeaders(event, { 'content-type': contentType, 'content-disposition': `attachment; filename="${name}"` })
  return typeof body === 'string' ? body : Buffer.from(body)
}

/** One face's drawing as a file; answers 404 where the job has no such face. */
export async function sendFace(event: H3Event, task: 'faceDxf' | 'faceSvg', suffix: string, contentType: string) {
  const opened = await openedJob(event)
  const drawn = await workOn(opened, task, { faceId: getRouterParam(event, 'face') ?? '' }) ?? refuse(404, [{ path: 'face', sentence: 'This job has no such face. It may have been removed.' }])
  return sendFile(event, `${opened.job.title} ${drawn.name}`, suffix, contentType, drawn.text)
}
