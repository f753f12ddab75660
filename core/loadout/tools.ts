import { bringWords, type Job } from '../job'
import type { FacePlan } from '../plan/face'

/** What a crew needs in its hands, by the fixings, clamps and rails that were chosen, and what the site sheet asks to bring. */
export function toolsFor(job: Job, faces: FacePlan[]): string[] {
  const built = faces.filter(face => face.modules > 0)
  if (!built.length) return []
  const torques = [...new Set(built.map(face => face.parts.clamps.torqueNm))]
  const tools = [
    ...job.site.bring.map(one => bringWords[one]), ...(job.site.bringNote.trim() ? [job.site.bringNote.trim()] : []),
    'Harness, rope and helmet for each', 'Two tapes', 'Chalk line, blue', 'Crayon', 'String line', 'Impact driver and drill',
    ...built.flatMap(face => face.parts.mount.tools),
    ...torques.map(nm => `Torque wrench, set to ${nm}\u00A0N\u00A0m for the clamps`),
    ...(built.some(face => face.sticks.sticks.length > 0) ? ['Saw for aluminium and a file'] : []),
    ...(built.some(face => face.parts.mount.sealantMl > 0) ? ['Sealant gun'] : []),
    ...(built.some(face => face.parts.clamps.bolt.enters === 'end' && !face.parts.rail.frame) ? ['Box for bolts, counted out rail by rail'] : []),
    'Voltmeter for string tests', 'Serial map and pen',
  ]
  return [...new Set(tools)]
}
