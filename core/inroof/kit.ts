import type { InRoof, PartKind } from '../catalogue'
import { bounds, type Interval, type Point } from '../geometry'
import type { FlashSchool, Obstruction } from '../job'
import { type ArrayPart, boxOf, type Cell, cellFinder, clearBetween } from './cells'
import { type EdgeSide, type Loop, outlinesOf, type Run } from './outline'

export const pieceKinds = [
  'bottom-flashing',
  'side-flashing',
  'one-row-side',
  'top-flashing',
  'outer-corner',
  'inner-corner',
  'joint-up',
  'joint-across',
  'joint-crossing',
  'joint-cap',
  'window-set',
] as const satisfies readonly PartKind[]
export type PieceKind = (typeof pieceKinds)[number]
export const pieceNames: Record<PieceKind, string> = {
  'bottom-flashing': 'Bottom flashing',
  'side-flashing': 'Side flashing',
  'one-row-side': 'Side for one row',
  'top-flashing': 'Top flashing',
  'outer-corner': 'Outer corner',
  'inner-corner': 'Inner corner',
  'joint-up': 'Upright joint',
  'joint-across': 'Level joint',
  'joint-crossing': 'Crossing',
  'joint-cap': 'Joint cap',
  'window-set': 'Cover set',
}
/** The letter by which pieces of a kind are marked on the drawing and on themselves. */
export const pieceLetters: Record<PieceKind, string> = {
  'bottom-flashing': 'B',
  'side-flashing': 'S',
  'one-row-side': 'S',
  'top-flashing': 'T',
  'outer-corner': 'C',
  'inner-corner': 'D',
  'joint-up': 'J',
  'joint-across': 'L',
  'joint-crossing': 'X',
  'joint-cap': 'E',
  'window-set': 'W',
}

/** One piece of the kit in its place, mm on the face: from and to along the edge it lies on, its lap over the one before it included. */
export interface Piece {
  /** Its letter and number, as `B3`. */
  mark: string
  kind: PieceKind
  /** What it is called where the kind has several, as a cover set by its size. */
  name: string | null
  side: EdgeSide | null
  from: Point
  to: Point
  /** Cut to this length, mm; null for what comes as it is. */
  lengthMm: number | null
  /** The step of the work in which it is laid, 1 first. */
  step: number
}

/** A roof window with what lies round it: the hole in the array it stands in, and how near modules come. */
export interface WindowPlace {
  id: string
  /** The set that covers the whole hole; null where units of the covering lie round the window, or nothing fits. */
  set: string | null
  /** The hole that the set covers: its rectangle, mm; null without a set. */
  covers: { along: Interval, up: Interval } | null
  /** Nearest and farthest module edge, mm, across and up; null where it stands in no hole. */
  gaps: { leastMm: number, mostMm: number } | null
  /** What is wrong: nearer than the kit allows, too wide for a set and too narrow for units, or no set of its size. */
  trouble: 'near' | 'between' | 'no-set' | null
}

/** One step of the work, in order. */
export interface KitStep {
  number: number
  words: string
  marks: string[]
}

export interface Kit {
  pieces: Piece[]
  steps: KitStep[]
  loops: Loop[]
  windows: WindowPlace[]
  /** Length of each side of all outlines that are flashed, mm, laps not counted. */
  edgesMm: Record<EdgeSide, number>
  /** Places where modules meet at a corner only, for which no kit has a piece. */
  pinches: Point[]
}

const WINDOWS: Obstruction['kind'][] = ['roof-window', 'escape-window']
export const isWindow = ({ kind }: Pick<Obstruction, 'kind'>): boolean => WINDOWS.includes(kind)

/** A run cut into lengths that lie over each other, from the left or from below: each full but the last. */
function lengthsOf(
  { side, from, to, lengthMm }: Run,
  { stockMm, overlapMm }: { stockMm: number, overlapMm: number },
): { from: Point, to: Point, lengthMm: number }[] {
  const n = piecesFor(lengthMm, stockMm, overlapMm)
  const [start, end] = side === 'bottom' || side === 'right' ? [from, to] : [to, from]
  const along = (mm: number): Point => (side === 'bottom' || side === 'top' ? { x: start.x + mm, y: start.y } : { x: start.x, y: start.y + mm })
  return Array.from({ length: n }, (_, i) => {
    const startMm = i * (stockMm - overlapMm)
    const ownMm = Math.min(stockMm, lengthMm - startMm)
    return { from: along(startMm), to: i === n - 1 ? end : along(startMm + ownMm), lengthMm: ownMm }
  })
}

