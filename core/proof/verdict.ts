import type { Working } from '../working'

/** What a reading comes to: it is right; it is wrong, and the chain stops; it can't be told or is only looked at. */
export type VerdictState = 'pass' | 'caution' | 'fail'

export interface Verdict {
  state: VerdictState
  sentence: string
  /** What it should read and its band, with what was read, in one unit; null where it is yes or no. */
  expected: { value: number, from: number, to: number, read: number, unit: string } | null
  workings: Working[]
}

export const passed = (sentence: string, more: Partial<Verdict> = {}): Verdict => ({ state: 'pass', sentence, expected: null, workings: [], ...more })
export const wrong = (sentence: string, more: Partial<Verdict> = {}): Verdict => ({ ...passed(sentence, more), state: 'fail' })
export const unsure = (sentence: string, more: Partial<Verdict> = {}): Verdict => ({ ...passed(sentence, more), state: 'caution' })
