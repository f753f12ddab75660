import { areaMm2 } from '../geometry'
import type { Face, Job } from '../job'
import { shapeOf } from '../roof'
import { radians } from '../units'
import { type FaceClear, noClaims } from './face'
import { choosePathways, type PathwayChoice } from './pathways'
import { limitTo } from './wanted'

/** How much of the roof, seen from above, is covered, and how far that is from the share at which the ridge strip changes. */
export interface Cover {
  roofMm2: number
  coveredMm2: number
  share: number
  /** The share up to which the narrower ridge strip will do. */
  limit: number
  /** What one more module would add, as a share. */
  oneMore: number
}

/** What the rules come to over the whole roof: one plan of several that were compared. */
export interface RoofClear {
  faces: FaceClear[]
  /** Which ridge strip it is built to; null where the rules know only one. */
  ridge: 'near' | 'far' | null
  cover: Cover
  /** Modules with each ridge strip, the narrower one within its share; null where there is nothing to choose. */
  choices: { near: number, nearUncapped: number, far: number } | null
  planes: number[]
  short: PathwayChoice['short']
  proved: boolean
  tried: number
  /** Modules that all faces hold together by their rows, and those that stand once a wanted number is kept to. */
  fits: number
  modules: number
}

/** What a face's rows come to under given claims. */
export interface FaceCount { modules: number, areaMm2: number }
/** Works out the rows of a face under claims: modules, and the area they cover on the slope as the job counts it. */
export type CountFace = (face: Face, clear: FaceClear) => FaceCount

/** A plane faces a street that lies within this angle of its fall, degrees (common practice). */
const FACES_WITHIN_DEG = 60

const planAreaMm2 = (face: Face): number => areaMm2(shapeOf(face.outline).region) * Math.cos(radians(face.pitchDeg))

/** Area on the slope of the arrays that stay on a face. */
const oldArraysMm2 = (face: Face): number => face.obstructions.reduce((sum, one) => one.kind === 'old-array' ? sum + (one.round ? Math.PI * one.widthMm ** 2 / 4 : one.widthMm * one.heightMm) : sum, 0)

/**
 * Chooses, over the whole roof, the pathways and the ridge strip that leave the most modules: with the narrower strip no more
 * of the roof may be covered than its share, with the wider one as much as fits.
 */
export function clearRoof(job: Pick<Job, 'faces' | 'keepClear' | 'site' | 'wanted'>, count: CountFace): RoofClear {
  const { faces, keepClear: rules, site, wanted } = job
  const roofMm2 = faces.reduce((sum, face) => sum + planAreaMm2(face), 0)
  // An array that stays covers the roof as much as a new one.
  const standingMm2 = faces.reduce((sum, face) => sum + oldArraysMm2(face) * Math.cos(radians(face.pitchDeg)), 0)
  const limit = rules.sprinklers ? rules.values.coverShareSprinklers : rules.values.coverShare
  const coverOf = (clears: FaceClear[]): Cover => {
    const counts = faces.map((face, i) => count(face, clears[i]!))
    const flat = (i: number) => Math.cos(radians(faces[i]!.pitchDeg))
    const coveredMm2 = counts.reduce((sum, one, i) => sum + one.areaMm2 * flat(i), 0) + standingMm2
    const each = counts.flatMap((one, i) => one.modules ? [one.areaMm2 / one.modules * flat(i)] : [])
    return { roofMm2, coveredMm2, share: coveredMm2 / roofMm2, limit, oneMore: each.length ? Math.min(...each) / roofMm2 : 0 }
  }
  const weightOf = (i: number) => rules.aim === 'energy' ? faces[i]!.yieldShare : 1
  /** What stands on faces under claims, no more than is wanted. */
  const standing = (clears: FaceClear[]): Pick<RoofClear, 'faces' | 'cover' | 'fits' | 'modules'> => {
    const counts = faces.map((face, i) => count(face, clears[i]!).modules)
    const fits = counts.reduce((sum, n) => sum + n, 0)
    const kept = wanted !== null && fits > wanted ? limitTo(clears, counts, wanted, i => faces[i]!.yieldShare) : clears
    return { faces: kept, cover: coverOf(kept), fits, modules: Math.min(fits, wanted ?? fits) }
  }
  if (rules.ruleSet === 'plain') return { ...standing(faces.map(() => noClaims)), ridge: null, choices: null, planes: [], short: [], proved: true, tried: 1 }
  const streets = [site.streetDeg, site.drivewayDeg].filter(deg => deg !== null)
  const onStreet = streets.length ? (i: number) => streets.some(deg => apartDeg(deg, faces[i]!.place.azimuthDeg) <= FACES_WITHIN_DEG) : null
  const withRidge = (ridgeMm: number) => choosePathways({ faces, rules, ridgeMm, weightOf, countOf: (i, clear) => count(faces[i]!, clear).modules, onStreet })
  const far = withRidge(rules.values.ridgeFarMm)
  if (rules.values.ridgeNearMm >= rules.values.ridgeFarMm) {
    return { ...standing(far.faces), ridge: null, choices: null, planes: far.planes, short: far.short, proved: far.proved, tried: far.tried }
  }
  const near = withRidge(rules.values.ridgeNearMm)
  const capped = capTo(faces, near.faces, count, limit * roofMm2 - standingMm2, weightOf)
  const choices = { near: capped.modules, nearUncapped: near.modules, far: far.modules }
  // A wanted number that stands with the wide strip has no need of the narrow one.
  const nearIsBetter = wanted !== null && far.modules >= wanted ? false : capped.worth > far.worth
  const ridge = rules.ridgeChoice === 'best' ? (nearIsBetter ? 'near' : 'far') : rules.ridgeChoice
  const chosen = ridge === 'near' ? { ...near, faces: capped.faces } : far
  return {
    ...standing(chosen.faces),
    ridge,
    choices,
    planes: chosen.planes,
    short: chosen.short,
    proved: near.proved && far.proved,
    tried: near.tried + far.tried,
  }
}

/** Angle between two directions, 0 to 180 degrees. */
const apartDeg = (a: number, b: number): number => Math.abs(((a - b) % 360 + 540) % 360 - 180)

/** Limits faces until the covered plan area keeps to a share: modules go one at a time from the face that yields least, of those alike from the one with most. */
function capTo(faces: Face[], clears: FaceClear[], count: CountFace, mostMm2: number, weightOf: (face: number) => number): { faces: FaceClear[], modules: number, worth: number } {
  const counts = faces.map((face, i) => count(face, clears[i]!))
  const each = counts.map((one, i) => one.modules ? one.areaMm2 / one.modules * Math.cos(radians(faces[i]!.pitchDeg)) : 0)
  const kept = counts.map(one => one.modules)
  const covered = () => kept.reduce((sum, n, i) => sum + n * each[i]!, 0)
  const poorest = () => kept.reduce((best, n, i) => n > 0 && (best < 0 || weightOf(i) < weightOf(best) || (weightOf(i) === weightOf(best) && n > kept[best]!)) ? i : best, -1)
  while (covered() > mostMm2 + 1 && kept.some(n => n > 0)) kept[poorest()]!--
  return {
    faces: clears.map((clear, i) => kept[i]! < counts[i]!.modules ? { ...clear, most: kept[i]! } : clear),
    modules: kept.reduce((sum, n) => sum + n, 0), worth: kept.reduce((sum, n, i) => sum + n * weightOf(i), 0),
  }
}
