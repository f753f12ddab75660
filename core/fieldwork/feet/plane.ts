import solver, { type Model } from 'javascript-lp-solver'
import { type Foot, MOST_TILT_PER_M, planeAt, type SeatPlane, type Stretch } from './foot'

/** The plane that keeps farthest inside all stretches, and how far: below nought it leaves some. `over` are the feet that it would have to rise past. */
export interface Fitted { plane: SeatPlane, reserveMm: number, over: number[] }

/** A stretch is on its limit within this, mm. */
const TIGHT_MM = 1e-4
/** No reserve is counted past this, mm: of one foot alone there is no end to it. */
const MOST_RESERVE_MM = 1000

/** Variables are from nought up there: what may be below is told as how far it lies above a floor, mm. */
const FLOOR_MM = 5000

/**
 * The plane with the greatest least reserve over the covering's heights, no steeper against the roof than may be: a linear program of four unknowns.
 * @param stretches where each foot's seat may be above the covering
 */
export function fitPlane(feet: Foot[], stretches: Stretch[]): Fitted {
  const constraints: Model['constraints'] = { reserve: { max: MOST_RESERVE_MM + FLOOR_MM } }
  const variables: Record<string, Record<string, number>> = { reserve: { reserve: 1, best: 1 }, at: {}, alongUp: {}, alongDown: {}, upUp: {}, upDown: {} }
  // Tilt both ways together: the sizes of its two parts, each a difference of two that are not below nought.
  constraints.tilt = { max: MOST_TILT_PER_M }
  for (const part of ['alongUp', 'alongDown', 'upUp', 'upDown']) variables[part]!.tilt = 1
  feet.forEach((foot, i) => {
    const { fromMm, toMm } = stretches[i]!
    const put = (name: string, reserve: number) => {
      Object.assign(variables.at!, { [name]: 1 })
      Object.assign(variables.alongUp!, { [name]: foot.xMm / 1000 })
      Object.assign(variables.alongDown!, { [name]: -foot.xMm / 1000 })
      Object.assign(variables.upUp!, { [name]: foot.yMm / 1000 })
      Object.assign(variables.upDown!, { [name]: -foot.yMm / 1000 })
      Object.assign(variables.reserve!, { [name]: reserve })
    }
    // at − floor + tilt ∓ (reserve − floor) against the stretch.
    put(`low${i}`, -1)
    constraints[`low${i}`] = { min: fromMm + foot.roofMm }
    if (toMm < Infinity) {
      put(`high${i}`, 1)
      constraints[`high${i}`] = { max: toMm + foot.roofMm + 2 * FLOOR_MM }
    }
  })
  const answer = solver.Solve({ optimize: 'best', opType: 'max', constraints, variables }) as Record<string, number>
  const value = (name: string) => Number(answer[name] ?? 0)
  const plane = { atMm: value('at') - FLOOR_MM, alongPerM: value('alongUp') - value('alongDown'), upPerM: value('upUp') - value('upDown') }
  // By the plane itself, not by what the program says of it.
  const slack = feet.map((foot, i) => ({ low: planeAt(plane, foot) - foot.roofMm - stretches[i]!.fromMm, high: stretches[i]!.toMm - planeAt(plane, foot) + foot.roofMm }))
  const reserveMm = Math.min(MOST_RESERVE_MM, ...slack.map(one => Math.min(one.low, one.high)))
  return { plane, reserveMm, over: slack.flatMap((one, i) => one.high <= reserveMm + TIGHT_MM ? [i] : []) }
}
