import type { Point } from '../geometry'
import type { Circuit, FaceWiring } from './layout'
import type { WiredModule } from './modules'

/** A string is drawn so far below its modules' middles, where their numbers stand, and bows so far below that where it passes over a module: shares of its height. */
const BELOW = 0.2
const BOWS = 0.12

/** A place that a circuit's line goes through: a unit, a module, or a bow past one. */
export interface PathPlace { faceId: string, at: Point, bow: boolean }

/** A circuit as it is drawn, in its order, over all faces that it crosses. */
export function pathOf(circuit: Circuit): PathPlace[] {
  if (circuit.kind === 'branch') return circuit.units.map(({ faceId, place }) => ({ faceId, at: place.at, bow: false }))
  const at = ({ middle, heightMm }: WiredModule): Point => ({ x: middle.at.x, y: middle.at.y - BELOW * heightMm })
  return circuit.modules.flatMap((module, i): PathPlace[] => {
    const before = circuit.modules[i - 1]
    const own = { faceId: module.faceId, at: at(module), bow: false }
    const passes = before && before.faceId === module.faceId && before.row === module.row && Math.abs(before.leftMm - module.leftMm) > 1.5 * module.widthMm
    return passes ? [{ faceId: module.faceId, at: { x: (at(before).x + own.at.x) / 2, y: own.at.y - BOWS * module.heightMm }, bow: true }, own] : [own]
  })
}

/** Beside and over a unit, mm, where its number stands: clear of the trunk and of its module's own number. */
const BESIDE_UNIT_MM = 230
const OVER_UNIT_MM = 190
/** As shares of a module from its middle, where a string's numbers stand. */
const TO_SIDE = 0.2
const TO_TOP = 0.3
const labelsOn = (circuit: Circuit, faceId: string): Point[] => circuit.kind === 'branch'
  ? circuit.units.filter(one => one.faceId === faceId).map(({ place: { at } }) => ({ x: at.x + BESIDE_UNIT_MM, y: at.y + OVER_UNIT_MM }))
  : circuit.modules.filter(one => one.faceId === faceId).map(({ middle: { at }, widthMm, heightMm }) => ({ x: at.x + TO_SIDE * widthMm, y: at.y + TO_TOP * heightMm }))

/** A circuit as it is drawn on one of the faces it touches. */
export function drawnOn(circuit: Circuit, faceId: string): FaceWiring['here'][number] {
  const homes = circuit.kind === 'branch' ? [circuit.home] : [circuit.plus, circuit.minus]
  const ends = (home: 'plus' | 'minus') => circuit.kind === 'string' && circuit[home].faceId === faceId
  return {
    number: circuit.number, kind: circuit.kind, at: pathOf(circuit).filter(one => one.faceId === faceId).map(one => one.at), labels: labelsOn(circuit, faceId),
    homes: homes.filter(home => home.faceId === faceId && home.points.length > 1).map(home => home.points),
    plus: ends('plus'), minus: ends('minus'),
  }
}
