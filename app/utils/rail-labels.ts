import { formatUse } from '#core/capacity'
import type { FacePlan } from '#core/plan'
import { onFace } from '#core/rails'
import { type Ref as FaceRef, sameRef } from '#core/trade'
import type { UnitSystem } from '#core/units'
import type { FaceScale } from '../composables/useFaceScale'

/** A box on the screen, px. */
export interface Box { left: number, right: number, top: number, bottom: number }

export const overlap = (a: Box, b: Box): boolean => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom

/** Size of a letter of the percentages, and how wide and high its figures are, px. */
export const USE_FONT = 13
const USE_LETTER = 7.6
/** Size of a letter of the dimensions, px. */
export const SPAN_FONT = 11

/** One span or overhang of the held rail: from and to along its run, px. Its figure is left out where it does not fit between its ticks. */
export interface Dimension { mm: number, from: number, to: number, y: number, bad: boolean, box: Box | null }
/** How far one fixing is used, beside its cross. */
export interface UseLabel { id: string, text: string, x: number, y: number, anchor: 'start' | 'middle' | 'end', box: Box }
export interface RailLabels { turned: boolean, dimensions: Dimension[], uses: UseLabel[] }

/**
 * What is written along the rail that is held: its spans and overhangs on one side, on the other how far each fixing is used.
 * No figure lies on another: a dimension that finds no room between its ticks, and a percentage that would lie on one before it, are left out;
 * the slip has them all.
 */
export function railLabels(plan: FacePlan, scale: FaceScale, selection: FaceRef, units: UnitSystem, showsUse: boolean): RailLabels {
  const r = plan.rails.findIndex(rail => sameRef(selection, { kind: 'rail', id: rail.id }))
  const rail = plan.rails[r]
  if (!rail) return { turned: false, dimensions: [], uses: [] }
  const turned = rail.way === 'up'
  const own = plan.fixings.rails[r]!.fixings
  const places = [rail.reach.fromMm, ...own.map(fixing => fixing.atMm), rail.reach.toMm]
  const run = (mm: number) => turned ? -scale.y(mm) : scale.x(mm)
  const beside = rail.side === 'upper' || rail.side === 'right' ? -19 : 19
  const y = (turned ? scale.x(rail.lineMm) : scale.y(rail.lineMm)) + beside
  const dimensions = places.slice(1).map((mm, i): Dimension => {
    const lengthMm = mm - places[i]!
    const limit = i === 0 || i === places.length - 2 ? plan.limits.maxOverhangMm : plan.limits.maxSpanMm
    const [from, to] = [run(places[i]!), run(mm)]
    const wide = runsWidth(lengthRuns(lengthMm, units), SPAN_FONT) + 8
    const middle = (from + to) / 2
    const along = { from: middle - wide / 2, to: middle + wide / 2 }
    const box = turned ? { left: y - 8.5, right: y + 7.5, top: -along.to, bottom: -along.from } : { left: along.from, right: along.to, top: y - 8.5, bottom: y + 7.5 }
    return { mm: lengthMm, from, to, y, bad: lengthMm > limit + 0.01, box: Math.abs(to - from) > wide + 2 ? box : null }
  }).filter(one => one.mm > 0.5)

  const taken = dimensions.flatMap(one => one.box ? [one.box] : [])
  const uses = !showsUse
    ? []
    : own.flatMap((fixing, i): UseLabel[] => {
        const use = plan.uses[r]?.fixings[i]?.worst
        if (use === undefined) return []
        const at = onFace(rail, fixing.atMm)
        const [x, middle] = [scale.x(at.xMm), scale.y(at.yMm)]
        const text = formatUse(use, 'none')
        const wide = text.length * USE_LETTER
        const label = turned
          ? { x: x + (rail.side === 'left' ? -12 : 19), y: middle + 5, anchor: rail.side === 'left' ? 'end' as const : 'start' as const }
          : { x: x + 3, y: middle + (rail.side === 'upper' ? 24 : -16), anchor: 'middle' as const }
        const left = label.anchor === 'end' ? label.x - wide : label.anchor === 'start' ? label.x : label.x - wide / 2
        const box = { left, right: left + wide, top: label.y - 13, bottom: label.y + 4 }
        if (taken.some(one => overlap(one, box))) return []
        taken.push(box)
        return [{ id: fixing.id, text, ...label, box }]
      })
  return { turned, dimensions, uses }
}

/** All that is taken by what is written along the held rail. */
export const labelBoxes = ({ dimensions, uses }: RailLabels): Box[] => [...dimensions.flatMap(one => one.box ? [one.box] : []), ...uses.map(one => one.box)]
