import type { Face } from '../job'
import { endsUp, farEndName, otherTape, readingOn, readingUp, shapeOf, type Tape } from '../roof'
import type { Quantity } from '../units'
import type { Ref } from './ref'

/** One reading to be marked. */
export interface Mark {
  id: string
  /** What the mark is of, whatever its place in the list: by it a mark is known again in a later revision. */
  key: string
  /** The thing it marks, where it is one that can be named; sheets issued before had none. */
  of?: Ref
  label: string
  /** Exact running reading from the datum corner, mm; rounded only when it is shown. */
  readingMm: number
  /** Reading of the other tape, mm, for a mark that is a point of its own; null where the step's line gives it. */
  upMm: number | null
  /**
   * For a line across a face that is out of square or tapers: readings up both of its edges from the eave's ends, the datum's
   * first, mm, so that it can be snapped. Null at an end whose edge does not reach that high; null where both read alike.
   */
  endsMm: [number | null, number | null] | null
  note: string
}

/** A measurement that proves what was marked; not a running reading. */
export interface Check { id: string, label: string, value: Quantity, note: string }

/** A stick cut to one length and stepped along instead of a tape. */
export interface GaugeStick {
  what: string
  /** Exact length to be stepped, mm, and how often. */
  lengthMm: number
  steps: number
}

/** Kinds of steps in the order in which a crew strikes them: from the datum to the trim. */
export const markStepKinds = [
  'scaffold',
  'datum',
  'keep-clear',
  'square',
  'supports',
  'first-row',
  'rows',
  'battens',
  'rails',
  'openings',
  'fixings',
  'splices',
  'bolts',
  'electronics',
  'trunk',
  'modules',
  'flashings',
  'trim',
] as const
export type MarkStepKind = typeof markStepKinds[number]

/** One thing to do on the roof: marks on one tape, all read from the one datum, with what proves them. */
export interface MarkStep {
  id: string
  kind: MarkStepKind
  title: string
  instruction: string
  tape: Tape
  /** Where this step's line lies on the other tape, mm; null when the step is not on one line. */
  lineMm: number | null
  marks: Mark[]
  /** A last reading at the far end of the tape that proves it was hooked and held straight; null where nothing is read off a tape. */
  closing: Mark | null
  checks: Check[]
  gauge: GaugeStick | null
}

export interface MarkDraft { label: string, mm: number, note?: string, upMm?: number, key?: string, of?: Ref }
export type StepDraft = Pick<MarkStep, 'id' | 'kind' | 'title' | 'instruction' | 'tape' | 'lineMm'> & {
  marks: MarkDraft[]
  checks?: Omit<Check, 'id'>[]
  gauge?: GaugeStick | null
}
export type StepMaker = (draft: StepDraft) => MarkStep

/** Turns places on a face into readings from its datum, in the order in which they are struck, with a closing reading. */
export function stepMaker(face: Face): StepMaker {
  const { eave, up } = shapeOf(face.outline)
  // A crew that comes down from the ridge meets the highest line first; along a line both begin at the datum.
  const downward = face.array.stackFrom === 'ridge'
  return ({ marks, lineMm, checks = [], gauge = null, ...step }) => {
    const isLine = step.tape === 'up' && lineMm === null
    const sorted = marks
      .map(mark => ({ ...mark, readingMm: readingOn(face, step.tape, mark.mm) }))
      .sort((a, b) => isLine && downward ? b.readingMm - a.readingMm : a.readingMm - b.readingMm)
    const seen = new Map<string, number>()
    const keyOf = ({ key, label }: MarkDraft) => {
      const plain = key ?? label
      const times = (seen.get(plain) ?? 0) + 1
      seen.set(plain, times)
      return times === 1 ? plain : `${plain} #${times}`
    }
    return {
      ...step, gauge, lineMm: lineMm === null ? null : readingOn(face, otherTape(step.tape), lineMm),
      marks: sorted.map((mark, i) => ({
        id: `${step.id}-${i + 1}`, key: keyOf(mark), ...(mark.of ? { of: mark.of } : {}), label: mark.label, readingMm: mark.readingMm, upMm: mark.upMm === undefined ? null : readingUp(face, mark.upMm), endsMm: isLine ? endsUp(face, mark.mm) : null,
        note: [mark.note, beyondDatum(face, step.tape, mark.readingMm)].filter(Boolean).join(', '),
      })),
      closing: marks.length === 0
        ? null
        : {
            id: `${step.id}-closing`, key: 'closing', upMm: null, endsMm: isLine ? endsUp(face, up.toMm) : null, note: 'Closing reading',
            label: step.tape === 'along' ? `Eave’s far end, ${farEndName(face)}` : 'Top of the face',
            readingMm: step.tape === 'along' ? eave.toMm - eave.fromMm : readingUp(face, up.toMm),
          },
      checks: checks.map((check, i) => ({ id: `${step.id}-check-${i + 1}`, ...check })),
    }
  }
}

/** A reading below nought lies on the other side of the datum corner, and a tape does not say which. */
function beyondDatum({ datum }: Face, tape: Tape, readingMm: number): string {
  if (readingMm > -0.5) return ''
  return tape === 'up' ? 'below the datum' : `${datum} of the datum: measure away from the face’s middle`
}

/** The same, one kind beside another, as a trade says them. */
export type MarksOf<A> = Partial<Record<MarkStepKind, (ask: A, make: StepMaker) => MarkStep[]>>

/** Rails or rows in the order in which they are built: from the eave up, or from the ridge down. */
export const inBuildOrder = <T>({ array }: Pick<Face, 'array'>, items: T[]): T[] => array.stackFrom === 'ridge' ? [...items].reverse() : items

/** Whether places follow each other at one distance, so that a stick can be stepped along them. */
export const evenGaps = (places: number[]): boolean => places.slice(2).every((mm, i) => Math.abs(mm - places[i + 1]! - (places[1]! - places[0]!)) < 1e-6)
