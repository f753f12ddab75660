import { inverse, Matrix } from 'ml-matrix'
import type { RafterSupports } from '../../job'
import { chanceOver, FOUND_AT, INFERRED_AT } from '../chance'
import type { Rafter } from '../rafter'
import type { RafterFit } from './rafter-fit'
import { missesOf, type Observation } from './observation'
import { centreWithPilots } from './pilots'

/** Readings of one rafter lie within this of each other at like height, mm: no two rafters stand closer (common practice). */
const SAME_RAFTER_MM = 110
/** A single rafter is taken to run true to 1 cm in a metre until its own readings say otherwise (common practice). */
export const LEAN_SD = 0.01

/** Rafters of an irregular set: each known only from its own hits, with nothing assumed between them. */
export function irregularRafters(supports: RafterSupports, observations: Observation[], topMm: number): RafterFit {
  const groups: Observation[][] = []
  for (const one of [...observations].sort((a, b) => a.xMm - b.xMm)) {
    const last = groups.at(-1)
    if (last && one.xMm - last[0]!.xMm < SAME_RAFTER_MM) last.push(one)
    else groups.push([one])
  }
  const misses = missesOf(supports.hits)
  const middleMm = topMm / 2
  const rafters = groups.map((group, i): Rafter => {
    const line = lineThrough(group)
    const at = (yMm: number) => line.xMm + line.lean * (yMm - line.atMm)
    const soft = group.filter(one => !one.pilot)
    const cavity = soft.length && soft.length < group.length ? lineThrough(soft) : line
    const centre = centreWithPilots(
      { xMm: at(middleMm), sdMm: cavity.sdAt(middleMm) },
      [...group.filter(one => one.pilot && soft.length).map(one => ({ xMm: one.xMm - line.lean * (one.yMm - middleMm), hit: true })),
        ...misses.filter(miss => Math.abs(miss.xMm - at(miss.yMm)) < supports.widthMm).map(miss => ({ xMm: miss.xMm - line.lean * (miss.yMm - middleMm), hit: false }))],
      supports.widthMm,
    )
    // Readings that agree back each other up; one alone may be on nothing.
    const spread = [{ weight: 1 - group.reduce((share, one) => share * one.wrongShare, 1), offMm: 0, sdMm: centre.sdMm }]
    const chance = chanceOver({ fromMm: -supports.widthMm / 2, toMm: supports.widthMm / 2 }, spread)
    return {
      number: i + 1, nominalMm: null, widthMm: supports.widthMm, lean: line.lean, centreMm: centre.xMm - line.lean * middleMm, sdMm: centre.sdMm, spread,
      state: group.some(one => (one.pilot || one.state === 'seen') && 1 - one.wrongShare >= FOUND_AT) ? 'proved' : chance >= INFERRED_AT ? 'inferred' : 'guessed',
    }
  })
  return {
    kind: 'irregular', rafters, belief: [], spacing: null, lean: null, rival: null,
    checks: groups.flatMap((group, i) => group.map((one) => {
      const { centreMm, lean } = rafters[i]!
      return { hitId: one.hitId, rafter: i + 1, offMm: one.xMm - centreMm - lean * one.yMm, outlier: false, doubled: false }
    })),
  }
}

/** A straight line through readings of one rafter by weighted least squares, with its lean held near nothing. */
function lineThrough(group: Observation[]): { xMm: number, lean: number, atMm: number, sdAt: (yMm: number) => number } {
  const atMm = group.reduce((sum, one) => sum + one.yMm, 0) / group.length
  const information = new Matrix([[0, 0], [0, 1 / LEAN_SD ** 2]])
  const right = Matrix.zeros(2, 1)
  for (const { xMm, yMm, sdMm } of group) {
    const row = [1, yMm - atMm]
    for (const i of [0, 1]) {
      right.set(i, 0, right.get(i, 0) + row[i]! * xMm / sdMm ** 2)
      for (const j of [0, 1]) information.set(i, j, information.get(i, j) + row[i]! * row[j]! / sdMm ** 2)
    }
  }
  const covariance = inverse(information)
  const [xMm, lean] = covariance.mmul(right).to1DArray() as [number, number]
  return {
    xMm, lean, atMm,
    sdAt: (yMm) => {
      const dy = yMm - atMm
      return Math.sqrt(covariance.get(0, 0) + 2 * dy * covariance.get(0, 1) + dy ** 2 * covariance.get(1, 1))
    },
  }
}
