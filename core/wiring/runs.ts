import { type ConductorSize, isAwg } from '../catalogue'
import type { Face, Job } from '../job'
import { current, length, share, voltage } from '../units'
import type { Working } from '../working'
import { ampacity, type Around, type Carried, carries, ohmsPerMm, roofAdderC, runDropV, sizesOf } from '../electrical'
import { HOME_LOOSE_MM, homeRoute } from './home'
import type { Drop, HomeRun } from './layout'
import { type RoofPlace, wayMm } from './modules'
import type { WireRules } from './settings'

/** What home runs are laid by: where they end, what lies round them, and the rails that carry them. */
export interface RunGround {
  job: Job
  rules: WireRules
  roofBox: RoofPlace
  /** Conductors that carry current side by side where home runs come home. */
  together: number
  railsAt: Map<string, number[]>
  faces: Map<string, Face>
  /** The house's own direction, by which cable goes from face to face. */
  azimuthDeg: number
}

export const aroundOf = ({ job: { wiring }, rules, together }: RunGround): Around =>
  ({ airC: rules.hotC, adderC: roofAdderC(wiring.overRoofMm, wiring.insulation, wiring.heightTable), together: wiring.together ?? together })

/** The way home from a place: on the roof box's own face round what stands there, else to it over the house. */
export function wayHome(from: RoofPlace, { roofBox, railsAt, faces, azimuthDeg }: RunGround): { points: HomeRun['points'], mm: number } {
  if (from.faceId === roofBox.faceId) {
    const route = homeRoute(faces.get(from.faceId)!, from.at, roofBox.at, railsAt.get(from.faceId) ?? [])
    return { points: route.points, mm: route.mm + HOME_LOOSE_MM }
  }
  return { points: [from.at], mm: wayMm(from, roofBox, azimuthDeg) + HOME_LOOSE_MM }
}

/**
 * The thinnest conductor that carries a current and keeps within the volts left to it; where none keeps within them, the thinnest that carries
 * it: the volts are said, and copper would not mend them. `carries` is false where none does.
 */
export function homeSize(ground: RunGround, carried: Carried, withinV: (size: ConductorSize) => boolean): { size: ConductorSize, carries: boolean } {
  const around = aroundOf(ground)
  const { homeSize: chosen } = ground.job.wiring
  if (chosen !== null) return { size: chosen, carries: carries(chosen, carried, around) }
  const sizes = sizesOf(ground.rules.us)
  const able = sizes.filter(size => carries(size, carried, around))
  return { size: able.find(withinV) ?? able[0] ?? sizes.at(-1)!, carries: able.length > 0 }
}

/** How a conductor was found to carry what it has to. */
export function carryWorking(what: string, size: ConductorSize, { terminalA, afterA, deviceA }: Carried, ground: RunGround): Working {
  const around = aroundOf(ground)
  const us = isAwg(size)
  return {
    what, formula: us ? 'table × heat × company ≥ Ia; table at 75 °C ≥ It' : 'table × heat × company ≥ In',
    values: [
      { symbol: 'It', what: 'before anything is taken off', value: current(terminalA) },
      { symbol: 'Ia', what: 'after heat and company', value: current(afterA) },
      { symbol: 'T', what: `air ${around.airC} °C${around.adderC ? ` and ${around.adderC} °C of the roof` : ''}`, value: { kind: 'temperature', c: around.airC + around.adderC } },
      { symbol: 'n', what: 'conductors that carry current side by side', value: { kind: 'count', n: around.together, of: 'conductors' } },
      ...deviceA === null ? [] : [{ symbol: 'In', what: 'its device', value: current(deviceA) }],
    ],
    result: { kind: 'words', text: `${size}, carries ${ampacity(size, around).toFixed(1)} A there` },
    source: us ? 'NEC 690.8(B), tables 310.16 and 310.15(B)(1), (C)(1), from memory' : 'EN 50618 tables A.3 and A.4; IEC 60364-5-52 table B.52.17, from memory', basis: 'code',
  }
}

/** Adds up volts lost against the job's one budget. */
export const dropOf = (parts: Drop['parts'], ofV: number, limit: number): Drop => {
  const volts = parts.reduce((sum, one) => sum + one.volts, 0)
  return { parts, volts, ofV, share: volts / ofV, limit }
}

export const dropWorking = (what: string, drop: Drop, formula: string, source: string): Working => ({
  what, formula,
  values: [...drop.parts.map(({ what: of, volts }, i) => ({ symbol: `U${i + 1}`, what: `${of}: ${(100 * volts / drop.ofV).toFixed(2)} %`, value: voltage(volts) })), { symbol: 'U', what: 'of', value: voltage(drop.ofV) }, { symbol: 'b', what: 'the budget', value: share(drop.limit) }],
  result: { kind: 'words', text: `${drop.volts.toFixed(2)} V, ${(100 * drop.share).toFixed(2)} %` }, source, basis: 'code',
})

/**
 * Volts of the runs below the roof box, where somebody has only said how long they are: of branches with what all of them send down, of a string
 * with its own current on the way to its inverter. Once they are planned from box to box, `core/ground` reckons them and judges the whole.
 */
export const belowV = ({ job: { wiring, ground } }: Pick<RunGround, 'job'>, amps: number, as: 'dc' | 'ac-raceway'): Drop['parts'] =>
  wiring.below && !ground ? [{ what: 'runs below the roof box', volts: runDropV(wiring.below.mm, ohmsPerMm(wiring.below.size, as), amps) }] : []

export const homeLengthWorking = (home: HomeRun): Working => ({ what: 'Length of the home run', formula: 'way along rails and up the slope + loops', values: [{ symbol: 'l', what: 'loops at both ends, common practice', value: length(HOME_LOOSE_MM) }], result: length(home.mm), source: 'Shortest way round what stands on the face', basis: 'arithmetic' })
