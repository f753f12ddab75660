import type { Ask, FindingAsk, JobAsk, PartAsk } from './ask'
import type { Working } from '../working'
import type { DraftFinding } from './finding'
import type { MarksOf } from './mark'
import type { PartsOf } from './part'
import type { Selectable } from './selectable'
import type { Layer } from './shape'

/** Findings by kind. Each kind is shown to be raised, and cured, by an example in `tests/fixtures/findings.ts`. */
export type FindingsOf<A> = Record<string, (ask: A) => DraftFinding[]>

/** What of a face is drawn, taken hold of and worked out before eyes: a page needs no more of a trade, and plans in another thread. */
export interface FaceShown<L> {
  layers?: Layer<Ask<L>>[]
  selectable?: (ask: Ask<L>) => Selectable[]
  /** How the face's own figures come about, where nothing on it is selected. */
  workings?: (ask: Ask<L>) => Working[]
}

/** What a trade says of a face that is laid out as far as `L`. */
export interface FaceSays<L, F extends FindingAsk<L> = FindingAsk<L>> extends FaceShown<L> {
  findings?: FindingsOf<F>
  marks?: MarksOf<Ask<L>>
  parts?: PartsOf<PartAsk<L>>
}

/** What a trade says of the whole job. */
export interface JobSays<L, A extends JobAsk<L> = JobAsk<L>, P extends JobAsk<L> = JobAsk<L>> {
  findings?: FindingsOf<A>
  parts?: PartsOf<P>
  /** What a crew needs in its hands. */
  tools?: (ask: JobAsk<L>) => string[]
}
