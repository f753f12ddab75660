import type { serialOf, Face, Job, ProofOf } from '../job'
import { onceFor } from '../memory'
import { ONE_MODULE_MM } from '../rooflog'
import { windName } from '../units'
import { type WiredUnit, wiredModulesOn } from '../wiring'
import type { ProofAsk } from './ask'
import { circuitsOf } from './circuits'

export type SerialWhat = typeof serialOf[number]

/** One place where a serial number belongs: a module's, or that of the unit under it. */
export interface SerialPlace {
  what: SerialWhat
  faceId: string
  /** Its own name on its face. */
  id: string
  xMm: number
  yMm: number
  row: number
  /** In its row, 0 first from the left, seen from outside. */
  place: number
  /** The module's number on the drawing of its face, counted from 1 along each row from the eave; a unit has that of the module it hangs under. */
  number: number
  /** The part by the plan. */
  partId: string
  partName: string
  circuit: number | null
  /** What stands there by the record; null where nobody has said. */
  found: ProofOf<'serial'> | null
  /** What stood there before, the newest last. */
  before: string[]
}

/** What is said of places as near as one module is to itself is said of one; the next is half a module away and more. */
const near = (a: { faceId: string, xMm: number, yMm: number }, b: { faceId: string, xMm: number, yMm: number }): boolean => a.faceId === b.faceId && Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm) <= ONE_MODULE_MM

/** What stands at one place: the number said last, what others read there differently since, and what was taken off before. */
export interface Standing { now: ProofOf<'serial'>, others: ProofOf<'serial'>[], before: string[] }

/** Serial numbers as they stand by all that was said: the last at a place, unless it was taken off again. One person's second word puts the first right; another person's differs from it. */
export function standing({ proof }: Pick<Job, 'proof'>): Standing[] {
  const places: { at: ProofOf<'serial' | 'serial-off'>, said: ProofOf<'serial'>[], before: string[] }[] = []
  for (const entry of proof) {
    if (entry.kind !== 'serial' && entry.kind !== 'serial-off') continue
    let place = places.find(one => one.at.what === entry.what && near(one.at, entry))
    if (!place) places.push(place = { at: entry, said: [], before: [] })
    if (entry.kind === 'serial') place.said.push(entry)
    else {
      place.before.push(entry.serial)
      place.said = []
    }
  }
  return places.flatMap(({ said, before }) => {
    const now = said.at(-1)
    return now ? [{ now, others: said.filter(one => one.serial !== now.serial && one.by !== now.by), before }] : []
  })
}

/** Numbers that are said to stand at two places: each with where it was said first. */
export function saidTwice(job: Pick<Job, 'proof'>): { first: ProofOf<'serial'>, again: ProofOf<'serial'> }[] {
  const there = standing(job).map(one => one.now)
  return there.flatMap((again, i) => {
    const first = there.slice(0, i).find(one => one.serial === again.serial)
    return first ? [{ first, again }] : []
  })
}

/** Places at which two people read different numbers. */
export const saidDifferently = (job: Pick<Job, 'proof'>): Standing[] => standing(job).filter(one => one.others.length > 0)

/** Every place that has a serial number, face by face and row by row from the eave, each row from the left. */
export const serialPlaces = onceFor((ask: ProofAsk): SerialPlace[] => {
  const there = standing(ask.job)
  const circuits = circuitsOf(ask)
  const found = (what: SerialWhat, at: { faceId: string, xMm: number, yMm: number }) => there.find(one => one.now.what === what && near(one.now, at)) ?? null
  return ask.faces.flatMap(({ face, plan }) => {
    const place = (what: SerialWhat, own: Pick<SerialPlace, 'id' | 'xMm' | 'yMm' | 'row' | 'place' | 'number' | 'partId' | 'partName'>, member: string): SerialPlace => {
      const known = found(what, { faceId: face.id, ...own })
      return { what, faceId: face.id, ...own, circuit: circuits.find(one => one.members.includes(`${face.id}:${member}`))?.circuit.number ?? null, found: known?.now ?? null, before: known?.before ?? [] }
    }
    const modules = wiredModulesOn(face, plan)
    const { module } = plan.parts
    return [
      ...modules.map((one, i) => place('module', { number: i + 1, id: one.id, xMm: one.middle.at.x, yMm: one.middle.at.y, row: one.row, place: one.place, partId: module.id, partName: module.name }, one.id)),
      ...(plan.wiring?.units ?? []).flatMap((unit) => {
        const part = partOf(ask, unit)
        const under = modules.find(one => one.id === unit.under)
        return part && under ? [place('unit', { number: modules.indexOf(under) + 1, id: unit.id, xMm: unit.place.at.x, yMm: unit.place.at.y, row: unit.row, place: under.place, partId: part.id, partName: part.name }, unit.under)] : []
      }),
    ]
  })
})

const partOf = ({ wiring }: ProofAsk, unit: WiredUnit) => {
  const circuit = wiring.circuits.find(one => one.kind === 'branch' ? one.units.some(own => own.id === unit.id) : one.modules.some(own => own.faceId === unit.faceId && own.id === unit.under))
  return (wiring.groups.find(one => one.group.id === circuit?.groupId) ?? wiring.groups.find(one => one.unit))?.unit ?? null
}

/** Where a place lies, in words: the module's number, the row from the eave, the place from the left with its compass. */
export const placeWords = ({ what, number, row, place }: Pick<SerialPlace, 'what' | 'number' | 'row' | 'place'>, face: Pick<Face, 'place'>): string => `${what === 'unit' ? 'the unit under module' : 'module'} ${number}, row ${row + 1} from the eave, ${place + 1} from the left (${endsByCompass(face).left})`

/** Compass directions of a face's two ends, seen from outside, and of where it looks. */
export function endsByCompass({ place: { azimuthDeg } }: Pick<Face, 'place'>): { left: string, right: string, faces: string } {
  return { left: windName(azimuthDeg + 90), right: windName(azimuthDeg - 90), faces: windName(azimuthDeg) }
}

/** Places without a serial number. */
export const gaps = (places: SerialPlace[]): SerialPlace[] => places.filter(one => !one.found)

/** Serial numbers of the record at whose places nothing is planned any more. */
export const astray = (ask: ProofAsk, places: SerialPlace[]): ProofOf<'serial'>[] => standing(ask.job).map(one => one.now).filter(now => !places.some(one => one.what === now.what && near(one, now)))
