import type { Edit } from '#core/job'

type ValuesOf<T extends Edit['type']> = Extract<Edit, { type: T }> extends { values: infer V } ? V : never

/** An edit of a face's own facts. */
export const faceEdit = (faceId: string, values: ValuesOf<'set-face'>): Edit => ({ type: 'set-face', faceId, values })
/** An edit of a face's array. */
export const arrayEdit = (faceId: string, values: ValuesOf<'set-array'>): Edit => ({ type: 'set-array', faceId, values })
/** An edit of one row, 0 first from the eave. */
export const rowEdit = (faceId: string, row: number, values: ValuesOf<'set-row'>): Edit => ({ type: 'set-row', faceId, row, values })
/** An edit of what loads the job. */
export const loadsEdit = (values: ValuesOf<'set-loads'>): Edit => ({ type: 'set-loads', values })
/** An edit of what the van and the yard have. */
export const vanEdit = (values: ValuesOf<'set-van'>): Edit => ({ type: 'set-van', values })
/** An edit of the load: spares, lift and crate. */
export const loadoutEdit = (values: ValuesOf<'set-loadout'>): Edit => ({ type: 'set-loadout', values })
/** An edit of an in-roof array's own facts. */
export const inRoofEdit = (faceId: string, values: ValuesOf<'set-in-roof'>): Edit => ({ type: 'set-in-roof', faceId, values })
/** An edit of how the roof is wired. */
export const wiringEdit = (values: ValuesOf<'set-wiring'>): Edit => ({ type: 'set-wiring', values })
