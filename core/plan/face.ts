import { type Catalogue, chooseParts, type ChosenParts } from '../catalogue'
import { courseLines, coursesDiffer, fixedScrewsUp, footOf, forbiddenStrips, jointLines } from '../coverings'
import { alongLine, bestCourse, type FixingProblem, fixingProblem, type FixingsPlan, followFixings, type Judges, placeFixings, placesAround, type RailRound, type ThereOnFace, thereOn } from '../fixings'
import { areaMm2, bounds, intersect } from '../geometry'
import type { Face, Job } from '../job'
import { type FaceClear, keepClear } from '../keepclear'
import { loadingOf } from '../loads'
import { memoryOf } from '../memory'
import { openCovering } from '../openings'
import { shapeOf } from '../roof'
import { thereOfRail } from '../rooflog'
import { movedRail, placeRails, railLimits, type RailLimits, type RailPlan, wayOf } from '../rails'
import { fillRows, type RailLines, type RowHeights } from '../rows'
import { inRoofPlan, type SetOutFace, systemOf } from '../inroof'
import { cutSticks, MOST_NODES, type SticksPlan, spliceWindows } from '../sticks'
import { battenLoads, battenUse, type BattenUse, checkRail, type FaceStrength, faceStrength, judgeOf, moduleUse, type RailSetting, type RailUse, settingOf, type StrengthLayout } from '../strength'
import { placesOutside, type PlacesForRail, supportSystem, type SupportsPlan } from '../supports'
import type { FaceLayout } from '../trades'
import type { FacePlan } from './layout'
import { inRoofOn, linesOn, rowHeightsOn } from './lines'
import { marksOf } from './marks'
import { partsOf } from './parts'
import { standingShift } from './stand'

/** Where a face's supports and its covering let a rail be fixed, for the mount its array is built with. */
export const placesOf = (face: Face, catalogue: Catalogue, job: Job): PlacesForRail => groundOf(face, chooseParts(catalogue, face.array), job, thereOn(job, face)).places

/** What an array is fixed to, and where through the covering. */
function groundOf(face: Face, parts: ChosenParts, job: Job, there: ThereOnFace | null): { plan: SupportsPlan, places: PlacesForRail } {
  const foot = footOf(face, parts.mount)
  const { plan, places } = supportSystem(face, parts.mount, wayOf(face.array, parts), fixedScrewsUp(foot))
  const open: PlacesForRail = line => placesOutside(places(line), forbiddenStrips(face.covering, face.outline, foot, line))
  return { plan, places: there ? placesAround(open, there, job, face, parts.mount) : open }
}

/** Plans one face whole: laid out, then what is only read off it once everything stands. */
export const planFace = (face: Face, catalogue: Catalogue, job: Job, clear: FaceClear): FacePlan => finishFace(face, job, catalogue, layOut(face, catalogue, job, clear))

/** What is only read off a face once everything on it stands: its parts and marks, by what the trades say. */
export function finishFace(face: Face, job: Job, catalogue: Catalogue, { problem: _, ...plan }: LaidOut): FacePlan {
  return { ...plan, list: partsOf({ job, face, plan, catalogue }), marks: marksOf({ job, face, plan }) }
}

/** A layout with its fixing problem, so that what was found out about it need not be found out again. */
export type LaidOut = FaceLayout & { problem: FixingProblem }

/** A face before its array stands anywhere on it: nothing of this depends on the array's shift. */
interface BareFace extends Pick<FaceLayout, 'parts' | 'supports' | 'railLines' | 'strips' | 'region' | 'loading' | 'limits'> { places: PlacesForRail, heights: RowHeights | null, /** Where courses let mounts through at unlike places. */ best: RailLines['best'] | null, /** Where an array that takes the covering's place stands. */ within: SetOutFace | null }

