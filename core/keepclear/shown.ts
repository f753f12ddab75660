import { areaMm2, bounds } from '../geometry'
import { length } from '../units'
import type { Working } from '../working'
import type { Obstruction } from '../job'
import { isAcross, sentenceCase, shape, signOf } from '../trade'
import type { KeepClearLayout } from './layout'
import { around, obstructionNames } from './strips'
import type { FaceShown, Ask, Layer, Selectable, TapePlace } from '../trade'

const toggle = { name: 'Keep-clear', key: 'k', on: true }

const strips: Layer<Ask<KeepClearLayout>> = {
  id: 'keep-clear', toggle, depth: 25,
  style: { fill: '#eeeae0', stroke: '#8d8468', width: 0.5, dash: [3, 2], text: 0, ink: '#22272e', dxfColour: 2, hatched: true },
  shapes: ({ plan }) => plan.strips.map(strip => shape({ kind: 'area', rings: strip.region })),
}

/** What is left: rows lie in it. */
const usableRegion: Layer<Ask<KeepClearLayout>> = {
  id: 'usable', toggle, depth: 26, screenOnly: true, style: { fill: null, stroke: '#8d8468', width: 1, dash: [2, 3], text: 0, ink: '#22272e', dxfColour: 2 },
  shapes: ({ plan }) => [shape({ kind: 'area', rings: plan.region })],
}

/** Smaller things on the roof are drawn without their names, which would hide them, mm. */
const NAMED_FROM_MM = 450

const obstructions: Layer<Ask<KeepClearLayout>> = {
  id: 'obstructions', toggle: null, depth: 35, style: { fill: '#e7d5cb', stroke: '#22272e', width: 1, text: 7, ink: '#22272e', dxfColour: 6 },
  shapes: ({ face }) => face.obstructions.flatMap((one) => {
    const ref = { kind: 'obstruction' as const, id: one.id }
    return [
      { ...shape({ kind: 'area', rings: around({ ...one, clearanceMm: 0 }) }, ref), name: sentenceCase(obstructionNames[one.kind]) },
      ...(one.widthMm >= NAMED_FROM_MM ? [shape({ kind: 'text', at: { x: one.xMm, y: one.yMm }, text: obstructionNames[one.kind], roomMm: one.widthMm }, ref)] : []),
    ]
  }),
}

const edge = (placeMm: number, label: string): TapePlace => ({ placeMm, label, tone: 'edge' })

function usable({ plan }: Ask<KeepClearLayout>): Selectable {
  return {
    ref: { kind: 'keep-clear' }, name: 'What is kept clear', stage: 'keep-clear',
    places: () => {
      const box = bounds(plan.region)
      return box
        ? {
            along: [edge(box.along.fromMm, 'Left end of what is usable'), edge(box.along.toMm, 'Right end of what is usable')],
            up: [edge(box.up.fromMm, 'Lower end of what is usable'), edge(box.up.toMm, 'Upper end of what is usable')],
          }
        : { along: [], up: [] }
    },
  }
}

function oneObstruction({ face }: Ask<KeepClearLayout>, { id, kind, round, xMm, yMm, widthMm, heightMm }: Obstruction): Selectable {
  const name = obstructionNames[kind]
  const spread = (middleMm: number, sizeMm: number, low: string, high: string) => [
    edge(middleMm - sizeMm / 2, `${name}, ${low}`),
    edge(middleMm, `${name}, middle`),
    edge(middleMm + sizeMm / 2, `${name}, ${high}`),
  ]
  return {
    ref: { kind: 'obstruction', id }, name: sentenceCase(name), stage: 'survey',
    places: () => ({ along: spread(xMm, widthMm, 'left', 'right'), up: spread(yMm, round ? widthMm : heightMm, 'bottom', 'top') }),
    nudge: (direction, push) => {
      if (push === 'snap') return null
      const byMm = signOf(direction) * push
      const moved = (one: Obstruction): Obstruction => isAcross(direction) ? { ...one, xMm: one.xMm + byMm } : { ...one, yMm: Math.max(0, one.yMm + byMm) }
      return { type: 'set-face', faceId: face.id, values: { obstructions: face.obstructions.map(one => one.id === id ? moved(one) : one) } }
    },
  }
}

const faceWorking = ({ shape: { region } }: KeepClearLayout): Working => ({
  what: 'Area of the face', formula: 'A = ½ |Σ (xᵢ yᵢ₊₁ − xᵢ₊₁ yᵢ)|',
  values: region[0]!.flatMap((point, i) => [{ symbol: `x${i + 1}`, what: 'along the eave', value: length(point.x) }, { symbol: `y${i + 1}`, what: 'up the slope', value: length(point.y) }]),
  result: { kind: 'area', mm2: areaMm2(region) }, source: 'The shoelace formula over the corners, in the face’s own plane', basis: 'arithmetic',
})

/** What is left of a face once every strip has taken its own. */
function leftWorking({ shape: { region }, strips: taken, region: left }: KeepClearLayout): Working {
  const area = (mm2: number) => ({ kind: 'area' as const, mm2 })
  return {
    what: 'Left for modules', formula: 'A − Σ what is kept clear, where strips lie over each other counted once',
    values: [
      { symbol: 'A', what: 'the face', value: area(areaMm2(region)), from: 'Area of the face' },
      ...taken.filter(one => one.takesMm2 > 1000).map((one, i) => ({ symbol: `−${i + 1}`, what: `${one.of}: ${one.rule}`, value: area(one.takesMm2) })),
    ],
    result: area(areaMm2(left)), source: 'Areas of the outline as surveyed and of the strips cut to it', basis: 'arithmetic',
  }
}

/** What of it is drawn, taken hold of and worked out before eyes. */
export const keepClearShown = {
  layers: [strips, usableRegion, obstructions],
  workings: ({ plan }) => [leftWorking(plan), faceWorking(plan)],
  selectable: ask => [...ask.face.obstructions.map(one => oneObstruction(ask, one)), usable(ask)],
} satisfies FaceShown<KeepClearLayout>
