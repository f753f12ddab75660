import type { Catalogue, PartKind, Supply } from '../catalogue'
import type { Job } from '../job'
import type { Part } from '../parts'
import type { FacePlan } from '../plan/face'
import { extrasOf } from './extras'
import { liftPlan, type LiftPlan } from './lifts'
import { spareRule, sparesFor } from './spares'
import { loadStages, type LoadStage, stageOf } from './stages'
import { toolsFor } from './tools'

/** One line of the load-out over the whole job. */
export interface LoadLine {
  /** The same for the same part in every plan: by it a tick is kept. */
  id: string
  kind: PartKind
  name: string
  maker: string
  stage: LoadStage
  lengthMm: number | null
  /** Pieces that each face needs; what is bought by the cartridge or reel is counted over the job only. */
  byFace: { faceId: string, pieces: number }[]
  needed: number
  spares: number
  total: number
  packOf: number
  /** Of one piece, kg; null where nobody has given it. */
  unitMassKg: number | null
  /** Of one piece, in the catalogue's currency; null where nobody has given it. */
  unitPrice: number | null
  /** Taken from the yard, not bought. */
  fromYard: boolean
  rule: string
}

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

interface Draft { kind: PartKind, name: string, maker: string, forId: string | null, lengthMm: number | null, byFace: { faceId: string, amount: number }[], massEach: number | null, priceEach: number | null, rule: string }

/** Everything that goes on the van for a job: what its faces need, spares by rule, packs, lifts and what is to be bought of whom. */
export function loadoutOf(job: Job, faces: FacePlan[], catalogue: Catalogue): Loadout {
  const drafts = new Map<string, Draft>()
  const add = (draft: Omit<Draft, 'byFace'>, faceId: string, amount: number) => {
    const key = [draft.kind, draft.name, draft.maker, draft.lengthMm ?? ''].join('|')
    const known = drafts.get(key)
    if (known) known.byFace.push({ faceId, amount })
    else drafts.set(key, { ...draft, byFace: [{ faceId, amount }] })
  }
  faces.forEach((plan) => {
    for (const part of plan.list) add(draftOf(part, plan), plan.faceId, part.pieces)
    for (const { kind, forId, name, amount, rule } of extrasOf(plan)) add({ kind, name, maker: '', forId, lengthMm: null, massEach: null, priceEach: null, rule }, plan.faceId, amount)
  })
  const modules = faces.reduce((sum, face) => sum + face.modules, 0)
  if (modules) add({ kind: 'label', name: 'Label set for one system', maker: '', forId: null, lengthMm: null, massEach: null, priceEach: null, rule: 'One a system' }, faces[0]!.faceId, 1)
  const supplyFor = (kind: PartKind, forId: string | null): Supply | null => catalogue.supplies.find(one => one.kind === kind && one.forId !== null && one.forId === forId) ?? catalogue.supplies.find(one => one.kind === kind && one.forId === null) ?? null
  const lines = [
    ...[...drafts.entries()].map(([id, draft]) => lineOf(id, draft, supplyFor(draft.kind, draft.forId), job)),
    ...toolsFor(job, faces).map((name): LoadLine => ({ id: `tool|${name}`, kind: 'tool', name, maker: '', stage: 'set-up', lengthMm: null, byFace: [], needed: 1, spares: 0, total: 1, packOf: 1, unitMassKg: null, unitPrice: null, fromYard: false, rule: 'By what is fixed, and the site sheet' })),
  ].sort((a, b) => loadStages.indexOf(a.stage) - loadStages.indexOf(b.stage))
  const sticks = faces.flatMap(face => face.sticks.sticks.map(stick => stick.stockMm))
  return {
    lines, lifts: liftPlan(lines, job.loadout), purchases: purchasesOf(lines), currency: catalogue.currency,
    massKg: lines.reduce((sum, line) => sum + line.total * (line.unitMassKg ?? 0), 0), longestStickMm: sticks.length ? Math.max(...sticks) : null,
  }
}

/** A counted part with what the catalogue's own item says of its mass and price. */
function draftOf(part: Part, { parts: { module, rail, mount, clamps } }: FacePlan): Omit<Draft, 'byFace'> {
  const forId: Partial<Record<PartKind, string>> = { 'module': module.id, 'stick': rail.id, 'offcut': rail.id, 'splice': rail.id, 'coupler': rail.id, 'skirt': rail.id, 'end-cap': rail.id, 'mid-clamp': clamps.id, 'end-clamp': clamps.id, 'mount': mount.id, 'screw': mount.id }
  const price: Partial<Record<PartKind, number>> = { splice: rail.splice.price, coupler: rail.splice.price, mount: mount.price, offcut: 0, skirt: rail.frame?.skirt.price, stick: rail.stock.find(one => one.mm === part.lengthMm)?.price }
  return {
    kind: part.kind, name: part.name, maker: part.maker, forId: forId[part.kind] ?? null, lengthMm: part.lengthMm, rule: part.rule,
    massEach: part.massKg === null ? null : part.massKg / part.pieces, priceEach: price[part.kind] ?? null,
  }
}

function lineOf(id: string, draft: Draft, supply: Supply | null, job: Job): LoadLine {
  const amount = draft.byFace.reduce((sum, one) => sum + one.amount, 0)
  // What is bought by the cartridge or reel is rounded up once, over the whole job.
  const holds = supply?.holds ?? null
  const needed = Math.ceil(amount / (holds ?? 1) - 1e-9)
  const fromYard = draft.kind === 'offcut'
  const spares = fromYard ? 0 : sparesFor(needed, spareRule(draft.kind, job.loadout))
  return {
    id, kind: draft.kind, stage: stageOf[draft.kind], lengthMm: draft.lengthMm, rule: draft.rule, fromYard, needed, spares, total: needed + spares,
    name: holds === null ? draft.name : supply!.name, maker: draft.maker || supply?.maker || '',
    byFace: holds === null ? draft.byFace.map(({ faceId, amount: pieces }) => ({ faceId, pieces })) : [],
    packOf: supply?.packOf ?? 1, unitMassKg: draft.massEach ?? supply?.massKg ?? null, unitPrice: draft.priceEach ?? supply?.price ?? null,
  }
}

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
