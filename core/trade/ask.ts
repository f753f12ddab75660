import type { Catalogue } from '../catalogue'
import type { Edit, Face, Job } from '../job'

/**
 * What a trade looks at when it speaks of one face. `L` is as much of the layout as has been laid out when its turn comes: its own
 * part and those of the trades before it.
 */
export interface Ask<L> { job: Job, face: Face, plan: L }

/** The same for its findings, which may try a cure. */
export interface FindingAsk<L> extends Ask<L> {
  catalogue: Catalogue
  /** The face as it would be laid out after an edit: roughly, only to be judged. */
  tried: (edit: Edit) => L
}

export interface PartAsk<L> extends Ask<L> { catalogue: Catalogue }

/** What a trade looks at when it speaks of the whole job. */
export interface JobAsk<L> { job: Job, catalogue: Catalogue, faces: { face: Face, plan: L }[] }
