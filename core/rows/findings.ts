import type { Edit, RowRule } from '../job'
import { type Cure, type DraftFinding, type FindingAsk, writer } from '../trade'
import { length } from '../units'
import type { RowPlan } from './fill'
import type { RowsLayout } from './layout'

type RowsAsk = FindingAsk<RowsLayout>
const row1 = { kind: 'row' as const, index: 0 }

const setRow = (faceId: string, row: number, values: Partial<RowRule>): Edit => ({ type: 'set-row', faceId, row, values })

export function noRoom(ask: RowsAsk): DraftFinding[] {
  const { face, plan } = ask
  // A face that a wanted number leaves bare has no want of room.
  if (plan.rows.rows.length || face.array.rowCount === 0 || plan.clear.most === 0) return []
  const say = writer(ask)
  const other = face.array.orientation === 'upright' ? 'on-side' : 'upright'
  return [{
    id: `no-room:${face.id}`, severity: 'stop', stage: 'rows', faceId: face.id, about: null,
    sentence: `No row fits: one module is ${say(plan.rows.moduleWidthMm)} wide and ${say(plan.rows.moduleHeightMm)} high as it lies, and the keep-clear strips leave no place for it.`,
    measured: null, limit: length(plan.rows.moduleHeightMm),
    propose: () => [
      { label: other === 'upright' ? 'Stand the modules upright' : 'Lay the modules on their side', edit: { type: 'set-array', faceId: face.id, values: { orientation: other } } },
      ...(face.array.rows[0]?.gapBelowMm ? [{ label: 'Start the first row at the keep-clear line', edit: setRow(face.id, 0, { gapBelowMm: null }) }] : []),
    ],
  }]
}

const isTooHigh = (row: RowPlan): boolean => !row.fits && !row.free

/** Rows that reach past the top of the region. */
export const tooHigh = (ask: RowsAsk): DraftFinding[] => ask.plan.rows.rows.filter(isTooHigh).map(row => rowTooHigh(ask, row))

function rowTooHigh(ask: RowsAsk, row: RowPlan): DraftFinding {
  const { face, plan } = ask
  const say = writer(ask)
  const fit = plan.rows.rowsThatFit
  return {
    id: `row-high:${face.id}:${row.index + 1}`, severity: 'stop', stage: 'rows', faceId: face.id, about: { kind: 'row', index: row.index },
    sentence: `Row ${row.index + 1} reaches ${say(row.topMm)} up the slope. The usable region ends at ${say(plan.regionTopMm)}.`,
    measured: length(row.topMm), limit: length(plan.regionTopMm),
    propose: () => [
      ...(fit > 0 ? [{ label: fit === 1 ? 'Build 1 row' : `Build ${fit} rows`, edit: { type: 'set-array', faceId: face.id, values: { rowCount: fit } } satisfies Edit }] : []),
      {
        label: 'Close the rows up from the keep-clear line',
        edit: { type: 'batch', edits: plan.rows.rows.map(one => ({ type: 'set-row' as const, faceId: face.id, row: one.index, values: { gapBelowMm: null } })) },
      },
    ],
  }
}

/** Runs that stick out of their stretch, and held rows too long for their strip. */
export const tooWide = (ask: RowsAsk): DraftFinding[] => ask.plan.rows.rows.filter(row => !row.fits && !isTooHigh(row)).map(row => rowTooWide(ask, row))

function rowTooWide(ask: RowsAsk, row: RowPlan): DraftFinding {
  const { face, plan } = ask
  const say = writer(ask)
  const number = row.index + 1
  const over = row.count > row.fills
  const block = row.blocks.find(one => !one.fits)!
  const free = block.free ?? row.free!
  const overMm = Math.max(free.fromMm - block.leftMm, block.rightMm - free.toMm)
  const toLeft = block.leftMm < free.fromMm
  return {
    id: `row-wide:${face.id}:${number}`, severity: 'stop', stage: 'rows', faceId: face.id, about: { kind: 'row', index: row.index },
    sentence: over
      ? `Row ${number} is held at ${row.count} modules, ${say(row.rightMm - row.leftMm)} long. Its strip is ${say(free.toMm - free.fromMm)} long and holds ${row.fills}.`
      : `Row ${number} runs ${say(overMm)} into what is kept clear on the ${toLeft ? 'left' : 'right'}.`,
    measured: length(block.rightMm - block.leftMm), limit: length(free.toMm - free.fromMm),
    propose: () => over ? shorten(face.id, row) : pullIn(ask, row, toLeft ? free.fromMm - block.leftMm : free.toMm - block.rightMm, plan.rows.rows),
  }
}

