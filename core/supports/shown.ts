import { between, lineAcross, type Point, type Region, stretchesAt } from '../geometry'
import { isAcross, shape, signOf } from '../trade'
import { BAND_HOLDS, timberBands } from './bands'
import type { SupportsLayout } from './layout'
import type { SupportState } from './places'
import { type Rafter, rafterAt } from './rafter'
import { supportWorkings } from './workings'
import type { FaceShown, Ask, Layer, Selectable, Shape, TapePlace, Tone } from '../trade'

const tones: Record<SupportState, Tone> = { proved: 'plain', inferred: 'inferred', guessed: 'guessed' }

const box = (fromX: number, toX: number, fromY: number, toY: number): Region => [[{ x: fromX, y: fromY }, { x: toX, y: fromY }, { x: toX, y: toY }, { x: fromX, y: toY }]]

/** How strongly a band is filled, from hardly believed to sure. */
const [LIGHTEST, DARKEST] = [0.05, 0.45]

const toggle = { name: 'Rafters', key: 'r', on: true }

/** What fixings go into, at true width. */
const drawn: Layer<Ask<SupportsLayout>> = {
  id: 'supports', toggle, depth: 20,
  style: { fill: '#dcbb8a', stroke: '#a07a41', width: 0.6, text: 6, ink: '#22272e', dxfColour: 42, paper: { fill: '#ecd9bd' } },
  shapes: ({ plan: { supports, shape: { region, up } } }) => {
    const upFrom = (from: Point, to: Point) => lineAcross({ from, to }, region)
    return [
      ...supports.rafters.flatMap((rafter) => {
        const half = rafter.widthMm / 2
        const [low, high] = [rafterAt(rafter, up.fromMm), rafterAt(rafter, up.toMm)]
        const edge = (aside: number): [Point, Point] => [{ x: low + aside, y: up.fromMm }, { x: high + aside, y: up.toMm }]
        const band = between(region, edge(-half), edge(half))
        const ref = { kind: 'rafter' as const, number: rafter.number }
        return [
          shape({ kind: 'area', rings: band }, ref, tones[rafter.state]),
          shape({ kind: 'text', at: { x: rafter.centreMm, y: up.fromMm }, text: String(rafter.number), roomMm: 0 }, ref),
        ]
      }),
      ...supports.across.flatMap(line => stretchesAt(region, line.centreMm).map(({ fromMm, toMm }) => shape({
        kind: 'area',
        rings: box(fromMm, toMm, line.centreMm - line.widthMm / 2, line.centreMm + line.widthMm / 2),
      }, null, tones[line.state]))),
      ...supports.seams.flatMap(({ xMm }) => {
        const on = upFrom({ x: xMm, y: up.fromMm }, { x: xMm, y: up.toMm })
        return on ? [shape({ kind: 'line', ...on })] : []
      }),
      ...supports.screws.rowsMm.flatMap(y => supports.screws.xMm.map(x => shape({ kind: 'dot', at: { x, y } }))),
      ...supports.areas.map(({ along, up: height }) => shape({ kind: 'area', rings: box(along.fromMm, along.toMm, height.fromMm, height.toMm) }, null, 'inferred')),
    ]
  },
}

/** Where the centre of each rafter may be: narrow where much is known of it, in pieces where spacings rival. */
const bands: Layer<Ask<SupportsLayout>> = {
  id: 'timber-bands', toggle, depth: 21, screenOnly: true, whileProbing: true,
  style: { fill: '#7a3e0c', stroke: '#7a3e0c', width: 0.4, text: 0, ink: '#22272e', dxfColour: 34, edgeless: true },
  shapes: ({ face, plan: { supports, shape: { region, up } } }) => {
    const byHits = face.supports.kind === 'rafters' && face.supports.layout !== 'nominal'
    return timberBands(supports.rafters, supports.fit, byHits, up).flatMap(({ rafter, pieces }) => pieces.map(({ ring, share }): Shape => ({
      ...shape({ kind: 'area', rings: between(region, [ring[0]!, ring[3]!], [ring[1]!, ring[2]!]) }, { kind: 'rafter', number: rafter }),
      weight: LIGHTEST + (DARKEST - LIGHTEST) * share,
      name: `Rafter ${rafter}: its centre is in ${pieces.length > 1 ? 'these bands' : 'this band'} ${Math.round(100 * BAND_HOLDS)} times in 100${pieces.length > 1 ? `, in this one ${Math.round(100 * share)}` : ''}`,
    })))
  },
}

