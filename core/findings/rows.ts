import type { Edit, RowRule } from '../job'
import type { RowPlan } from '../rows'
import { length } from '../units'
import { type FindingContext, writer } from './context'
import type { Cure, DraftFinding } from './finding'

/** Rows that do not fit the usable region, and a region that holds no row at all. */
export function rowFindings(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  if (!plan.rows.rows.length && face.array.rowCount !== 0) return [noRoom(context)]
  return plan.rows.rows.filter(row => !row.fits).map(row => tooHigh(context, row) ?? tooWide(context, row))
}

const setRow = (faceId: string, row: number, values: Partial<RowRule>): Edit => ({ type: 'set-row', faceId, row, values })

function noRoom(context: FindingContext): DraftFinding {
  const { face, plan } = context
  const say = writer(context)
  const other = face.array.orientation === 'upright' ? 'on-side' : 'upright'
  return {
    id: `no-room:${face.id}`, severity: 'stop', stage: 'rows', faceId: face.id, about: '',
    sentence: `No row fits: one module is ${say(plan.rows.moduleWidthMm)} wide and ${say(plan.rows.moduleHeightMm)} high as it lies, and the keep-clear strips leave no place for it.`,
    measured: null, limit: length(plan.rows.moduleHeightMm),
    propose: () => [
      { label: other === 'upright' ? 'Stand the modules upright' : 'Lay the modules on their side', edit: { type: 'set-array', faceId: face.id, values: { orientation: other } } },
      ...(face.array.rows[0]?.gapBelowMm ? [{ label: 'Start the first row at the keep-clear line', edit: setRow(face.id, 0, { gapBelowMm: null }) }] : []),
    ],
  }
}

/** A row that reaches past the top of the region; null when its height is not the trouble. */
function tooHigh(context: FindingContext, row: RowPlan): DraftFinding | null {
  const { face, plan } = context
  const say = writer(context)
  if (row.free) return null
  const fit = plan.rows.rowsThatFit
  return {
    id: `row-high:${face.id}:${row.index + 1}`, severity: 'stop', stage: 'rows', faceId: face.id, about: `row ${row.index + 1}`,
    sentence: `Row ${row.index + 1} reaches ${say(row.topMm)} up the slope. The usable region ends at ${say(plan.regionTopMm)}.`,
    measured: length(row.topMm), limit: length(plan.regionTopMm),
    propose: () => [
      ...(fit > 0 ? [{ label: fit === 1 ? 'Build 1 row' : `Build ${fit} rows`, edit: { type: 'set-array', faceId: face.id, values: { rowCount: fit } } satisfies Edit }] : []),
      { label: 'Close the rows up from the keep-clear line', edit: { type: 'batch', edits: plan.rows.rows.map(one => ({ type: 'set-row' as const, faceId: face.id, row: one.index, values: { gapBelowMm: null } })) } },
    ],
  }
}

/** The run that sticks out of its stretch; a held row too long for its strip. */
function tooWide(context: FindingContext, row: RowPlan): DraftFinding {
  const { face, plan } = context
  const say = writer(context)
  const number = row.index + 1
  const over = row.count > row.fills
  const block = row.blocks.find(one => !one.fits)!
  const free = block.free ?? row.free!
  const overMm = Math.max(free.fromMm - block.leftMm, block.rightMm - free.toMm)
  const toLeft = block.leftMm < free.fromMm
  return {
    id: `row-wide:${face.id}:${number}`, severity: 'stop', stage: 'rows', faceId: face.id, about: `row ${number}`,
    sentence: over
      ? `Row ${number} is held at ${row.count} modules, ${say(row.rightMm - row.leftMm)} long. Its strip is ${say(free.toMm - free.fromMm)} long and holds ${row.fills}.`
      : `Row ${number} runs ${say(overMm)} into what is kept clear on the ${toLeft ? 'left' : 'right'}.`,
    measured: length(block.rightMm - block.leftMm), limit: length(free.toMm - free.fromMm),
    propose: () => over ? shorten(face.id, row) : pullIn(context, row, toLeft ? free.fromMm - block.leftMm : free.toMm - block.rightMm, plan.rows.rows),
  }
}

const shorten = (faceId: string, row: RowPlan): Cure[] => row.fills === 0
  ? []
  : [
      { label: `Hold it at ${row.fills}`, edit: setRow(faceId, row.index, { count: row.fills, shiftMm: 0 }) },
      { label: 'Let it fill', edit: setRow(faceId, row.index, { count: null, shiftMm: 0 }) },
    ]

function pullIn(context: FindingContext, row: RowPlan, byMm: number, rows: RowPlan[]): Cure[] {
  const { face, plan } = context
  const say = writer(context)
  const way = byMm > 0 ? 'right' : 'left'
  const ruleShift = face.array.rows[row.index]?.shiftMm ?? 0
  const cures: Cure[] = [{ label: `Move row ${row.index + 1} ${say(Math.abs(byMm))} ${way}`, edit: setRow(face.id, row.index, { shiftMm: ruleShift + byMm }) }]
  if (rows.length > 1 || plan.shiftMm !== 0) {
    cures.unshift({ label: `Shift the array ${say(Math.abs(byMm))} ${way}`, edit: { type: 'set-array', faceId: face.id, values: { shiftMm: plan.shiftMm + byMm } } })
  }
  return cures
}
