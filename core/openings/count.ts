import type { Closure } from '../catalogue'
import type { Broken } from '../job'
import type { Opening, UnitRef } from './opening'
import type { Stripped } from './stripped'

/** What becomes of the covering's units, each unit once however many fixings it meets. */
export interface UnitCount {
  lifted: number
  notched: number
  slotted: number
  cored: number
  drilled: number
  /** Put back of those lifted, after what breaks by rule of thumb. */
  kept: number
  /** Expected to break while they are lifted, a share of them rounded up; and recorded as broken. */
  thumb: number
  broken: number
  /** Sound units from under the array that take the place of broken ones outside it. */
  lent: number
  /** Spare for good, since the array lies where they were. */
  spare: number
  bought: number
}

export const noUnits: UnitCount = { lifted: 0, notched: 0, slotted: 0, cored: 0, drilled: 0, kept: 0, thumb: 0, broken: 0, lent: 0, spare: 0, bought: 0 }

const distinct = (units: UnitRef[]): number => {
  const placed = new Set(units.flatMap(one => one.unit === null ? [] : [`${one.course} ${one.unit}`]))
  return placed.size + units.filter(one => one.unit === null).length
}

/**
 * Counts the units that openings lift, cut and break.
 * @param under broken units that lie under the array: nobody sees them, so a new one goes straight there
 * @param lendable sound units that lie wholly under the array
 */
export function countUnits(openings: Opening[], closureOf: (opening: Opening) => Closure, broken: { one: Broken, under: boolean }[], lendable: number, stripped: Stripped | null): UnitCount {
  const cuts = (kind: NonNullable<Opening['cut']>['kind']) => distinct(openings.flatMap(({ cut }) => cut?.kind === kind ? [{ course: cut.course, unit: cut.unit }] : []))
  const lifted = stripped ? stripped.units : distinct(openings.flatMap(one => one.lifted))
  const shares = openings.length ? Math.max(...openings.map(one => closureOf(one).breaks)) : 0
  const thumb = Math.max(0, Math.min(lifted, Math.ceil(lifted * shares - 1e-9)))
  // What lay under the array is not laid again: first it stands in for what broke, then it is spare.
  const covered = stripped?.covered ?? 0
  const spare = Math.max(0, covered - thumb)
  const outside = broken.filter(one => !one.under).length
  // What lies under the array can be lent as far as it goes, and a new unit goes where it was: nobody sees that.
  const lent = Math.min(outside, lendable)
  return {
    lifted, notched: cuts('notch'), slotted: cuts('slot'), cored: cuts('core'), drilled: cuts('hole'), kept: Math.max(0, lifted - thumb - spare), thumb, broken: broken.length, lent, spare,
    bought: Math.max(0, thumb + broken.length - covered),
  }
}
