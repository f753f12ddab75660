import type { Face } from '../job'
import { shapeOf } from '../roof'
import { angle, factor, length, slopeFactor } from '../units'
import type { Working } from '../working'

/** What follows from the pitch alone. */
export function shapeWorkings({ outline, pitchDeg }: Face): Working[] {
  const { up } = shapeOf(outline)
  const slopeMm = up.toMm - up.fromMm
  const over = slopeFactor(pitchDeg)
  return [{
    what: 'Slope over run', formula: 's/r = 1 / cos a', values: [{ symbol: 'a', what: 'pitch', value: angle(pitchDeg) }], result: factor(over),
    source: 'Trigonometry; framing squares are stamped with twelve times it, the length of a common rafter for a foot of run', basis: 'arithmetic',
  }, {
    what: 'Run in plan', formula: 'r = s / (s/r)', values: [
      { symbol: 's', what: 'from the eave to the top, up the slope', value: length(slopeMm) }, { symbol: 's/r', what: 'slope over run', value: factor(over), from: 'Slope over run' },
    ], result: length(slopeMm / over), source: 'The run of the slope, seen from above', basis: 'arithmetic',
  }]
}
