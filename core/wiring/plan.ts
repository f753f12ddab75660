import type { Catalogue } from '../catalogue'
import type { Job } from '../job'
import { memoryOf } from '../memory'
import { earthWire } from './bonding'
import { combinedA } from './branch-limit'
import { nextDevice } from '../electrical'
import { groupFor } from './groups'
import type { Circuit, GroupPlan, PlannedFace, WiringPlan } from './layout'
import { modulesOn } from './modules'
import { faceWiring } from './on-face'
import { roofBoxOf } from './roof-box'
import { segmentsOf } from './segments'
import { type WireRules, wireRules } from './settings'
import { judgeSegments } from './shutdown'
import type { WiredUnit } from './units'
import { wireGroup } from './wire-group'

/** What of a laid-out face the wiring is worked out from: by it a plan is remembered. */
const factsOf = ({ face, plan }: PlannedFace): unknown => ({
  id: face.id, pitch: face.pitchDeg, place: face.place, datum: face.datum, obstructions: face.obstructions, module: plan.parts.module, clamps: plan.parts.clamps.id, rail: plan.parts.rail.id, along: plan.shape.along,
  rows: plan.rows.rows.map(({ index, orientation, moduleWidthMm, moduleHeightMm, bottomMm, leftMm, rightMm, moduleLeftsMm, blocks }) => [index, orientation, moduleWidthMm, moduleHeightMm, bottomMm, leftMm, rightMm, moduleLeftsMm, blocks.map(one => one.count)]),
  rails: plan.rails.map(({ id, lineMm, fromMm, toMm, way, side, carries }) => [id, lineMm, fromMm, toMm, way, side, carries.map(one => [one.row, one.module])]),
  fixings: plan.fixings.rails.map(rail => rail.fixings.map(one => one.atMm)), splices: plan.sticks.splices.map(({ railId, atMm }) => [railId, atMm]), within: plan.inRoof !== null,
})

const plans = memoryOf<WiringPlan>(60)

/**
 * Wires a roof that is laid out: hangs electronics, splits rows into branches or sizes and walks strings, leads all of it home, judges volts
 * and shutdown, and traces the bond. It belongs to the whole job: strings and branches cross faces.
 * @param quick only to be judged, as when a cure is tried: walks are found, not proved
 */
export const wireRoof = (job: Job, faces: PlannedFace[], catalogue: Catalogue, quick = false): WiringPlan =>
  plans(catalogue, [quick, job.wiring, job.ground !== null, job.codes, job.units, ...faces.map(factsOf)], () => wired(job, faces, catalogue, quick))

function wired(job: Job, faces: PlannedFace[], catalogue: Catalogue, quick: boolean): WiringPlan {
  const rules = wireRules(job)
  const roofBox = roofBoxOf(job, faces)
  const azimuthDeg = houseAzimuth(faces)
  const modules = faces.flatMap(({ face, plan }) => modulesOn(face, plan))
  const groups: GroupPlan[] = []
  const circuits: Circuit[] = []
  const units: WiredUnit[] = []
  let next = 1
  for (const group of job.wiring.groups) {
    const own = wireGroup(group, modules, next, { job, rules, faces, catalogue, roofBox, azimuthDeg, quick })
    groups.push(own.plan)
    circuits.push(...own.circuits)
    units.push(...own.units)
    next += own.slots
  }
  const earth = modules.length ? earthOf(job, rules, circuits) : null
  return {
    rules, roofBox, groups, circuits, earth,
    unwired: modules.filter(one => groupFor(job.wiring.groups, one.faceId) === null).length,
    segments: rules.us ? judgeSegments(segmentsOf(circuits, groups, job.wiring.coldC, rules.service), { edition: rules.edition, insideBy: job.wiring.insideBy, insideNote: job.wiring.insideNote }) : [],
    combined: combinedOf(rules, groups, circuits),
    faces: Object.fromEntries(faces.map(one => [one.face.id, faceWiring(one, job, { units, circuits, roofBox, azimuthDeg, groups, earth })])),
  }
}

/** The house's own direction: that of the first face with modules. */
const houseAzimuth = (faces: PlannedFace[]): number => faces.find(({ plan }) => plan.modules > 0)?.face.place.azimuthDeg ?? 180

/** The earth wire by the largest device of the circuits, fuses of strings among them, or by 1.25 Isc of strings without one. */
function earthOf({ wiring: { earth } }: Job, { us }: WireRules, circuits: Circuit[]): WiringPlan['earth'] {
  const deviceA = Math.max(0, ...circuits.map(one => one.kind === 'branch' ? one.limit.deviceA : one.fuseA ?? 1.25 * one.iscA))
  return earthWire({ us, deviceA, ...earth })
}

/** All branches and inverters where they come together. */
function combinedOf({ us, service }: WireRules, groups: GroupPlan[], circuits: Circuit[]): WiringPlan['combined'] {
  const branchAmps = circuits.flatMap(one => one.kind === 'branch' ? [one.currentA] : [])
  const inverterAmps = groups.flatMap(({ inverter, sizes }) => inverter && sizes ? Array.from({ length: sizes.inverters }, () => inverter.outA[service] ?? 0) : [])
  const together = [...branchAmps, ...inverterAmps]
  if (!together.length) return null
  const combined = combinedA(together, us)
  return { ...combined, deviceA: nextDevice(us, combined.leastA) }
}
