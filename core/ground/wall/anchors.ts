import type { Figures } from '../../electrical'
import type { Thing } from '../../job'
import { force, length, mass, share } from '../../units'
import type { AnchorPlan } from '../layout'

/** Standard gravity, m/s2. */
const G = 9.80665

/**
 * Pull and shear of the anchors that hold a thing on its wall. Its mass hangs out from the wall and turns about the lower bearing edge: T = m g e / (z n)
 * for each anchor in tension; all anchors share the shear. Somebody leaning on the top edge pulls with the lever of its whole height; an earthquake adds
 * a share of the weight, outwards at the mass and down the wall. Both in one interaction against what one anchor holds in that base.
 */
export function anchorsOf(thing: Thing, figures: Figures, quakeShare: number): AnchorPlan | null {
  const { anchors, massKg } = thing
  if (!anchors || massKg === null) return null
  const { count, inTension, outMm, apartMm, pullN: holdsN, shearN: holdsShearN } = anchors
  const weightN = massKg * G
  const turning = weightN * outMm / (apartMm * inTension)
  const lean = anchors.topRestraint ? 0 : figures.lean.value * thing.highMm / (apartMm * inTension)
  const quake = quakeShare * weightN * (thing.highMm / 2) / (apartMm * inTension)
  const pullN = turning + lean + quake
  const shearN = weightN * (1 + quakeShare) / count
  const utilisation = holdsN === null || holdsShearN === null ? null : pullN / holdsN + shearN / holdsShearN
  return {
    thingId: thing.id, pullN, shearN, utilisation,
    working: {
      what: `Anchors of ${thing.name}`, formula: 'T = m g e / (z n) + P h / (z n) + k m g h / (2 z n); V = m g (1 + k) / N; T / T0 + V / V0 ≤ 1',
      values: [
        { symbol: 'm', what: 'its mass', value: mass(massKg) }, { symbol: 'e', what: 'from the wall to the middle of its mass', value: length(outMm) }, { symbol: 'z', what: 'from the upper anchors to the lower edge', value: length(apartMm) },
        { symbol: 'n', what: 'anchors in tension', value: { kind: 'count', n: inTension, of: 'anchors' } }, { symbol: 'N', what: 'all anchors', value: { kind: 'count', n: count, of: 'anchors' } },
        { symbol: 'P', what: anchors.topRestraint ? 'a person leaning: taken by the restraint at its top' : 'a person leaning on its top', value: force(anchors.topRestraint ? 0 : figures.lean.value) },
        { symbol: 'k', what: 'the earthquake’s share of its weight', value: share(quakeShare) },
        { symbol: 'T', what: 'pull on one', value: force(pullN) }, { symbol: 'V', what: 'shear on one', value: force(shearN) },
        { symbol: 'd', what: 'set so deep', value: length(anchors.embedMm) },
        ...holdsN === null || holdsShearN === null ? [] : [{ symbol: 'T0', what: 'one holds, pulled', value: force(holdsN) }, { symbol: 'V0', what: 'one holds, sheared', value: force(holdsShearN) }],
      ],
      result: utilisation === null ? { kind: 'words', text: `${Math.round(pullN)} N pull, ${Math.round(shearN)} N shear; what one holds nobody has said` } : share(utilisation),
      source: `Statics; what one anchor holds by its maker in this base, from ${anchors.edgeMm} mm off an edge and ${anchors.spacingMm} mm apart on`, basis: 'arithmetic',
    },
  }
}
