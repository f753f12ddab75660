import type { Edit, PutIn } from '../job'

/** A batch holds so many edits. */
export const MOST_PUT_BACK = 60

/** Modules that were moved by hand, back to where the school has them: as many as one batch holds. */
export const putBackEdit = (put: PutIn[]): Edit =>
  ({ type: 'batch', edits: put.slice(0, MOST_PUT_BACK).map(({ faceId, moduleId }) => ({ type: 'put-in-circuit', faceId, moduleId, circuit: null })) })
