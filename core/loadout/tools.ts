import { bringWords, type Job } from '../job'
import type { FacePlan } from '../plan/face'
import { formatQuantity, torque } from '../units'

/** What a crew needs in its hands, by the fixings, clamps and rails that were chosen, and what the site sheet asks to bring. */
export function toolsFor(job: Job, faces: FacePlan[]): string[] {
  const built = faces.filter(face => face.modules > 0)
  if (!built.length) return []
  const torques = [...new Set(built.flatMap(face => [face.parts.clamps.torqueNm, face.parts.mount.torqueNm]))].sort((a, b) => a - b)
  // Anchors that the site sheet asks for go with the harness: one line for what holds a person.
  const anchored = job.site.bring.includes('harness-anchors')
  const tools = [
    ...job.site.bring.filter(one => one !== 'harness-anchors').map(one => bringWords[one]), ...(job.site.bringNote.trim() ? [job.site.bringNote.trim()] : []),
    anchored ? 'Harness, rope and helmet for each, and anchors' : 'Harness, rope and helmet for each', 'Two tapes', 'Chalk line, blue', 'Crayon', 'String line', 'Impact driver and drill',
    ...built.flatMap(face => face.parts.mount.tools),
    `Torque wrench: ${torques.map(nm => formatQuantity(torque(nm), job.units)).join(' and ')} for feet and clamps`,
    ...(built.some(face => face.sticks.sticks.length > 0) ? ['Saw for aluminium and a file'] : []),
    ...(built.some(face => face.parts.mount.sealantMl > 0) ? ['Sealant gun'] : []),
    ...(built.some(face => face.parts.clamps.bolt.enters === 'end' && !face.parts.rail.frame) ? ['Box for bolts, counted out rail by rail'] : []),
    'Voltmeter for string tests', 'Serial map and pen',
  ]
  return [...new Set(tools)]
}