/** Pieces of one length, each lapped over the next, that an edge takes. */
export const piecesFor = (lengthMm: number, stockMm: number, overlapMm: number): number =>
  Math.max(1, Math.ceil((lengthMm - overlapMm - 1e-6) / (stockMm - overlapMm)))

type Draft = Omit<Piece, 'mark' | 'step'> & { /** Row from the eave to which it belongs, and where in a row's work it comes. */ row: number, turn: number }

/** Where in a row's work a piece is laid, by school: with its module, or slid in when the row lies. */
const TURN: Record<FlashSchool, Record<'below' | 'joint' | 'side' | 'across' | 'above', number>> = {
  module: { below: 0, joint: 1, side: 1, across: 2, above: 3 },
  row: { below: 0, joint: 2, side: 2, across: 3, above: 4 },
}

/** The cover set for a window of some size. */
export const setFor = ({ windowSets }: InRoof, { widthMm, heightMm }: Obstruction): InRoof['windowSets'][number] | undefined =>
  windowSets.find(set => widthMm >= set.wideFromMm && widthMm <= set.wideToMm && heightMm >= set.highFromMm && heightMm <= set.highToMm)

/** Tells a window in a hole, by what stands in it alone, and which set covers it. */
function windowsIn(system: InRoof, loops: Loop[], obstructions: Obstruction[], cells: Cell[]): { windows: WindowPlace[], covered: Set<Loop> } {
  const covered = new Set<Loop>()
  const windows = obstructions.filter(isWindow).map((one): WindowPlace => {
    const box = boxOf(one)
    const nearest = Math.min(...cells.map(cell => clearBetween(cell, box)), Infinity)
    const hole = loops.find((loop) => {
      const around = loop.hole ? bounds([loop.points]) : null
      return around && around.along.fromMm <= box.leftMm && around.along.toMm >= box.rightMm && around.up.fromMm <= box.bottomMm && around.up.toMm >= box.topMm
    })
    const near = nearest < system.window.nearMm - 1e-6
    if (!hole) return { id: one.id, set: null, covers: null, gaps: null, trouble: near ? 'near' : null }
    const around = bounds([hole.points])!
    const gaps = [box.leftMm - around.along.fromMm, around.along.toMm - box.rightMm, box.bottomMm - around.up.fromMm, around.up.toMm - box.topMm]
    const [leastMm, mostMm] = [Math.min(...gaps), Math.max(...gaps)]
    const alone
      = hole.corners.length === 4
        && obstructions.filter(other => other.xMm > around.along.fromMm && other.xMm < around.along.toMm && other.yMm > around.up.fromMm && other.yMm < around.up.toMm)
          .length === 1
    const set = alone && mostMm <= system.window.farMm + 1e-6 ? setFor(system, one) : undefined
    if (set && !near) covered.add(hole)
    return {
      id: one.id,
      set: set && !near ? set.name : null,
      covers: set && !near ? around : null,
      gaps: { leastMm, mostMm },
      trouble: near ? 'near' : set || leastMm >= system.window.tiledMm - 1e-6 ? null : alone && mostMm <= system.window.farMm + 1e-6 ? 'no-set' : 'between',
    }
  })
  return { windows, covered }
}

