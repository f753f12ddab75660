import { type Catalogue, chooseParts, type ChosenParts } from '../catalogue'
import { allowedRailLines, courseLines, forbiddenStrips, type Joint, jointLines } from '../coverings'
import { type FixingProblem, fixingProblem, type FixingsPlan, type Judges, placeFixings } from '../fixings'
import { areaMm2, bounds, type Interval, type Region } from '../geometry'
import type { Face, Job } from '../job'
import { type FaceClear, keepClear, type KeepClearStrip } from '../keepclear'
import { type FaceLoading, loadingOf } from '../loads'
import { markoutSteps, type MarkStep } from '../markout'
import { type Part, partsOf } from '../parts'
import { type FaceShape, shapeOf } from '../roof'
import { movedRail, placeRails, railLimits, type RailLimits, type RailPlan, wayOf } from '../rails'
import { fillRows, type RowsPlan } from '../rows'
import { cutSticks, MOST_NODES, type SticksPlan, spliceWindows } from '../sticks'
import { battenLoads, battenUse, type BattenUse, checkRail, type FaceStrength, faceStrength, judgeOf, moduleUse, type ModuleUse, type RailSetting, type RailUse, settingOf } from '../strength'
import { placesOutside, type PlacesForRail, supportSystem, type SupportsPlan } from '../supports'
import { rememberedStand } from './memory'
import { standingShift } from './stand'

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
  /** How far the array stands from the middle of its region, mm to the right: as typed, or where the fewest fixings are. */
  shiftMm: number
  /** Lines on which the covering lets a rail run: heights of rails across, places along the eave of rails up the slope, mm. */
  railLines: Interval[]
  limits: RailLimits
  rows: RowsPlan
  rails: RailPlan[]
  /** What loads the face, or why it can't be said. */
  loading: FaceLoading
  /** What rails and fixings bear beside those loads; null where nobody has said what loads the roof. */
  strength: FaceStrength | null
  fixings: FixingsPlan
  /** Every rail checked with its fixings and its real splices, by its place in the list; null where it can't be. */
  uses: (RailUse | null)[]
  /** Modules and clamps along every rail; empty where no loads are known. */
  holds: ModuleUse[]
  /** What the fixings do to the battens they are driven into; null where there are none or nobody has said how they are held. */
  battens: BattenUse | null
  sticks: SticksPlan
  list: Part[]
  marks: MarkStep[]
  modules: number
  powerW: number
}

/** Where a face's supports and its covering let a rail be fixed, for the mount its array is built with. */
export const placesOf = (face: Face, catalogue: Catalogue): PlacesForRail => groundOf(face, chooseParts(catalogue, face.array)).places

/** What an array is fixed to, and where through the covering. */
function groundOf(face: Face, parts: ChosenParts): { plan: SupportsPlan, places: PlacesForRail } {
  const { plan, places } = supportSystem(face, parts.mount, wayOf(face.array, parts))
  return { plan, places: line => placesOutside(places(line), forbiddenStrips(face.covering, face.outline, parts.mount, line)) }
}

/** What of a job is not its faces' own, but bears on every one of them. */
export type JobRules = Pick<Job, 'keepClear' | 'loads' | 'van' | 'units'>

/**
 * Plans one face: supports, covering limits, region, rows, rails, loads, fixings, splices, the whole-rail check, parts, marks.
 * @param clear what the whole roof's keep-clear rules ask of it
 */
export const planFace = (face: Face, catalogue: Catalogue, job: JobRules, clear: FaceClear): FacePlan => finishFace(face, job, layOut(face, catalogue, job, clear))

/** What is only read off a face once everything on it stands: parts and marks. */
export function finishFace(face: Face, job: Pick<Job, 'units'>, { problem: _, ...layout }: LaidOut): FacePlan {
  const { parts, strips, supports, rows, rails, fixings, sticks } = layout
  return {
    ...layout, list: partsOf(parts, rows.rows, rails, fixings, sticks),
    marks: markoutSteps({ face, units: job.units, parts, strips, supports, rows, rails, fixings, sticks }),
  }
}

