import { type Catalogue, offered } from '../catalogue'
import type { Point } from '../geometry'
import type { InRoofLayout } from '../inroof'
import { type Face, type Job, onBranches, type WireGroup } from '../job'
import { memoryOf } from '../memory'
import { bondingOf, earthWire } from './bonding'
import { branchesOf, houseAzimuth } from './branches'
import { combinedA } from './branch-limit'
import { nextDevice } from './conductors'
import { groupFor } from './groups'
import { segmentsOf } from './segments'
import type { Circuit, FaceWiring, GroupPlan, WiringPlan } from './layout'
import { modulesOn, placeOn, type RoofPlace, wayMm, type WiredModule } from './modules'
import type { RunGround } from './runs'
import { wireRules } from './settings'
import { judgeSegments } from './shutdown'
import { stringsOf } from './strings'
import { trunkSuits } from './suits'
import { hangUnits, type WiredUnit } from './units'

export interface LaidFace { face: Face, plan: InRoofLayout }

/** Beside the array and below its lowest row, where nobody has said where the roof box is, mm (common practice). */
const BOX_BESIDE_MM = 150

/** Where home runs leave the roof: as said, else at the corner of the first array that is nearest to the datum. */
export function roofBoxOf({ wiring }: Pick<Job, 'wiring'>, faces: LaidFace[]): RoofPlace | null {
  const said = wiring.roofBox && faces.find(({ face }) => face.id === wiring.roofBox!.faceId)
  if (said) return placeOn(said.face, { x: wiring.roofBox!.xMm, y: wiring.roofBox!.yMm })
  const first = faces.find(({ plan }) => plan.modules > 0)
  if (!first) return null
  const rows = first.plan.rows.rows.filter(row => row.count > 0)
  const { along } = first.plan.shape
  const x = first.face.datum === 'left' ? Math.max(along.fromMm, Math.min(...rows.map(row => row.leftMm)) - BOX_BESIDE_MM) : Math.min(along.toMm, Math.max(...rows.map(row => row.rightMm)) + BOX_BESIDE_MM)
  return placeOn(first.face, { x, y: rows[0]!.bottomMm })
}

const itemOf = <T extends { id: string }>(items: T[], id: string | null): T | null => items.find(one => one.id === id) ?? null

/** The first trunk on the shelf that takes a group's units and suits the way its modules lie, where nobody chose one. */
const trunkFor = (catalogue: Catalogue, { unitId }: WireGroup, modules: WiredModule[], us: boolean) => offered(catalogue.trunks).find(one => unitId !== null && trunkSuits(one, unitId, [...new Set(modules.map(module => module.orientation))], us)) ?? null

