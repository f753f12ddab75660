import solver, { type Model } from 'javascript-lp-solver'
import { type FeetLimits, type Foot, reachOf, stacks } from './foot'

/** Seats where no plane can be had: the largest step between neighbours as small as can be, and after that the sharpest bend along a line. */
export interface Stepped { seatsMm: number[], stepMm: number, bendMm: number }

/** Neighbours along each line, and each foot with the nearest on the next line up: by their places in the list. */
function neighbours(feet: Foot[]): { pairs: [number, number][], triples: [number, number, number][] } {
  const lines = [...new Set(feet.map(foot => foot.line))].map(line => feet.flatMap((foot, i) => foot.line === line ? [i] : []).sort((a, b) => feet[a]!.xMm - feet[b]!.xMm))
    .sort((a, b) => feet[a[0]!]!.yMm - feet[b[0]!]!.yMm)
  const along = lines.flatMap(own => own.slice(1).map((i, k): [number, number] => [own[k]!, i]))
  const across = lines.slice(1).flatMap((own, l) => own.map((i): [number, number] => [lines[l]!.reduce((a, b) => Math.abs(feet[b]!.xMm - feet[i]!.xMm) < Math.abs(feet[a]!.xMm - feet[i]!.xMm) ? b : a), i]))
  return { pairs: [...along, ...across], triples: lines.flatMap(own => own.slice(2).map((i, k): [number, number, number] => [own[k]!, own[k + 1]!, i])) }
}

/** A step is kept within this of the least, mm, while bends are made smaller. */
const KEPT_MM = 1e-4

/** Seats above the mean plane by two linear programs, one after the other. */
export function levelByLeastSteps(feet: Foot[], limits: FeetLimits): Stepped {
  const most = Math.max(...Array.from({ length: limits.mostShims + 1 }, (_, k) => stacks(limits, k)).flat().map(one => reachOf(limits, one.mm).toMm))
  const { pairs, triples } = neighbours(feet)
  const floor = Math.min(...feet.map(foot => foot.roofMm)) + limits.lowestMm - 1
  const build = (stepMost: number | null) => {
    const constraints: Model['constraints'] = {}
    const variables: Record<string, Record<string, number>> = { step: {}, bend: {} }
    feet.forEach((foot, i) => {
      variables[`z${i}`] = { [`box${i}`]: 1 }
      constraints[`box${i}`] = { min: limits.lowestMm + foot.roofMm - floor, max: most + foot.roofMm - floor }
    })
    const put = (name: string, terms: [string, number][], max: number) => {
      constraints[name] = { max }
      for (const [variable, by] of terms) variables[variable]![name] = (variables[variable]![name] ?? 0) + by
    }
    pairs.forEach(([i, j], k) => {
      put(`p${k}`, [[`z${i}`, 1], [`z${j}`, -1], ['step', -1]], 0)
      put(`q${k}`, [[`z${j}`, 1], [`z${i}`, -1], ['step', -1]], 0)
    })
    if (stepMost !== null) {
      put('stepMost', [['step', 1]], stepMost)
      triples.forEach(([i, j, k], t) => {
        put(`b${t}`, [[`z${i}`, 1], [`z${j}`, -2], [`z${k}`, 1], ['bend', -1]], 0)
        put(`c${t}`, [[`z${i}`, -1], [`z${j}`, 2], [`z${k}`, -1], ['bend', -1]], 0)
      })
    }
    variables[stepMost === null ? 'step' : 'bend']!.worst = 1
    return solver.Solve({ optimize: 'worst', opType: 'min', constraints, variables }) as Record<string, number>
  }
  const worstOf = (z: number[]) => ({ stepMm: Math.max(0, ...pairs.map(([i, j]) => Math.abs(z[i]! - z[j]!))), bendMm: Math.max(0, ...triples.map(([i, j, k]) => Math.abs(z[i]! - 2 * z[j]! + z[k]!))) })
  const read = (answer: Record<string, number>) => feet.map((_, i) => Number(answer[`z${i}`] ?? 0) + floor)
  const least = worstOf(read(build(null))).stepMm
  const z = read(build(least + KEPT_MM))
  return { seatsMm: z, ...worstOf(z) }
}
