import { type Interval, middleOf, subtract } from '../geometry'
import type { InRoofLayout } from '../inroof'
import type { WiredModule } from './modules'

/** What stands in the way of a unit on a line, mm along it: from its middle to either side, without the unit's own half. */
const FIXING_MM = 60
const BOX_MM = 55
/** A module's edge stays clear by this, so that the first edge of a unit is an inch in at the least (common practice). */
export const EDGE_IN_MM = 25.4
/** On a frame, from the frame's upper edge to the unit (common practice). */
const UNDER_FRAME_MM = 30

/** Something that a unit could be bolted to under one module: a rail, or its frame. */
export interface Carrier { railId: string | null, side: 'upper' | 'lower' | 'left' | 'right' | 'frame', along: 'x' | 'y', lineMm: number, /** Where a unit's middle may be before anything stands in its way. */ span: Interval, taken: { atMm: number, halfMm: number, what: 'fixing' | 'splice' }[] }

/** The lines under a module, with fixings and splices that stand on them; on the frame where there is no rail, or where the unit wants it. */
export function carriersUnder(module: WiredModule, plan: Pick<InRoofLayout, 'rails' | 'fixings' | 'sticks' | 'parts' | 'inRoof'>, onFrame: boolean, halfMm: number, highMm: number): Carrier[] {
  const rails = onFrame || plan.parts.rail.frame || plan.inRoof ? [] : plan.rails.flatMap((rail, r) => rail.carries.some(one => one.row === module.row && one.module === module.place) ? [{ rail, r }] : [])
  const [from, to] = [halfMm + EDGE_IN_MM, -halfMm - EDGE_IN_MM]
  if (!rails.length) return [{ railId: null, side: 'frame', along: 'x', lineMm: module.bottomMm + module.heightMm - UNDER_FRAME_MM - highMm / 2, span: { fromMm: module.leftMm + from, toMm: module.leftMm + module.widthMm + to }, taken: [] }]
  return rails.map(({ rail, r }): Carrier => {
    const along = rail.way === 'across' ? 'x' as const : 'y' as const
    const [low, long] = along === 'x' ? [module.leftMm, module.widthMm] : [module.bottomMm, module.heightMm]
    return {
      railId: rail.id, side: rail.side as Carrier['side'], along, lineMm: rail.lineMm, span: { fromMm: low + from, toMm: low + long + to },
      taken: [
        ...(plan.fixings.rails[r]?.fixings ?? []).map(({ atMm }) => ({ atMm, halfMm: FIXING_MM, what: 'fixing' as const })),
        ...plan.sticks.splices.filter(one => one.railId === rail.id).map(({ atMm }) => ({ atMm, halfMm: plan.parts.rail.splice.barMm / 2, what: 'splice' as const })),
      ],
    }
  })
}

/** Where on a carrier a unit's middle may stand: inside the module by an inch, clear of fixings and splices, and not under its junction boxes. */
export function freeOn({ along, lineMm, span, taken }: Carrier, module: WiredModule, unit: { halfMm: number, highMm: number }): Interval[] {
  if (span.toMm < span.fromMm) return []
  const boxes = [module.plus, module.minus, ...module.box ? [{ at: module.box }] : []].filter(({ at }) => module.box && Math.abs((along === 'x' ? at.y : at.x) - lineMm) < unit.highMm / 2 + BOX_MM)
  const open = (atMm: number, halfMm: number) => ({ fromMm: atMm - halfMm - unit.halfMm, toMm: atMm + halfMm + unit.halfMm })
  return subtract(span, [...taken.map(one => open(one.atMm, one.halfMm)), ...boxes.map(({ at }) => open(along === 'x' ? at.x : at.y, BOX_MM))])
}

export const middleOfSpan = ({ span }: Carrier): number => middleOf(span)