function bareFace(face: Face, catalogue: Catalogue, job: Job, clear: FaceClear, there: ThereOnFace | null): BareFace {
  const parts = chooseParts(catalogue, face.array)
  const { plan: supports, places } = groundOf(face, parts, job, there)
  const system = systemOf(face, catalogue)
  const loading = loadingOf(job, face, parts, system?.kitKg ?? null)
  const kept = keepClear(face, job.keepClear, clear)
  const lines = linesOn(face, parts, catalogue, supports)
  const limits = railLimits(parts.rail, parts.mount, face.array, loading.loads !== null, job.loads.engineer.name)
  return {
    parts, supports, places, loading, ...kept, within: inRoofOn(face, kept.region, parts, catalogue, clear.most), railLines: lines.covering, heights: rowHeightsOn(face, parts, lines),
    limits, best: coursesDiffer(face.covering, footOf(face, parts.mount)) ? bestCourse(places, limits) : null,
  }
}

/** Rows of modules and the rails under them. */
function arrayOn({ parts, region, railLines, supports, heights, best, within }: BareFace, array: Face['array'], { most }: FaceClear): Pick<FaceLayout, 'rows' | 'rails'> {
  // An array that is the covering has no rails: what holds it lies under each module.
  if (within) return { rows: within.rows, rails: [] }
  const rows = fillRows(region, array, parts, most, heights)
  return { rows, rails: placeRails(rows.rows, array, parts, { covering: railLines, supports: supports.railLines, ...best && { best } }) }
}

/**
 * Lays a face out: supports, covering limits, region, rows, rails, loads, fixings, splices, the whole-rail check, each from what stands before it.
 * @param trial only what findings look at is wanted, as when a cure is tried: sticks are cut as they come, not for least cost
 * @param hurried first answers are wanted at once where fixings are set round holes that are there
 */
export function layOut(asked: Face, catalogue: Catalogue, job: Job, clear: FaceClear, trial = false, hurried = false): LaidOut {
  const there = thereOn(job, asked)
  const bare = bareFace(asked, catalogue, job, clear, there)
  const face = standing(asked, bare, catalogue, job, clear)
  const { parts, supports, places, railLines, strips, region, loading, limits } = bare
  const { rows, rails } = arrayOn(bare, face.array, clear)
  const strength = bare.within ? null : loading.loads && faceStrength(face, loading.loads, parts, rows.rows, rails)
  const settings = strength && settingsOf(face, parts, rails, strength)
  const problem = fixingProblem(rails, places, limits, settings ? judgesOf(settings, limits) : [])
  const rounds = there && rails.map(rail => roundOf(rail, there, parts))
  const fixings = rounds
    ? followFixings(rails, problem, limits, face.array.fixingPattern, rounds, { hurried: hurried || trial, doubled: face.array.doubledEnds })
    : placeFixings(rails, problem, limits, face.array.fixingPattern, face.array.doubledEnds)
  const sticks = cutRails(rails, fixings, parts, face, job, { trial, rounds })
  const modules = rows.rows.reduce((sum, row) => sum + row.count, 0)
  const uses = usesOf(settings, { parts, rails, fixings, sticks }, trial, face.supports.kind === 'purlins')
  const built: StrengthLayout = {
    faceId: face.id, parts, shape: shapeOf(face.outline), courses: courseLines(face.covering, face.outline), joints: jointLines(face.covering, face.outline), clear, strips, region,
    regionAreaMm2: areaMm2(region), regionTopMm: bounds(region)?.up.toMm ?? 0, shiftMm: face.array.shiftMm ?? 0, supports, railLines, limits, rows, rails, loading, strength, fixings,
    uses, battens: battensUnder(face, strength, { rails, fixings, uses }), sticks,
    holds: strength ? rails.map((rail, r) => moduleUse(strength, r, rail, parts)) : [], modules, powerW: modules * parts.module.powerW,
  }
  const opened = { ...built, ...openCovering(face, job, catalogue, built, trial) }
  const system = systemOf(face, catalogue)
  return { problem, ...opened, wiring: null, inRoof: bare.within && system && inRoofPlan(job, face, catalogue, system, bare.within, opened) }
}

/** Where arrays stand is one figure a face: many are kept, so that cures do not push out what the next edit asks for again. */
const MOST_STANDS = 400
const stands = memoryOf<{ shiftMm: number }>(MOST_STANDS)

/**
 * A face with its array where it stands: where somebody shifted it to, or else where the fewest fixings are. Remembered
 * for the facts that it depends on, which most edits leave as they are.
 */
