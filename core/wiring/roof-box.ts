import type { Job } from '../job'
import type { PlannedFace } from './layout'
import { placeOn, type RoofPlace } from './modules'

/** Beside the array and below its lowest row, where nobody has said where the roof box is, mm (common practice). */
const BOX_BESIDE_MM = 150

/** Where home runs leave the roof: as said, else at the corner of the first array that is nearest to the datum. */
export function roofBoxOf({ wiring }: Pick<Job, 'wiring'>, faces: PlannedFace[]): RoofPlace | null {
  const said = wiring.roofBox && faces.find(({ face }) => face.id === wiring.roofBox!.faceId)
  if (said) return placeOn(said.face, { x: wiring.roofBox!.xMm, y: wiring.roofBox!.yMm })
  const first = faces.find(({ plan }) => plan.modules > 0)
  if (!first) return null
  const rows = first.plan.rows.rows.filter(row => row.count > 0)
  const { along } = first.plan.shape
  const x = first.face.datum === 'left' ? Math.max(along.fromMm, Math.min(...rows.map(row => row.leftMm)) - BOX_BESIDE_MM) : Math.min(along.toMm, Math.max(...rows.map(row => row.rightMm)) + BOX_BESIDE_MM)
  return placeOn(first.face, { x, y: rows[0]!.bottomMm })
}
