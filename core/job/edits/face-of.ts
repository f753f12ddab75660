import type { Face, Job, RafterSupports } from '../schema'

/**
 * The face with this id.
 * @throws when there is none
 */
export function faceOf(job: Job, id: string): Face {
  const face = job.faces.find(one => one.id === id)
  if (!face) throw new Error(`The job has no face “${id}”.`)
  return face
}

/** A face that may have been taken away by somebody else meanwhile. */
export const noSuchFace = (job: Job, { faceId }: { faceId: string }): string | null =>
  job.faces.some(face => face.id === faceId) ? null : `The job has no face “${faceId}”. It may have been removed meanwhile.`

export function withFace(job: Job, id: string, change: (face: Face) => Face): Job {
  faceOf(job, id)
  return { ...job, faces: job.faces.map(face => face.id === id ? change(face) : face) }
}

/**
 * The rafters of a face.
 * @throws when the face is fixed to something else
 */
export function raftersOf(job: Job, id: string): RafterSupports {
  const { supports } = faceOf(job, id)
  if (supports.kind !== 'rafters') throw new Error(`Face “${id}” is not fixed to rafters.`)
  return supports
}

export const noRafters = (job: Job, edit: { faceId: string }): string | null =>
  noSuchFace(job, edit) ?? (faceOf(job, edit.faceId).supports.kind === 'rafters' ? null : 'This face is not fixed to rafters, so it has no hit log. Choose rafters first.')

export function withRafters(job: Job, id: string, change: (rafters: RafterSupports) => RafterSupports): Job {
  const changed = change(raftersOf(job, id))
  return withFace(job, id, face => ({ ...face, supports: changed }))
}
