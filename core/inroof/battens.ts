import type { InRoof } from '../catalogue'
import { battensIn, belowFirst, type Course } from '../coverings'
import type { Covering } from '../job'
import { pack, type PackedStick } from '../sticks'
import { type Rafter, rafterAt } from '../supports'
import type { ArrayPart, Cell } from './cells'

export type BattenAct = 'keep' | 'add' | 'move' | 'cut'

/** What is done to one batten, mm on the face. */
export interface BattenStep {
  act: BattenAct
  /** Course whose units hang from it; null for one that is added. */
  course: number | null
  /** Its upper edge as it lies, and where it goes; the same where it stays. */
  upperMm: number
  wasMm: number
  /** Along the eave: what is added, moved or cut out; for one that stays the array above it. */
  fromMm: number
  toMm: number
  /** Rows of modules that it carries, 0 first; none for one that is cut out. */
  rows: number[]
}

/** One screw of a module, mm on the face. */
export interface ScrewPlace {
  moduleId: string
  xMm: number
  yMm: number
  line: number
}

export interface BattenPlan {
  steps: BattenStep[]
  screws: ScrewPlace[]
  /** Screws under which no batten lies, or too near to its edge. */
  loose: ScrewPlace[]
  widthMm: number
  /** New battens from stock: what is cut from each, by the step's place in the list and its part. */
  cuts: { sticks: PackedStick[], pieces: { step: number, fromMm: number, toMm: number }[], stockMm: number, proved: boolean }
  /** False where no rafter is known, so that ends hang free. */
  onRafters: boolean
}

/** A new batten reaches so far past the modules where no rafter is known, mm (common practice). */
const PAST_MM = 100

interface Line {
  upperMm: number
  course: number | null
  wasMm: number
  act: BattenAct
  fromMm: number
  toMm: number
  rows: Set<number>
}

/**
 * The battens under an array. Each line across a module that the system wants on a batten takes one that lies in its reach; else one is
 * added, or, where a batten that stays whole is in the way, that one is moved. Where trays stand, every other batten is cut out.
 */