/** A face as far as findings judge it: where everything stands, without what is only read off it. */
export type FaceLayout = Omit<FacePlan, 'list' | 'marks'>

/** A layout with its fixing problem, so that what was found out about it need not be found out again. */
export type LaidOut = FaceLayout & { problem: FixingProblem }

/** A face before its array stands anywhere on it: nothing of this depends on the array's shift. */
interface BareFace extends Pick<FaceLayout, 'parts' | 'supports' | 'railLines' | 'strips' | 'region' | 'loading' | 'limits'> { places: PlacesForRail }

function bareFace(face: Face, catalogue: Catalogue, job: JobRules, clear: FaceClear): BareFace {
  const parts = chooseParts(catalogue, face.array)
  const { plan: supports, places } = groundOf(face, parts)
  const loading = loadingOf(job, face, parts)
  return {
    parts, supports, places, loading, ...keepClear(face, job.keepClear, clear), railLines: allowedRailLines(face.covering, face.outline, parts.mount, wayOf(face.array, parts)),
    limits: railLimits(parts.rail, parts.mount, face.array, loading.loads !== null, job.loads.engineer.name),
  }
}

/** Rows of modules and the rails under them. */
function arrayOn({ parts, region, railLines, supports }: BareFace, array: Face['array'], { most }: FaceClear): Pick<FaceLayout, 'rows' | 'rails'> {
  const rows = fillRows(region, array, parts, most)
  return { rows, rails: placeRails(rows.rows, array, parts, { covering: railLines, supports: supports.railLines }) }
}

/**
 * Plans a face up to its splices and their check.
 * @param trial only what findings look at is wanted, as when a cure is tried: sticks are cut as they come, not for least cost
 */
export function layOut(asked: Face, catalogue: Catalogue, job: JobRules, clear: FaceClear, trial = false): LaidOut {
  const bare = bareFace(asked, catalogue, job, clear)
  const face = standing(asked, bare, catalogue, job, clear)
  const { parts, supports, places, railLines, strips, region, loading, limits } = bare
  const { rows, rails } = arrayOn(bare, face.array, clear)
  const strength = loading.loads && faceStrength(face, loading.loads, parts, rows.rows, rails)
  const settings = strength && settingsOf(face, parts, rails, strength)
  const problem = fixingProblem(rails, places, limits, settings ? judgesOf(settings, limits) : [], trial)
  const fixings = placeFixings(rails, problem, limits, face.array.fixingPattern)
  const sticks = cutRails(rails, fixings, parts, face, job, trial)
  const modules = rows.rows.reduce((sum, row) => sum + row.count, 0)
  const uses = usesOf(settings, { parts, rails, fixings, sticks }, trial, face.supports.kind === 'purlins')
  return {
    problem, faceId: face.id, parts, shape: shapeOf(face.outline), courses: courseLines(face.covering, face.outline), joints: jointLines(face.covering, face.outline), clear, strips, region,
    regionAreaMm2: areaMm2(region), regionTopMm: bounds(region)?.up.toMm ?? 0, shiftMm: face.array.shiftMm ?? 0, supports, railLines, limits, rows, rails, loading, strength, fixings,
    uses, battens: battensUnder(face, strength, { rails, fixings, uses }), sticks,
    holds: strength ? rails.map((rail, r) => moduleUse(strength, r, rail, parts)) : [], modules, powerW: modules * parts.module.powerW,
  }
}

/**
 * A face with its array where it stands: where somebody shifted it to, or else where the fewest fixings are. Found out once
 * for the facts that it depends on, which most edits leave as they are.
 */
function standing(face: Face, bare: BareFace, catalogue: Catalogue, job: JobRules, clear: FaceClear): Face {
  const { array } = face
  if (array.shiftMm !== null) return face
  const facts = { ...face, name: '', datum: 'left', array: { ...array, trimTailMm: 0, spliceAs: 'butted' } }
  const shiftMm = rememberedStand(catalogue, [facts, clear, job.keepClear, job.loads], () => {
    const { rows, rails } = arrayOn(bare, array, clear)
    return standingShift({ rows, rails, places: bare.places, limits: bare.limits, pattern: array.fixingPattern, judgesAt: judgesWhenMoved(face, { ...bare, rows, rails }) })
  })
  return { ...face, array: { ...array, shiftMm } }
}

