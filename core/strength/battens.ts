import { nailsHoldN, timberFactor, usedShare } from '../capacity'
import type { Face, PurlinSupports } from '../job'
import type { Format } from '../catalogue'
import { shapeOf } from '../roof'
import type { RailUse } from './check'

/** What loads a batten at one fixing in one case, N: towards the roof is above 0. */
export interface BattenLoad { member: string, xMm: number, cases: { name: string, shortest: 'dead' | 'snow' | 'wind', n: number }[] }

export const battenChecks = ['bending', 'shear', 'nails'] as const
export type BattenCheck = typeof battenChecks[number]
export interface BattenShare { check: BattenCheck, member: string, combination: string, value: number, limit: number, share: number }

/** What the fixings do to the battens that they are driven into. */
export interface BattenUse {
  /** The worst of each check over all battens. */
  shares: BattenShare[]
  /** Fixings that have no two rafters' nails between them and the batten's end: batten and place. */
  nearEnd: { member: string, xMm: number }[]
}

/** Rafters under a batten are somewhere: the train of its fixings is pushed over a span in so many steps, and the worst taken. */
const STEPS = 48
/** Rafters whose nails must hold the batten on each side of a concentrated load. */
const RAFTERS_EACH_SIDE = 2

/** The loads of all fixings on battens, by batten. */
export function battenLoads(fixings: { member: string, xMm: number, at: number, use: RailUse }[]): Map<string, BattenLoad[]> {
  const loads = new Map<string, BattenLoad[]>()
  for (const { member, xMm, at, use } of fixings) {
    loads.set(member, [...(loads.get(member) ?? []), { member, xMm, cases: use.cases.map(({ name, shortest, pressN }) => ({ name, shortest, n: pressN[at]! })) }])
  }
  return loads
}

/**
 * Bending and shear of battens between rafters under what their fixings press and pull, and the nails at each rafter under what
 * pulls. A batten counts as simply supported on every two rafters, which is on the safe side of one that runs through; where the
 * rafters stand under it is not known, so the worst place is taken. Battens and nails by the format of the job's loads.
 */
export function battenUse(face: Pick<Face, 'outline' | 'timber'>, supports: PurlinSupports, format: Format, loads: Map<string, BattenLoad[]>): BattenUse | null {
  const { batten, thicknessMm, widthMm } = supports
  if (!batten || thicknessMm === null) return null
  const spanMm = batten.rafterSpacingMm
  const worst = new Map<BattenCheck, BattenShare>()
  const nail = nailsHoldN(batten.nails, thicknessMm, face.timber, format)
  const note = (check: BattenCheck, member: string, combination: string, value: number, limit: number) => {
    const share = usedShare(value, limit)
    if (share > (worst.get(check)?.share ?? 0)) worst.set(check, { check, member, combination, value, limit, share })
  }
  for (const [member, own] of loads) {
    for (const [c, { name, shortest }] of own[0]!.cases.entries()) {
      const factor = timberFactor(format, shortest, face.timber.wet)
      const points = own.map(({ xMm, cases }) => ({ xMm, n: cases[c]!.n }))
      const { moment, shear, pull } = trainOver(points, spanMm)
      note('bending', member, name, moment, batten.bendingMpa * factor * widthMm * thicknessMm ** 2 / 6)
      note('shear', member, name, shear, batten.shearMpa * factor * widthMm * thicknessMm / 1.5)
      note('nails', member, name, pull, nail * factor)
    }
  }
  const { along } = shapeOf(face.outline)
  const nearEnd = [...loads.values()].flat().filter(({ xMm }) => Math.min(xMm - along.fromMm, along.toMm - xMm) < RAFTERS_EACH_SIDE * spanMm - 1e-6).map(({
    member,
    xMm,
  }) => ({ member, xMm }))
  return { shares: [...worst.values()], nearEnd }
}

/** The worst moment and shear in one span and pull on one rafter, as the span's beginning moves under the fixings, N·mm and N. */
export function trainOver(points: { xMm: number, n: number }[], spanMm: number): { moment: number, shear: number, pull: number } {
  let [moment, shear, pull] = [0, 0, 0]
  const sorted = [...points].sort((a, b) => a.xMm - b.xMm)
  /** The first point no farther left than a place. */
  const firstFrom = (mm: number): number => {
    let [low, high] = [0, sorted.length]
    while (low < high) {
      const mid = (low + high) >> 1
      if (sorted[mid]!.xMm < mm) low = mid + 1
      else high = mid
    }
    return low
  }
  // A load near a rafter shears most and one over it pulls most; steps catch what lies between.
  const starts = sorted.flatMap(({ xMm }) => [xMm, xMm - spanMm, ...Array.from({ length: STEPS }, (_, k) => xMm - spanMm * k / STEPS)])
  for (const fromMm of starts) {
    let [right, sum, onRafter] = [0, 0, 0]
    const first = firstFrom(fromMm - 1e-9)
    let end = first
    for (; end < sorted.length && sorted[end]!.xMm <= fromMm + spanMm + 1e-9; end++) {
      right += sorted[end]!.n * (sorted[end]!.xMm - fromMm) / spanMm
      sum += sorted[end]!.n
    }
    const left = sum - right
    shear = Math.max(shear, Math.abs(left), Math.abs(right))
    // What lies left of a place turns about it too.
    let [before, turning] = [0, 0]
    for (let i = first; i < end; i++) {
      const { xMm, n } = sorted[i]!
      if (i > first) turning += before * (xMm - sorted[i - 1]!.xMm)
      moment = Math.max(moment, Math.abs(left * (xMm - fromMm) - turning))
      before += n
    }
    for (let i = firstFrom(fromMm - spanMm); i < sorted.length && sorted[i]!.xMm < fromMm + spanMm; i++) onRafter += sorted[i]!.n * Math.max(0, 1 - Math.abs(sorted[i]!.xMm - fromMm) / spanMm)
    pull = Math.max(pull, -onRafter)
  }
  return { moment, shear, pull }
}
