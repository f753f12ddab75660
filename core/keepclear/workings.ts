import { share } from '../units'
import type { Working } from '../working'
import type { Cover } from './whole-roof'

/** How much of the whole roof is covered, seen from above, and how far that is from the step of the ridge strip. */
export function coverWorkings({ share: covered, coveredMm2, roofMm2, limit, oneMore }: Cover): Working[] {
  const what = 'Covered share of the roof'
  return [{
    what, formula: 'covered / roof, both seen from above', values: [
      { symbol: 'c', what: 'modules and arrays that stay, each times the cosine of its pitch', value: { kind: 'area', mm2: coveredMm2 } }, { symbol: 'r', what: 'all faces as surveyed, the same', value: { kind: 'area', mm2: roofMm2 } },
    ], result: share(covered), source: 'Plan areas of what was surveyed; a face that is not surveyed counts as none', basis: 'arithmetic',
  }, {
    what: 'Left to the step', formula: 'limit − share', values: [
      { symbol: 'l', what: 'share up to which the narrow ridge strip holds', value: share(limit) }, { symbol: 's', what: 'covered share', value: share(covered), from: what }, { symbol: '1', what: 'one more module', value: share(oneMore) },
    ], result: share(Math.max(0, limit - covered)), source: 'The rule set in force', basis: 'code',
  }]
}
