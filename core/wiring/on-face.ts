import type { InRoofLayout } from '../inroof'
import type { Face, Job } from '../job'
import { bondingOf } from './bonding'
import { drawnOn } from './drawn'
import { groupFor } from './groups'
import type { Circuit, FaceWiring, GroupPlan, PlannedFace, WiringPlan } from './layout'
import { placeOn, type RoofPlace, wayMm } from './modules'
import type { WiredUnit } from './units'

/** What the whole roof has, of which a face takes its part. */
interface RoofWiring { units: WiredUnit[], circuits: Circuit[], roofBox: RoofPlace | null, azimuthDeg: number, groups: GroupPlan[], earth: WiringPlan['earth'] }

/** What of the roof's wiring lies on one of its faces. */
export function faceWiring({ face, plan }: PlannedFace, job: Job, { units, circuits, roofBox, azimuthDeg, groups, earth }: RoofWiring): FaceWiring {
  const own = units.filter(unit => unit.faceId === face.id)
  const item = groups.find(one => one.unit && groupFor(job.wiring.groups, face.id)?.id === one.group.id)?.unit
  const cases = own.map(unit => ({ id: unit.id, name: `the unit under module ${unit.under}`, railId: unit.railId, under: unit.under, bonds: item?.bonds ?? false }))
  const bonding = bondingOf(plan, job.wiring.bonding, cases)
  return {
    units: own, bonding,
    hung: item && own.length ? `${item.up === 'label' ? 'Label up' : 'Either side up'}, its cable leaving ${{ left: 'on its left', right: 'on its right', below: 'below' }[item.drop]}` : '',
    circuits: circuits.filter(one => one.faceIds[0] === face.id),
    here: circuits.filter(one => one.faceIds.includes(face.id)).map(one => drawnOn(one, face.id)),
    earth: earth && { size: earth.size, mm: earthMm(plan, bonding.lugs.length, face, roofBox, azimuthDeg) },
    roofBox: roofBox?.faceId === face.id ? roofBox.at : null,
  }
}

/** Earth wire: past every lug up the slope along the array's side, and to the roof box. */
function earthMm(plan: InRoofLayout, lugs: number, face: Face, roofBox: RoofPlace | null, azimuthDeg: number): number {
  const rows = plan.rows.rows.filter(row => row.count > 0)
  if (!rows.length || !lugs || !roofBox) return 0
  const along = plan.rails[0]?.way === 'up' ? rows.reduce((most, row) => Math.max(most, row.rightMm - row.leftMm), 0) : rows.at(-1)!.topMm - rows[0]!.bottomMm
  const corner = placeOn(face, { x: face.datum === 'left' ? rows[0]!.leftMm : rows[0]!.rightMm, y: rows[0]!.bottomMm })
  return along + wayMm(corner, roofBox, azimuthDeg)
}
