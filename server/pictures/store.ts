import { mkdir, readFile, rm, writeFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'

/** Which picture: all of it ids, so that a path of it leads nowhere else. */
export interface PictureKey { firmId: string, jobId: string, photoId: string }

/** Where pictures lie outside the database. Another kind of store (over HTTP, as S3 speaks it) is another implementation of these four. */
export interface PictureStore {
  /** Keeps a picture under its key; one that is there already stays the same, since ids are never used again. */
  keep: (key: PictureKey, bytes: Buffer) => Promise<void>
  /** @throws where it is not there: the database says that it should be */
  read: (key: PictureKey) => Promise<Buffer>
  /** Taking away what is not there does no harm. */
  remove: (key: PictureKey) => Promise<void>
  /** Takes all of a job's away. */
  removeAll: (job: Omit<PictureKey, 'photoId'>) => Promise<void>
}

/** Pictures as files of a folder, one for each firm and job below it. */
export function folderStore(root: string): PictureStore {
  const fileOf = ({ firmId, jobId, photoId }: PictureKey) => join(root, firmId, jobId, photoId)
  return {
    async keep(key, bytes) {
      await mkdir(dirname(fileOf(key)), { recursive: true, mode: 0o700 })
      await writeFile(fileOf(key), bytes, { mode: 0o600 })
    },
    read: key => readFile(fileOf(key)),
    remove: key => rm(fileOf(key), { force: true }),
    removeAll: ({ firmId, jobId }) => rm(join(root, firmId, jobId), { recursive: true, force: true }),
  }
}

/** The store that this server was given; null keeps pictures in the database. */
export function pictureStore(): PictureStore | null {
  const folder = String(useRuntimeConfig().pictures || '')
  return folder ? folderStore(folder) : null
}
