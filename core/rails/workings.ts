import { length } from '../units'
import type { Working } from '../working'
import { GROWTH_PER_KELVIN, growthMm, YEAR_K } from './expansion'
import type { RailPlan } from './rail'

/** How long one rail is when it is trimmed, and how much it grows. */
export function lengthWorkings({ number, fromMm, toMm, reach }: RailPlan): Working[] {
  const lengthMm = toMm - fromMm
  const what = `Length of rail ${number}, trimmed`
  return [{
    what, formula: 'L = R − L₀ + what stands past both ends', values: [
      { symbol: 'L₀', what: 'where its modules begin', value: length(reach.fromMm) }, { symbol: 'R', what: 'where they end', value: length(reach.toMm) },
      { symbol: '+', what: 'past the modules, both ends together', value: length(lengthMm - (reach.toMm - reach.fromMm)) },
    ], result: length(lengthMm), source: 'What stands past the end clamps by the clamps’ maker', basis: 'maker',
  }, {
    what: `Growth of rail ${number} in a year`, formula: 'ΔL = α ΔT L', values: [
      { symbol: 'α', what: 'of aluminium, for each kelvin', value: { kind: 'words', text: `${(GROWTH_PER_KELVIN * 1e6).toFixed(1)} millionths` } },
      { symbol: 'ΔT', what: 'between frost and sun', value: { kind: 'words', text: `${YEAR_K} K` } }, { symbol: 'L', what: 'its length', value: length(lengthMm), from: what },
    ], result: length(growthMm(lengthMm)), source: 'EN 1999-1-1, table 3.1 (23 millionths; 23.1 from memory); 60 K by common practice. Ends move by the part of it that lies on their side of the fixed point', basis: 'common practice',
  }]
}
