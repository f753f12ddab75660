import type { ProofOf, ReadyWhat, Subject, TestStep } from '../job'
import type { ProofAsk } from './ask'
import { sameSubject } from './circuits'
import type { StepPlan } from './steps'
import type { Verdict } from './verdict'

/** One step of a chain as it stands. */
export interface StepState extends StepPlan {
  state: 'done' | 'looked' | 'failed' | 'next' | 'waits'
  /** What it waits for. */
  why: string
  entry: ProofOf<'test'> | null
  verdict: Verdict | null
  /** Said before, and not holding any more. */
  earlier: ProofOf<'test'>[]
}

/** Tests of one thing in their order: the next is offered when the one before it is logged and right. */
export interface Chain {
  id: string
  subject: Subject
  name: string
  /** What it is, in a few words. */
  about: string
  steps: StepState[]
  /** Tests that are not made here, with why. */
  leftOut: string[]
  end: { state: ProofOf<'end'>['state'], tag: string, until: string | null, by: string, at: string } | null
  /** Whether its far end can be joined or capped: it is, and all that has to be known before that is right. */
  mayJoin: boolean
  /** It was joined while something was still to be tested. */
  early: boolean
  /** What a reading of it would come to. */
  judge: (entry: ProofOf<'test'>) => Verdict
}

/** What chains are made of: steps with what judges them. */
export interface ChainPlan {
  subject: Subject
  name: string
  about: string
  steps: StepPlan[]
  leftOut: string[]
  judge: (entry: ProofOf<'test'>) => Verdict
  /** Chains that have to be right before this one begins. */
  after: { name: string, right: boolean }[]
  /** Entries before this place in the record count no more: something was exchanged since. */
  since: number
}

const readyWords: Record<ReadyWhat, string> = { 'far-end-open': 'its far end is open', 'no-load': 'no current flows', 'electronics-off': 'its electronics are disconnected' }

/** Whether what a test needs was said after the far end was last touched. */
export function isReady({ job }: Pick<ProofAsk, 'job'>, subject: Subject, what: ReadyWhat): boolean {
  const about = job.proof.map((entry, i) => 'subject' in entry && sameSubject(entry.subject, subject) ? { entry, i } : null).filter(one => one !== null)
  const end = about.findLast(({ entry }) => entry.kind === 'end')
  return about.some(({ entry, i }) => entry.kind === 'ready' && entry.what === what && i > (end?.i ?? -1))
}

/** A chain as it stands by the record. */
export function chainOf(ask: ProofAsk, { subject, name, about, steps, leftOut, judge, after, since }: ChainPlan): Chain {
  const said = ask.job.proof.map((entry, i) => ({ entry, i })).filter(({ entry }) => 'subject' in entry && sameSubject(entry.subject, subject))
  const end = said.findLast((one): one is { entry: ProofOf<'end'>, i: number } => one.entry.kind === 'end')?.entry ?? null
  const joined = end?.state === 'joined'
  const states: StepState[] = []
  const isRight = ({ state }: StepState) => state === 'done' || state === 'looked'
  for (const step of steps) {
    const own = said.filter((one): one is { entry: ProofOf<'test'>, i: number } => one.entry.kind === 'test' && one.entry.found.step === step.step)
    const held = own.filter(({ i }) => i >= since).at(-1)?.entry ?? null
    const verdict = held && judge(held)
    const before = states.find(one => !isRight(one))
    const waits = after.find(one => !one.right)
    const open = end?.state !== 'joined'
    const why = waits
      ? `After ${waits.name}`
      : before
        ? `After ${before.title.toLowerCase()}`
        : step.with === 'joined' && !joined
          ? 'After it is joined'
          : step.with === 'open' && !open
            ? 'It is joined: stop what flows, open its far end, then test'
            : step.needs.some(what => !isReady(ask, subject, what)) ? `First: ${step.needs.filter(what => !isReady(ask, subject, what)).map(what => readyWords[what]).join(', ')}` : ''
    const state = verdict ? verdict.state === 'pass' ? 'done' : verdict.state === 'caution' ? 'looked' : 'failed' : waits || before || (why && (step.with === 'joined' || !open)) ? 'waits' : 'next'
    states.push({ ...step, state, why: verdict ? '' : why, entry: held, verdict, earlier: own.map(one => one.entry).filter(one => one !== held) })
  }
  const firsts = states.filter(one => one.with === 'open')
  const ready = after.every(one => one.right) && firsts.every(isRight)
  return {
    id: subjectId(subject), subject, name, about, steps: states, leftOut, end: end && { state: end.state, tag: end.tag, until: end.until, by: end.by, at: end.at },
    mayJoin: subject.of === 'circuit' && !joined && ready, early: joined && !firsts.every(isRight), judge,
  }
}

/** The same for the same subject; only ever compared. */
export const subjectId = (subject: Subject): string => subject.of === 'circuit' ? `circuit ${subject.tag.number} ${subject.tag.count} ${subject.tag.first} ${subject.tag.last}` : subject.of === 'face' ? `face ${subject.faceId}` : subject.of === 'thing' ? `thing ${subject.thingId}` : 'job'

/** Whether all of a chain is right. */
export const isProved = ({ steps }: Pick<Chain, 'steps'>): boolean => steps.every(({ state }) => state === 'done' || state === 'looked')

/** Whether the first part of it is: what is tested before its far end is joined. */
export const isTestedOpen = ({ steps }: Pick<Chain, 'steps'>): boolean => steps.filter(one => one.with === 'open').every(({ state }) => state === 'done' || state === 'looked')

export const stepOf = ({ steps }: Pick<Chain, 'steps'>, step: TestStep): StepState | null => steps.find(one => one.step === step) ?? null
