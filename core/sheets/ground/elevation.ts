import type { Point, Ring } from '../../geometry'
import { entryOf, type GroundPlan } from '../../ground'
import type { Thing, Wall } from '../../job'
import type { FaceFigure, LayerShapes } from '../figure'

/** What of a drawing is taken hold of: a rectangle of it, by what it is. */
export interface Hold { kind: 'thing' | 'run', id: string, name: string, x: number, y: number, wide: number, high: number }

/** A drawing with what can be taken hold of on it. */
export interface GroundFigure { figure: FaceFigure, holds: Hold[] }

export const box = (x: number, y: number, wide: number, high: number): Ring => [{ x, y }, { x: x + wide, y }, { x: x + wide, y: y + high }, { x, y: y + high }]
export const layer = (id: string, own: Partial<LayerShapes>): LayerShapes => ({ layer: id, rings: [], lines: [], crosses: [], texts: [], ...own })

/** Things by the number under which they stand on wall and list, in the order in which current comes down. */
export const numberedThings = ({ ground }: Pick<GroundPlan, 'ground'>): { n: number, thing: Thing }[] => ground.things.map((thing, i) => ({ n: i + 1, thing }))

/** A wall as seen from before it, 1:1 in mm from its left corner and the floor: what is there, what is hung, and the runs between, along the wall and up it. */
export function wallFigure(plan: GroundPlan, wall: Wall): GroundFigure {
  const stood = new Map(plan.placing.stood.filter(one => one.wallId === wall.id).map(one => [one.thingId, one]))
  const here = numberedThings(plan).flatMap(({ n, thing }) => {
    const at = stood.get(thing.id)
    return at ? [{ n, thing, at }] : []
  })
  const rings = (existing: boolean) => here.filter(({ thing }) => thing.existing === existing)
  const middle = ({ thing, at }: typeof here[number]): Point => ({ x: at.xMm + thing.wideMm / 2, y: at.yMm + thing.highMm / 2 })
  const entries = new Map(here.map(({ thing, at }) => [thing.id, entryOf(thing, at)]))
  const leave = (otherWall: string | undefined): Point | null => {
    const ends = plan.ground.passages.flatMap(one => [[one.from, one.to], [one.to, one.from]] as const)
    const way = ends.find(([own, other]) => own.wallId === wall.id && other.wallId === otherWall)
    return way ? { x: way[0].xMm, y: way[0].yMm } : null
  }
  const wallOf = (id: string) => plan.placing.stood.find(one => one.thingId === id)?.wallId
  const runs = plan.runs.flatMap((run) => {
    const a = entries.get(run.fromId) ?? (entries.has(run.toId) ? leave(wallOf(run.fromId)) : null)
    const b = entries.get(run.toId) ?? (entries.has(run.fromId) ? leave(wallOf(run.toId)) : null)
    if (!a || !b) return []
    // Down first where it comes from above, so that it drips off before it enters.
    const corner = { x: a.x, y: b.y }
    return [{ run, points: [a, corner, b] }]
  })
  const boxes = here.map(({ thing, at }) => ({ x: at.xMm, y: at.yMm, wide: thing.wideMm, high: thing.highMm }))
  const hides = ({ x, y }: Point) => boxes.some(one => x > one.x - TAG_MM && x < one.x + one.wide + TAG_MM && y > one.y - TAG_MM && y < one.y + one.high + TAG_MM)
  /** Where a run's number is read: beside its longer leg, and under the boxes where they hide it all. */
  const tag = ({ points }: typeof runs[number]): Point => {
    const [a, corner, b] = points as [Point, Point, Point]
    const legs = [[a, corner], [corner, b]].sort((one, other) => legMm(other!) - legMm(one!)) as [Point, Point][]
    for (const [from, to] of legs) {
      const upright = Math.abs(from.x - to.x) < 1
      for (const share of [0.5, 0.4, 0.6, 0.3, 0.7, 0.2, 0.8]) {
        const at = { x: from.x + (to.x - from.x) * share + (upright ? TAG_MM : 0), y: from.y + (to.y - from.y) * share + (upright ? 0 : TAG_MM) }
        if (legMm([from, to]) > TAG_MM && !hides(at)) return at
      }
    }
    const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
    const under = Math.min(...boxes.filter(one => middle.x > one.x - 2 * TAG_MM && middle.x < one.x + one.wide + 2 * TAG_MM && middle.y > one.y - 1 && middle.y < one.y + one.high + 1).map(one => one.y), middle.y)
    return { x: middle.x, y: under - TAG_MM }
  }
  return {
    figure: {
      name: wall.name, along: { fromMm: -150, toMm: wall.wideMm + 150 }, up: { fromMm: -150, toMm: wall.highMm + 150 },
      layers: [
        layer('wall', { rings: [box(0, 0, wall.wideMm, wall.highMm)], lines: [[{ x: -150, y: 0 }, { x: wall.wideMm + 150, y: 0 }], ...studsOf(wall)] }),
        layer('wall-blocks', { rings: wall.blocks.map(one => box(one.xMm, one.yMm, one.wideMm, one.highMm)), texts: wall.blocks.map(one => ({ at: { x: one.xMm + one.wideMm / 2, y: one.yMm + one.highMm / 2 }, text: one.name })) }),
        layer('wall-runs', { lines: runs.flatMap(({ points }) => points.slice(1).map((to, i): [Point, Point] => [points[i]!, to])), texts: runs.map(one => ({ at: tag(one), text: String(one.run.number) })) }),
        layer('wall-labels', { texts: here.flatMap(({ thing, at }) => {
          const own = plan.labels.flatMap((label, i) => label.thingId === thing.id ? [`L${i + 1}`] : [])
          return own.length ? [{ at: { x: at.xMm + thing.wideMm / 2, y: at.yMm + thing.highMm + 60 }, text: own.length > 3 ? `${own[0]} to ${own.at(-1)}` : own.join(' ') }] : []
        }) }),
        layer('wall-there', { rings: rings(true).map(({ thing, at }) => box(at.xMm, at.yMm, thing.wideMm, thing.highMm)), texts: rings(true).map(one => ({ at: middle(one), text: String.fromCharCode(64 + one.n) })) }),
        layer('wall-things', { rings: rings(false).map(({ thing, at }) => box(at.xMm, at.yMm, thing.wideMm, thing.highMm)), texts: rings(false).map(one => ({ at: middle(one), text: String.fromCharCode(64 + one.n) })) }),
      ],
    },
    holds: here.map(({ thing, at }) => ({ kind: 'thing', id: thing.id, name: thing.name, x: at.xMm, y: at.yMm, wide: thing.wideMm, high: thing.highMm })),
  }
}

/** The letter of a thing on wall, one-line and list. */
export const letterOf = (plan: Pick<GroundPlan, 'ground'>, id: string): string => String.fromCharCode(65 + plan.ground.things.findIndex(one => one.id === id))

/** Room that a run's number takes, mm. */
const TAG_MM = 70
const legMm = ([from, to]: Point[]): number => Math.abs(from!.x - to!.x) + Math.abs(from!.y - to!.y)

/** Short strokes at the floor where studs are. */
function studsOf({ studs, wideMm }: Wall): [Point, Point][] {
  if (!studs) return []
  const at: number[] = []
  for (let x = studs.firstMm; x < wideMm; x += studs.everyMm) at.push(x)
  return at.map(x => [{ x, y: 0 }, { x, y: 60 }])
}
