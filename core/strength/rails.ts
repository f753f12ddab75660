import type { ChosenParts } from '../catalogue'
import { type FixingCapacity, fixingCapacity, railStrength, type RailStrength } from '../capacity'
import type { RailJudge } from '../fixings'
import type { ArrayRules, Face } from '../job'
import { exposedModules, type FaceLoads, type LineStretch, railLine, type RailStrip } from '../loads'
import type { RailLimits, RailPlan } from '../rails'
import type { RowPlan } from '../rows'
import { shapeOf } from '../roof'
import { radians } from '../units'
import { narrowed, strengthBounds } from './bounds'
import { checkRail } from './check'
import { relaxedRail } from './relaxed'
import type { RailSetting } from './setting'

/** What one face's rails are checked with: plain data, from which the checks can be made again anywhere. */
export interface FaceStrength {
  loads: FaceLoads
  strength: RailStrength
  capacity: FixingCapacity
  /** Loads along each rail, by its place in the list. */
  lines: LineStretch[][]
  /** For each row, for each of its modules from the left, whether it is exposed. */
  exposed: boolean[][]
}

/** Loads along every rail, and what rails and fixings bear. */
export function faceStrength(face: Face, loads: FaceLoads, parts: ChosenParts, rows: RowPlan[], rails: RailPlan[]): FaceStrength {
  const exposed = loads.exposure ? exposedOf(face, loads, rows) : rows.map(row => row.moduleLeftsMm.map(() => false))
  return {
    loads, exposed, strength: railStrength(parts.rail, loads.format), capacity: fixingCapacity(parts.mount, face, face.array, loads.format),
    lines: rails.map(rail => railLine(loads, stripsOf(rail, exposed), rail.way)),
  }
}

function exposedOf(face: Face, loads: FaceLoads, rows: RowPlan[]): boolean[][] {
  const ridge = shapeOf(face.outline).edges.some(edge => edge.kind === 'ridge')
  return exposedModules(rows, {
    shape: shapeOf(face.outline),
    heightMm: loads.building.meanHeightMm,
    flat: Math.cos(radians(face.pitchDeg)),
    beyondRidgeMm: ridge && loads.building.form !== 'monopitch' ? loads.building.widthMm / 2 : 0,
  })
}

/** The strips of modules that load a rail: one, or that of each row where a line of frames holds two. */
function stripsOf({ carries }: RailPlan, exposed: boolean[][]): RailStrip[] {
  const bands = new Map<number, RailStrip>()
  for (const { row, module, fromMm, toMm, band, bearsMm } of carries) {
    const strip = bands.get(band.fromMm) ?? { band, bearsMm, modules: [] }
    bands.set(band.fromMm, strip)
    strip.modules.push({ fromMm, toMm, exposed: exposed[row]![module] ?? false })
  }
  return [...bands.values()]
}

/** All that one rail is checked with. */
export function settingOf(face: FaceStrength, r: number, rail: RailPlan, { rail: {
  section,
  splice,
  frame,
} }: Pick<ChosenParts, 'rail'>, array: Pick<ArrayRules, 'deflectionOver' | 'loadPath'>): RailSetting {
  return {
    fromMm: rail.fromMm, toMm: rail.toMm, reach: rail.reach, line: face.lines[r]!, modules: rail.carries,
    couplers: splice.continuity === 'full' ? [] : rail.couplers.map(xMm => ({ xMm, stiffness: 0 })), slope: frame ? 'by-modules' : rail.way === 'up' ? 'along' : 'across',
    loads: face.loads, section, strength: face.strength, capacity: face.capacity, deflectionOver: array.deflectionOver, loadPath: array.loadPath,
  }
}

/** Stands for a rail that can't stand at all. */
const CHAIN = 99

/** Judges a whole rail by all its checks; the same fixings are checked once. */
export function judgeOf(setting: RailSetting, limits: Pick<RailLimits, 'maxSpanMm' | 'maxOverhangMm'>): RailJudge {
  const bounds = strengthBounds(setting, limits)
  const known = new Map<string, number>()
  return {
    key: JSON.stringify([setting.line, setting.fromMm, setting.toMm, setting.loadPath === 'clamps' ? setting.modules : null, setting.couplers, setting.slope]),
    rules: narrowed(limits, bounds), atLeast: Math.max(bounds.fixings, setting.couplers.length + 2),
    worst: (xs) => {
      const key = xs.join()
      const ready = known.get(key)
      if (ready !== undefined) return ready
      const worst = checkRail(setting, xs, [], { quick: true })?.worst ?? CHAIN
      known.set(key, worst)
      return worst
    },
    relaxed: (xs, steps, most) => relaxedRail(setting, xs, steps, most, limits.maxSpanMm), byCount: setting.slope === 'along',
  }
}
