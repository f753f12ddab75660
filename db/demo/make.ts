import { type Face, type Hit, type HitState, type Job, plainSite, type Setbacks, starterFace } from '../../core/job'
import { roofFaces, type RoofForm } from '../../core/roof'

/** What jobs of the demo are made of. */

export const inch = (feet: number, inches: number) => (feet * 12 + inches) * 25.4
export const imperialParts = { moduleId: 'skerry-425', railId: 'bollard-light', mountId: 'limpet-flashed', clampsId: 'pinch-inch' }
export const metricParts = { moduleId: 'lantern-460', railId: 'hawser-mid', mountId: 'windlass-flashed', clampsId: 'hawser-grip' }

type FaceFacts = Partial<Omit<Face, 'array' | 'id'>>

/** A face with some of its facts replaced. */
const faceWith = (face: Face, facts: FaceFacts, array: Partial<Face['array']> = {}): Face => ({ ...face, ...facts, array: { ...face.array, ...array } })

/** A starter job with some facts of its one face replaced. */
export const job = (base: Job, facts: FaceFacts, array: Partial<Face['array']> = {}, site: Partial<Job['site']> = {}): Job =>
  ({ ...base, site: { ...plainSite, ...site }, faces: [faceWith(base.faces[0]!, facts, array)] })

/** The other faces of a common roof, each at a starter's usual sizes but for its outline, pitch and lie. */
export function alsoFaces(base: Job, form: RoofForm, skip: string[], facts: FaceFacts, array: Partial<Face['array']>): Face[] {
  const faces = roofFaces(form)
  if (!faces.ok) throw new Error(faces.problem)
  const { place, array: firstArray } = base.faces[0]!
  return faces.value.filter(face => !skip.includes(face.name)).map((face, i) => faceWith(
    starterFace(`face-${i + 2}`, `${face.name} face`, base.units, firstArray),
    { outline: face.outline, pitchDeg: face.pitchDeg, place: { ...place, ...face.place }, ...facts }, array,
  ))
}

export const hits = (readings: [xMm: number, yMm: number, state: HitState][]): Hit[] =>
  readings.map(([xMm, yMm, state], i) => ({ id: `hit-${i + 1}`, xMm, yMm, state, use: 'rafter' }))
export const finds = (pairs: [number, number][]) => pairs.map(([rafter, centreMm]) => ({ rafter, centreMm }))
export const setbacks = (eaveMm: number, ridgeMm: number, leftRakeMm: number, rightRakeMm: number, hipMm = 450, valleyMm = 450, wallMm = 300): Setbacks =>
  ({ eaveMm, ridgeMm, leftRakeMm, rightRakeMm, hipMm, valleyMm, wallMm })
