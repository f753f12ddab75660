import type { EnSnow, LoadRules, UsSnow } from '../job'
import { BALANCED_SNOW } from './names'
import { factor, pressure, words } from '../units'
import type { Working } from '../working'
import type { Building } from './building'
import { leastRoofSnow } from './least-snow'
import { type SnowDrift, unbalancedSnow } from './unbalanced-snow'

/**
 * Roof slope factor Cs of ASCE 7 figure 7-2 (7.4-1 in later editions), from memory: 1 up to an angle that depends on
 * warmth and slipperiness, then straight to 0 at 70°. Slippery curves only where nothing keeps the snow from sliding off.
 * @param ct thermal factor: up to 1.0 a warm roof, 1.1 a cold one, 1.2 an unheated or vented one
 */
export function roofSlopeFactor(pitchDeg: number, ct: number, slippery: boolean): number {
  const warm = ct < 1.05
  const cold = ct >= 1.15
  const from = slippery ? (warm ? 5 : cold ? 15 : 10) : (warm ? 30 : cold ? 45 : 37.5)
  return Math.max(0, Math.min(1, (70 - pitchDeg) / (70 - from)))
}

/** Shape coefficient μ1 of EN 1991-1-3 table 5.2; not under 0.8 where the snow can't slide off. */
export function shapeCoefficient(pitchDeg: number, held: boolean): number {
  const mu = pitchDeg <= 30 ? 0.8 : pitchDeg >= 60 ? 0 : 0.8 * (60 - pitchDeg) / 30
  return held ? Math.max(0.8, mu) : mu
}

/** All snow on one face, Pa of plan area. */
export interface RoofSnow {
  /** The greatest uniform snow of all cases: balanced, least on a low roof, unbalanced on a narrow one. */
  uniformPa: number
  balancedPa: number
  /** With the balanced snow, on top of it; null where unbalanced snow is uniform or none is asked for. */
  drift: SnowDrift | null
  /** What keeps unbalanced snow from being known, in sentences. */
  unknown: string[]
  workings: Working[]
}

/** Snow on a face by every case of the job's rules. */
export function roofSnow(rules: LoadRules, pitchDeg: number, building: Building): RoofSnow {
  const balanced = balancedSnow(rules, pitchDeg)
  const least = leastRoofSnow(rules, pitchDeg)
  const unbalanced = unbalancedSnow(rules, pitchDeg, building, balanced.pa)
  return {
    uniformPa: Math.max(balanced.pa, least?.pa ?? 0, unbalanced.uniformPa ?? 0), balancedPa: balanced.pa, drift: unbalanced.drift, unknown: unbalanced.unknown,
    workings: [...(balanced.working ? [balanced.working] : []), ...(least ? [least.working] : []), ...unbalanced.workings],
  }
}

/** Balanced snow on the roof, Pa of plan area; 0 where nobody has said what loads it. */
export function balancedSnow(rules: LoadRules, pitchDeg: number): { pa: number, working: Working | null } {
  switch (rules.edition) {
    case 'none': return { pa: 0, working: null }
    case 'en': return enRoofSnow(rules.snow, pitchDeg)
    case 'us-2022': return usRoofSnow(rules.snow, null, pitchDeg)
    default: return usRoofSnow(rules.snow, rules.snow.importance, pitchDeg)
  }
}

/** The 2022 edition's ground snow is at strength level and has no importance factor: null. */
function usRoofSnow({ groundPa, ce, ct, slippery }: UsSnow, importance: number | null, pitchDeg: number) {
  const cs = roofSlopeFactor(pitchDeg, ct, slippery)
  const pa = 0.7 * ce * ct * (importance ?? 1) * groundPa * cs
  return {
    pa, working: {
      what: BALANCED_SNOW, formula: importance === null ? 'ps = 0.7 Cs Ce Ct pg' : 'ps = 0.7 Cs Ce Ct Is pg',
      values: [
        { symbol: 'pg', what: importance === null ? 'ground snow, strength level' : 'ground snow', value: pressure(groundPa) },
        { symbol: 'Ce', what: 'exposure', value: factor(ce) }, { symbol: 'Ct', what: 'thermal', value: factor(ct) },
        ...(importance === null ? [] : [{ symbol: 'Is', what: 'importance', value: factor(importance) }]),
        { symbol: 'Cs', what: `slope factor, ${slippery ? 'slippery' : 'not slippery'}, ${ct < 1.05 ? 'warm' : 'cold'} roof`, value: factor(cs) },
        { symbol: '', what: 'normal to the roof ps cos² a, down it ps sin a cos a', value: words('in every combination') },
      ],
      result: pressure(pa), source: importance === null ? 'ASCE 7-22, 7.3 and 7.4 (from memory)' : 'ASCE 7, 7.3 and 7.4 (from memory)', basis: 'code' as const,
    },
  }
}

function enRoofSnow({ groundPa, ce, ct, held, provenance }: EnSnow, pitchDeg: number) {
  const mu = shapeCoefficient(pitchDeg, held)
  const pa = mu * ce * ct * groundPa
  return {
    pa, working: {
      what: 'Undrifted snow on the roof', formula: 's = μ₁ Ce Ct sk',
      values: [
        { symbol: 'sk', what: `characteristic ground snow${provenance ? `: ${provenance}` : ''}`, value: pressure(groundPa) },
        { symbol: 'μ₁', what: held ? 'shape, snow can’t slide off' : 'shape', value: factor(mu) },
        { symbol: 'Ce', what: 'exposure', value: factor(ce) }, { symbol: 'Ct', what: 'thermal', value: factor(ct) },
      ],
      result: pressure(pa), source: 'EN 1991-1-3, 5.2 and 5.3, table 5.2', basis: 'code' as const,
    },
  }
}
