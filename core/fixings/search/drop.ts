import type { Steps } from '../fewest'
import { FULL } from '../judge'

/** How a choice of places is judged: its worst share, and whether it keeps the local rules. */
export interface Judged { steps: Steps, worst: (picks: number[]) => number }

/** Whether a choice keeps the local rules from end to end. */
export const keepsRules = ({ mayStart, mayFollow, mayEnd }: Steps, picks: number[]): boolean =>
  picks.length > 0 && mayStart(picks[0]!) && mayEnd(picks.at(-1)!) && picks.every((pick, i) => i === 0 || mayFollow(picks[i - 1]!, pick))

/** A choice that passes, with what it comes to. */
export interface Found { picks: number[], worst: number }

/** Every place, and every second to fourth of them from each of its first ones. */
export function plainStarts(n: number): number[][] {
  const all = Array.from({ length: n }, (_, i) => i)
  return [1, 2, 3, 4].flatMap(step => Array.from({ length: step }, (_, from) => all.filter(i => i % step === from))).filter(picks => picks.length >= 2)
}

/** Takes one fixing away at a time, each time the one after which the rail is used least, until none can go. */
export function dropOneByOne({ steps, worst }: Judged, start: Found): Found {
  let now = start
  for (;;) {
    let next: Found | null = null
    for (let k = 0; k < now.picks.length; k++) {
      const picks = now.picks.filter((_, i) => i !== k)
      if (!keepsRules(steps, picks)) continue
      const share = worst(picks)
      if (share <= FULL && (!next || share < next.worst)) next = { picks, worst: share }
    }
    if (!next) return now
    now = next
  }
}

/** Takes away whatever can go, in the order of the places or against it. */
export function dropInOrder({ steps, worst }: Judged, start: Found, backwards: boolean): Found {
  let now = start
  for (const pick of backwards ? [...start.picks].reverse() : start.picks) {
    const picks = now.picks.filter(one => one !== pick)
    if (!keepsRules(steps, picks)) continue
    const share = worst(picks)
    if (share <= FULL) now = { picks, worst: share }
  }
  return now
}

/** The fewest that dropping in order finds from every plain start, and then one by one; null where no plain start passes. */
export function dropped(judged: Judged): Found | null {
  let best: Found | null = null
  for (const picks of plainStarts(judged.steps.n)) {
    if (!keepsRules(judged.steps, picks)) continue
    const share = judged.worst(picks)
    if (share > FULL) continue
    for (const backwards of [false, true]) {
      const found = dropInOrder(judged, { picks, worst: share }, backwards)
      if (!best || found.picks.length < best.picks.length || (found.picks.length === best.picks.length && found.worst < best.worst)) best = found
    }
  }
  return best && dropOneByOne(judged, best)
}
