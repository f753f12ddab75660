import type { ClientBase } from 'pg'
import type { Photograph } from '#core/job'

/** A photograph about to be kept. */
export interface NewPhotograph {
  photoId: string
  firmId: string
  jobId: string
  personId: string
  caption: string
  contentType: string
  widthPx: number
  heightPx: number
  /** Null where it lies elsewhere. */
  picture: Buffer | null
  thumbnail: Buffer
}

export async function listPhotographs(client: ClientBase, jobId: string): Promise<Photograph[]> {
  const { rows } = await client.query<Photograph>(
    `select f.photo_id as "photoId", f.caption, f.width_px as "widthPx", f.height_px as "heightPx", f.taken_in_at as "takenInAt", p.name as "personName"
     from photographs f join people p using (firm_id, person_id)
     where f.job_id = $1 order by f.taken_in_at, f.photo_id`, [jobId])
  return rows
}

export async function countPhotographs(client: ClientBase, jobId: string): Promise<number> {
  const { rows } = await client.query<{ n: number }>('select count(*)::int as n from photographs where job_id = $1', [jobId])
  return rows[0]!.n
}

export async function photographThere(client: ClientBase, jobId: string, photoId: string): Promise<boolean> {
  return (await client.query('select from photographs where job_id = $1 and photo_id = $2', [jobId, photoId])).rowCount === 1
}

export async function insertPhotograph(client: ClientBase, photo: NewPhotograph): Promise<string> {
  const { rows } = await client.query<{ photoId: string }>(
    `insert into photographs (photo_id, firm_id, job_id, person_id, caption, content_type, width_px, height_px, picture, thumbnail)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) returning photo_id as "photoId"`,
    [photo.photoId, photo.firmId, photo.jobId, photo.personId, photo.caption, photo.contentType, photo.widthPx, photo.heightPx, photo.picture, photo.thumbnail])
  return rows[0]!.photoId
}

/** A picture's bytes, whole or small; null when there is none. Those of a whole one that lies elsewhere are null. */
export async function findPicture(client: ClientBase, jobId: string, photoId: string, size: 'whole' | 'small'): Promise<{ contentType: string, bytes: Buffer | null } | null> {
  const { rows } = await client.query<{ contentType: string, bytes: Buffer | null }>(
    size === 'whole'
      ? 'select content_type as "contentType", picture as bytes from photographs where job_id = $1 and photo_id = $2'
      : 'select \'image/jpeg\' as "contentType", thumbnail as bytes from photographs where job_id = $1 and photo_id = $2', [jobId, photoId])
  return rows[0] ?? null
}

/** Small copies of several, by their ids; those that are not there are left out. */
export async function thumbnailsOf(client: ClientBase, jobId: string, photoIds: string[]): Promise<Record<string, Buffer>> {
  const { rows } = await client.query<{ photoId: string, bytes: Buffer }>('select photo_id as "photoId", thumbnail as bytes from photographs where job_id = $1 and photo_id = any($2::uuid[])', [jobId, photoIds])
  return Object.fromEntries(rows.map(({ photoId, bytes }) => [photoId, bytes]))
}

/** @returns false when there is no such photograph */
export async function setCaption(client: ClientBase, jobId: string, photoId: string, caption: string): Promise<boolean> {
  return Boolean((await client.query('update photographs set caption = $3 where job_id = $1 and photo_id = $2', [jobId, photoId, caption])).rowCount)
}

/** @returns false when there is no such photograph */
export async function deletePhotograph(client: ClientBase, jobId: string, photoId: string): Promise<boolean> {
  return Boolean((await client.query('delete from photographs where job_id = $1 and photo_id = $2', [jobId, photoId])).rowCount)
}
