import { type PaperKind, paperKinds, type ProofOf } from '../job'
import type { ProofAsk } from './ask'

export const paperNames: Record<PaperKind, string> = {
  'permit': 'Permit', 'grid-consent': 'Consent of the grid’s operator', 'rough-inspection': 'Inspection before it is covered', 'inspection': 'Final inspection', 'letter': 'Letter or certificate', 'utility': 'Letter to the utility', 'meter': 'Meter', 'energise': 'Permission to energise',
}
export const paperStateWords: Record<ProofOf<'paper'>['state'], string> = { 'asked': 'asked for', 'booked': 'day is set', 'granted': 'there', 'refused': 'refused', 'not-needed': 'not needed here' }

/** What each paper waits for (common practice; the authority and the utility say their own order). */
const needs: Record<PaperKind, PaperKind[]> = {
  'permit': [], 'grid-consent': [], 'rough-inspection': ['permit'], 'inspection': ['permit'], 'letter': ['inspection'], 'utility': ['grid-consent', 'letter'], 'meter': ['utility'], 'energise': ['utility', 'meter'],
}

/** One paper as it stands. */
export interface Paper {
  kind: PaperKind
  name: string
  state: 'open' | 'waits' | ProofOf<'paper'>['state']
  /** Papers that it waits for. */
  waitsFor: PaperKind[]
  last: ProofOf<'paper'> | null
  history: ProofOf<'paper'>[]
}

const settled = (last: ProofOf<'paper'> | null): boolean => last?.state === 'granted' || last?.state === 'not-needed'

/** All papers in the order in which a job usually needs them. */
export function papersOf({ job }: Pick<ProofAsk, 'job'>): Paper[] {
  const said = job.proof.filter((entry): entry is ProofOf<'paper'> => entry.kind === 'paper')
  const last = (kind: PaperKind) => said.findLast(one => one.paper === kind) ?? null
  return paperKinds.map((kind): Paper => {
    const own = last(kind)
    const waitsFor = settled(own) ? [] : needs[kind].filter(one => !settled(last(one)))
    return { kind, name: paperNames[kind], state: own?.state ?? (waitsFor.length ? 'waits' : 'open'), waitsFor, last: own, history: said.filter(one => one.paper === kind) }
  })
}

export const isSettled = ({ state }: Paper): boolean => state === 'granted' || state === 'not-needed'

/** Something with a day by which somebody wants it: for the list of jobs. */
export interface Reminder { words: string, due: string }

/** Days of a job that are still to come or have passed: papers, open items, circuits that wait capped. The first comes first. */
export function remindersOf({ job }: Pick<ProofAsk, 'job'>): Reminder[] {
  const done = new Set(job.proof.flatMap(entry => entry.kind === 'item-done' ? [entry.itemId] : []))
  const capped = new Map<number, ProofOf<'end'>>()
  for (const entry of job.proof) if (entry.kind === 'end' && entry.subject.of === 'circuit') capped.set(entry.subject.tag.number, entry)
  return [
    ...papersOf({ job }).flatMap(one => one.last?.due && !isSettled(one) ? [{ words: `${one.name}: ${paperStateWords[one.last.state]}`, due: one.last.due }] : []),
    ...job.proof.flatMap(entry => entry.kind === 'item' && entry.due && !done.has(entry.id) ? [{ words: `${entry.words} (${entry.who})`, due: entry.due }] : []),
    ...[...capped].flatMap(([number, end]) => end.state === 'capped' && end.until ? [{ words: `String ${number} waits capped`, due: end.until }] : []),
  ].sort((a, b) => a.due.localeCompare(b.due))
}