/** Judges of the rails when the whole array has moved: other zones may lie over them then. */
export function judgesWhenMoved(face: Face, { parts, rows, rails, limits, loading: { loads } }: Pick<FaceLayout, 'parts' | 'rows' | 'rails' | 'limits' | 'loading'>): ((shiftMm: number) => Judges) | null {
  if (!loads) return null
  return (shiftMm) => {
    const movedRows = rows.rows.map(row => ({ ...row, leftMm: row.leftMm + shiftMm, rightMm: row.rightMm + shiftMm, moduleLeftsMm: row.moduleLeftsMm.map(mm => mm + shiftMm) }))
    const movedRails = rails.map(rail => movedRail(rail, shiftMm))
    return judgesOf(settingsOf(face, parts, movedRails, faceStrength(face, loads, parts, movedRows, movedRails)), limits)
  }
}

/** What each rail of a face is checked with. */
export const settingsOf = (face: Face, parts: ChosenParts, rails: RailPlan[], strength: FaceStrength): RailSetting[] =>
  rails.map((rail, r) => settingOf(strength, r, rail, parts, face.array))

/** A judge for each rail. */
export const judgesOf = (settings: RailSetting[], limits: RailLimits): Judges => settings.map(setting => judgeOf(setting, limits))

/** Turns a joint may make: nothing for one as stiff as the rail, freely for a hinge. */
export const jointsOn = ({ sticks, parts }: Pick<FaceLayout, 'sticks' | 'parts'>, railId: string) =>
  parts.rail.splice.continuity === 'full' ? [] : sticks.splices.filter(splice => splice.railId === railId).map(splice => ({ xMm: splice.atMm, stiffness: 0 }))

/** Every rail checked again as it is really built. */
function usesOf(settings: RailSetting[] | null, plan: Pick<FaceLayout, 'parts' | 'rails' | 'fixings' | 'sticks'>, trial: boolean, needsCases: boolean): (RailUse | null)[] {
  const { rails, fixings } = plan
  return rails.map((rail, r) => settings && checkRail(settings[r]!, fixings.rails[r]!.fixings.map(fixing => fixing.atMm), jointsOn(plan, rail.id), { quick: trial && !needsCases }))
}

/** Battens under the fixings, where the mount is screwed into battens. */
function battensUnder(face: Face, strength: FaceStrength | null, { rails, fixings, uses }: Pick<FaceLayout, 'rails' | 'fixings' | 'uses'>): BattenUse | null {
  const { supports } = face
  if (!strength || supports.kind !== 'purlins' || supports.member !== 'batten') return null
  const driven = rails.flatMap((rail, r) => fixings.rails[r]!.fixings.flatMap((fixing, at) => {
    const use = uses[r]
    return use ? [{ member: fixing.member, xMm: rail.way === 'across' ? fixing.atMm : rail.lineMm, at, use }] : []
  }))
  return battenUse(face, supports, strength.loads.format, battenLoads(driven))
}

/** Rails with their trim tails, cut from stock. */
function cutRails(rails: RailPlan[], fixings: FixingsPlan, parts: ChosenParts, { array }: Face, { van }: JobRules, trial: boolean): SticksPlan {
  // Coupled frames carry themselves: there is nothing to cut.
  return cutSticks(parts.rail.frame
    ? []
    : rails.map((rail, r) => ({
        railId: rail.id, fromMm: rail.fromMm - array.trimTailMm, toMm: rail.toMm + array.trimTailMm,
        windows: spliceWindows(fixings.rails[r]!, parts.rail.splice),
      })), { rail: parts.rail, spliceAs: array.spliceAs, van }, trial ? 1 : MOST_NODES)
}
