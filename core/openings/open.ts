import type { Closure, Mount } from '../catalogue'
import { armAtMm, battensIn, belowFirst, besideWindowMm, betweenBattens, coursesUp, type Foot, headLapMm, type Seated, seatedAt, slotHighMm, slotNeededMm, unitAt, unitsIn } from '../coverings'
import { middleOf } from '../geometry'
import { onceFor } from '../memory'
import type { Covering, Face } from '../job'
import { onFace, type RailPlan } from '../rails'
import type { StrengthLayout } from '../strength'
import { rafterAt, rafterName, type SupportsPlan } from '../supports'
import type { Cut, Opening, OpeningFault, Screw, UnitRef } from './opening'
import { sealOf } from './seal'
import { UNIT_THICK_MM } from './thickness'

/** Every fixing of a way takes the same. */
const sealOnce = onceFor((closure: Closure) => sealOf(closure))

/** A mount with the way by which it goes through. */
export type Through = Foot & { mount: Mount, closure: Closure }

/** One fixing of a rail, as an opening sees it. */
export interface ToOpen { face: Face, plan: Pick<StrengthLayout, 'rails' | 'fixings' | 'supports' | 'uses' | 'strength'>, r: number, i: number, through: Through, first: boolean }

/** The opening that one fixing makes in the covering. */
export function openingOf({ face, plan, r, i, through, first }: ToOpen): Opening {
  const { covering, outline } = face
  const { closure, mount } = through
  const rail = plan.rails[r]!
  const own = plan.fixings.rails[r]!.fixings
  const fixing = own[i]!
  const railAt = onFace(rail, fixing.atMm)
  const seated = seatedAt(covering, outline, through, railAt.yMm)
  const yMm = seated?.screwsMm ?? railAt.yMm + middleOf(closure.screwsUp)
  const plate = { xMm: plateX(plan.supports, rail, fixing.member, railAt.xMm, yMm), yMm }
  const unit = seated && unitAt(face, seated.course.number, plate.xMm)
  const exit = closure.armDownMm > 0 ? { xMm: seated ? armAtMm(covering, through, seated.course.number, plate.xMm) : plate.xMm, yMm: yMm - closure.armDownMm } : null
  const screws = screwsOf(mount, plate, plan.supports, fixing.member)
  const cut = cutOf(closure, face, seated, unit, plate, exit)
  const batten = battenMet(face, closure, seated, plate.yMm)
  const arm = armOf(closure, mount, covering, plan, r, cut)
  const flashing = flashingOf(closure, covering, seated, plate.yMm, cut)
  const faults: OpeningFault[] = [
    ...seated && !seated.fits ? ['out-of-reach' as const] : [],
    ...screws.some(screw => screw.insideMm !== null && screw.insideMm < -0.05) ? ['beside-timber' as const] : [],
    ...batten && !batten.cut ? ['batten-in-way' as const] : [],
    ...arm && (arm.clearMm <= 0 || (arm.givesMm ?? 0) > arm.clearMm) ? ['arm-bears' as const] : [],
    ...flashing?.needMm != null && flashing.headMm < flashing.needMm - 0.5 ? ['flashing-short' as const] : [],
    ...flashing && closure.way === 'lapped' && seated && flashing.footMm < seated.course.fromMm - 0.5 ? ['past-course' as const] : [],
    ...seated && besideWindowMm(covering, through, seated.course.number, plate.xMm) > 0.5 ? ['near-edge' as const] : [],
  ]
  return {
    fixingId: fixing.id, railId: rail.id, rail: rail.number, place: i + 1, of: own.length, member: fixing.member, mountId: mount.id, first, way: closure.way, closureId: closure.id,
    course: seated && { ...seated.course }, unit, railAt, plate, screws, exit, arm, flashing, batten, cut, lifted: liftedBy(closure, face, seated, plate.xMm), seal: sealOnce(closure), faults,
  }
}

/** The plate lies on its rafter where that is at its own height, which a leaning one is not under the rail. */
function plateX({ rafters }: SupportsPlan, rail: RailPlan, member: string, xMm: number, yMm: number): number {
  const rafter = rail.way === 'across' ? rafters.find(one => rafterName(one.number) === member) : undefined
  return rafter ? rafterAt(rafter, yMm) : xMm
}

/** Every screw about the plate's middle: across by its pattern, one behind the other along the rafter. */
function screwsOf({ fasteners, screw }: Mount, plate: { xMm: number, yMm: number }, supports: SupportsPlan, member: string): Screw[] {
  if (!fasteners) return []
  const rows = Math.max(1, Math.round(screw.perMount / fasteners.acrossMm.length))
  const edgeMm = fasteners.edgeDiameters * fasteners.diameterMm
  const rafter = supports.rafters.find(one => rafterName(one.number) === member)
  const across = supports.across.find(one => one.name === member)
  return Array.from({ length: rows }, (_, k) => (k - (rows - 1) / 2) * (fasteners.alongMm ?? 0)).flatMap(up => fasteners.acrossMm.map((aside): Screw => {
    // Screws one behind the other follow the timber: up the slope on a rafter, along it on a purlin.
    const [xMm, yMm] = across ? [plate.xMm + up, plate.yMm + aside] : [plate.xMm + aside, plate.yMm + up]
    const insideMm = rafter ? rafter.widthMm / 2 - edgeMm - Math.abs(xMm - rafterAt(rafter, yMm)) : across ? across.widthMm / 2 - edgeMm - Math.abs(yMm - across.centreMm) : null
    return { xMm, yMm, insideMm }
  }))
}

