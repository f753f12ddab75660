import type { InRoof, Module } from '../catalogue'
import { discAround, rectangle, type Region, without } from '../geometry'
import { type Face, type Orientation, wayUpOther } from '../job'
import { memoryOf } from '../memory'
import { shapeOf } from '../roof'
import { moduleId, moduleSize, type RowsPlan } from '../rows'
import type { ArrayPart, Cell } from './cells'
import { bottomHeights, bottomsByCourse, courseAbove, type Laid, offCourseMm, topHeights } from './edges'
import { isWindow } from './kit'
import type { SetOutProof } from './layout'
import { laidOf } from './laid'
import type { SetOut, SetOutQuestion } from './question'
import { setOut } from './setout'
import { modulesIn, withinMost, withoutSkipped } from './left-out'
import { rowsOf } from './as-rows'

/** What bears on where an in-roof array stands. */
export interface ToSetOut {
  face: Face
  region: Region
  module: Module
  system: InRoof
  /** At most so many modules; null for no limit. */
  most: number | null
}

export interface SetOutFace {
  parts: ArrayPart[]
  proof: SetOutProof
  rows: RowsPlan
}

const MOST_KNOWN = 300
const known = memoryOf<SetOutFace>(MOST_KNOWN)

/** Sets an in-roof array out on a face: its parts, what was proved, and its rows as every array has them. */
export function setOutFace(asked: ToSetOut): SetOutFace {
  const { face, region, module, system, most } = asked
  const { rowCount, rows, orientation } = face.array
  const own = face.inRoof!
  const facts = [
    region,
    face.outline,
    face.obstructions,
    face.covering,
    own.leftMm,
    own.bottomMm,
    own.changeAtRow,
    own.battensRead,
    module.longMm,
    module.shortMm,
    rowCount,
    rows,
    orientation,
    most,
  ]
  return known(system, facts, () => setOutAnew(asked))
}

/** What a window keeps free round it, and what flashing can't pass. */
function groundsOf({ face, region, system }: ToSetOut): { region: Region, open: Region } {
  const box = ({ xMm, yMm, widthMm, heightMm, round }: Face['obstructions'][number], byMm: number): Region =>
    round
      ? discAround({ x: xMm, y: yMm }, widthMm / 2 + byMm)
      : rectangle({ fromMm: xMm - widthMm / 2 - byMm, toMm: xMm + widthMm / 2 + byMm }, { fromMm: yMm - heightMm / 2 - byMm, toMm: yMm + heightMm / 2 + byMm })
  let [glass, open] = [region, shapeOf(face.outline).region]
  for (const one of face.obstructions) {
    if (isWindow(one)) glass = without(glass, box(one, system.window.nearMm))
    else open = without(open, box(one, 0))
  }
  return { region: glass, open }
}

function setOutAnew(asked: ToSetOut): SetOutFace {
  const { face, module, system } = asked
  const own = face.inRoof!
  const laid = laidOf(face)
  const none: SetOutFace = { parts: [], proof: { proved: true, tried: 0, as: 'found', off: [] }, rows: rowsOf([], asked, null) }
  if (!laid || face.array.rowCount === 0 || asked.most === 0) return none
  const grounds = groundsOf(asked)
  const wanted = Math.min(system.mostRows, face.array.rowCount ?? system.mostRows)
  const turned = own.changeAtRow !== null && own.changeAtRow <= wanted ? own.changeAtRow - 1 : null
  const ask = (orientation: Orientation, mostRows: number, values: Partial<Pick<SetOutQuestion, 'leftMm' | 'bottomMm' | 'fromMm' | 'toMm'>>) =>
    setOut({
      ground: { ...grounds, ...moduleSize(module, orientation), outMm: system.side.outMm, downMm: system.bottom.downMm, upMm: system.top.upMm },
      system,
      laid,
      mostRows,
      leftMm: null,
      bottomMm: null,
      fromMm: 0,
      toMm: Infinity,
      ...values,
    })
  const typed = { leftMm: own.leftMm, bottomMm: own.bottomMm }
  /** The array with so many rows at the most, as far as it is wanted. */
  const standing = (mostRows: number) => {
    const both = turned === null ? null : bothWaysUp(typed, { system, laid, turned, wanted, ask, orientation: face.array.orientation })
    const found = both ?? [ask(face.array.orientation, Math.min(turned ?? wanted, mostRows), typed)].filter(one => one !== null)
    const parts = found.map((one, i) => partOf(one, i, i ? wayUpOther(face.array.orientation) : face.array.orientation, i ? turned! : 0, module))
    const stood = withoutSkipped(parts, face.array.rows)
    const kept = withinMost(stood, asked.most, own => offCourse(own, system, laid).length)
    const as
      = own.leftMm !== null || own.bottomMm !== null
        ? ('typed' as const)
        : mostRows < wanted || modulesIn(kept) < modulesIn(stood)
          ? ('wanted' as const)
          : modulesIn(stood) < modulesIn(parts)
            ? ('emptied' as const)
            : ('found' as const)
    // Two parts were each solved over the lowest courses one after the other: both together were not.
    return {
      parts: kept,
      rows: Math.max(0, ...parts.flatMap(part => part.cells.map(cell => cell.row + 1))),
      proof: {
        proved: turned === null && found.every(one => one.proved),
        tried: found.reduce((sum, one) => sum + one.tried, 0),
        as,
        off: offCourse(kept, system, laid),
      },
    }
  }
  let best = standing(wanted)
  // Where fewer are wanted than fit, an array of fewer rows may end on courses where one with places left out does not.
  const short = ({ parts, proof: { off } }: typeof best) => asked.most !== null && (off.length > 0 || modulesIn(parts) < asked.most)
  if (turned === null) {
    for (let rows = best.rows - 1; rows > 0 && short(best); rows--) {
      const fewer = standing(rows)
      if (fewer.parts.length && !fewer.proof.off.length && (best.proof.off.length || modulesIn(fewer.parts) > modulesIn(best.parts))) best = fewer
    }
  }
  return best.parts.length ? { parts: best.parts, proof: best.proof, rows: rowsOf(best.parts, asked, best.proof) } : none
}

