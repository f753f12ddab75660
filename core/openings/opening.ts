import type { Closure } from '../catalogue'
import type { Seal } from './seal'

/** A unit of the covering by its course from the eave and its place in it; the place is null where courses run through. */
export interface UnitRef { course: number, unit: number | null }

/** What is cut into a unit, and where: from its left edge and up from its lower edge, mm. */
export interface Cut { kind: 'notch' | 'slot' | 'core' | 'hole', course: number, unit: number | null, wideMm: number, highMm: number, deepMm: number, fromLeftMm: number | null, fromLowerMm: number, toleranceMm: number }

/** A screw, and how far inside the timber's allowed strip it is, mm; below 0 outside it, null where it goes into no line of timber. */
export interface Screw { xMm: number, yMm: number, insideMm: number | null }

/** Why an opening can't be made as it is planned. */
export type OpeningFault = 'out-of-reach' | 'beside-timber' | 'batten-in-way' | 'arm-bears' | 'flashing-short' | 'near-edge' | 'past-course'

/** One fixing's way through the covering: what is opened, where it is screwed, what is cut, and how it is closed again. Places are mm on the face. */
export interface Opening {
  fixingId: string
  railId: string
  /** Its rail's number and its own place on it, 1 first, of so many. */
  rail: number
  place: number
  of: number
  member: string
  mountId: string
  /** Opened first, with the mount that lets the rafters be seen. */
  first: boolean
  way: Closure['way']
  closureId: string
  /** The course it goes through with its lower edge and the next one's; null where the covering has none that matter. */
  course: { number: number, fromMm: number, toMm: number } | null
  unit: { number: number, leftMm: number, widthMm: number } | null
  railAt: { xMm: number, yMm: number }
  plate: { xMm: number, yMm: number }
  screws: Screw[]
  /** Where a hook's arm leaves. */
  exit: { xMm: number, yMm: number } | null
  /** The arm over the unit below: what is left free and what it gives under the rail's worst load at most; what the unit above rides up where it is not notched. */
  arm: { clearMm: number, givesMm: number | null, ridesMm: number } | null
  flashing: { headMm: number, footMm: number, /** Its head has to reach at least so high. */ needMm: number | null, under: number | null } | null
  /** A batten that is met by the plate. */
  batten: { fromMm: number, toMm: number, cut: boolean } | null
  cut: Cut | null
  lifted: UnitRef[]
  seal: Seal
  faults: OpeningFault[]
}
