import { wiredModulesOn } from '../wiring'
import type { ProofAsk } from './ask'
import { type SerialPlace, serialPlaces } from './serials'

/** The layout that a monitoring portal is given: one row a module, with the unit that takes it. */
export interface PortalRow { face: string, number: number, azimuthDeg: number, pitchDeg: number, row: number, place: number, orientation: string, xMm: number, yMm: number, module: string, moduleSerial: string, unit: string, unitSerial: string, circuit: number | null }

export function portalRows(ask: ProofAsk, places: SerialPlace[] = serialPlaces(ask)): PortalRow[] {
  return ask.faces.flatMap(({ face, plan }) => {
    const own = places.filter(one => one.faceId === face.id)
    return wiredModulesOn(face, plan).map((module): PortalRow => {
      const at = own.find(one => one.what === 'module' && one.id === module.id)!
      const hung = plan.wiring?.units.find(unit => unit.modules.includes(module.id))
      const unit = hung && own.find(one => one.what === 'unit' && one.id === hung.id)
      return {
        face: face.name, number: at.number, azimuthDeg: face.place.azimuthDeg, pitchDeg: Number(face.pitchDeg.toFixed(2)), row: module.row + 1, place: module.place + 1, orientation: module.orientation, xMm: Math.round(at.xMm), yMm: Math.round(at.yMm),
        module: at.partName, moduleSerial: at.found?.serial ?? '', unit: unit?.partName ?? '', unitSerial: unit?.found?.serial ?? '', circuit: at.circuit,
      }
    })
  })
}
