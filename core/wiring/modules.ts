import type { Module, Plate } from '../catalogue'
import type { Point } from '../geometry'
import type { Face, Orientation } from '../job'
import { toPlan } from '../roof'
import { moduleId } from '../rows'
import type { InRoofLayout } from '../inroof'
import { radians } from '../units'

/** A place on one of the roof's faces, mm, and in space: east, north and up from the job's own origin. */
export interface RoofPlace { faceId: string, at: Point, space: [number, number, number] }

/** A module as wires see it. */
export interface WiredModule {
  faceId: string
  id: string
  /** Its row on its face and its place in it, both 0 first. */
  row: number
  place: number
  orientation: Orientation
  moduleId: string
  leftMm: number
  bottomMm: number
  widthMm: number
  heightMm: number
  middle: RoofPlace
  /** Where its + and its - lead leave the junction box. */
  plus: RoofPlace
  minus: RoofPlace
  /** Middle of the junction box, whose height stands in the way of a unit; null where nobody has said where it is. */
  box: Point | null
  leadMm: number | null
  plate: Plate | null
  powerW: number
  plugs: string | null
  inRoof: boolean
}

export const placeOn = (face: Face, at: Point): RoofPlace => {
  const plan = toPlan(face, at)
  return { faceId: face.id, at, space: [plan.x, plan.y, face.place.eaveHeightMm + at.y * Math.sin(radians(face.pitchDeg))] }
}

/**
 * The way of a cable from one place to another, mm: on a face along the eave and up the slope, as rails and frames carry it; from face to face
 * by the house's own three directions, which a cable that is kept to edges does not exceed.
 * @param azimuthDeg direction of the house, of the first face
 */
export function wayMm(a: RoofPlace, b: RoofPlace, azimuthDeg: number): number {
  if (a.faceId === b.faceId) return Math.abs(a.at.x - b.at.x) + Math.abs(a.at.y - b.at.y)
  const [east, north, up] = [b.space[0] - a.space[0], b.space[1] - a.space[1], b.space[2] - a.space[2]]
  const [sin, cos] = [Math.sin(radians(azimuthDeg)), Math.cos(radians(azimuthDeg))]
  return Math.abs(east * cos - north * sin) + Math.abs(east * sin + north * cos) + Math.abs(up)
}

/** Modules of a face, row by row from the eave and left to right. */
export function modulesOn(face: Face, { rows, parts, inRoof }: Pick<InRoofLayout, 'rows' | 'parts' | 'inRoof'>): WiredModule[] {
  return rows.rows.flatMap(row => row.moduleLeftsMm.map((leftMm, place): WiredModule => {
    const { module } = parts
    const { moduleWidthMm: widthMm, moduleHeightMm: heightMm, bottomMm } = row
    const on = (point: Point) => placeOn(face, point)
    const middle = { x: leftMm + widthMm / 2, y: bottomMm + heightMm / 2 }
    const exits = exitsOf(module, row.orientation, { leftMm, bottomMm, widthMm, heightMm })
    return {
      faceId: face.id, id: moduleId(row.index, place), row: row.index, place, orientation: row.orientation, moduleId: module.id, leftMm, bottomMm, widthMm, heightMm,
      middle: on(middle), plus: on(exits?.plus ?? middle), minus: on(exits?.minus ?? middle), box: exits?.box ?? null,
      leadMm: module.leadMm, plate: module.plate, powerW: module.powerW, plugs: module.plugs, inRoof: inRoof !== null,
    }
  }))
}

/** Where the leads leave, with the module's label end up the slope, or to the left where it lies on its side (common practice). */
function exitsOf({ junctionBox }: Module, orientation: Orientation, { leftMm, bottomMm, widthMm, heightMm }: { leftMm: number, bottomMm: number, widthMm: number, heightMm: number }): { box: Point, plus: Point, minus: Point } | null {
  if (!junctionBox) return null
  const { fromEndMm, fromMiddleMm, leadsApartMm } = junctionBox
  const half = (leadsApartMm ?? 0) / 2
  // Along the long side from its label end, across the short one from its middle, to the right seen with the label up.
  const at = (acrossMm: number): Point => orientation === 'upright'
    ? { x: leftMm + widthMm / 2 + acrossMm, y: bottomMm + heightMm - fromEndMm }
    : { x: leftMm + fromEndMm, y: bottomMm + heightMm / 2 + acrossMm }
  return { box: at(fromMiddleMm), plus: at(fromMiddleMm + half), minus: at(fromMiddleMm - half) }
}