function cutOf(closure: Closure, face: Face, seated: Seated | null, unit: Opening['unit'], plate: { xMm: number, yMm: number }, exit: Opening['exit']): Cut | null {
  if (!closure.cutWideMm || closure.way === 'strip') return null
  const kind = closure.way === 'hook' ? 'notch' : closure.way === 'slot' ? 'slot' : closure.way === 'post' ? 'core' : 'hole'
  const highMm = kind === 'slot' && seated ? slotHighMm(closure, face.covering, seated.course) : closure.cutHighMm
  const cutUnit = kind === 'notch' && exit && seated ? unitAt(face, seated.course.number, exit.xMm) : unit
  const middleMm = exit && kind === 'notch' ? exit.xMm : cutUnit ? asideFromEdges(plate.xMm, cutUnit, closure) : plate.xMm
  return {
    kind, course: seated?.course.number ?? 0, unit: cutUnit?.number ?? null, wideMm: closure.cutWideMm, highMm, deepMm: closure.cutDeepMm, toleranceMm: closure.cutToleranceMm,
    fromLeftMm: cutUnit ? middleMm - closure.cutWideMm / 2 - cutUnit.leftMm : null,
    fromLowerMm: kind === 'notch' || !seated ? 0 : kind === 'slot' ? closure.cutUpMm : plate.yMm - highMm / 2 - seated.course.fromMm,
  }
}

/** The middle of a cut over its plate, moved aside as far as it may so that it keeps clear of the unit's edges. */
function asideFromEdges(xMm: number, { leftMm, widthMm }: NonNullable<Opening['unit']>, { cutWideMm, edgeMm, playMm }: Closure): number {
  const wanted = Math.min(Math.max(xMm, leftMm + edgeMm + cutWideMm / 2), leftMm + widthMm - edgeMm - cutWideMm / 2)
  return xMm + Math.max(-playMm, Math.min(playMm, wanted - xMm))
}

function battenMet({ covering, outline }: Face, closure: Closure, seated: Seated | null, yMm: number): Opening['batten'] {
  if (!seated || !betweenBattens(closure)) return null
  const courses = coursesUp(covering, outline)
  const half = closure.plateHighMm / 2 - 1e-6
  const [met] = battensIn(covering, [...belowFirst(covering, courses), ...courses], yMm - half, yMm + half)
  return met ? { fromMm: met.fromMm, toMm: met.toMm, cut: closure.battenCut } : null
}

/**
 * The arm over the unit below it. Its underside can be packed up to its rise above the timber; what of that the batten and the unit below
 * leave is free, and no more than its maker's own distance. The unit above rides on what of arm and distance its notch does not take.
 */
function armOf(closure: Closure, { hook }: Mount, covering: Covering, { uses }: ToOpen['plan'], r: number, cut: Cut | null): Opening['arm'] {
  if (closure.way !== 'hook' || !hook) return null
  const stackMm = 'battenDeepMm' in covering ? covering.battenDeepMm + UNIT_THICK_MM[covering.kind] : 0
  const gives = uses[r]?.shares.hook
  const clearMm = Math.min(hook.clearMm, closure.riseMm - stackMm)
  return { clearMm, givesMm: gives ? gives.value : null, ridesMm: Math.max(0, Math.max(0, clearMm) + closure.armThickMm - (cut?.deepMm ?? 0)) }
}

/** Flashing's head and foot, and how high the head has to reach: under the second course up on shingle, to the batten above on slate. */
function flashingOf(closure: Closure, covering: Covering, seated: Seated | null, yMm: number, cut: Cut | null): Opening['flashing'] {
  if (!closure.headMm) return null
  const plain = { headMm: yMm + closure.headMm, footMm: yMm - closure.footMm }
  if (!seated) return { ...plain, needMm: null, under: null }
  const { fromMm, toMm, number } = seated.course
  if (closure.way === 'lapped') return { ...plain, needMm: 2 * toMm - fromMm, under: number + 2 }
  if (closure.way === 'slot' && cut) {
    // It is slid in through its slot and goes no higher than that is open.
    const needed = slotNeededMm(closure, covering, seated.course)
    const topMm = fromMm + closure.cutUpMm + cut.highMm
    return { headMm: topMm, footMm: plain.footMm, needMm: needed === null ? null : fromMm + closure.cutUpMm + needed, under: number + 1 }
  }
  if (closure.way === 'plate') return { ...plain, needMm: toMm + (headLapMm(covering) ?? 0) / 2, under: number + 1 }
  return { ...plain, needMm: null, under: number + 1 }
}

/** Units that are lifted: its own and those beside it where it goes through the course, those of the courses above where a flashing goes under them. */
function liftedBy({ way, lifts, liftUnits, liftCourses }: Closure, face: Face, seated: Seated | null, xMm: number): UnitRef[] {
  if (!lifts || !seated) return []
  const first = seated.course.number + (way === 'lapped' || way === 'slot' ? 1 : 0)
  // As many to the left as to the right; one more on the side to which the plate is nearer.
  const besideLeft = ({ leftMm, widthMm }: { leftMm: number, widthMm: number }) => Math.floor((liftUnits - (xMm < leftMm + widthMm / 2 ? 0 : 1)) / 2)
  return Array.from({ length: liftCourses }, (_, k) => first + k).flatMap((course) => {
    const over = unitAt(face, course, xMm)
    // Where the course ends beside it there are fewer to lift.
    return over
      ? Array.from({ length: liftUnits }, (_, n): UnitRef => ({ course, unit: over.number - besideLeft(over) + n })).filter(({ unit }) => unit! >= 1 && unit! <= unitsIn(face, course))
      : Array.from({ length: liftUnits }, (): UnitRef => ({ course, unit: null }))
  })
}
