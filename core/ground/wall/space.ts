import type { Figures } from '../../electrical'
import { type Block, blockNames } from '../../job'
import type { Body, WallFacts } from './body'

/** Between two things on a wall, mm (common practice). */
export const GAP_MM = 25
/** Beside a hinge, so that a door opens square, mm (common practice). */
const HINGE_MM = 50
/** From what gives off heat where nobody has said, mm (common practice). */
const HEAT_MM = 300

/** Why something may not stand there: in words, with what is measured and what would do. */
export interface Trouble { why: string, measuredMm: number | null, limitMm: number | null }

interface Box { x: number, y: number, wide: number, high: number }
const boxOf = ({ xMm, yMm, wideMm, highMm }: Block): Box => ({ x: xMm, y: yMm, wide: wideMm, high: highMm })

/** Between two rectangles on a wall, mm; nought where they touch or lie over each other. */
export function apartMm(a: Box, b: Box): number {
  const dx = Math.max(0, b.x - a.x - a.wide, a.x - b.x - b.wide)
  const dy = Math.max(0, b.y - a.y - a.high, a.y - b.y - b.high)
  return Math.hypot(dx, dy)
}
/** Along the wall or up it, whichever parts them more; negative where they lie over each other. */
export const clearOf = (a: Box, b: Box): number => Math.max(b.x - a.x - a.wide, a.x - b.x - b.wide, b.y - a.y - a.high, a.y - b.y - b.high)

/** What keeps a body from a place on its wall by itself: the wall's edges, handles, what is there already. */
export function aloneTrouble(body: Body, wall: WallFacts, figures: Figures): Trouble | null {
  const none = { measuredMm: null, limitMm: null }
  if (body.x < -1e-6 || body.x + body.wide > wall.wideMm + 1e-6 || body.y < -1e-6 || body.y + body.high > wall.highMm + 1e-6) return { why: 'it stands out past the wall', ...none }
  if (body.handle !== null && body.y + body.handle > figures.handle.value + 1e-6) return { why: `its handle is too high (${figures.handle.clause})`, measuredMm: body.y + body.handle, limitMm: figures.handle.value }
  if (body.store && wall.sleeping) return { why: 'storage doesn’t stand in a room where people sleep (IRC R328.4)', ...none }
  const edge = edgeTrouble(body, wall)
  if (edge) return edge
  for (const block of wall.blocks) {
    const [keepMm, by] = keepOff(block, body, figures)
    const parted = apartMm(body, boxOf(block))
    if (clearOf(body, boxOf(block)) < GAP_MM - 1e-6) return { why: `${block.name} is in its way`, measuredMm: Math.max(0, clearOf(body, boxOf(block))), limitMm: GAP_MM }
    if (parted < keepMm - 1e-6) return { why: `it is too near to ${block.name} (${by})`, measuredMm: parted, limitMm: keepMm }
  }
  return workTrouble(body, [], wall, figures)
}

/**
 * Masonry and concrete break out at an edge: at a wall's free end, at a door or a window. Anchors stand inside the outline of what they hold, so that its
 * outline as far off keeps them as far at least.
 */
function edgeTrouble(body: Body, wall: WallFacts): Trouble | null {
  if (!body.edge || wall.base === 'stud') return null
  const edges: [mm: number, name: string][] = [
    ...wall.corner.left ? [] : [[body.x, 'the wall’s left end'] as [number, string]], ...wall.corner.right ? [] : [[wall.wideMm - body.x - body.wide, 'the wall’s right end'] as [number, string]],
    ...wall.blocks.filter(one => one.kind === 'door' || one.kind === 'window').map((one): [number, string] => [apartMm(body, boxOf(one)), one.name]),
  ]
  const near = edges.find(([mm]) => mm < body.edge - 1e-6)
  return near ? { why: `its anchors are too near to ${near[1]} for what their maker says they hold`, measuredMm: near[0], limitMm: body.edge } : null
}

/** How far a body keeps off what is there already, and by whose word. */
function keepOff(block: Block, body: Body, figures: Figures): [mm: number, by: string] {
  if (block.keepMm !== null) return [block.keepMm, 'typed']
  if (block.kind === 'gas') return [figures.gas.value, figures.gas.clause]
  if (block.kind === 'heat') return [HEAT_MM, 'common practice']
  if ((block.kind === 'door' || block.kind === 'window') && body.store) return [figures['storage-opening'].value, figures['storage-opening'].clause]
  return [0, blockNames[block.kind]]
}

/** Whether two bodies stand in each other's way, whatever else is on the wall. */
export const inTheWay = (a: Body, b: Body, figures: Figures): boolean =>
  clearOf(a, b) < GAP_MM - 1e-6 || (a.store !== null && b.store !== null && !(a.store.testedCloser && b.store.testedCloser) && apartMm(a, b) < figures['storage-apart'].value - 1e-6)

