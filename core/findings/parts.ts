import { mismatches } from '../catalogue'
import type { FindingContext } from './context'
import type { Cure, DraftFinding } from './finding'

/** Parts that the catalogue does not allow together. */
export function partFindings({ catalogue, face, plan }: FindingContext): DraftFinding[] {
  return mismatches(catalogue, plan.parts, face.covering.kind).map(mismatch => ({
    id: `parts:${face.id}:${mismatch.between}`, severity: 'stop', stage: 'rows', faceId: face.id, about: '',
    sentence: mismatch.withIds.length ? mismatch.sentence : `${mismatch.sentence} Nothing in the catalogue does: choose other parts.`,
    measured: null, limit: null,
    propose: () => mismatch.withIds.map((id): Cure => ({
      label: `Use ${nameOf(catalogue, id)}`, edit: { type: 'set-array', faceId: face.id, values: { [mismatch.replace]: id } },
    })),
  }))
}

function nameOf(catalogue: FindingContext['catalogue'], id: string): string {
  return [...catalogue.mounts, ...catalogue.clamps].find(item => item.id === id)!.name
}
