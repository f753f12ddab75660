import { mismatches } from '../catalogue'
import type { FindingContext } from './context'
import type { Face } from '../job'
import { type Cure, type DraftFinding, noCures } from './finding'

/** Parts that the catalogue does not allow together. */
export function partFindings({ catalogue, face, plan }: FindingContext): DraftFinding[] {
  // Parts that nothing is built from yet are nobody's trouble.
  if (!plan.rows.rows.length) return notPlanned(face)
  return notPlanned(face).concat(mismatches(catalogue, plan.parts, { covering: face.covering.kind, support: face.supports.kind }).map(mismatch => ({
    id: `parts:${face.id}:${mismatch.between}`, severity: 'stop', stage: 'rows', faceId: face.id, about: '',
    sentence: mismatch.withIds.length ? mismatch.sentence : `${mismatch.sentence} Nothing in the catalogue does: choose other parts.`,
    measured: null, limit: null,
    propose: () => mismatch.withIds.map((id): Cure => ({
      label: `Use ${nameOf(catalogue, id)}`, edit: { type: 'set-array', faceId: face.id, values: { [mismatch.replace]: id } },
    })),
  })))
}

/** Bare battens wait for an array that becomes the covering; rails and hooks have nothing to do there. */
const notPlanned = (face: Face): DraftFinding[] => face.covering.kind !== 'felt-and-battens'
  ? []
  : [{
      id: `in-roof:${face.id}`, severity: 'note', stage: 'rows', faceId: face.id, about: '', measured: null, limit: null, propose: noCures,
      sentence: 'This face is felt and battens for an in-roof array. Its survey, courses and timber are kept here; trays and flashings are not set out yet.',
    }]

function nameOf(catalogue: FindingContext['catalogue'], id: string): string {
  return [...catalogue.mounts, ...catalogue.clamps].find(item => item.id === id)!.name
}
