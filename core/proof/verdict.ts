import type { Judged } from '../job'
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

/** A verdict as it is kept with its reading: the day's own, whatever the plan and the shelf become. */
export const judgedOf = ({ state, expected }: Verdict): Judged => ({ state, band: expected && { from: expected.from, to: expected.to === Infinity ? null : expected.to, unit: expected.unit } })

/** An end of a band has moved where it differs by more than this, as a share. */
const MOVED = 0.005

/** How a reading was judged when it was said, where it is judged otherwise now; empty where nothing has changed. */
export function judgedThen(judged: Judged | null, now: Verdict): string {
  if (!judged) return ''
  const today = judgedOf(now)
  const moved = (a: number | null | undefined, b: number | null | undefined) => a !== b && (a == null || b == null || Math.abs(a - b) > MOVED * Math.abs(b))
  if (judged.state === today.state && !moved(judged.band?.from, today.band?.from) && !moved(judged.band?.to, today.band?.to)) return ''
  const band = judged.band ? `, ${Number(judged.band.from.toFixed(2))}${judged.band.to === null ? ' and more' : ` to ${Number(judged.band.to.toFixed(2))}`} ${judged.band.unit}` : ''
  return `judged ${{ pass: 'right', caution: 'not told', fail: 'wrong' }[judged.state]} then${band}`
}
