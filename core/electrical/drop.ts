/**
 * Volts lost along a trunk whose current grows unit by unit, at its last unit: each stretch carries what all units beyond it make.
 * For k like stretches of p it is 2 R' p I k (k + 1) / 2, single phase.
 * @param stretchesMm cable from the feed to the first unit and from each to the next
 * @param ohmsPerMm of one conductor
 */
export const trunkDropV = (stretchesMm: number[], ohmsPerMm: number, unitA: number): number =>
  2 * ohmsPerMm * unitA * stretchesMm.reduce((sum, mm, i) => sum + mm * (stretchesMm.length - i), 0)

/** Volts lost along a run that carries one current, there and back. */
export const runDropV = (mm: number, ohmsPerMm: number, amps: number): number => 2 * ohmsPerMm * mm * amps

/**
 * The same fed inside: two trunks from one joint, the worse of which counts. With as many units either way it is about a quarter of that fed
 * at its end.
 * @param stretchesMm as from the first unit: the cable before it, then from each to the next
 * @param at the unit before which it is fed, counted from 0
 */
export const fedInsideDropV = (stretchesMm: number[], at: number, ohmsPerMm: number, unitA: number): number => Math.max(
  trunkDropV(stretchesMm.slice(at), ohmsPerMm, unitA),
  // The other way round: from the joint to the unit before it, and on to the first.
  trunkDropV(stretchesMm.slice(1, at + 1).reverse(), ohmsPerMm, unitA),
)

/** Volts lost between phases along a run of three: √3 R' L I; to neutral it is the same share. */
export const threePhaseDropV = (mm: number, ohmsPerMm: number, amps: number): number => Math.sqrt(3) * ohmsPerMm * mm * amps
