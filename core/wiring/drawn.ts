import type { Point } from '../geometry'
import type { Circuit, FaceWiring } from './layout'
import type { WiredModule } from './modules'

/** A string is drawn so far below its modules' middles, where their numbers stand, and bows so far below that where it passes over a module: shares of its height. */
const BELOW = 0.2
const BOWS = 0.12

/** The face's units or modules on a circuit as it is drawn, in its order. */
function pathOn(circuit: Circuit, faceId: string): Point[] {
  if (circuit.kind === 'branch') return circuit.units.filter(one => one.faceId === faceId).map(one => one.place.at)
  const modules = circuit.modules.filter(one => one.faceId === faceId)
  const at = ({ middle, heightMm }: WiredModule): Point => ({ x: middle.at.x, y: middle.at.y - BELOW * heightMm })
  return modules.flatMap((module, i) => {
    const before = modules[i - 1]
    const passes = before && before.row === module.row && Math.abs(before.leftMm - module.leftMm) > 1.5 * module.widthMm
    return passes ? [{ x: (at(before).x + at(module).x) / 2, y: at(module).y - BOWS * module.heightMm }, at(module)] : [at(module)]
  })
}

/** Above a unit, and as a share of a module from its middle, where a circuit's numbers stand. */
const OVER_UNIT_MM = 190
const TO_CORNER = 0.3
const labelsOn = (circuit: Circuit, faceId: string): Point[] => circuit.kind === 'branch'
  ? circuit.units.filter(one => one.faceId === faceId).map(({ place: { at } }) => ({ x: at.x, y: at.y + OVER_UNIT_MM }))
  : circuit.modules.filter(one => one.faceId === faceId).map(({ middle: { at }, widthMm, heightMm }) => ({ x: at.x + TO_CORNER * widthMm, y: at.y + TO_CORNER * heightMm }))

/** A circuit as it is drawn on one of the faces it touches. */
export function drawnOn(circuit: Circuit, faceId: string): FaceWiring['here'][number] {
  const homes = circuit.kind === 'branch' ? [circuit.home] : [circuit.plus, circuit.minus]
  const ends = (home: 'plus' | 'minus') => circuit.kind === 'string' && circuit[home].faceId === faceId
  return {
    number: circuit.number, kind: circuit.kind, at: pathOn(circuit, faceId), labels: labelsOn(circuit, faceId),
    homes: homes.filter(home => home.faceId === faceId && home.points.length > 1).map(home => home.points),
    plus: ends('plus'), minus: ends('minus'),
  }
}
