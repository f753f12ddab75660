import type { Point, Ring } from '../../geometry'
import { type Entry, entryOf, type GroundPlan, wayTaken } from '../../ground'
import type { Block, Thing, Wall } from '../../job'
import { cornerLetter } from '../../roof'
import { type FaceFigure, type LayerShapes, MM_PER_POINT, styleOf } from '../figure'

/** What of a drawing is taken hold of: a rectangle of it, by what it is. */
export interface Hold { kind: 'thing' | 'run', id: string, name: string, x: number, y: number, wide: number, high: number }

/** A drawing with what can be taken hold of on it. */
export interface GroundFigure { figure: FaceFigure, holds: Hold[] }

export const box = (x: number, y: number, wide: number, high: number): Ring => [{ x, y }, { x: x + wide, y }, { x: x + wide, y: y + high }, { x, y: y + high }]
export const layer = (id: string, own: Partial<LayerShapes>): LayerShapes => ({ layer: id, rings: [], lines: [], crosses: [], texts: [], ...own })

/** The letter of a thing on wall, one-line and list: A to Z, then A1 to Z1. */
export const letterOf = ({ ground }: Pick<GroundPlan, 'ground'>, id: string): string => cornerLetter(ground.things.findIndex(one => one.id === id))

/** A wall as seen from before it, 1:1 in mm from its left corner and the floor: what is there, what is hung, and the runs between, along the wall and up it. */
export function wallFigure(plan: GroundPlan, wall: Wall): GroundFigure {
  const stood = new Map(plan.placing.stood.filter(one => one.wallId === wall.id).map(one => [one.thingId, one]))
  const here = plan.ground.things.flatMap((thing) => {
    const at = stood.get(thing.id)
    return at ? [{ letter: letterOf(plan, thing.id), thing, at }] : []
  })
  const rings = (existing: boolean) => here.filter(({ thing }) => thing.existing === existing)
  /** Its letter stands in its middle; under it where it is no larger than a letter. */
  const letterAt = ({ thing, at }: typeof here[number]): Point => ({ x: at.xMm + thing.wideMm / 2, y: isTiny(thing) ? at.yMm - LETTER_MM : at.yMm + thing.highMm / 2 })
  const entryAt = (id: string): Entry | null => {
    const [at, thing] = [plan.placing.stood.find(one => one.thingId === id), plan.ground.things.find(one => one.id === id)]
    return at && thing ? { wallId: at.wallId, ...entryOf(thing, at) } : null
  }
  const runs = plan.runs.flatMap((run) => {
    const [from, to] = [entryAt(run.fromId), entryAt(run.toId)]
    // Down first where it comes from above, so that it drips off before it enters.
    return from && to ? legsOn(wall.id, from, to, plan.ground).map(([a, b]) => ({ run, points: [a, { x: a.x, y: b.y }, b] })) : []
  })
  const boxes = here.map(({ thing, at }) => ({ x: at.xMm, y: at.yMm, wide: thing.wideMm, high: thing.highMm }))
  const tags: { at: Point, text: string }[] = []
  const hides = ({ x, y }: Point) => boxes.some(one => x > one.x - MARGIN_MM && x < one.x + one.wide + MARGIN_MM && y > one.y - MARGIN_MM && y < one.y + one.high + MARGIN_MM)
  const crowded = (at: Point) => tags.some(one => Math.abs(one.at.x - at.x) < 2 * TAG_MM && Math.abs(one.at.y - at.y) < TAG_MM)
  const onRun = (at: Point) => runs.some(({ points }) => points.slice(1).some((to, i) => nearLeg(at, points[i]!, to)))
  /** Where a run's number is read: beside its longer leg, and under the boxes where they hide it all; never on another number or line. */
  const tag = ({ points }: typeof runs[number]): Point => {
    const [a, corner, b] = points as [Point, Point, Point]
    const legs = [[a, corner], [corner, b]].sort((one, other) => legMm(other!) - legMm(one!)) as [Point, Point][]
    for (const off of [1, -1, 2.5, -2.5]) {
      for (const [from, to] of legs) {
        if (legMm([from, to]) <= TAG_MM) continue
        const upright = Math.abs(from.x - to.x) < 1
        for (const share of [0.5, 0.4, 0.6, 0.3, 0.7, 0.2, 0.8, 0.1, 0.9]) {
          const at = { x: from.x + (to.x - from.x) * share + (upright ? off * TAG_MM : 0), y: from.y + (to.y - from.y) * share + (upright ? 0 : off * TAG_MM) }
          if (!hides(at) && !crowded(at) && !onRun(at)) return at
        }
      }
    }
    const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
    const under = Math.min(...boxes.filter(one => middle.x > one.x - 2 * TAG_MM && middle.x < one.x + one.wide + 2 * TAG_MM && middle.y > one.y - 1 && middle.y < one.y + one.high + 1).map(one => one.y), middle.y)
    let at = { x: middle.x, y: under - TAG_MM }
    while (at.x < wall.wideMm && (crowded(at) || onRun(at))) at = { ...at, x: at.x + TAG_MM }
    return at
  }
  for (const one of runs) tags.push({ at: tag(one), text: String(one.run.number) })
  const labels = here.flatMap(({ thing, at }) => {
    const own = plan.labels.flatMap((label, i) => label.thingId === thing.id ? [`L${i + 1}`] : [])
    const text = own.length > 3 ? `${own[0]} to ${own.at(-1)}` : own.join(' ')
    return own.length ? [{ thing, at, text }] : []
  })
  // What is read of a box stands over it, or under it, or over all beside it: never on another's outline or on a run's number.
  const taken: Room[] = [...boxes, ...here.filter(one => isTiny(one.thing)).map(one => ({ x: letterAt(one).x - LETTER_MM / 2, y: letterAt(one).y, wide: LETTER_MM, high: LETTER_MM * 0.75 })), ...tags.map(({ at }) => ({ x: at.x - TAG_MM / 2, y: at.y - TAG_MM / 2, wide: TAG_MM, high: TAG_MM }))]
  const labelTexts = labels.map(({ thing, at, text }) => {
    const x = at.xMm + thing.wideMm / 2
    const room = (y: number): Room => ({ x: x - wordsWide(`${text} `, LABEL_MM) / 2, y, wide: wordsWide(`${text} `, LABEL_MM), high: LABEL_MM * 0.75 })
    const over = at.yMm + thing.highMm + 60
    const beside = boxes.filter(one => overlaps({ ...room(0), high: wall.highMm }, one)).map(one => one.y + one.high + 60)
    const y = [over, at.yMm - 60 - LABEL_MM * 0.75, ...beside.sort((a, b) => a - b), ...[1, 2, 3].map(n => Math.max(over, ...beside) + n * LABEL_MM)].find(one => !taken.some(other => overlaps(room(one), other))) ?? over
    taken.push(room(y))
    return { at: { x, y }, text }
  })
  return {
    figure: {
      name: wall.name, along: { fromMm: -150, toMm: wall.wideMm + 150 }, up: { fromMm: -150, toMm: wall.highMm + 150 },
      layers: [
        layer('wall', { rings: [box(0, 0, wall.wideMm, wall.highMm)], lines: [[{ x: -150, y: 0 }, { x: wall.wideMm + 150, y: 0 }], ...studsOf(wall)] }),
        layer('wall-blocks', { rings: wall.blocks.map(one => box(one.xMm, one.yMm, one.wideMm, one.highMm)), texts: wall.blocks.map(one => ({ at: { x: one.xMm + one.wideMm / 2, y: nameAt(one) }, text: one.name })) }),
        layer('wall-runs', { lines: runs.flatMap(({ points }) => points.slice(1).map((to, i): [Point, Point] => [points[i]!, to])), texts: tags }),
        layer('wall-labels', { texts: labelTexts }),
        layer('wall-there', { rings: rings(true).map(({ thing, at }) => box(at.xMm, at.yMm, thing.wideMm, thing.highMm)), texts: rings(true).map(one => ({ at: letterAt(one), text: one.letter })) }),
        layer('wall-things', { rings: rings(false).map(({ thing, at }) => box(at.xMm, at.yMm, thing.wideMm, thing.highMm)), texts: rings(false).map(one => ({ at: letterAt(one), text: one.letter })) }),
      ],
    },
    holds: here.map(({ thing, at }) => ({ kind: 'thing', id: thing.id, name: thing.name, x: at.xMm, y: at.yMm, wide: thing.wideMm, high: thing.highMm })),
  }
}

