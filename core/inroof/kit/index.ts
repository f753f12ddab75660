/** The flashing kit of an array by its outline: which pieces, where, in what order. */
import type { InRoof } from '../../catalogue'
import { bounds, type Point } from '../../geometry'
import type { FlashSchool, Obstruction } from '../../job'
import type { ArrayPart, Cell } from '../cells'
import { type Loop, outlinesOf, type Run } from '../outline'
import { jointsOf, pinchesOf } from './joints'
import { lengthsOf } from './lengths'
import { type Draft, ordered, TURN } from './order'
import type { Kit, WindowPlace } from './pieces'
import { windowsIn } from './windows'

export { piecesFor } from './lengths'
export * from './pieces'
export { isWindow, setFor } from './windows'

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
