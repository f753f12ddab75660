import { type Ask, type FaceShown, type Layer, type Ref, type Selectable, type Shape, shape } from '../trade'
import type { Point } from '../geometry'
import type { WiringLayout } from './layout'
import { circuitName } from './words'

type Asked = Ask<WiringLayout>

const ON = { name: 'Wiring', key: 'w', on: false } as const
const INK = '#5b1a6e'
const circuitRef = (number: number): Ref => ({ kind: 'circuit', id: String(number) })

/** Circuits are told apart by number and by how their line is drawn, never by colour alone. */
const DASHES: ([number, number] | null)[] = [null, [10, 4], [3, 3], [14, 5]]
const styles = DASHES.length

const lines = (points: Point[], ref: Ref, name: string): Shape[] => points.slice(1).map((to, i) => ({ ...shape({ kind: 'line', from: points[i]!, to }, ref), name }))

/** The trunks and strings whose line is drawn in one of the ways. */
const circuitLayer = (way: number): Layer<Asked> => ({
  id: `circuits-${way + 1}`, toggle: ON, depth: 90 + way,
  style: { fill: null, stroke: INK, width: 2.2, ...(DASHES[way] ? { dash: DASHES[way] } : {}), text: 0, ink: INK, dxfColour: 200 + way },
  shapes: ({ plan }) => (plan.wiring?.here ?? []).filter(one => (one.number - 1) % styles === way).flatMap(one => lines(one.at, circuitRef(one.number), circuitName(one))),
})

/** A light bed under every line, so that it is seen on dark modules and on the bare face alike. */
const bed: Layer<Asked> = {
  id: 'circuit-beds', toggle: ON, depth: 89, screenOnly: true, style: { fill: null, stroke: '#fdf7ff', width: 5, text: 0, ink: INK, dxfColour: 210 },
  shapes: ({ plan }) => (plan.wiring?.here ?? []).flatMap(one => [...lines(one.at, circuitRef(one.number), circuitName(one)), ...one.homes.flatMap(points => lines(points, circuitRef(one.number), circuitName(one)))]),
}

const homes: Layer<Asked> = {
  id: 'home-runs', toggle: ON, depth: 95, style: { fill: null, stroke: INK, width: 1, dash: [2, 2], text: 0, ink: INK, dxfColour: 206 },
  shapes: ({ plan }) => (plan.wiring?.here ?? []).flatMap(one => one.homes.flatMap(points => lines(points, circuitRef(one.number), `Home run, ${circuitName(one).toLowerCase()}`))),
}

/** A small square on its rail. */
const units: Layer<Asked> = {
  id: 'units', toggle: ON, depth: 97, style: { fill: '#f3e3f7', stroke: INK, width: 1.4, text: 0, ink: INK, dxfColour: 211 },
  shapes: ({ plan }) => (plan.wiring?.units ?? []).map((unit): Shape => {
    const { x, y } = unit.place.at
    const half = 105
    return { ...shape({ kind: 'area', rings: [[{ x: x - half, y: y - half * 0.8 }, { x: x + half, y: y - half * 0.8 }, { x: x + half, y: y + half * 0.8 }, { x: x - half, y: y + half * 0.8 }]] }, { kind: 'unit', id: unit.id }, unit.clear ? 'plain' : 'wrong'), name: `Unit under ${unit.under}` }
  }),
}

/** The number of a circuit at each of its places with the place's own number, + and − where its ends leave. */
const numbers: Layer<Asked> = {
  id: 'wiring-numbers', toggle: ON, depth: 99, style: { fill: null, stroke: INK, width: 0.6, text: 9, ink: '#ffffff', dxfColour: 210, paper: { ink: INK } },
  shapes: ({ plan }) => (plan.wiring?.here ?? []).flatMap(one => one.labels.map((at, i): Shape => {
    const end = one.plus && i === 0 ? ' +' : one.minus && i === one.labels.length - 1 ? ' −' : ''
    return shape({ kind: 'text', at, text: `${one.number}.${i + 1}${end}`, roomMm: 700 }, circuitRef(one.number))
  })),
}

/** Where the home runs leave the roof. */
const roofBox: Layer<Asked> = {
  id: 'roof-box', toggle: ON, depth: 100, style: { fill: null, stroke: '#22272e', width: 2, text: 9, ink: '#22272e', dxfColour: 250 },
  shapes: ({ plan: { wiring } }) => wiring?.roofBox && wiring.here.length ? [{ ...shape({ kind: 'cross', at: wiring.roofBox }), name: 'Roof box' }] : [],
}

/** Units, branches and strings as they are taken hold of. */
function selectable({ plan }: Asked): Selectable[] {
  const { wiring } = plan
  if (!wiring) return []
  return [
    ...wiring.circuits.map((one): Selectable => ({ ref: circuitRef(one.number), name: circuitName(one), stage: 'wiring', workings: () => one.workings })),
    ...wiring.units.map((unit, i): Selectable => ({
      ref: { kind: 'unit', id: unit.id }, name: `Unit ${i + 1}, under ${unit.under}`, stage: 'wiring',
      places: () => ({ along: [{ placeMm: unit.place.at.x, label: 'Unit', tone: 'fixing' }], up: [{ placeMm: unit.place.at.y, label: 'Unit', tone: 'line' }] }),
    })),
  ]
}

export const wiringShown = {
  layers: [bed, ...DASHES.map((_, way) => circuitLayer(way)), homes, units, numbers, roofBox],
  selectable,
  workings: ({ plan }: Asked) => plan.wiring?.circuits.flatMap(one => one.workings) ?? [],
} satisfies FaceShown<WiringLayout>