/** The same in words. */
export function pairTrouble(a: Body, b: Body, figures: Figures): Trouble | null {
  if (!inTheWay(a, b, figures)) return null
  const clear = clearOf(a, b)
  if (clear < GAP_MM - 1e-6) return { why: `${b.name} is in its way`, measuredMm: Math.max(0, clear), limitMm: GAP_MM }
  return { why: `it is too near to ${b.name} (${figures['storage-apart'].clause})`, measuredMm: apartMm(a, b), limitMm: figures['storage-apart'].value }
}

/** What is wrong with the space before a body; null where nothing is. */
type Cramped = 'room' | 'door' | null

/**
 * Whether there is room to work before a body: a width of 30 in or its own, wherever its left end lies, in which nothing stands out too far, no other
 * door hangs when it is open, and no corner of the house is; and whether its own door opens square (NEC 110.26(A)). It is asked for at every place of a
 * search, and so makes nothing that it does not need.
 */
export function crampedBy(body: Body, others: readonly Body[], wall: WallFacts, figures: Figures): Cramped {
  if (!body.works) return null
  const wide = Math.max(figures['working-width'].value, body.wide)
  const top = Math.max(figures['working-height'].value, body.y + body.high)
  const deepest = body.deep + figures.beyond.value + 1e-6
  const [first, last] = [body.x + body.wide - wide, body.x]
  // Stretches along the wall in which the working space may not lie; it may begin where it is first allowed, or just past one of them.
  const free = (start: number): boolean => {
    const end = start + wide
    const meets = (from: number, to: number) => to > start + 1e-6 && from < end - 1e-6
    if ((wall.corner.left && start < -1e-6) || (wall.corner.right && end > wall.wideMm + 1e-6)) return false
    for (const one of wall.blocks) if (one.deepMm > deepest && one.yMm < top && meets(one.xMm, one.xMm + one.wideMm)) return false
    for (const one of others) {
      if (one.y >= top) continue
      if (one.deep > deepest && meets(one.x, one.x + one.wide)) return false
      const hinge = one.door === 'left' ? one.x : one.x + one.wide
      if (one.door !== 'none' && hinge > start + 1e-6 && hinge < end - 1e-6) return false
    }
    return true
  }
  const may = (start: number) => start >= first - 1e-6 && start <= last + 1e-6 && free(start)
  const found = may(first) || (wall.corner.left && may(0)) || wall.blocks.some(one => may(one.xMm + one.wideMm)) || others.some(one => may(one.x + one.wide) || (one.door === 'left' && may(one.x)))
  if (!found) return 'room'
  if (body.door === 'none') return null
  const hinge = body.door === 'left' ? body.x : body.x + body.wide
  const stopsDoor = (from: number, to: number, y: number, high: number, deep: number) => deep > body.deep + 1e-6 && y < body.y + body.high - 1e-6 && y + high > body.y + 1e-6
    && (body.door === 'left' ? to <= hinge + 1e-6 && to > hinge - HINGE_MM : from >= hinge - 1e-6 && from < hinge + HINGE_MM)
  const corner = body.door === 'left' ? wall.corner.left && body.x < HINGE_MM : wall.corner.right && wall.wideMm - body.x - body.wide < HINGE_MM
  return corner || others.some(one => stopsDoor(one.x, one.x + one.wide, one.y, one.high, one.deep)) || wall.blocks.some(one => stopsDoor(one.xMm, one.xMm + one.wideMm, one.yMm, one.highMm, one.deepMm)) ? 'door' : null
}

/** The same in words. */
export function workTrouble(body: Body, others: Body[], wall: WallFacts, figures: Figures): Trouble | null {
  const cramped = crampedBy(body, others, wall, figures)
  if (cramped === null) return null
  const wide = Math.max(figures['working-width'].value, body.wide)
  return cramped === 'door' ? { why: 'its door doesn’t open square', measuredMm: null, limitMm: HINGE_MM } : { why: `there is no room to work before it, ${Math.round(wide)} mm wide (${figures['working-width'].clause})`, measuredMm: null, limitMm: wide }
}

/** The first thing that keeps a body from where it stands among the others on its wall; null where nothing does. */
export function troubleOf(body: Body, others: Body[], wall: WallFacts, figures: Figures): Trouble | null {
  const alone = aloneTrouble(body, wall, figures)
  if (alone) return alone
  for (const other of others) {
    const trouble = pairTrouble(body, other, figures)
    if (trouble) return trouble
  }
  return workTrouble(body, others, wall, figures)
}