export function battenPlan(
  parts: ArrayPart[],
  system: InRoof,
  {
    covering,
    courses,
    rafters,
    along,
    stockMm,
  }: { covering: Covering, courses: Course[], rafters: Rafter[], along: { fromMm: number, toMm: number }, stockMm: number },
): BattenPlan | null {
  if (!('battenMm' in covering)) return null
  const widthMm = covering.battenMm
  const all = [...belowFirst(covering, courses), ...courses]
  const lines: Line[] = []
  const screws: ScrewPlace[] = []
  const blocks = parts.flatMap(blocksOf)
  for (const { cells, row, orientation } of blocks) {
    const [fromMm, toMm, bottomMm, topMm] = [cells[0]!.leftMm, cells.at(-1)!.rightMm, cells[0]!.bottomMm, cells[0]!.topMm]
    const there = battensIn(covering, all, bottomMm - widthMm, topMm + widthMm)
    const overlaps = (one: { fromMm: number, toMm: number }) => one.fromMm < toMm && one.toMm > fromMm
    system.lines
      .filter(one => one.wayUp === orientation)
      .forEach((line, l) => {
        const [lowMm, highMm] = [bottomMm + line.fromMm, bottomMm + line.toMm]
        const wantedMm = (lowMm + highMm) / 2
        const middle = (upperMm: number) => upperMm - widthMm / 2
        const reaches = (upperMm: number) => middle(upperMm) >= lowMm - 1e-6 && middle(upperMm) <= highMm + 1e-6
        const nearest = <T extends { upperMm: number }>(list: T[]): T | undefined =>
          [...list].sort((a, b) => Math.abs(middle(a.upperMm) - wantedMm) - Math.abs(middle(b.upperMm) - wantedMm))[0]
        // One that another row or part has needed already, else one that lies there, else a new one.
        const taken = nearest(lines.filter(one => reaches(one.upperMm) && overlaps(one)))
        const lying = taken ? undefined : nearest(there.filter(one => reaches(one.toMm)).map(one => ({ upperMm: one.toMm, course: one.course })))
        const own = taken ?? {
          upperMm: lying?.upperMm ?? freeHeight(),
          course: lying?.course ?? null,
          wasMm: 0,
          act: lying ? ('keep' as const) : ('add' as const),
          fromMm,
          toMm,
          rows: new Set<number>(),
        }
        if (!taken) {
          own.wasMm = own.upperMm
          const inWay = lying ? undefined : there.find(one => own.upperMm - widthMm < one.toMm - 1e-6 && own.upperMm > one.fromMm + 1e-6)
          if (inWay && system.kind === 'frame') Object.assign(own, { act: 'move', course: inWay.course, wasMm: inWay.toMm })
          lines.push(own)
        }
        own.fromMm = Math.min(own.fromMm, fromMm)
        own.toMm = Math.max(own.toMm, toMm)
        own.rows.add(row)
        for (const cell of cells) {
          const widthOf = cell.rightMm - cell.leftMm - 2 * line.insetMm
          for (let i = 0; i < line.screws; i++)
            screws.push({
              moduleId: cell.id,
              line: l,
              xMm: cell.leftMm + line.insetMm + (line.screws === 1 ? widthOf / 2 : (widthOf * i) / (line.screws - 1)),
              yMm: middle(own.upperMm),
            })
        }

        /** Where a new one goes: in the middle of its reach; where a batten that stays whole is in the way, beside it if that is in reach, else as near to it as may be. */
        function freeHeight(): number {
          const clear = (upperMm: number) => reaches(upperMm) && !there.some(one => upperMm - widthMm < one.toMm - 1e-6 && upperMm > one.fromMm + 1e-6)
          const best = wantedMm + widthMm / 2
          if (system.kind === 'tray' || clear(best)) return best
          const beside = there.flatMap(one => [one.toMm + widthMm, one.fromMm]).filter(clear)
          if (beside.length) return beside.reduce((a, b) => (Math.abs(b - best) < Math.abs(a - best) ? b : a))
          const way = nearest(there.map(one => ({ upperMm: one.toMm })))
          return way ? Math.min(Math.max(middle(way.upperMm), lowMm), highMm) + widthMm / 2 : best
        }
      })
  }
  const ends = (one: Line): Pick<Line, 'fromMm' | 'toMm'> => (one.act === 'keep' ? one : onRafters(one, rafters, along))
  const carries = (course: number, cells: Cell[]) =>
    lines.some(one => one.act === 'keep' && one.course === course && one.fromMm < cells.at(-1)!.rightMm && one.toMm > cells[0]!.leftMm)
  const cut: Line[]
    = system.kind === 'tray'
      ? blocks.flatMap(({ cells }) =>
          battensIn(covering, all, cells[0]!.bottomMm, cells[0]!.topMm)
            .filter(one => !carries(one.course, cells))
            .map((one): Line => ({
              upperMm: one.toMm,
              wasMm: one.toMm,
              course: one.course,
              act: 'cut',
              fromMm: cells[0]!.leftMm,
              toMm: cells.at(-1)!.rightMm,
              rows: new Set(),
            })),
        )
      : []
  const steps = [...lines.map(one => ({ ...one, ...ends(one) })), ...joined(cut)]
    .sort((a, b) => a.upperMm - b.upperMm || a.fromMm - b.fromMm)
    .map(({ rows, ...one }): BattenStep => ({ ...one, rows: [...rows].sort((a, b) => a - b) }))
  return {
    steps,
    screws,
    loose: looseScrews(steps, screws, widthMm, system.screw.edgeMm),
    widthMm,
    cuts: cutList(steps, rafters, stockMm),
    onRafters: rafters.length > 0,
  }
}

