import type { Edit, Face, Job, StageId } from '../job'
import type { Quantity } from '../units'
import type { Ref } from './ref'

export type Severity = 'stop' | 'caution' | 'note'

/** A change that puts a finding right. In a finished plan every cure has been planned with and does; one that brings other stops says so. */
export interface Cure { label: string, edit: Edit }

/** A judgement on the plan, as a foreman would say it. */
export interface Finding {
  /** Which of the trades' judgements it is. */
  kind: string
  /** The same for the same trouble in the next plan, so that a cure can be seen to have worked. */
  id: string
  severity: Severity
  stage: StageId
  faceId: string
  sentence: string
  measured: Quantity | null
  limit: Quantity | null
  /** What to select on the face; null for the whole of it. */
  about: Ref | null
  /** It is there because something is only assumed: nobody has read it, or decided it. */
  assumed?: true
  /** Said on every sheet, since it rests on somebody's word. */
  onSheets?: true
  cures: Cure[]
}

/** A finding whose cures have not been tried yet; they are only worked out when somebody wants them. */
export interface DraftFinding extends Omit<Finding, 'cures' | 'kind'> {
  propose: () => Cure[]
  /** Where no cure is whole, those that put this right and bring other stops are shown, and say so. */
  orStep?: true
}

const ORDER: Record<Severity, number> = { stop: 0, caution: 1, note: 2 }

/** Stops before cautions before notes. */
export const bySeverity = (a: Pick<Finding, 'severity'>, b: Pick<Finding, 'severity'>): number => ORDER[a.severity] - ORDER[b.severity]

export const noCures = (): Cure[] => []

/** What most findings begin with: one that a face can have once, about the whole of it, with nothing measured and no cure. */
export const onFace = <S extends StageId>({ face }: { face: Pick<Face, 'id'> }, stage: S, id: string) =>
  ({ id: `${id}:${face.id}`, stage, faceId: face.id, about: null, measured: null, limit: null, propose: noCures })

/** The same of the whole job; it is shown with the first face. */
export const onJob = <S extends StageId>({ job }: { job: Pick<Job, 'faces'> }, stage: S, id: string) =>
  ({ id, stage, faceId: job.faces[0]!.id, about: null, measured: null, limit: null, propose: noCures })