const shorten = (faceId: string, row: RowPlan): Cure[] => row.fills === 0
  ? []
  : [
      { label: `Hold it at ${row.fills}`, edit: setRow(faceId, row.index, { count: row.fills, shiftMm: 0 }) },
      { label: 'Let it fill', edit: setRow(faceId, row.index, { count: null, shiftMm: 0 }) },
    ]

function pullIn(ask: RowsAsk, row: RowPlan, byMm: number, rows: RowPlan[]): Cure[] {
  const { face, plan } = ask
  const say = writer(ask)
  const way = byMm > 0 ? 'right' : 'left'
  const ruleShift = face.array.rows[row.index]?.shiftMm ?? 0
  const cures: Cure[] = [{ label: `Move row ${row.index + 1} ${say(Math.abs(byMm))} ${way}`, edit: setRow(face.id, row.index, { shiftMm: ruleShift + byMm }) }]
  if (rows.length > 1 || plan.shiftMm !== 0) {
    cures.unshift({ label: `Shift the array ${say(Math.abs(byMm))} ${way}`, edit: { type: 'set-array', faceId: face.id, values: { shiftMm: plan.shiftMm + byMm } } })
  }
  return cures
}

/** Rows that stand otherwise than one gap apart from the keep-clear line, because their rails need lines of the covering or of its supports; a row that this costs is no note any more. */
export function rowsWait(ask: RowsAsk): DraftFinding[] {
  const { face, plan: { rows: { rows, waits, baseMm, rowsThatFit } } } = ask
  if (!waits || !rows.length) return []
  const say = writer(ask)
  const gaps = rows.slice(1).flatMap((row, i) => row.bottomMm - rows[i]!.topMm > face.array.rowGapMm + 0.5 ? [`row ${row.index + 1} leaves ${say(row.bottomMm - rows[i]!.topMm)} below it`] : [])
  const raised = face.array.stackFrom === 'eave' && rows[0]!.bottomMm - baseMm > 0.5 ? [`row 1 stands ${say(rows[0]!.bottomMm - baseMm)} above its keep-clear line`] : []
  const lost = face.array.rowCount === null ? waits.withoutRows - rowsThatFit : 0
  if (lost <= 0 && !gaps.length && !raised.length) return []
  return [{
    id: `rows-wait:${face.id}`, severity: lost > 0 ? 'caution' : 'note', stage: 'rows', faceId: face.id, about: row1, measured: null, limit: null,
    sentence: `Rows wait for heights at which their rails find lines of the covering or its supports${[...raised, ...gaps].length ? `: ${[...raised, ...gaps].join(', ')}` : ''}.${lost > 0 ? ` That costs ${lost === 1 ? 'a row' : `${lost} rows`}: ${waits.withoutRows} would stand if rails could run anywhere.` : ''} Least gaps come before the lowest place; a gap that is typed stands as it is typed.`,
    propose: () => lost > 0
      ? [
          { label: face.array.orientation === 'upright' ? 'Lay the modules on their side' : 'Stand the modules upright', edit: { type: 'set-array', faceId: face.id, values: { orientation: face.array.orientation === 'upright' ? 'on-side' : 'upright' } } satisfies Edit },
          { label: 'Run the rails up the slope', edit: { type: 'set-array', faceId: face.id, values: { railWay: 'up' } } satisfies Edit },
        ]
      : [],
  }]
}

/** A wish for the array's lower edge that the rows do not keep. */
export function lowEdgeMissed(ask: RowsAsk): DraftFinding[] {
  const { face, plan } = ask
  const first = plan.rows.rows[0]
  if (face.lowEdgeMm === null || !first || first.bottomMm <= face.lowEdgeMm + 0.5) return []
  const say = writer(ask)
  const lowest = Math.min(...plan.region.flat().map(point => point.y))
  return [{
    id: `low-edge:${face.id}`, severity: 'caution', stage: 'keep-clear', faceId: face.id, about: row1, measured: {
      kind: 'length',
      mm: first.bottomMm,
    }, limit: { kind: 'length', mm: face.lowEdgeMm },
    sentence: `The array’s lower edge is ${say(first.bottomMm)} up; the wish was within ${say(face.lowEdgeMm)} of the eave.${lowest > face.lowEdgeMm ? ` What is kept clear above the eave reaches ${say(lowest)} and comes first.` : ''}`,
    propose: () => [
      ...(lowest <= face.lowEdgeMm!
        ? [{
            label: 'Start the rows at the lower line',
            edit: {
              type: 'batch',
              edits: [{ type: 'set-array', faceId: face.id, values: { stackFrom: 'eave' } }, { type: 'set-row', faceId: face.id, row: 0, values: { gapBelowMm: null } }],
            } satisfies Edit,
          }]
        : []),
      { label: 'Give up the wish', edit: { type: 'set-face', faceId: face.id, values: { lowEdgeMm: null } } },
    ],
  }]
}