/** Runs of neighbouring modules in one row. */
function blocksOf({ cells, firstRow, orientation }: ArrayPart): { cells: Cell[], row: number, orientation: ArrayPart['orientation'] }[] {
  const sorted = [...cells].sort((a, b) => a.row - b.row || a.column - b.column)
  const blocks: Cell[][] = []
  for (const cell of sorted) {
    const last = blocks.at(-1)?.at(-1)
    if (last && last.row === cell.row && last.column === cell.column - 1) blocks.at(-1)!.push(cell)
    else blocks.push([cell])
  }
  return blocks.map(own => ({ cells: own, row: firstRow + own[0]!.row, orientation }))
}

/** What is cut out of one batten over two rows that lie one above the other is cut once. */
function joined(cuts: Line[]): Line[] {
  const out: Line[] = []
  for (const one of [...cuts].sort((a, b) => a.upperMm - b.upperMm || a.fromMm - b.fromMm)) {
    const last = out.at(-1)
    if (last && Math.abs(last.upperMm - one.upperMm) < 1e-6 && one.fromMm <= last.toMm + 1e-6) last.toMm = Math.max(last.toMm, one.toMm)
    else out.push({ ...one })
  }
  return out
}

/** A new batten begins and ends on rafters past the modules, as far as the face goes. */
function onRafters({ fromMm, toMm, upperMm }: Line, rafters: Rafter[], along: { fromMm: number, toMm: number }): { fromMm: number, toMm: number } {
  const places = rafters.map(rafter => rafterAt(rafter, upperMm)).sort((a, b) => a - b)
  return {
    fromMm: places.filter(mm => mm <= fromMm).at(-1) ?? Math.max(along.fromMm, fromMm - PAST_MM),
    toMm: places.find(mm => mm >= toMm) ?? Math.min(along.toMm, toMm + PAST_MM),
  }
}

/** Screws under which none of the battens that stay, are added or moved lies far enough to both sides. */
export const looseScrews = (steps: BattenStep[], screws: ScrewPlace[], widthMm: number, edgeMm: number): ScrewPlace[] =>
  screws.filter(
    ({ xMm, yMm }) =>
      !steps.some(
        ({ act, upperMm, fromMm, toMm }) =>
          act !== 'cut' && yMm <= upperMm - edgeMm + 1e-6 && yMm >= upperMm - widthMm + edgeMm - 1e-6 && xMm >= fromMm - 1e-6 && xMm <= toMm + 1e-6,
      ),
  )

/** Nodes of the search for the cut list. */
const NODES = 20_000

/** New battens cut from stock; one that is longer than a length is joined on the last rafter it reaches. */
function cutList(steps: BattenStep[], rafters: Rafter[], stockMm: number): BattenPlan['cuts'] {
  const pieces = steps.flatMap(({ act, fromMm, toMm, upperMm }, step) => {
    if (act !== 'add') return []
    const parts: { step: number, fromMm: number, toMm: number }[] = []
    for (let atMm = fromMm; atMm < toMm - 1e-6;) {
      const lastMm = atMm + stockMm
      const joint = rafters
        .map(rafter => rafterAt(rafter, upperMm))
        .filter(mm => mm > atMm + 1 && mm <= lastMm)
        .sort((a, b) => b - a)[0]
      const endMm = toMm <= lastMm + 1e-6 ? toMm : (joint ?? lastMm)
      parts.push({ step, fromMm: atMm, toMm: endMm })
      atMm = endMm
    }
    return parts
  })
  if (!pieces.length) return { sticks: [], pieces, stockMm, proved: true }
  const { sticks, proved } = pack(
    pieces.map(one => [{ pieces: [{ fromMm: one.fromMm, toMm: one.toMm }], bridged: false }]),
    { stock: [{ mm: stockMm, price: 1 }], yard: [], splicePrice: 0 },
    NODES,
  )
  return { sticks, pieces, stockMm, proved }
}
