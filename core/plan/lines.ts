import { type Catalogue, chooseParts, type ChosenParts, type Mount } from '../catalogue'
import { allowedRailLines, fixedScrewsUp, type Foot, footOf } from '../coverings'
import type { Region } from '../geometry'
import type { Face } from '../job'
import { wayOf } from '../rails'
import { shapeOf } from '../roof'
import { setOutFace, type SetOutFace, systemOf } from '../inroof'
import { fillRows, heightsByLines, type RailLines, type RowHeights, type RowsPlan } from '../rows'
import { supportSystem, type SupportsPlan } from '../supports'

/** The mount with which the first few fixings are opened; null where all are alike. */
export function firstFootOf(face: Pick<Face, 'covering' | 'array'>, { mounts }: Pick<Catalogue, 'mounts'>): Foot & { mount: Mount } | null {
  const { openFirst } = face.array
  const mount = openFirst && mounts.find(one => one.id === openFirst.mountId)
  return mount ? footOf(face, mount, null) : null
}

/** Lines on which a face's rails may run, by its covering and its supports. */
export function linesOn(face: Face, parts: ChosenParts, catalogue: Pick<Catalogue, 'mounts'>, supports: SupportsPlan): RailLines {
  const first = firstFootOf(face, catalogue)
  return { covering: allowedRailLines(face.covering, face.outline, [footOf(face, parts.mount), ...first ? [first] : []], wayOf(face.array, parts)), supports: supports.railLines }
}

/** Heights at which a face's rows may stand; coupled frames keep the kit's own gap. */
export const rowHeightsOn = (face: Face, parts: ChosenParts, lines: RailLines): RowHeights | null =>
  parts.rail.frame ? null : heightsByLines(parts, face.array, lines, shapeOf(face.outline).up)

/** The same from nothing but the face. */
export function rowHeightsOf(face: Face, catalogue: Catalogue): RowHeights | null {
  const parts = chooseParts(catalogue, face.array)
  const { plan } = supportSystem(face, parts.mount, wayOf(face.array, parts), fixedScrewsUp(footOf(face, parts.mount)))
  return rowHeightsOn(face, parts, linesOn(face, parts, catalogue, plan))
}

/** Where an array that takes the covering's place stands; null for one on rails. */
export function inRoofOn(face: Face, region: Region, { module }: Pick<ChosenParts, 'module'>, catalogue: Catalogue, most: number | null): SetOutFace | null {
  const system = systemOf(face, catalogue)
  return system && setOutFace({ face, region, module, system, most })
}

/** Rows of modules on a face, on rails or in the roof. */
export const rowsOn = (face: Face, region: Region, parts: ChosenParts, catalogue: Catalogue, most: number | null): RowsPlan =>
  inRoofOn(face, region, parts, catalogue, most)?.rows ?? fillRows(region, face.array, parts, most, rowHeightsOf(face, catalogue))