/** A name that is wider than what it names stands under it, or over it where it reaches down to the floor. */
function nameAt({ name, yMm, wideMm, highMm }: Block): number {
  if (wordsWide(name, NAME_MM) <= wideMm) return yMm + highMm / 2
  return yMm > 2 * NAME_MM ? yMm - NAME_MM : yMm + highMm + NAME_MM * 0.7
}

/** Parts of a run that lie on one wall, by the way it is measured by. */
function legsOn(wallId: string, from: Entry, to: Entry, ground: GroundPlan['ground']): [Point, Point][] {
  const spot = ({ xMm, yMm }: { xMm: number, yMm: number }): Point => ({ x: xMm, y: yMm })
  if (from.wallId === to.wallId) return from.wallId === wallId ? [[from, to]] : []
  const way = wayTaken(from, to, ground)
  if (!way) return []
  return [
    ...from.wallId === wallId ? [[from, spot(way.leaves)] as [Point, Point]] : [], ...way.between.filter(([a]) => a.wallId === wallId).map(([a, b]): [Point, Point] => [spot(a), spot(b)]),
    ...to.wallId === wallId ? [[spot(way.comes), to] as [Point, Point]] : [],
  ]
}

/** Sizes of words, mm, as their layers have them. */
const [LABEL_MM, NAME_MM, LETTER_MM] = (['wall-labels', 'wall-blocks', 'wall-things'] as const).map(id => styleOf(id).text * MM_PER_POINT) as [number, number, number]
const isTiny = ({ wideMm, highMm }: Pick<Thing, 'wideMm' | 'highMm'>): boolean => Math.min(wideMm, highMm) < LETTER_MM
interface Room { x: number, y: number, wide: number, high: number }
/** How wide words are at most, mm. */
const wordsWide = (text: string, sizeMm: number): number => text.length * sizeMm * 0.55
const overlaps = (a: Room, b: Room): boolean => a.x < b.x + b.wide && b.x < a.x + a.wide && a.y < b.y + b.high && b.y < a.y + a.high

/** Room that a run's number takes, and how near it comes to what it is not of, mm. */
const [TAG_MM, MARGIN_MM] = [70, 50]
const nearLeg = ({ x, y }: Point, a: Point, b: Point): boolean => x > Math.min(a.x, b.x) - MARGIN_MM && x < Math.max(a.x, b.x) + MARGIN_MM && y > Math.min(a.y, b.y) - MARGIN_MM && y < Math.max(a.y, b.y) + MARGIN_MM
const legMm = ([from, to]: Point[]): number => Math.abs(from!.x - to!.x) + Math.abs(from!.y - to!.y)

/** Short strokes at the floor where studs are. */
function studsOf({ studs, wideMm }: Wall): [Point, Point][] {
  if (!studs) return []
  const at: number[] = []
  for (let x = studs.firstMm; x < wideMm; x += studs.everyMm) at.push(x)
  return at.map(x => [{ x, y: 0 }, { x, y: 60 }])
}