/** Lowest courses over which the lower part of two is tried. */
const TRIED_COURSES = 6

interface TwoWays {
  system: InRoof
  laid: Laid
  turned: number
  wanted: number
  orientation: Orientation
  ask: (orientation: Orientation, mostRows: number, values: Partial<Pick<SetOutQuestion, 'leftMm' | 'bottomMm' | 'fromMm' | 'toMm'>>) => SetOut | null
}

/** Two parts of which the upper lies the other way up, whole courses apart: the most modules together of those tried; null where both have no room. */
function bothWaysUp(typed: Pick<SetOutQuestion, 'leftMm' | 'bottomMm'>, { system, laid, turned, wanted, orientation, ask }: TwoWays): [SetOut, SetOut] | null {
  let best: [SetOut, SetOut] | null = null
  const caps
    = typed.bottomMm === null
      ? bottomsByCourse(system, laid)
          .slice(0, TRIED_COURSES)
          .map(one => one.toMm)
      : [Infinity]
  for (const toMm of caps) {
    const low = ask(orientation, turned, { ...typed, toMm })
    if (!low) continue
    const heightMm = low.pitchYMm - system.rowGapMm
    const topMm = low.bottomMm + Math.max(...[...low.cells.values()].map(mask => 31 - Math.clz32(mask))) * low.pitchYMm + heightMm
    const above = courseAbove(system, laid, topMm)
    // So many whole courses lie between the two parts: the upper one's apron lies over the last of them.
    const last = above && laid.courses.find(one => one.number === above.number + system.changeCourses - 1)
    const high = last ? ask(wayUpOther(orientation), wanted - turned, { fromMm: last.fromMm + laid.lengthMm + system.bottom.clearMm }) : null
    if (high && (!best || low.count + high.count > best[0].count + best[1].count)) best = [low, high]
  }
  return best
}

function partOf(found: SetOut, index: number, orientation: Orientation, firstRow: number, module: Module): ArrayPart {
  const { widthMm, heightMm } = moduleSize(module, orientation)
  const cells = Array.from({ length: found.rows }, (_, row) =>
    [...found.cells]
      .filter(([, mask]) => (mask >> row) & 1)
      .map(([column], place): Cell => {
        const [leftMm, bottomMm] = [found.leftMm + column * found.pitchXMm, found.bottomMm + row * found.pitchYMm]
        return { id: moduleId(firstRow + row, place), row, column, leftMm, rightMm: leftMm + widthMm, bottomMm, topMm: bottomMm + heightMm }
      }),
  ).flat()
  return { index, orientation, firstRow, pitchXMm: found.pitchXMm, pitchYMm: found.pitchYMm, cells }
}

/** Open edges that lie on no course, each row's once. */
function offCourse(parts: ArrayPart[], system: InRoof, laid: Laid): SetOutProof['off'] {
  const heights = { bottom: bottomHeights(system, laid), top: topHeights(system, laid) }
  const found = new Map<string, SetOutProof['off'][number]>()
  for (const part of parts) {
    const at = new Set(part.cells.map(cell => `${cell.row} ${cell.column}`))
    for (const cell of part.cells)
      for (const edge of ['bottom', 'top'] as const) {
        if (at.has(`${cell.row + (edge === 'bottom' ? -1 : 1)} ${cell.column}`)) continue
        const mm = offCourseMm(heights[edge], edge === 'bottom' ? cell.bottomMm : cell.topMm)
        if (mm > 0.5) found.set(`${edge} ${part.firstRow + cell.row}`, { row: part.firstRow + cell.row, edge, mm: Number.isFinite(mm) ? mm : 1e4 })
      }
  }
  return [...found.values()]
}
