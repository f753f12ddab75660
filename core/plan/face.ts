import { type Catalogue, chooseParts, type ChosenParts } from '../catalogue'
import { allowedRailHeights, courseLines, type Joint, jointLines } from '../coverings'
import { type FixingsPlan, type PatternTotals, patternTotals, placeFixings } from '../fixings'
import { areaMm2, bounds, type Interval, type Region } from '../geometry'
import type { Face, KeepClearRules } from '../job'
import { type FaceClear, keepClear, type KeepClearStrip } from '../keepclear'
import { markoutSteps, type MarkStep } from '../markout'
import { type Part, partsOf } from '../parts'
import { type FaceShape, shapeOf } from '../roof'
import { placeRails, railLimits, type RailLimits, type RailPlan } from '../rails'
import { fillRows, type RowsPlan } from '../rows'
import { cutSticks, type SticksPlan, spliceWindows } from '../sticks'
import { type PlacesForRail, supportSystem, type SupportsPlan } from '../supports'

/** All that follows from one face of a job, as plain data. */
export interface FacePlan {
  faceId: string
  parts: ChosenParts
  /** Lower edges of the courses, mm up the slope. */
  courses: number[]
  /** Where units of the covering meet. */
  joints: Joint[]
  shape: FaceShape
  /** What the rules for the whole roof ask of this face. */
  clear: FaceClear
  strips: KeepClearStrip[]
  region: Region
  regionAreaMm2: number
  regionTopMm: number
  supports: SupportsPlan
  /** Heights up the slope at which the covering lets a rail run, mm. */
  railHeights: Interval[]
  limits: RailLimits
  rows: RowsPlan
  rails: RailPlan[]
  fixings: FixingsPlan
  patternTotals: PatternTotals
  sticks: SticksPlan
  list: Part[]
  marks: MarkStep[]
  modules: number
  powerW: number
}

/** Where a face's supports let a rail be fixed, for the mount its array is built with. */
export const placesOf = (face: Face, catalogue: Catalogue): PlacesForRail => supportSystem(face, chooseParts(catalogue, face.array).mount).places

/**
 * Plans one face: supports, covering limits, region, rows, rails, fixings, splices, parts, marks.
 * @param clear what the whole roof's keep-clear rules ask of it
 */
export function planFace(face: Face, catalogue: Catalogue, rules: KeepClearRules, clear: FaceClear): FacePlan {
  const parts = chooseParts(catalogue, face.array)
  const { plan: supports, places } = supportSystem(face, parts.mount)
  const railHeights = allowedRailHeights(face.covering, face.outline, parts.mount.halfFootprintMm)
  const { strips, region } = keepClear(face, rules, clear)
  const rows = fillRows(region, face.array, parts, clear.most)
  const rails = placeRails(rows.rows, face.array, parts, { covering: railHeights, supports: supports.railHeights })
  const limits = railLimits(parts.rail, face.array)
  const fixings = placeFixings(rails, places, limits, face.array.fixingPattern)
  const sticks = cutRails(rails, fixings, parts, face.array.trimTailMm)
  const list = partsOf(parts, rows.rows, rails, fixings, sticks)
  const marks = markoutSteps({ face, parts, strips, supports, rows, rails, fixings, sticks })
  const modules = rows.rows.reduce((sum, row) => sum + row.count, 0)
  return {
    faceId: face.id, parts, shape: shapeOf(face.outline), courses: courseLines(face.covering, face.outline), joints: jointLines(face.covering, face.outline), clear, strips, region,
    regionAreaMm2: areaMm2(region), regionTopMm: bounds(region)?.up.toMm ?? 0, supports, railHeights, limits, rows, rails, fixings,
    patternTotals: patternTotals(rails, places, limits), sticks, list, marks, modules, powerW: modules * parts.module.powerW,
  }
}

/** Rails with their trim tails, cut from stock. */
function cutRails(rails: RailPlan[], fixings: FixingsPlan, parts: ChosenParts, trimTailMm: number): SticksPlan {
  return cutSticks(rails.map((rail, r) => ({
    railId: rail.id, fromMm: rail.fromMm - trimTailMm, toMm: rail.toMm + trimTailMm,
    windows: spliceWindows(fixings.rails[r]!, parts.rail.splice),
  })), parts.rail.stockMm, parts.rail.splice)
}
