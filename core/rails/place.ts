import type { ChosenParts } from '../catalogue'
import type { ArrayRules, RailWay } from '../job'
import type { RailLines, RowPlan } from '../rows'
import { railsAcross } from './across'
import { frameLines } from './frames'
import type { RailPlan } from './rail'
import { railsUp } from './up'

/** Which way the lines to be fixed run: coupled frames always along the eave. */
export const wayOf = (array: Pick<ArrayRules, 'railWay'>, { rail }: Pick<ChosenParts, 'rail'>): RailWay => rail.frame ? 'across' : array.railWay

/** A module's size square to the lines that carry it, mm, as the array has it lie. */
export const moduleAcross = (array: Pick<ArrayRules, 'railWay' | 'orientation'>, parts: Pick<ChosenParts, 'rail' | 'module'>): number =>
  (array.orientation === 'upright') === (wayOf(array, parts) === 'up') ? parts.module.shortMm : parts.module.longMm

/** The rails that carry an array's rows, or the lines of their coupled frames. */
export function placeRails(rows: RowPlan[], array: ArrayRules, parts: ChosenParts, lines: RailLines): RailPlan[] {
  if (parts.rail.frame) return frameLines(rows, parts, lines)
  return array.railWay === 'up' ? railsUp(rows, array, parts, lines) : railsAcross(rows, array, parts, lines)
}
