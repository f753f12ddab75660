import { type Catalogue, type ChosenParts, idsOf, type Mismatch, mismatches, type PartField, partFields, shelfOf, type WholeSet, wholeSets } from '../catalogue'
import { type Cure, type DraftFinding, type FindingAsk, noCures } from '../trade'
import type { RowsLayout } from './layout'

/** So many sets are offered as cures where no one part puts it right. */
const MOST_SETS = 3

/** Parts that the catalogue does not allow together. Those that nothing is built from yet are nobody's trouble. */
export function partsApart(ask: FindingAsk<RowsLayout>): DraftFinding[] {
  const { catalogue, face, plan } = ask
  // Rail, mount and clamps are not built where the array takes the covering's place.
  if (!plan.rows.rows.length || face.inRoof) return []
  const ground = { covering: face.covering.kind, support: face.supports.kind }
  const found = mismatches(catalogue, plan.parts, ground)
  if (!found.length) return []
  const sets = wholeSets(catalogue, plan.parts, ground)
  return found.map(mismatch => ({
    id: `parts:${face.id}:${mismatch.between}`, severity: 'stop', stage: 'rows', faceId: face.id, about: null,
    sentence: `${mismatch.sentence}${mismatch.withIds.length ? '' : sets.length ? ' Another must change with it.' : ` No rail, mount and clamps on the shelf go together here under ${plan.parts.module.name}: add parts to the shelf, or say there what goes with what.`}`,
    measured: null, limit: null, orStep: true,
    propose: () => mismatch.withIds.length ? singles(ask, mismatch) : sets.slice(0, MOST_SETS).map(set => ({ label: setLabel(set), edit: edit(face.id, set) })),
  }))
}

const singles = ({ catalogue, face }: FindingAsk<RowsLayout>, mismatch: Mismatch): Cure[] => mismatch.withIds.map(id => ({
  label: `Use ${nameOf(catalogue, mismatch.replace, id)}`,
  edit: { type: 'set-array', faceId: face.id, values: { [mismatch.replace]: id } },
}))

const edit = (faceId: string, { parts, changed, named }: WholeSet): Cure['edit'] => {
  const ids = idsOf(parts)
  return { type: 'set-array', faceId, values: { ...Object.fromEntries(changed.map(field => [field, ids[field]])), ...(named && { supplyIds: named.supplyIds }) } }
}

/** What changes, by name. */
const setLabel = ({ parts, changed }: WholeSet): string => `Use ${changed.map(field => byField(parts)[field].name).join(', ').replace(/, ([^,]*)$/, ' and $1')}`

const byField = ({ module, rail, mount, clamps }: ChosenParts) => ({ moduleId: module, railId: rail, mountId: mount, clampsId: clamps })

const nameOf = (catalogue: Catalogue, field: PartField, id: string): string => catalogue[shelfOf[field]].find(item => item.id === id)!.name

/** Parts that were taken from the shelf: what was planned with them stands, and new work should not begin with them. */
export function retiredParts({ catalogue, face, plan }: FindingAsk<RowsLayout>): DraftFinding[] {
  if (!plan.rows.rows.length) return []
  const parts = byField(plan.parts)
  return partFields.filter(field => parts[field].retired && (field === 'moduleId' || !face.inRoof)).map((field) => {
    const next = catalogue[shelfOf[field]].filter(item => item.replaces === parts[field].id && !item.retired)
    return {
      id: `retired:${face.id}:${field}`, severity: 'note', stage: 'rows', faceId: face.id, about: null, measured: null, limit: null,
      sentence: `${parts[field].name} is retired on the shelf${next.length ? `; ${next.map(item => item.name).join(' and ')} came in its place` : ''}. This job keeps its figures until another is chosen.`,
      propose: next.length ? () => next.map(item => ({ label: `Use ${item.name}`, edit: { type: 'set-array', faceId: face.id, values: { [field]: item.id } } })) : noCures,
    }
  })
}
