import { type Ask, type FaceShown, type Layer, type Ref, type Selectable, type Shape, shape } from '../trade'
import { discAround, type Point } from '../geometry'
import type { WiringLayout } from './layout'
import { circuitName } from './words'

type Asked = Ask<WiringLayout>

const ON = { name: 'Wiring', key: 'w', on: false } as const
export const circuitInk = '#5b1a6e'
const circuitRef = (number: number): Ref => ({ kind: 'circuit', id: String(number) })

/** Circuits are told apart by number and by how their line is drawn, never by colour alone. */
export const circuitDashes: ([number, number] | null)[] = [null, [10, 4], [3, 3], [14, 5]]
const wayOf = (number: number): number => (number - 1) % circuitDashes.length

const lines = (points: Point[], ref: Ref, name: string): Shape[] => points.slice(1).map((to, i) => ({ ...shape({ kind: 'line', from: points[i]!, to }, ref), name }))

/** The trunks and strings whose line is drawn in one of the ways. */
const circuitLayer = (way: number): Layer<Asked> => ({
  id: `circuits-${way + 1}`, toggle: ON, depth: 90 + way,
  style: { fill: null, stroke: circuitInk, width: 2.2, ...(circuitDashes[way] ? { dash: circuitDashes[way] } : {}), text: 0, ink: circuitInk, dxfColour: 200 + way },
  shapes: ({ plan }) => (plan.wiring?.here ?? []).filter(one => wayOf(one.number) === way).flatMap(one => lines(one.at, circuitRef(one.number), circuitName(one))),
})

/** A light bed under every line, so that it is seen on dark modules and on the bare face alike. */
const bed: Layer<Asked> = {
  id: 'circuit-beds', toggle: ON, depth: 89, screenOnly: true, style: { fill: null, stroke: '#fdf7ff', width: 5, text: 0, ink: circuitInk, dxfColour: 210 },
  shapes: ({ plan }) => (plan.wiring?.here ?? []).flatMap(one => [...lines(one.at, circuitRef(one.number), circuitName(one)), ...one.homes.flatMap(points => lines(points, circuitRef(one.number), circuitName(one)))]),
}

const homes: Layer<Asked> = {
  id: 'home-runs', toggle: ON, depth: 95, style: { fill: null, stroke: circuitInk, width: 1, dash: [2, 2], text: 0, ink: circuitInk, dxfColour: 206 },
  shapes: ({ plan }) => (plan.wiring?.here ?? []).flatMap(one => one.homes.flatMap(points => lines(points, circuitRef(one.number), `Home run, ${circuitName(one).toLowerCase()}`))),
}

/** A small square on its rail. */
const units: Layer<Asked> = {
  id: 'units', toggle: ON, depth: 97, style: { fill: '#f3e3f7', stroke: circuitInk, width: 1.4, text: 0, ink: circuitInk, dxfColour: 211 },
  shapes: ({ plan }) => (plan.wiring?.units ?? []).map((unit): Shape => {
    const { x, y } = unit.place.at
    const half = 105
    return { ...shape({ kind: 'area', rings: [[{ x: x - half, y: y - half * 0.8 }, { x: x + half, y: y - half * 0.8 }, { x: x + half, y: y + half * 0.8 }, { x: x - half, y: y + half * 0.8 }]] }, { kind: 'unit', id: unit.id }, unit.clear ? 'plain' : 'wrong'), name: `Unit under ${unit.under}` }
  }),
}

/** The number of a circuit at each of its places with the place's own number. */
const numbers: Layer<Asked> = {
  id: 'wiring-numbers', toggle: ON, depth: 99, style: { fill: null, stroke: circuitInk, width: 0.6, text: 9, ink: '#ffffff', halo: '#3b4149', dxfColour: 210, paper: { ink: circuitInk } },
  shapes: ({ plan }) => (plan.wiring?.here ?? []).flatMap(one => one.labels.map((at, i) => shape({ kind: 'text', at, text: `${one.number}.${i + 1}`, roomMm: 700 }, circuitRef(one.number)))),
}

/** Half the width of a string's end and of its sign, mm: drawn, not written, so that a small drawing keeps them. */
const END_MM = 125
const SIGN_MM = 70

/** Where a string's home runs leave: a light disc with its sign. */
const ends: Layer<Asked> = {
  id: 'string-ends', toggle: ON, depth: 98, style: { fill: '#fdf7ff', stroke: circuitInk, width: 1.4, text: 0, ink: circuitInk, dxfColour: 212 },
  shapes: ({ plan }) => (plan.wiring?.here ?? []).flatMap((one) => {
    const end = (at: Point | undefined, sign: '+' | '−'): Shape[] => {
      if (!at) return []
      const { x, y } = at
      const strokes: [Point, Point][] = [[{ x: x - SIGN_MM, y }, { x: x + SIGN_MM, y }], ...sign === '+' ? [[{ x, y: y - SIGN_MM }, { x, y: y + SIGN_MM }] as [Point, Point]] : []]
      // The sign is nothing that is held: it would be drawn so thick that + and − look alike.
      return [{ ...shape({ kind: 'area', rings: discAround(at, END_MM) }, circuitRef(one.number)), name: `${circuitName(one)}, ${sign}` }, ...strokes.map(([from, to]) => shape({ kind: 'line', from, to }))]
    }
    return [...end(one.plus ? one.at[0] : undefined, '+'), ...end(one.minus ? one.at.at(-1) : undefined, '−')]
  }),
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
  layers: [bed, ...circuitDashes.map((_, way) => circuitLayer(way)), homes, units, ends, numbers, roofBox],
  selectable,
  workings: ({ plan }: Asked) => plan.wiring?.circuits.flatMap(one => one.workings) ?? [],
} satisfies FaceShown<WiringLayout>
