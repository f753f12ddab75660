import type { Face } from '../job'
import { cornerLetter, shapeOf, squareness, tapedLengths } from '../roof'
import { angle, count, factor, length, slopeFactor } from '../units'
import type { Working } from '../working'

/** What follows from the pitch alone. */
function pitchWorkings({ outline, pitchDeg }: Face): Working[] {
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

/** What taped lengths say of the shape and of each other; none for outlines that were not taped. */
function tapedWorkings({ outline }: Face): Working[] {
  const { adjusted } = shapeOf(outline)
  if (outline.kind !== 'taped') return []
  const lengths = tapedLengths(outline)
  const needed = 2 * outline.sides.length - 3
  const { leftDeg, rightDeg, leanMm } = squareness(outline)
  const source = 'Corners fitted to all taped lengths by least squares (Gauss and Newton)'
  return [{
    what: 'Lengths taped', formula: '2 n − 3 lengths fix n corners; each further one checks the others', values: [
      { symbol: 'n', what: 'corners', value: count(outline.sides.length, 'corners') }, { symbol: '', what: 'needed', value: count(needed, 'lengths') },
    ], result: count(lengths.length, 'lengths'), source: 'A frame of bars that can’t fold', basis: 'arithmetic',
  }, ...(adjusted?.kind === 'adjusted' && adjusted.adjustment.redundancy > 0
    ? [{
        what: 'Misclosure', formula: 'the length taped beside those needed, less what they make it; of several the greatest', values: lengths.map(({ from, to, mm }, i) => ({
          symbol: 'v', what: `${cornerLetter(from)} to ${cornerLetter(to)}, taped ${Math.round(mm)} mm: left over`, value: length(adjusted.adjustment.checks[i]!.residualMm),
        })), result: length(adjusted.adjustment.misclosureMm), source, basis: 'arithmetic' as const,
      }]
    : []), {
    what: 'Angle at A', formula: 'between the eave and the edge that rises from A', values: [{ symbol: 'B', what: 'angle at B', value: angle(rightDeg) }], result: angle(leftDeg), source, basis: 'arithmetic',
  }, {
    what: 'Lean of the left edge', formula: 'x of its top less x of A', values: [{ symbol: 'A', what: 'angle at A', value: angle(leftDeg), from: 'Angle at A' }], result: length(leanMm), source, basis: 'arithmetic',
  }]
}

export const shapeWorkings = (face: Face): Working[] => [...pitchWorkings(face), ...tapedWorkings(face)]
