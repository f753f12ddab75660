import { type Catalogue, mismatches } from '../catalogue'
import type { Cure, DraftFinding, FindingAsk } from '../trade'
import type { RowsLayout } from './layout'

/** Parts that the catalogue does not allow together. Those that nothing is built from yet are nobody's trouble. */
export const partsApart = ({ catalogue, face, plan }: FindingAsk<RowsLayout>): DraftFinding[] => !plan.rows.rows.length
  ? []
  : mismatches(catalogue, plan.parts, { covering: face.covering.kind, support: face.supports.kind }).map(mismatch => ({
      id: `parts:${face.id}:${mismatch.between}`, severity: 'stop', stage: 'rows', faceId: face.id, about: null,
      sentence: mismatch.withIds.length ? mismatch.sentence : `${mismatch.sentence} No one part on the shelf puts it right: choose others as well.`,
      measured: null, limit: null,
      propose: () => mismatch.withIds.map((id): Cure => ({
        label: `Use ${nameOf(catalogue, id)}`,
        edit: { type: 'set-array', faceId: face.id, values: { [mismatch.replace]: id } },
      })),
    }))

const nameOf = (catalogue: Catalogue, id: string): string => [...catalogue.mounts, ...catalogue.clamps].find(item => item.id === id)!.name
