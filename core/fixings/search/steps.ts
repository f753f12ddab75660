import type { Steps } from '../fewest'

/** Fixings that are there and stay, and places where none may be, by their candidates. */
export interface Given { pinned?: ReadonlySet<number>, forbidden?: ReadonlySet<number> }

/** Which fixings may be the first on a rail, follow which, and be its last. */
export interface RelaxedSteps { next: number[][], mayStart: (i: number) => boolean, mayEnd: (i: number) => boolean }

/** Two fixings nearer than this are one, mm. */
const APART_MM = 1

/** The local rules written out, with no step over a fixing that stays and none to a forbidden place. */
export function stepsGiven({ n, mayStart, mayEnd, mayFollow, farthest }: Steps, xs: number[], { pinned, forbidden }: Given = {}): RelaxedSteps {
  const pins = [...pinned ?? []].sort((a, b) => a - b)
  const [firstPin, lastPin] = [pins[0] ?? Infinity, pins.at(-1) ?? -Infinity]
  const open = (i: number) => !forbidden?.has(i) || pinned?.has(i) === true
  const next = Array.from({ length: n }, (_, i) => {
    const stop = pins.find(pin => pin > i) ?? Infinity
    const own: number[] = []
    for (let j = i + 1; j <= Math.min(farthest(i), stop, n - 1); j++) if (open(j) && xs[j]! - xs[i]! >= APART_MM && mayFollow(i, j)) own.push(j)
    return own
  })
  return { next, mayStart: i => open(i) && mayStart(i) && i <= firstPin, mayEnd: i => mayEnd(i) && i >= lastPin }
}
