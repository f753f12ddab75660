import { length } from '../units'
import type { Working } from '../working'
import { rectangle } from '../geometry'
import { type Edit, plainRow } from '../job'
import { isAcross, pushBy, shape, signOf } from '../trade'
import { rafterAt } from '../supports'
import { gapBelow, type RowPlan } from './fill'
import type { RowsLayout } from './layout'
import { moduleId } from './module-id'
import type { FaceShown, Ask, Layer, Selectable, TapePlace } from '../trade'

type RowsAsk = Ask<RowsLayout>

/** Modules numbered along each row from the eave up, as the rows are laid. */
const modules: Layer<RowsAsk> = {
  id: 'modules', toggle: { name: 'Modules', key: 'm', on: true }, depth: 40,
  style: { fill: '#66707a', stroke: '#1d2329', width: 0.8, text: 9, ink: '#ffffff', dxfColour: 4, paper: { fill: '#c9ced3', ink: '#22272e' } },
  shapes: ({ plan: { rows: { rows } } }) => {
    let number = 0
    return rows.flatMap((row) => {
      const ref = { kind: 'row' as const, index: row.index }
      return row.moduleLeftsMm.flatMap((left, place) => [
        { ...shape({ kind: 'area', rings: rectangle({ fromMm: left, toMm: left + row.moduleWidthMm }, { fromMm: row.bottomMm, toMm: row.topMm }) }, ref, row.fits ? 'plain' : 'wrong'), within: { kind: 'module' as const, id: moduleId(row.index, place) } },
        shape({ kind: 'text', at: { x: left + row.moduleWidthMm / 2, y: (row.bottomMm + row.topMm) / 2 }, text: String(++number), roomMm: row.moduleWidthMm }, ref),
      ])
    })
  },
}

const edge = (placeMm: number, label: string): TapePlace => ({ placeMm, label, tone: 'module' })

/** Left edge of the first column of an array in the roof, mm: rows that lie the other way up have a grid of their own. */
const firstColumnMm = ({ rows: { rows } }: RowsLayout): number => Math.min(...rows.filter(row => row.count && row.orientation === rows[0]!.orientation).map(row => row.leftMm))

/** One row, or the whole array where `row` is null; what snaps is the left edge. */
function slide({ face, plan }: RowsAsk, row: RowPlan | null, sign: number, push: number | 'snap'): Edit | null {
  const moved = row ?? plan.rows.rows[0]!
  const byMm = pushBy(plan.supports.rafters.map(rafter => rafterAt(rafter, moved.bottomMm)), moved.leftMm, sign, push)
  if (byMm === null) return null
  // An array in the roof lies on one grid: it moves as a whole.
  if (face.inRoof) return { type: 'set-in-roof', faceId: face.id, values: { leftMm: firstColumnMm(plan) + byMm } }
  return row
    ? { type: 'set-row', faceId: face.id, row: row.index, values: { shiftMm: (face.array.rows[row.index] ?? plainRow).shiftMm + byMm } }
    : { type: 'set-array', faceId: face.id, values: { shiftMm: plan.shiftMm + byMm } }
}

/** Rows above follow, since each lies on the gap below it. */
function raise({ face, plan }: RowsAsk, row: RowPlan, sign: number, push: number | 'snap'): Edit | null {
  const byMm = pushBy(plan.courses, row.bottomMm, sign, push)
  if (face.inRoof) return byMm === null ? null : { type: 'set-in-roof', faceId: face.id, values: { bottomMm: Math.max(0, plan.rows.rows[0]!.bottomMm + byMm) } }
  return byMm === null ? null : { type: 'set-row', faceId: face.id, row: row.index, values: { gapBelowMm: Math.max(0, gapBelow(plan.rows, row.index) + byMm) } }
}

const oneRow = (ask: RowsAsk, row: RowPlan): Selectable => ({
  ref: { kind: 'row', index: row.index }, name: `Row ${row.index + 1}`, stage: 'rows',
  places: () => ({
    along: [...row.moduleLeftsMm, row.rightMm].map((placeMm, i) => edge(placeMm, i < row.count ? `Module ${i + 1}, left edge` : 'Right edge')),
    up: [edge(row.bottomMm, 'Lower edge'), edge(row.topMm, 'Upper edge')],
  }),
  nudge: (direction, push) => isAcross(direction) ? slide(ask, row, signOf(direction), push) : raise(ask, row, signOf(direction), push),
  workings: () => [row.working],
})

/** One module of a row; it follows its row, so that pushing is the row's. */
const oneModule = (ask: RowsAsk, row: RowPlan, place: number, number: number): Selectable => ({
  ref: { kind: 'module', id: moduleId(row.index, place) }, name: `Module ${number}, row ${row.index + 1}`, stage: 'rows',
  places: () => ({
    along: [edge(row.moduleLeftsMm[place]!, 'Left edge'), edge(row.moduleLeftsMm[place]! + row.moduleWidthMm, 'Right edge')],
    up: [edge(row.bottomMm, 'Lower edge'), edge(row.topMm, 'Upper edge')],
  }),
  nudge: (direction, push) => isAcross(direction) ? slide(ask, row, signOf(direction), push) : raise(ask, row, signOf(direction), push),
  workings: () => [row.working],
})

function allModules(ask: RowsAsk): Selectable[] {
  let number = 0
  return ask.plan.rows.rows.flatMap(row => row.moduleLeftsMm.map((_, place) => oneModule(ask, row, place, ++number)))
}

function allRows(ask: RowsAsk): Selectable {
  const { rows } = ask.plan.rows
  const [first] = rows
  return {
    ref: { kind: 'rows' }, name: 'All rows', stage: 'rows',
    places: () => ({
      along: first ? [edge(Math.min(...rows.map(one => one.leftMm)), 'Left edge of the array'), edge(Math.max(...rows.map(one => one.rightMm)), 'Right edge of the array')] : [],
      up: rows.flatMap(one => [edge(one.bottomMm, `Row ${one.index + 1}, lower edge`), edge(one.topMm, `Row ${one.index + 1}, upper edge`)]),
    }),
    nudge: (direction, push) => !first ? null : isAcross(direction) ? slide(ask, null, signOf(direction), push) : raise(ask, first, signOf(direction), push),
  }
}

/** How far all rows may move together. */
const slackWorkings = ({ rows: { rows, slack } }: RowsLayout): Working[] => slack
  ? [{
      what: 'Room to move the array', formula: 'of every run the room beside it; of all the least',
      values: rows.flatMap(row => row.blocks.flatMap(block => block.free ? [{ symbol: '←', what: `row ${row.index + 1}, left`, value: length(block.leftMm - block.free.fromMm) }, { symbol: '→', what: `row ${row.index + 1}, right`, value: length(block.free.toMm - block.rightMm) }] : [])),
      result: length(slack.toMm - slack.fromMm), source: 'Runs in the stretches that are left beside what is kept clear', basis: 'arithmetic',
    }]
  : []

/** What of it is drawn, taken hold of and worked out before eyes. */
export const rowsShown = {
  layers: [modules],
  selectable: ask => [allRows(ask), ...ask.plan.rows.rows.map(row => oneRow(ask, row)), ...allModules(ask)],
  workings: ({ plan }) => [...plan.rows.rows.slice(0, 1).map(row => row.working), ...slackWorkings(plan)],
} satisfies FaceShown<RowsLayout>