/** The flashing kit of an array, by walking its outlines, with each piece in its place and its turn. */
export function kitOf(parts: ArrayPart[], system: InRoof, school: FlashSchool, obstructions: Obstruction[]): Kit {
  const turns = TURN[school]
  const drafts: Draft[] = []
  const edgesMm: Kit['edgesMm'] = { bottom: 0, right: 0, top: 0, left: 0 }
  const allLoops: Loop[] = []
  const windows = new Map<string, WindowPlace>()
  const pinches: Point[] = []
  const allCells = parts.flatMap(part => part.cells)
  for (const part of parts) {
    const loops = outlinesOf(part)
    allLoops.push(...loops)
    const inPart = windowsIn(system, loops, obstructions, allCells)
    for (const one of inPart.windows) if (one.gaps || !windows.has(one.id)) windows.set(one.id, one)
    for (const loop of loops) {
      const row = (cells: Cell[]) => part.firstRow + Math.max(...cells.map(cell => cell.row))
      if (inPart.covered.has(loop)) {
        const around = bounds([loop.points])!
        const place = inPart.windows.find(one => one.covers?.along.fromMm === around.along.fromMm && one.covers.up.fromMm === around.up.fromMm)!
        drafts.push({
          kind: 'window-set',
          name: place.set,
          side: null,
          from: { x: around.along.fromMm, y: around.up.fromMm },
          to: { x: around.along.toMm, y: around.up.toMm },
          lengthMm: null,
          row: row(loop.runs.flatMap(run => run.cells)),
          turn: turns.above,
        })
        continue
      }
      const single = loop.runs.map(
        (run, i) =>
          system.oneRowSides && (run.side === 'left' || run.side === 'right') && run.cells.length === 1 && !loop.corners.at(i - 1)!.inner && !loop.corners[i]!.inner,
      )
      loop.runs.forEach((run, i) => {
        edgesMm[run.side] += run.lengthMm
        const lies = { side: run.side, name: null }
        if (single[i]) drafts.push({ ...lies, kind: 'one-row-side', from: run.from, to: run.to, lengthMm: null, row: row(run.cells), turn: turns.side })
        else if (run.side === 'bottom')
          drafts.push(...lengthsOf(run, system.bottom).map((one): Draft => ({ ...lies, ...one, kind: 'bottom-flashing', row: row(run.cells), turn: turns.below })))
        else if (run.side === 'top')
          drafts.push(...lengthsOf(run, system.top).map((one): Draft => ({ ...lies, ...one, kind: 'top-flashing', row: row(run.cells), turn: turns.above })))
        else
          drafts.push(
            ...lengthsOf(run, system.side).map((one): Draft => ({
              ...lies,
              ...one,
              kind: 'side-flashing',
              row: part.firstRow + rowAt(run, (one.from.y + one.to.y) / 2),
              turn: turns.side,
            })),
          )
      })
      loop.corners.forEach(({ at, inner, before, after }, i) => {
        if (single[i] || single[(i + 1) % loop.runs.length]) return
        const sides = [before, after]
        const run = loop.runs[i]!
        drafts.push({
          kind: inner ? 'inner-corner' : 'outer-corner',
          name: `${sides.includes('bottom') ? 'bottom' : 'top'} ${sides.includes('left') ? 'left' : 'right'}`,
          side: null,
          from: at,
          to: at,
          lengthMm: null,
          row: row(
            sides.includes('bottom') || sides.includes('top')
              ? (before === 'bottom' || before === 'top' ? run : loop.runs[(i + 1) % loop.runs.length]!).cells
              : run.cells,
          ),
          turn: sides.includes('bottom') ? turns.below : turns.above,
        })
      })
    }
    drafts.push(...jointsOf(part, turns))
    pinches.push(...pinchesOf(part))
  }
  return { ...ordered(drafts, parts, school), loops: allLoops, windows: [...windows.values()], edgesMm, pinches }
}

/** The row of the part beside which a place on an upright run lies. */
const rowAt = (run: Run, yMm: number): number =>
  run.cells.reduce((a, b) => (Math.abs((b.bottomMm + b.topMm) / 2 - yMm) < Math.abs((a.bottomMm + a.topMm) / 2 - yMm) ? b : a)).row

