import type { ChosenParts } from '../catalogue'
import { type FixingCapacity, fixingCapacity, railStrength, type RailStrength } from '../capacity'
import type { RailJudge } from '../fixings'
import type { ArrayRules, Face } from '../job'
import { exposedModules, type FaceLoads, leverShares, type LineStretch, railLine } from '../loads'
import type { RailLimits, RailPlan } from '../rails'
import type { RowPlan } from '../rows'
import { shapeOf } from '../roof'
import { radians } from '../units'
import { narrowed, strengthBounds } from './bounds'
import { checkRail, type RailSetting } from './check'

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
    lines: linesOf(loads, rows, rails, exposed),
  }
}

function exposedOf(face: Face, loads: FaceLoads, rows: RowPlan[]): boolean[][] {
  const ridge = shapeOf(face.outline).edges.some(edge => edge.kind === 'ridge')
  return exposedModules(rows, { shape: shapeOf(face.outline), heightMm: loads.building.meanHeightMm, flat: Math.cos(radians(face.pitchDeg)), beyondRidgeMm: ridge && loads.building.form !== 'monopitch' ? loads.building.widthMm / 2 : 0 })
}

/** The modules a rail carries, left to right. */
export const modulesOn = (rail: RailPlan, row: RowPlan): { fromMm: number, toMm: number }[] =>
  row.moduleLeftsMm.map(leftMm => ({ fromMm: leftMm, toMm: leftMm + row.moduleWidthMm })).filter(one => one.fromMm >= rail.leftMm - 1 && one.toMm <= rail.rightMm + 1)

function linesOf(loads: FaceLoads, rows: RowPlan[], rails: RailPlan[], exposed: boolean[][]): LineStretch[][] {
  return rails.map((rail) => {
    const row = rows[rail.row]!
    const pair = rails.filter(one => one.row === rail.row && one.leftMm === rail.leftMm)
    const at = (side: RailPlan['side']) => (pair.find(one => one.side === side) ?? rail).yMm - row.bottomMm
    const shares = leverShares(at('lower'), at('upper'), row.moduleHeightMm)
    const middle = (row.bottomMm + row.topMm) / 2
    const modules = modulesOn(rail, row).map(one => ({ ...one, exposed: exposed[rail.row]![row.moduleLeftsMm.findIndex(left => Math.abs(left - one.fromMm) < 1)] ?? false }))
    return railLine(loads, {
      modules, widthMm: row.moduleHeightMm, share: rail.side === 'lower' ? shares.low : shares.high,
      band: rail.side === 'lower' ? { fromMm: row.bottomMm, toMm: middle } : { fromMm: middle, toMm: row.topMm },
    })
  })
}

/** All that one rail is checked with. */
export function settingOf(face: FaceStrength, r: number, rail: RailPlan, row: RowPlan, parts: ChosenParts, array: Pick<ArrayRules, 'deflectionOver' | 'loadPath'>): RailSetting {
  return {
    fromMm: rail.fromMm, toMm: rail.toMm, reach: { fromMm: rail.leftMm, toMm: rail.rightMm }, line: face.lines[r]!, modules: modulesOn(rail, row),
    loads: face.loads, section: parts.rail.section, strength: face.strength, capacity: face.capacity, deflectionOver: array.deflectionOver, loadPath: array.loadPath,
  }
}

/** Stands for a rail that can't stand at all. */
const CHAIN = 99

/** Judges a whole rail by all its checks; the same fixings are checked once. */
export function judgeOf(setting: RailSetting, limits: Pick<RailLimits, 'maxSpanMm' | 'maxOverhangMm'>): RailJudge {
  const bounds = strengthBounds(setting)
  const known = new Map<string, number>()
  return {
    key: JSON.stringify([setting.line.map(({ fromMm, toMm, railUp, railDown, fixingUp, fixingDown, dead, snow }) => [fromMm, toMm, railUp, railDown, fixingUp, fixingDown, dead, snow]), setting.fromMm, setting.toMm, setting.loadPath === 'clamps' ? setting.modules : null]),
    rules: narrowed(limits, bounds), atLeast: bounds.fixings,
    worst: (xs) => {
      const key = xs.join()
      const ready = known.get(key)
      if (ready !== undefined) return ready
      const worst = checkRail(setting, xs, [], true)?.worst ?? CHAIN
      known.set(key, worst)
      return worst
    },
  }
}
