import { common, freeIntervals, type Interval, type Point, rectangle, type Ring } from '../geometry'
import type { Face } from '../job'
import { around } from '../keepclear'
import type { FacePlan } from '../plan/face'
import { onFace } from '../rails'
import { rafterAt } from '../supports'

export const figureLayers = ['outline', 'keep-clear', 'courses', 'supports', 'obstructions', 'modules', 'rails', 'splices', 'fixings'] as const
export type FigureLayer = typeof figureLayers[number]

/** Words at a place of the drawing, centred there. */
export interface FigureText { at: Point, text: string }

/** One layer of a face's drawing, mm in the face's own plane: x along the eave from its left end, y up the slope. */
export interface LayerShapes { layer: FigureLayer, rings: Ring[], lines: [Point, Point][], crosses: Point[], texts: FigureText[] }

/** A face drawn square-on to scale, as plain data from which sheets and files are made. */
export interface FaceFigure { name: string, along: Interval, up: Interval, layers: LayerShapes[] }

/** Smaller things on the roof are drawn without their names, which would hide them, mm. */
const NAMED_FROM_MM = 450

const layer = (name: FigureLayer, shapes: Partial<Omit<LayerShapes, 'layer'>>): LayerShapes => ({ layer: name, rings: [], lines: [], crosses: [], texts: [], ...shapes })

/** The drawing of one planned face. */
export function faceFigure(face: Face, plan: Omit<FacePlan, 'list' | 'marks'>): FaceFigure {
  const { shape, rails, rows, supports } = plan
  const top = shape.up.toMm
  /** A line across the face, as far as it lies on it. */
  const across = (y: number): [Point, Point][] => freeIntervals(shape.region, { fromMm: y, toMm: y }).map(({ fromMm, toMm }) => [{ x: fromMm, y }, { x: toMm, y }])
  let number = 0
  const modules = rows.rows.flatMap(row => row.moduleLeftsMm.map(left => ({
    ring: rectangle({ fromMm: left, toMm: left + row.moduleWidthMm }, { fromMm: row.bottomMm, toMm: row.topMm })[0]!,
    text: { at: { x: left + row.moduleWidthMm / 2, y: (row.bottomMm + row.topMm) / 2 }, text: String(++number) },
  })))
  const at = (r: number, mm: number): Point => {
    const { xMm, yMm } = onFace(rails[r]!, mm)
    return { x: xMm, y: yMm }
  }
  return {
    name: face.name, along: shape.along, up: shape.up,
    layers: [
      layer('outline', { rings: shape.region, texts: shape.edges.filter(edge => edge.kind === 'eave' || edge.kind === 'ridge').map(edge => ({ at: { x: (edge.from.x + edge.to.x) / 2, y: (edge.from.y + edge.to.y) / 2 }, text: edge.name })) }),
      layer('keep-clear', { rings: plan.strips.flatMap(strip => strip.region) }),
      layer('courses', { lines: plan.courses.flatMap(across) }),
      layer('supports', {
        rings: supports.rafters.flatMap((rafter) => {
          const half = rafter.widthMm / 2
          const [low, high] = [rafterAt(rafter, 0), rafterAt(rafter, top)]
          return common([[{ x: low - half, y: 0 }, { x: low + half, y: 0 }, { x: high + half, y: top }, { x: high - half, y: top }]], shape.region)
        }),
        lines: [...supports.across.flatMap(line => across(line.centreMm)), ...supports.seams.map((seam): [Point, Point] => [{ x: seam.xMm, y: 0 }, { x: seam.xMm, y: top }]), ...supports.screws.rowsMm.flatMap(across)],
        texts: supports.rafters.map(rafter => ({ at: { x: rafter.centreMm, y: 0 }, text: String(rafter.number) })),
      }),
      layer('obstructions', { rings: face.obstructions.flatMap(one => around({ ...one, clearanceMm: 0 })), texts: face.obstructions.filter(one => one.widthMm >= NAMED_FROM_MM).map(one => ({ at: { x: one.xMm, y: one.yMm }, text: one.kind.replace('-', ' ') })) }),
      layer('modules', { rings: modules.map(one => one.ring), texts: modules.map(one => one.text) }),
      layer('rails', { lines: rails.map((rail, r): [Point, Point] => [at(r, rail.fromMm), at(r, rail.toMm)]), texts: rails.map((rail, r) => ({ at: at(r, rail.fromMm), text: `${rail.number}` })) }),
      layer('splices', { crosses: [...plan.sticks.splices.map(splice => at(rails.findIndex(rail => rail.id === splice.railId), splice.atMm)), ...rails.flatMap((rail, r) => rail.couplers.map(mm => at(r, mm)))] }),
      layer('fixings', { crosses: plan.fixings.rails.flatMap((rail, r) => rail.fixings.map(fixing => at(r, fixing.atMm))) }),
    ],
  }
}