/** What lies between modules: joints both ways, crossings where four meet, and a cap at the foot of each line of upright joints. */
function jointsOf(part: ArrayPart, turns: (typeof TURN)['row']): Draft[] {
  const at = cellFinder(part)
  return part.cells.flatMap((cell): Draft[] => {
    const { row, column } = cell
    const [right, above, across] = [at(row, column + 1), at(row + 1, column), at(row + 1, column + 1)]
    const own = { name: null, side: null, lengthMm: null, row: part.firstRow + row }
    const jointFoot = right && !(at(row - 1, column) && at(row - 1, column + 1))
    return [
      ...(right
        ? [{ ...own, kind: 'joint-up' as const, from: { x: cell.rightMm, y: cell.bottomMm }, to: { x: right.leftMm, y: cell.topMm }, turn: turns.joint }]
        : []),
      ...(jointFoot
        ? [{ ...own, kind: 'joint-cap' as const, from: { x: cell.rightMm, y: cell.bottomMm }, to: { x: right.leftMm, y: cell.bottomMm }, turn: turns.joint }]
        : []),
      ...(above
        ? [
            {
              ...own,
              kind: 'joint-across' as const,
              from: { x: cell.leftMm, y: cell.topMm },
              to: { x: cell.rightMm, y: above.bottomMm },
              row: own.row + 1,
              turn: turns.below,
            },
          ]
        : []),
      ...(right && above && across
        ? [
            {
              ...own,
              kind: 'joint-crossing' as const,
              from: { x: cell.rightMm, y: cell.topMm },
              to: { x: right.leftMm, y: above.bottomMm },
              row: own.row + 1,
              turn: turns.across,
            },
          ]
        : []),
    ]
  })
}

/** Places where two modules meet at a corner only. */
function pinchesOf(part: ArrayPart): Point[] {
  const at = cellFinder(part)
  return part.cells.flatMap(({ row, column, rightMm, leftMm, topMm }) => [
    ...(at(row + 1, column + 1) && !at(row, column + 1) && !at(row + 1, column) ? [{ x: rightMm, y: topMm }] : []),
    ...(at(row + 1, column - 1) && !at(row, column - 1) && !at(row + 1, column) ? [{ x: leftMm, y: topMm }] : []),
  ])
}

/** Gives pieces their marks along the face from the eave up, and the work its steps: row by row, from the left. */
function ordered(drafts: Draft[], parts: ArrayPart[], school: FlashSchool): Pick<Kit, 'pieces' | 'steps'> {
  const sorted = [...drafts].sort(
    (a, b) =>
      a.row - b.row
      || a.turn - b.turn
      || Math.min(a.from.x, a.to.x) - Math.min(b.from.x, b.to.x)
      || Number(b.lengthMm === null) - Number(a.lengthMm === null)
      || Math.min(a.from.y, a.to.y) - Math.min(b.from.y, b.to.y),
  )
  const numbers = new Map<string, number>()
  const pieces: Piece[] = []
  const steps: KitStep[] = []
  const modulesOf = (row: number) => parts.flatMap(part => part.cells.filter(cell => part.firstRow + cell.row === row))
  const rows = Math.max(...parts.flatMap(part => part.cells.map(cell => part.firstRow + cell.row)), -1) + 1
  const step = (words: string, own: Draft[]) => {
    const number = steps.length + 1
    const marks = own.map(({ row: _, turn: __, ...draft }) => {
      const letter = pieceLetters[draft.kind]
      const n = (numbers.get(letter) ?? 0) + 1
      numbers.set(letter, n)
      pieces.push({ ...draft, mark: `${letter}${n}`, step: number })
      return `${letter}${n}`
    })
    steps.push({ number, words, marks })
  }
  for (let row = 0; row < rows; row++) {
    const own = sorted.filter(one => one.row === row)
    const count = modulesOf(row).length
    const at = (turn: number) => own.filter(one => one.turn === turn)
    const name = `row ${row + 1}`
    if (at(0).length)
      step(
        row === 0 ? 'Bottom flashing and corners, from the left, over the course below' : `Under ${name}: level joints, and bottom flashing where it begins anew`,
        at(0),
      )
    if (school === 'module') {
      if (count) step(`Modules of ${name} from the left, each with its joint, and its side where the row ends, before the next`, at(1))
      if (at(2).length) step(`Crossings under ${name}`, at(2))
      if (at(3).length) step(`Top flashing and corners of ${name}, under the course above`, at(3))
    }
    else {
      if (count) step(`Modules of ${name} from the left`, [])
      if (at(2).length) step(`Joints of ${name} slid in from above, sides at its ends`, at(2))
      if (at(3).length) step(`Crossings under ${name}`, at(3))
      if (at(4).length) step(`Top flashing and corners of ${name}, under the course above`, at(4))
    }
  }
  return { pieces, steps }
}
