import type { Catalogue } from '../../catalogue'
import type { Job } from '../../job'
import { partsOfJob, type Plan } from '../../plan'
import { loadStages, type Part, wholePieces } from '../../trade'
import { askedOf, trades } from '../../trades'
import { liftPlan, type LiftPlan } from './lifts'
import type { LoadLine } from './line'
import { spareRule, sparesFor } from './spares'

/** One supplier's part of the purchase list. */
export interface Purchase { supplier: string, lines: { line: LoadLine, packs: number, pieces: number, cost: number | null }[], cost: number, unpriced: number }

export interface Loadout {
  lines: LoadLine[]
  lifts: LiftPlan
  purchases: Purchase[]
  massKg: number
  longestStickMm: number | null
  currency: string
}

/** Everything that goes on the van for a job: what its faces need, spares by rule, packs, lifts and what is to be bought of whom. */
export function loadoutOf(job: Job, { faces: plans, wiring, grid }: Pick<Plan, 'faces' | 'wiring' | 'grid'>, catalogue: Catalogue): Loadout {
  const faces = plans.map((plan, f) => ({ face: job.faces[f]!, plan }))
  const ask = { job, catalogue, wiring, grid, faces: faces.filter(({ plan }) => plan.modules > 0) }
  const parts = new Map<string, { faceId: string, part: Part }[]>()
  const add = (faceId: string, part: Part) => parts.set(part.id, [...(parts.get(part.id) ?? []), { faceId, part }])
  for (const { face, plan } of faces) for (const part of plan.list) add(face.id, part)
  for (const part of partsOfJob(ask)) add(job.faces[0]!.id, part)
  const tools = ask.faces.length ? [...new Set(trades.flatMap(trade => trade.job?.tools?.(askedOf(trade, ask)) ?? []))] : []
  const lines = [...[...parts.values()].map(own => lineOf(own, job)), ...tools.map(toolLine)].sort((a, b) => loadStages.indexOf(a.stage) - loadStages.indexOf(b.stage))
  const sticks = lines.filter(line => line.kind === 'stick' || line.kind === 'offcut').map(line => line.lengthMm!)
  return {
    lines, lifts: liftPlan(lines, job.loadout), purchases: purchasesOf(lines), currency: catalogue.currency,
    massKg: lines.reduce((sum, line) => sum + line.total * (line.unitMassKg ?? 0), 0), longestStickMm: sticks.length ? Math.max(...sticks) : null,
  }
}

function lineOf(own: { faceId: string, part: Part }[], job: Job): LoadLine {
  const { id, kind, name, maker, stage, lengthMm, packOf, rule, massKg, price, poured } = own[0]!.part
  const needed = wholePieces(own.reduce((sum, { part }) => sum + part.pieces, 0))
  const fromYard = kind === 'offcut'
  const spares = fromYard ? 0 : sparesFor(needed, spareRule(kind, job.loadout))
  return {
    id, kind, name, maker, stage, lengthMm, packOf, rule, needed, spares, total: needed + spares, unitMassKg: massKg, unitPrice: price, fromYard,
    byFace: poured ? [] : own.map(({ faceId, part }) => ({ faceId, pieces: part.pieces })),
  }
}

const toolLine = (name: string): LoadLine => ({
  id: `tool|${name}`, kind: 'tool', name, maker: '', stage: 'set-up', lengthMm: null, byFace: [], needed: 1, spares: 0, total: 1, packOf: 1, unitMassKg: null, unitPrice: null, fromYard: false, rule: 'By what is fixed, and the site sheet',
})

/** What is bought of whom, in whole packs. Tools and what lies in the yard are not bought. */
function purchasesOf(lines: LoadLine[]): Purchase[] {
  const bought = lines.filter(line => line.kind !== 'tool' && !line.fromYard && line.total > 0)
  const suppliers = [...new Set(bought.map(line => line.maker))].sort((a, b) => a.localeCompare(b))
  return suppliers.map((supplier) => {
    const own = bought.filter(line => line.maker === supplier).map((line) => {
      const packs = Math.ceil(line.total / line.packOf)
      const pieces = packs * line.packOf
      return { line, packs, pieces, cost: line.unitPrice === null ? null : pieces * line.unitPrice }
    })
    return { supplier: supplier || 'Any supplier', lines: own, cost: own.reduce((sum, one) => sum + (one.cost ?? 0), 0), unpriced: own.filter(one => one.cost === null).length }
  })
}