function standing(face: Face, bare: BareFace, catalogue: Catalogue, job: Job, clear: FaceClear): Face {
  const { array } = face
  if (array.shiftMm !== null || bare.within) return face
  // What hangs on holes that are there stays where it stands, whatever the rafters turn out to be.
  if (face.following) return { ...face, array: { ...array, shiftMm: face.following.shiftMm } }
  const facts = { ...face, name: '', datum: 'left', array: { ...array, trimTailMm: 0, spliceAs: 'butted' } }
  const { shiftMm } = stands(catalogue, [facts, clear, job.keepClear, job.loads], () => {
    const { rows, rails } = arrayOn(bare, array, clear)
    return { shiftMm: standingShift({
      rows,
      rails,
      places: bare.places,
      limits: bare.limits,
      pattern: array.fixingPattern,
      judgesAt: judgesWhenMoved(face, { ...bare, rows, rails }),
    }) }
  })
  return { ...face, array: { ...array, shiftMm } }
}

/** Judges of the rails when the whole array has moved: other zones may lie over them then. */
export function judgesWhenMoved(face: Face, {
  parts,
  rows,
  rails,
  limits,
  loading: { loads },
}: Pick<FaceLayout, 'parts' | 'rows' | 'rails' | 'limits' | 'loading'>): ((shiftMm: number) => Judges) | null {
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

/** A rail with what is there of it, and where its splices are to stay. */
interface Round extends RailRound { splicesMm: number[] }

/** What one rail is fixed round. */
function roundOf(rail: RailPlan, there: ThereOnFace, { rail: { splice } }: ChosenParts): Round {
  const cut = thereOfRail(there.rails, rail)
  const splicesMm = cut?.splicesMm ?? alongLine({ ...rail, reach: { fromMm: rail.fromMm, toMm: rail.toMm } }, there.following.splices)
  return {
    usedMm: alongLine(rail, there.used), earlierMm: alongLine(rail, there.following.fixings), splicesMm, isCut: cut !== null,
    splicesStay: (xs) => {
      if (!splicesMm.length) return true
      const windows = spliceWindows({ fixings: xs.map(atMm => ({ atMm })) }, splice)
      return splicesMm.every(mm => windows.some(window => mm >= window.fromMm - SPLICE_MM && mm <= window.toMm + SPLICE_MM))
    },
  }
}
/** A splice is where it was within a tape's reading, mm. */
const SPLICE_MM = 1

/** A splice that stays may lie beside its place by what nobody sees on a tape, mm: a face measured again moves its rails by so much. */
const STAYS_MM = 3

/** Rails with their trim tails, cut from stock; one whose splices stay is spliced there, unless that can't be had any more and nothing of it is cut. */
function cutRails(rails: RailPlan[], fixings: FixingsPlan, parts: ChosenParts, { array }: Face, { van }: Job, { trial, rounds }: { trial: boolean, rounds: Round[] | null }): SticksPlan {
  const windowsOf = (r: number, anew: string[]) => {
    const round = rounds?.[r]
    const clear = spliceWindows(fixings.rails[r]!, parts.rail.splice)
    if (!round?.splicesMm.length || anew.includes(rails[r]!.id) || !(round.isCut || fixings.rails[r]!.followed?.splicesStay)) return clear
    return round.splicesMm.flatMap((mm) => {
      const beside = intersect(clear, [{ fromMm: mm - STAYS_MM, toMm: mm + STAYS_MM }])
      // What is cut lies where it was cut, clear of its fixings or not.
      return beside.length && !round.isCut ? beside : [{ fromMm: mm - STAYS_MM, toMm: mm + STAYS_MM }]
    })
  }
  // Coupled frames carry themselves: there is nothing to cut.
  const cutWith = (anew: string[]) => cutSticks(parts.rail.frame
    ? []
    : rails.map((rail, r) => ({
        railId: rail.id, fromMm: rail.fromMm - array.trimTailMm, toMm: rail.toMm + array.trimTailMm,
        windows: windowsOf(r, anew),
      })), { rail: parts.rail, spliceAs: array.spliceAs, van }, trial ? 1 : MOST_NODES)
  const cut = cutWith([])
  const anew = cut.unspliceable.filter(id => rounds?.some((round, r) => rails[r]!.id === id && round.splicesMm.length > 0 && !round.isCut))
  return anew.length ? cutWith(anew) : cut
}
