import { apartFor } from '../fixings'
import type { Edit } from '../job'
import type { RailPlan } from '../rails'
import { drilledOn, thereOfRail } from '../rooflog'
import { gapBelow } from '../rows'
import { type Cure, type DraftFinding, onFace, plural, writer } from '../trade'
import type { WorkAsk } from './findings'

type Proposed = Pick<Cure, 'label' | 'edit'>

/** Cures with what they cost up there, cheapest first: by new holes, then by sticks. One that changes the number of modules is none. */
function byPrice(ask: WorkAsk, cures: Proposed[]): Cure[] {
  const { plan } = ask
  const priced = cures.map(({ label, edit }) => {
    const after = ask.tried(edit)
    return {
      label, edit, modules: after.modules - plan.modules, holes: after.fixings.total - plan.fixings.total,
      sticks: after.sticks.sticks.length - plan.sticks.sticks.length,
    }
  })
  const signed = (n: number, word: string) => n ? [`${n > 0 ? '+' : '−'}${plural(Math.abs(n), word)}`] : []
  return priced.filter(one => one.modules === 0).sort((a, b) => a.holes - b.holes || a.sticks - b.sticks).map(({ label, edit, holes, sticks }) => {
    const price = [...signed(holes, 'hole'), ...signed(sticks, 'stick')].join(', ') || 'no more holes or sticks'
    return { label: `${label} (${price})`, edit }
  })
}

/** A rail whose pieces are cut may be cut anew, and its butted splices bridged by an offcut. */
function onRail({ job, face, plan }: WorkAsk, rail: RailPlan): Proposed[] {
  const entries = job.log.filter(one => one.kind === 'rail' && one.faceId === face.id && thereOfRail([one], rail))
  const isBridged = face.array.spliceAs !== 'butted' || plan.parts.rail.splice.bridgeMm <= 0
  return [
    ...entries.length ? [{ label: `Cut rail ${rail.number} anew`, edit: { type: 'drop-work', entryIds: entries.map(one => one.id) } satisfies Edit }] : [],
    ...isBridged ? [] : [{ label: 'Bridge the splices with an offcut', edit: { type: 'set-array', faceId: face.id, values: { spliceAs: 'bridged' } } satisfies Edit }],
  ]
}

/** The row, or this rail alone inside its clamp zone, moved up or down by what clears a hole along the grain. */
function moved(ask: WorkAsk, rail: RailPlan): Proposed[] {
  const { face, plan } = ask
  const row = plan.rows.rows[rail.row]
  if (!row || rail.way !== 'across') return []
  const byMm = Math.ceil(apartFor(ask.job.loads, plan.parts.mount.fasteners).alongMm)
  const words = (mm: number) => `${writer(ask)(Math.abs(mm))} ${mm > 0 ? 'up' : 'down'}`
  const setRow = (values: Extract<Edit, { type: 'set-row' }>['values']): Edit => ({ type: 'set-row', faceId: face.id, row: rail.row, values })
  const rows = [byMm, -byMm].map(mm => ({ label: `Move row ${rail.row + 1} ${words(mm)}`, edit: setRow({ gapBelowMm: Math.max(0, gapBelow(plan.rows, rail.row) + mm) }) }))
  const field = rail.side === 'lower' ? 'lowerRailMm' : rail.side === 'upper' ? 'upperRailMm' : null
  if (rail.typed || !field) return rows
  const inZone = (mm: number) => rail.lineMm + mm >= rail.zone.fromMm && rail.lineMm + mm <= rail.zone.toMm
  return [...rows, ...[byMm, -byMm].filter(inZone).map(mm => ({
    label: `Move the ${rail.side} rail of row ${rail.row + 1} ${words(mm)}`, edit: setRow({ [field]: rail.lineMm + mm - row.bottomMm }),
  }))]
}

/** Rails that can't keep every limit round the holes that are there. */
export function noWay(ask: WorkAsk): DraftFinding[] {
  const { plan, face, job } = ask
  if (!drilledOn(job.log, face.id).length) return []
  return plan.rails.flatMap((rail, r): DraftFinding[] => {
    const { followed, worst } = plan.fixings.rails[r]!
    if (!followed || followed.passes) return []
    const over = worst !== null && worst > 1 ? `: ${Math.round(100 * worst)} % of what is allowed` : ''
    return [{
      ...onFace(ask, 'on-roof', `no-way-${rail.id}`), severity: 'stop', about: { kind: 'rail', id: rail.id }, orStep: true,
      propose: () => byPrice(ask, [...onRail(ask, rail), ...moved(ask, rail)]),
      sentence: `Rail ${rail.number} keeps no longer every limit round the holes that are there${over}. Nothing that was looked at with other rafters or one more fixing does`
        + `${followed.splicesStay ? '' : ', spliced elsewhere or not'}. Drill nothing more on it before it is decided.`,
    }]
  })
}
