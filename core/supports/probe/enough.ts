import type { Probe } from './probe'

/** Whether more readings are worth their while. */
export interface GoOn { readings: number, saves: number, worth: boolean }

/** Readings that are looked ahead for this, and what they must save together, in fixings missed: less is had sooner by drilling pilots (common practice). */
const AHEAD = 2
const WORTH_BOTH = 0.3

/** What the next two readings would save, and whether that is worth taking them. */
export function goOn(probes: Probe[]): GoOn {
  const ahead = probes.slice(0, AHEAD)
  const saves = ahead.length ? ahead[0]!.missesBefore - ahead.at(-1)!.missesAfter : 0
  return { readings: Math.max(1, ahead.length), saves, worth: saves >= WORTH_BOTH }
}
