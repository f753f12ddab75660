import type { ChosenParts, Rail } from '../catalogue'
import { fixingCapacity, railStrength } from '../capacity'
import type { Face } from '../job'
import { EXPOSED_FACTOR, type FaceLoads, type LineStretch } from '../loads'
import { moduleAcross, wayOf } from '../rails'
import { radians } from '../units'
import { type CheckKind, checkRail } from './check'
import type { RailSetting } from './setting'

/** The greatest equal span of one rail in one zone, and what stops it from being more. */
export interface SpanCell {
  railId: string
  spanMm: number
  governs: CheckKind | 'greatest by the maker'
  /** The greatest span that each check by itself would allow, mm. */
  byCheck: Partial<Record<CheckKind, number>>
}
export interface SpanRow { zone: string, exposed: boolean, upPa: number, downPa: number, cells: SpanCell[] }

/** Spans are looked for between these, mm. */
const SHORTEST_MM = 100
const LONGEST_MM = 8000
const PRECISION_MM = 0.5

/** A line of one zone's load as long as three spans. */
function lineIn(loads: FaceLoads, zone: string, exposed: boolean, widthMm: number, lengthMm: number): LineStretch[] {
  const bearsMm = widthMm / 2
  const perPa = 1e-6 * bearsMm
  const angle = radians(loads.pitchDeg)
  return [{
    fromMm: 0, toMm: lengthMm, exposed, strips: [{ zones: [zone], gust: exposed ? EXPOSED_FACTOR : 1, bearsMm }], modulePa: { upPa: 0, downPa: 0 },
    dead: loads.deadPa * Math.cos(angle) * perPa, snow: loads.snow.uniformPa * Math.cos(angle) ** 2 * perPa, drift: (loads.snow.drift?.pa ?? 0) * Math.cos(angle) ** 2 * perPa,
  }]
}

/** Greatest span at which a share stays inside what is allowed; all checks grow with the span. */
function greatest(shareAt: (spanMm: number) => number): number {
  if (shareAt(LONGEST_MM) <= 1) return LONGEST_MM
  if (shareAt(SHORTEST_MM) > 1) return 0
  let [low, high] = [SHORTEST_MM, LONGEST_MM]
  while (high - low > PRECISION_MM) {
    const middle = (low + high) / 2
    if (shareAt(middle) <= 1) low = middle
    else high = middle
  }
  return low
}

/**
 * Span table of a face: for every zone drawn on it and every rail, the greatest span of a rail over three equal spans without
 * overhangs that carries half a module, each span under its own area's wind, with the drift of unbalanced snow where there is one. The real rails are checked with their own spans; this is for choosing.
 */
export function spanTable(face: Face, loads: FaceLoads, parts: ChosenParts, rails: Rail[], exposed: boolean): SpanRow[] {
  const up = wayOf(face.array, parts) === 'up'
  const widthMm = moduleAcross(face.array, parts)
  const zones = [...new Set(loads.wind.sets.flatMap(set => set.zones.map(zone => zone.name)))].filter(zone => loads.onModule[zone]).sort()
  const capacity = fixingCapacity(parts.mount, face, face.array, loads.format)
  return zones.flatMap(zone => (exposed ? [false, true] : [false]).map((isExposed): SpanRow => ({
    zone, exposed: isExposed, upPa: loads.onModule[zone]!.upPa * (isExposed ? EXPOSED_FACTOR : 1), downPa: loads.onModule[zone]!.downPa,
    cells: rails.map((rail): SpanCell => {
      const useAt = (spanMm: number) => {
        const lengthMm = 3 * spanMm
        const setting: RailSetting = {
          fromMm: 0, toMm: lengthMm, reach: {
            fromMm: 0,
            toMm: lengthMm,
          }, line: lineIn(loads, zone, isExposed, widthMm, lengthMm), modules: [], couplers: [], slope: rail.frame ? 'by-modules' : up ? 'along' : 'across', loads, section: rail.section,
          strength: railStrength(rail, loads.format), capacity, deflectionOver: face.array.deflectionOver, loadPath: 'line',
        }
        return checkRail(setting, [0, spanMm, 2 * spanMm, lengthMm])!
      }
      const known = new Map<number, ReturnType<typeof useAt>>()
      const at = (spanMm: number) => known.get(spanMm) ?? known.set(spanMm, useAt(spanMm)).get(spanMm)!
      const kinds = Object.keys(at(SHORTEST_MM).shares) as CheckKind[]
      const byCheck = Object.fromEntries(kinds.map(kind => [kind, greatest(spanMm => at(spanMm).shares[kind]?.share ?? 0)])) as Partial<Record<CheckKind, number>>
      const [governs, spanMm] = (Object.entries(byCheck) as [CheckKind, number][]).reduce((a, b) => b[1] < a[1] ? b : a)
      return rail.greatestSpanMm <= spanMm
        ? {
            railId: rail.id,
            spanMm: rail.greatestSpanMm,
            governs: 'greatest by the maker',
            byCheck,
          }
        : { railId: rail.id, spanMm, governs, byCheck }
    }),
  })))
}
