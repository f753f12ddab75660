import { coursesUp, fromDatum } from '../coverings'
import { type Point, rectangle } from '../geometry'
import type { Face, Job } from '../job'
import { rafterAt } from '../supports'
import type { SectionDrawing, SectionTone } from './drawing'
import type { OpeningsLayout } from './layout'
import type { Opening } from './opening'
import { throughOf } from './through'
import { placeOfUnit } from './where'

/** Courses to either side, and how far along the eave, that are shown: about as wide as high, mm. */
const COURSES_ROUND = 2
const LEAST_ALONG_MM = 260

/** One opening seen square-on to the roof: units with their numbers, what is lifted and cut, the plate, the timber below and the rail. Null where no units are laid. */
export function aboveOf(job: Job, face: Face, plan: OpeningsLayout, opening: Opening): SectionDrawing | null {
  const { course, plate, seal } = opening
  if (!course) return null
  const { closure } = throughOf(plan, opening)
  const areas: SectionDrawing['areas'] = []
  const lines: SectionDrawing['lines'] = []
  const labels: SectionDrawing['labels'] = []
  const box = (fromX: number, toX: number, fromY: number, toY: number): Point[] => rectangle({ fromMm: fromX, toMm: toX }, { fromMm: fromY, toMm: toY })[0]!
  const shown = coursesUp(face.covering, face.outline).filter(one => one.number >= course.number - COURSES_ROUND && one.number <= course.number + COURSES_ROUND + 1)
  const tallMm = shown.at(-1)!.toMm - shown[0]!.fromMm
  const textMm = tallMm / 24
  const alongMm = Math.max(LEAST_ALONG_MM, tallMm * 0.42)
  const [leftMm, rightMm] = [plate.xMm - alongMm, plate.xMm + alongMm]
  for (const one of shown) {
    const units: number[] = []
    for (let n = 1; n < 400; n++) {
      const place = placeOfUnit(face, { course: one.number, unit: n })
      if (!place || place.along.fromMm > rightMm) break
      if (place.along.toMm > leftMm) units.push(n)
    }
    const lifted = (unit: number | null) => opening.lifted.some(ref => ref.course === one.number && (ref.unit === unit || ref.unit === null))
    const cut = (unit: number | null) => opening.cut !== null && opening.cut.course === one.number && opening.cut.unit === unit
    const tone = (unit: number | null): SectionTone => cut(unit) ? 'cut' : lifted(unit) ? 'lifted' : 'unit'
    if (!units.length) areas.push({ tone: tone(null), points: box(leftMm, rightMm, one.fromMm, one.toMm) })
    for (const unit of units) {
      const { along } = placeOfUnit(face, { course: one.number, unit })!
      areas.push({ tone: tone(unit), points: box(Math.max(along.fromMm, leftMm), Math.min(along.toMm, rightMm), one.fromMm, one.toMm) })
      if (one.number === shown[0]!.number && along.fromMm >= leftMm && along.toMm <= rightMm) labels.push({ at: { x: (along.fromMm + along.toMm) / 2, y: one.fromMm - textMm * 1.3 }, text: String(fromDatum(face, one.number, unit)), leader: null, middle: true })
    }
    labels.push({ at: { x: leftMm - textMm * 1.6, y: (one.fromMm + one.toMm) / 2 - textMm * 0.35 }, text: String(one.number), leader: null, middle: true })
  }
  const [lowMm, highMm] = [shown[0]!.fromMm, shown.at(-1)!.toMm]
  for (const rafter of plan.supports.rafters) {
    const [low, high] = [rafterAt(rafter, lowMm), rafterAt(rafter, highMm)]
    if (low < leftMm || low > rightMm) continue
    for (const side of [-0.5, 0.5]) lines.push({ tone: 'batten', points: [{ x: low + side * rafter.widthMm, y: lowMm }, { x: high + side * rafter.widthMm, y: highMm }] })
  }
  lines.push({ tone: 'zone', points: [{ x: leftMm, y: opening.railAt.yMm }, { x: rightMm, y: opening.railAt.yMm }] })
  const { flashing, cut, unit } = opening
  if (flashing) lines.push({ tone: 'flashing', points: closed(box(plate.xMm - closure.flashWideMm / 2, plate.xMm + closure.flashWideMm / 2, flashing.footMm, flashing.headMm)) })
  if (cut && cut.kind !== 'hole' && unit && cut.fromLeftMm !== null) {
    const own = placeOfUnit(face, { course: cut.course, unit: cut.unit })!
    const fromX = own.along.fromMm + cut.fromLeftMm
    lines.push({ tone: 'sealant', points: closed(box(fromX, fromX + cut.wideMm, course.fromMm + cut.fromLowerMm, course.fromMm + cut.fromLowerMm + cut.highMm)) })
  }
  areas.push({ tone: 'steel', points: box(plate.xMm - closure.plateWideMm / 2, plate.xMm + closure.plateWideMm / 2, plate.yMm - closure.plateHighMm / 2, plate.yMm + closure.plateHighMm / 2) })
  if (opening.exit) lines.push({ tone: 'screw', points: [{ x: opening.exit.xMm, y: plate.yMm }, { x: opening.exit.xMm, y: opening.railAt.yMm }] })
  for (const line of seal.lines) lines.push({ tone: 'sealant', points: line.map(({ x, y }) => ({ x: plate.xMm + x, y: plate.yMm + y })) })
  return {
    title: 'Seen from above', areas, lines, labels, dimensions: [], textMm,
    box: { fromX: leftMm - textMm * 2.6, toX: rightMm + 6, fromY: lowMm - textMm * 2, toY: highMm + 6 },
  }
}

const closed = (points: Point[]): Point[] => [...points, points[0]!]
