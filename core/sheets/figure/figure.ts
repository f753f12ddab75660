import type { Interval, Point, Ring } from '../../geometry'
import type { Ask, Layer, LayerStyle, Shape } from '../../trade'
import type { FaceLayout } from '../../trades'
import { shownTrades } from '../../trades-shown'
import { groundLayers } from './ground-layers'

/** All layers of the drawing, the lowest first. */
export const layers: Layer<Ask<FaceLayout>>[] = shownTrades.flatMap(trade => trade.layers ?? []).sort((a, b) => a.depth - b.depth)

/** Those that are drawn on sheets and in files. */
export const paperLayers = layers.filter(layer => !layer.screenOnly)

/** Words at a place of the drawing, centred there. */
export interface FigureText { at: Point, text: string }

/** One layer of a face's drawing, mm in the face's own plane: x along the eave from its left end, y up the slope. */
export interface LayerShapes {
  layer: string
  rings: Ring[]
  lines: [Point, Point][]
  crosses: Point[]
  /** Sheets issued before dots were told from crosses have none. */
  dots?: Point[]
  texts: FigureText[]
}

/** A face drawn square-on to scale, as plain data: what a sheet keeps when it is issued, and from which it is printed again. */
export interface FaceFigure { name: string, along: Interval, up: Interval, layers: LayerShapes[] }

const plain: LayerStyle = { fill: null, stroke: '#22272e', width: 0.6, text: 6, ink: '#22272e', dxfColour: 7 }

/** How a layer looks and what lies over what; a layer that an issued sheet kept and that is drawn no more looks plain. */
const drawn = new Map([...layers, ...groundLayers].map(({ id, style, depth }) => [id, { style, depth }]))
/** Widths and words are given in points on paper; on a roof or a wall drawn one to one they are so many mm. */
export const MM_PER_POINT = 15
export const styleOf = (id: string): LayerStyle => drawn.get(id)?.style ?? plain
export const byDepth = (one: LayerShapes[]): LayerShapes[] => [...one].sort((a, b) => depthOf(a.layer) - depthOf(b.layer))
const depthOf = (id: string): number => drawn.get(id)?.depth ?? 0

/** The drawing of one planned face. */
export const faceFigure = (ask: Ask<FaceLayout>): FaceFigure => ({
  name: ask.face.name, along: ask.plan.shape.along, up: ask.plan.shape.up, layers: paperLayers.map(layer => flattened(layer.id, layer.shapes(ask))),
})

/** A layer's shapes as they are kept on paper: a bar is a place like a cross, and what is written is written. */
function flattened(layer: string, shapes: Shape[]): LayerShapes {
  const of = <K extends Shape['kind']>(kind: K) => shapes.filter((shape): shape is Extract<Shape, { kind: K }> => shape.kind === kind)
  return {
    layer, rings: of('area').flatMap(area => area.rings), lines: of('line').map(({ from, to }) => [from, to]),
    crosses: [...of('cross'), ...of('bar')].map(({ at }) => at), dots: of('dot').map(({ at }) => at), texts: of('text').map(({ at, text }) => ({ at, text })),
  }
}
