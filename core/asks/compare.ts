import { type Catalogue, goesWith, mismatches, type Rail } from '../catalogue'
import { faceOf, type Job } from '../job'
import { type SpanRow, spanTable } from '../strength'
import { FULL, type PatternTotals, patternTotals } from '../fixings'
import { layOut, roofClearOf } from '../plan'
import type { FaceLayout } from '../trades'

/** What a face comes to with one rail, everything else as it is. */
export interface RailChoice {
  railId: string
  name: string
  /** Whether it goes with the mount and clamps that are chosen. */
  goes: boolean
  fixings: number
  sticks: number
  splices: number
  massKg: number
  /** Sticks, splices and mounts, in the catalogue's currency. */
  money: number
  /** Worst share of what is allowed over all rails; null where no loads are known. */
  worst: number | null
  /** Rails on which no choice of fixings keeps every limit. */
  failing: number
}

export interface RailComparison { table: SpanRow[], choices: RailChoice[], rails: Pick<Rail, 'id' | 'name'>[] }

/** Fixings that every pattern would take on a face, null where one can't be had: so that its price is seen before it is asked for. */
export function pricePatterns(job: Job, catalogue: Catalogue, faceId: string): PatternTotals {
  const face = faceOf(job, faceId)
  const { problem, limits } = layOut(face, catalogue, job, roofClearOf(job, catalogue).faces[job.faces.indexOf(face)]!, true)
  return patternTotals(problem, limits)
}

/** Compares the catalogue's rails on a face: the span table where loads are known, and holes, sticks, weight and money of each. */
export function compareRails(job: Job, catalogue: Catalogue, faceId: string): RailComparison {
  const face = faceOf(job, faceId)
  const clear = roofClearOf(job, catalogue).faces[job.faces.indexOf(face)]!
  const own = layOut(face, catalogue, job, clear)
  const ground = { covering: face.covering.kind, support: face.supports.kind }
  const exposed = own.strength?.exposed.some(row => row.some(Boolean)) ?? false
  /** What may be chosen, and what is. */
  const rails = catalogue.rails.filter(rail => !rail.retired || rail.id === own.parts.rail.id)
  const goes = (rail: Rail) => goesWith(catalogue, rail.id, own.parts.mount.id)
  return {
    rails: rails.map(({ id, name }) => ({ id, name })),
    table: own.loading.loads ? spanTable(face, own.loading.loads, own.parts, rails, exposed) : [],
    choices: rails.filter(goes).map((rail) => {
      const layout = rail.id === own.parts.rail.id ? own : layOut({ ...face, array: { ...face.array, railId: rail.id } }, catalogue, job, clear)
      return choiceOf(rail, layout, !mismatches(catalogue, { ...own.parts, rail }, ground).length)
    }),
  }
}

function choiceOf(rail: Rail, { fixings, sticks, uses, parts }: FaceLayout, goes: boolean): RailChoice {
  const judged = uses.filter(use => use !== null)
  return {
    railId: rail.id, name: rail.name, goes, fixings: fixings.total, sticks: sticks.sticks.length, splices: sticks.splices.length,
    massKg: sticks.sticks.reduce((sum, stick) => sum + stick.stockMm / 1000 * rail.massKgPerM, 0) + fixings.total * parts.mount.massKg,
    money: sticks.cost + fixings.total * parts.mount.price,
    worst: judged.length ? Math.max(...judged.map(use => use.worst)) : null,
    failing: fixings.rails.filter((one, r) => one.shortfalls.length > 0 || (uses[r]?.worst ?? 0) > FULL).length,
  }
}
