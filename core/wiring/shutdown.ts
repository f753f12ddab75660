import type { ElectricalEdition, InsideBy } from '../job'

/** Limits of controlled conductors after initiation (NEC 690.12(B)), V and s, and where the boundary lies, mm. */
export const OUTSIDE_V = 30
export const INSIDE_V = 80
export const WITHIN_S = 30
export const BOUNDARY_MM = 304.8
export const INSIDE_BUILDING_MM = 914.4

/** A stretch of conductors of the plan and what is left on it 30 s after shutdown has been begun. */
export interface Segment {
  id: string
  name: string
  where: 'inside' | 'outside'
  /** Volts left between any two conductors, or to earth. */
  volts: number
  /** What makes it so. */
  why: string
  limitV: number
  /** Null where it is within the limit or another of the code's ways is taken; else why not. */
  over: string | null
}

export interface SegmentDraft { id: string, name: string, where: 'inside' | 'outside', volts: number, why: string }

export interface ShutdownAsk { edition: ElectricalEdition, insideBy: InsideBy, insideNote: string }

/** Judges segments: outside the boundary 30 V always; inside it 80 V, or a listed array or hazard control system, or (2017 and 2020) no exposed conductive parts within 8 ft. */
export function judgeSegments(drafts: SegmentDraft[], { edition, insideBy, insideNote }: ShutdownAsk): Segment[] {
  return drafts.map((draft): Segment => {
    const limitV = draft.where === 'outside' ? OUTSIDE_V : INSIDE_V
    if (draft.volts <= limitV + 1e-9) return { ...draft, limitV, over: null }
    if (draft.where === 'outside') return { ...draft, limitV, over: `more than ${limitV} V outside the array’s boundary` }
    if (insideBy === 'listed') return { ...draft, limitV, over: insideNote.trim() ? null : 'the listing of the array or hazard control system is not named' }
    if (insideBy === 'no-exposed-metal') return { ...draft, limitV, over: edition === '2023' ? 'the 2023 edition no longer takes an array without exposed metal' : null }
    return { ...draft, limitV, over: `more than ${limitV} V inside the array` }
  })
}