/** Where rafters run under the modules. */
const under: Layer<Ask<SupportsLayout>> = {
  id: 'support-lines', toggle, depth: 45, screenOnly: true, style: { fill: null, stroke: '#c8a063', width: 0.6, dash: [2, 3.3], text: 0, ink: '#22272e', dxfColour: 42 },
  shapes: ({ plan: { supports, shape: { region, up } } }) => supports.rafters.flatMap((rafter) => {
    const on = lineAcross({ from: { x: rafterAt(rafter, up.fromMm), y: up.fromMm }, to: { x: rafterAt(rafter, up.toMm), y: up.toMm } }, region)
    return on ? [shape({ kind: 'line', ...on })] : []
  }),
}

const onTape = (rafter: Rafter): TapePlace => ({ placeMm: rafter.centreMm, label: `Rafter ${rafter.number} at the eave`, tone: 'rafter', sdMm: rafter.sdMm })

function allPlaces({ supports }: SupportsLayout): { along: TapePlace[], up: TapePlace[] } {
  const timber = (placeMm: number, label: string): TapePlace => ({ placeMm, label, tone: 'rafter' })
  return {
    along: [
      ...supports.rafters.map(onTape),
      ...supports.seams.map(seam => timber(seam.xMm, `Seam ${seam.number}`)),
      ...[supports.screws.xMm[0], supports.screws.xMm.at(-1)].flatMap((placeMm, i) => placeMm === undefined ? [] : [timber(placeMm, `${i ? 'Last' : 'First'} screw`)]),
      ...supports.areas.flatMap(area => [timber(area.along.fromMm, 'Sheathing, left edge'), timber(area.along.toMm, 'Sheathing, right edge')]),
    ],
    up: [
      ...supports.across.map((line): TapePlace => ({ ...timber(line.centreMm, line.name), sdMm: line.sdMm })),
      ...supports.screws.rowsMm.map(placeMm => timber(placeMm, 'Row of screws')),
      ...supports.areas.flatMap(area => [timber(area.up.fromMm, 'Sheathing, lower edge'), timber(area.up.toMm, 'Sheathing, upper edge')]),
    ],
  }
}

/** A rafter can be pushed along where its place is typed; elsewhere the hit log says where it is. */
const oneRafter = ({ face }: Ask<SupportsLayout>, rafter: Rafter): Selectable => ({
  ref: { kind: 'rafter', number: rafter.number }, name: `Rafter ${rafter.number}, ${rafter.state}`, stage: 'rafters', places: () => ({ along: [onTape(rafter)], up: [] }),
  nudge: (direction, push) => face.supports.kind === 'rafters' && face.supports.layout === 'nominal' && isAcross(direction) && push !== 'snap'
    ? { type: 'move-rafter', faceId: face.id, rafter: rafter.number, centreMm: rafter.centreMm + signOf(direction) * push }
    : null,
})

/** What of it is drawn, taken hold of and worked out before eyes. */
export const supportsShown = {
  layers: [drawn, bands, under],
  workings: ({ plan }) => supportWorkings(plan.supports),
  selectable: ask => [{ ref: { kind: 'rafters' }, name: 'What it is fixed to', stage: 'rafters', places: () => allPlaces(ask.plan) }, ...ask.plan.supports.rafters.map(rafter => oneRafter(ask, rafter))],
} satisfies FaceShown<SupportsLayout>