/** What of a laid-out face the wiring is worked out from: by it a plan is remembered. */
const factsOf = ({ face, plan }: LaidFace): unknown => ({
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
export const wireRoof = (job: Job, faces: LaidFace[], catalogue: Catalogue, quick = false): WiringPlan =>
  plans(catalogue, [quick, job.wiring, job.codes, job.units, ...faces.map(factsOf)], () => wired(job, faces, catalogue, quick))

function wired(job: Job, faces: LaidFace[], catalogue: Catalogue, quick: boolean): WiringPlan {
  const rules = wireRules(job)
  const roofBox = roofBoxOf(job, faces)
  const modules = faces.flatMap(({ face, plan }) => modulesOn(face, plan))
  const groups: GroupPlan[] = []
  const circuits: Circuit[] = []
  const units: WiredUnit[] = []
  const taken = new Set<string>()
  for (const group of job.wiring.groups) {
    const own = modules.filter(one => groupFor(job.wiring.groups, one.faceId) === group)
    own.forEach(one => taken.add(`${one.faceId} ${one.id}`))
    const items = { group, unit: itemOf(catalogue.electronics, group.unitId), trunk: group.trunkId === null && onBranches(group.system) ? trunkFor(catalogue, group, own, rules.us) : itemOf(catalogue.trunks, group.trunkId), inverter: itemOf(catalogue.inverters, group.inverterId) }
    const empty: GroupPlan = { ...items, modules: own.length, schools: [], limit: null, sizes: null, stringRange: null, left: [], workings: [], problem: null }
    if (!own.length || !roofBox) {
      groups.push(empty)
      continue
    }
    const { unit } = items
    const wants = group.system !== 'strings'
    if (wants && !unit) {
      groups.push({ ...empty, problem: 'no unit is chosen for its modules.' })
      continue
    }
    const hung = unit ? faces.flatMap(({ face, plan }) => hangUnits(own.filter(one => one.faceId === face.id), { face, plan, unit })) : []
    units.push(...hung)
    const ground: RunGround = {
      job, rules, roofBox, together: 0, faces: new Map(faces.map(({ face }) => [face.id, face])),
      railsAt: new Map(faces.map(({ face, plan }) => [face.id, plan.rails.filter(one => one.way === 'across').map(one => one.lineMm)])),
    }
    const azimuthDeg = houseAzimuth(faces.filter(({ plan }) => plan.modules).map(({ face }) => face))
    const common = { ...ground, putIn: job.wiring.putIn, firstNumber: circuits.length + 1, azimuthDeg }
    if (onBranches(group.system)) {
      const solve = (together: number) => branchesOf(items, { ...common, together, units: hung, faceOrder: faces.map(({ face }) => face.id) })
      // All home runs of a group lie together where they come home.
      const counted = solve(2)
      const { branches, schools, limit, problem } = counted.branches.length > 1 ? solve(2 * counted.branches.length) : counted
      circuits.push(...branches)
      groups.push({ ...empty, schools, limit, problem, workings: limit ? [limit.working] : [] })
    }
    else {
      const solve = (together: number) => stringsOf(items, { ...common, together, modules: own, quick })
      const counted = solve(2)
      const { strings, ...rest } = counted.strings.length > 1 ? solve(2 * counted.strings.length) : counted
      circuits.push(...strings)
      groups.push({ ...empty, ...rest })
    }
  }
  const earthA = Math.max(0, ...circuits.map(one => one.kind === 'branch' ? one.limit.deviceA : 1.25 * one.iscA))
  const earth = modules.length ? earthWire({ us: rules.us, deviceA: earthA, ...job.wiring.earth }) : null
  const branchAmps = circuits.flatMap(one => one.kind === 'branch' ? [one.currentA] : [])
  const inverterAmps = groups.flatMap(one => one.inverter && one.sizes ? Array.from({ length: one.sizes.inverters }, () => one.inverter!.outA[rules.service] ?? 0) : [])
  const together = [...branchAmps, ...inverterAmps]
  const combined = together.length ? combinedA(together, rules.us) : null
  return {
    rules, roofBox, groups, circuits, earth, unwired: modules.filter(one => !taken.has(`${one.faceId} ${one.id}`)).length,
    segments: rules.us ? judgeSegments(segmentsOf(circuits, groups, job.wiring.coldC, rules.service), { edition: rules.edition, insideBy: job.wiring.insideBy, insideNote: job.wiring.insideNote }) : [],
    combined: combined && { ...combined, deviceA: nextDevice(rules.us, combined.leastA) },
    faces: Object.fromEntries(faces.map(one => [one.face.id, faceWiring(one, job, units.filter(unit => unit.faceId === one.face.id), circuits, roofBox, groups)])),
  }
}

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

function faceWiring({ face, plan }: LaidFace, job: Job, units: WiredUnit[], circuits: Circuit[], roofBox: RoofPlace | null, groups: GroupPlan[]): FaceWiring {
  const item = groups.find(one => one.unit && groupFor(job.wiring.groups, face.id)?.id === one.group.id)?.unit
  const cases = units.map((unit) => {
    return { id: unit.id, name: `the unit under module ${unit.under}`, railId: unit.railId, under: unit.under, bonds: item?.bonds ?? false }
  })
  const bonding = bondingOf(plan, job.wiring.bonding, cases)
  return {
    units, hung: item && units.length ? `${item.up === 'label' ? 'Label up' : 'Either side up'}, its cable leaving ${{ left: 'on its left', right: 'on its right', below: 'below' }[item.drop]}` : '', circuits: circuits.filter(one => one.faceIds[0] === face.id), bonding, roofBox: roofBox?.faceId === face.id ? roofBox.at : null, earthMm: earthMm(plan, bonding.lugs.length, face, roofBox),
    here: circuits.filter(one => one.faceIds.includes(face.id)).map((one) => {
      const homes = one.kind === 'branch' ? [one.home] : [one.plus, one.minus]
      return {
        number: one.number, kind: one.kind, at: pathOn(one, face.id), labels: labelsOn(one, face.id), homes: homes.filter(home => home.faceId === face.id && home.points.length > 1).map(home => home.points),
        plus: one.kind === 'string' && one.plus.faceId === face.id, minus: one.kind === 'string' && one.minus.faceId === face.id,
      }
    }),
  }
}

/** Earth wire: past every lug up the slope along the array's side, and to the roof box. */
function earthMm(plan: InRoofLayout, lugs: number, face: Face, roofBox: RoofPlace | null): number {
  const rows = plan.rows.rows.filter(row => row.count > 0)
  if (!rows.length || !lugs || !roofBox) return 0
  const along = plan.rails[0]?.way === 'up' ? rows.reduce((most, row) => Math.max(most, row.rightMm - row.leftMm), 0) : rows.at(-1)!.topMm - rows[0]!.bottomMm
  const corner = placeOn(face, { x: face.datum === 'left' ? rows[0]!.leftMm : rows[0]!.rightMm, y: rows[0]!.bottomMm })
  return along + wayMm(corner, roofBox, face.place.azimuthDeg)
}
