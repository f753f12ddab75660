import type { LoadoutRules } from '../../job'
import type { LoadLine } from './line'
import { loadStages, type LoadStage } from '../../trade'

/** One lift to the roof, in the order in which the day wants it. */
export interface Lift { number: number, stage: LoadStage, massKg: number, items: LiftItem[] }

/** Pieces of one part in a lift; their length where it is sold by length. */
export interface LiftItem { name: string, lengthMm: number | null, pieces: number, massKg: number }

export interface LiftPlan {
  lifts: Lift[]
  /** Parts of which one piece is heavier than the lift may take. */
  tooHeavy: string[]
  /** Parts whose mass nobody has given. */
  unweighed: string[]
}

/**
 * Lifts within a rated load, stage by stage. Modules, and units of the covering, go up with their crate, whose mass counts each time. A stage is not mixed
 * with the next, so that what comes up is what is wanted. Nothing is lifted where no rated load is given.
 */
export function liftPlan(lines: LoadLine[], { liftKg, crateKg }: Pick<LoadoutRules, 'liftKg' | 'crateKg'>): LiftPlan {
  const weighed = lines.filter(line => line.kind !== 'tool' && line.unitMassKg !== null && line.total > 0)
  const unweighed = lines.filter(line => line.kind !== 'tool' && line.unitMassKg === null && line.total > 0).map(line => line.name)
  if (liftKg === null) return { lifts: [], tooHeavy: [], unweighed }
  const crateOf = (line: LoadLine) => line.kind === 'module' || line.kind === 'unit' ? crateKg : 0
  const tooHeavy = weighed.filter(line => line.unitMassKg! + crateOf(line) > liftKg + 1e-9)
  const lifts: Lift[] = []
  for (const stage of loadStages) {
    let open: Lift | null = null
    for (const line of weighed.filter(one => one.stage === stage && !tooHeavy.includes(one)).sort((a, b) => b.unitMassKg! - a.unitMassKg!)) {
      const each = line.unitMassKg!
      let left = line.total
      while (left > 0) {
        const crate: number = open?.items.some(item => item.name === CRATE) || crateOf(line) === 0 ? 0 : crateKg
        const fits: number = open ? each === 0 ? left : Math.floor((liftKg - open.massKg - crate) / each + 1e-9) : 0
        if (!open || fits < 1) {
          open = { number: lifts.length + 1, stage, massKg: 0, items: [] }
          lifts.push(open)
          if (crateOf(line) > 0) take(open, CRATE, null, 1, crateKg)
          continue
        }
        if (crate > 0) take(open, CRATE, null, 1, crateKg)
        const pieces = Math.min(left, fits)
        take(open, line.name, line.lengthMm, pieces, pieces * each)
        left -= pieces
      }
    }
  }
  return { lifts, tooHeavy: tooHeavy.map(line => line.name), unweighed }
}

const CRATE = 'Crate'

function take(lift: Lift, name: string, lengthMm: number | null, pieces: number, massKg: number) {
  lift.items.push({ name, lengthMm, pieces, massKg })
  lift.massKg += massKg
}
