import { ONE_MODULE_MM } from '../rooflog'
import type { ProofAsk } from './ask'
import type { ProvedCircuit } from './circuits'

/**
 * The place in the record from which tests of a circuit hold: 0 where nothing of it was exchanged. A module that was taken off makes what was read before a
 * reading of something else; a serial number typed anew only puts a word right.
 */
export function exchangedAt({ job, faces }: ProofAsk, { members, circuit }: ProvedCircuit): number {
  const modules = circuit.kind === 'string' ? circuit.modules.map(one => ({ faceId: one.faceId, ...one.middle.at })) : middles(faces, members)
  const isHere = ({ faceId, xMm, yMm }: { faceId: string, xMm: number, yMm: number }) => modules.some(one => one.faceId === faceId && Math.hypot(one.x - xMm, one.y - yMm) <= ONE_MODULE_MM)
  return job.proof.findLastIndex(entry => entry.kind === 'serial-off' && entry.what === 'module' && isHere(entry)) + 1
}

function middles(faces: ProofAsk['faces'], members: string[]): { faceId: string, x: number, y: number }[] {
  return faces.flatMap(({ face, plan }) => plan.rows.rows.flatMap(row => row.moduleLeftsMm.flatMap((leftMm, place) =>
    members.includes(`${face.id}:row${row.index + 1}-${place + 1}`) ? [{ faceId: face.id, x: leftMm + row.moduleWidthMm / 2, y: row.bottomMm + row.moduleHeightMm / 2 }] : [])))
}
