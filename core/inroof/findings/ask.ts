import { offered } from '../../catalogue'
import { type Edit, type InRoofFacts, plainRow } from '../../job'
import { type Cure, type DraftFinding, type FindingAsk, onFace, plural } from '../../trade'
import type { Cell } from '../cells'
import type { InRoofLayout, InRoofPlan } from '../layout'

export type InRoofAsk = FindingAsk<InRoofLayout>

/** What is wrong with an in-roof array, one finding of a kind. */
export const say = (ask: InRoofAsk, id: string, severity: DraftFinding['severity'], sentence: string, more: Partial<DraftFinding> = {}): DraftFinding =>
  ({ ...onFace(ask, 'covering', id), severity, sentence, ...more })
export const planOf = (ask: InRoofAsk): InRoofPlan => ask.plan.inRoof!
export const factsOf = (ask: InRoofAsk): InRoofFacts => ask.face.inRoof!
type SetInRoof = Extract<Edit, { type: 'set-in-roof' }>
export const set = ({ face }: InRoofAsk, values: SetInRoof['values']): SetInRoof => ({ type: 'set-in-roof', faceId: face.id, values })

/** Other systems on the shelf, each with a module that was tested on it where the chosen one was not. */
export function otherSystems(ask: InRoofAsk, does: (system: InRoofPlan['system']) => boolean): Cure[] {
  const { catalogue, face } = ask
  return offered(catalogue.inRoofs).filter(one => one.id !== planOf(ask).system.id && does(one)).map((one): Cure => {
    const tested = offered(catalogue.approvals).filter(approval => approval.systemId === one.id)
    const has = (id: string) => tested.some(approval => approval.moduleId === id)
    const module = has(face.array.moduleId) ? null : offered(catalogue.modules).find(own => has(own.id))
    const edit = set(ask, { systemId: one.id })
    return module
      ? { label: `Take ${one.name} with ${module.name}`, edit: { type: 'batch', edits: [edit, { type: 'set-array', faceId: face.id, values: { moduleId: module.id } }] } }
      : { label: `Take ${one.name}`, edit }
  })
}

/** Lets the height or the side be found again, where one was typed. */
export function findAgain(ask: InRoofAsk): Cure[] {
  const { leftMm, bottomMm } = factsOf(ask)
  return leftMm !== null || bottomMm !== null ? [{ label: 'Let the origin be found', edit: set(ask, { leftMm: null, bottomMm: null }) }] : []
}

/** Fills rows again in which somebody left places empty. */
export const fillAgain = ({ face }: InRoofAsk): Cure[] => face.array.rows.flatMap((row, index): Cure[] => row.skip.length
  ? [{ label: `Fill row ${index + 1} again`, edit: { type: 'set-row', faceId: face.id, row: index, values: { skip: [] } } }]
  : [])

/** A cure that leaves out some modules. */
export function leaveOut(ask: InRoofAsk, which: (cell: Cell) => boolean): Cure[] {
  const byRow = new Map<number, number[]>()
  for (const part of planOf(ask).parts) {
    for (const cell of part.cells.filter(which)) {
      const row = part.firstRow + cell.row
      const placed = part.cells.filter(one => one.row === cell.row).sort((a, b) => a.column - b.column).indexOf(cell) + 1
      // Places are counted over the row as it was before any was left out.
      const skip = ask.face.array.rows[row]?.skip ?? []
      let place = 0
      for (let seen = 0; seen < placed;) if (!skip.includes(++place)) seen++
      byRow.set(row, [...byRow.get(row) ?? [], place])
    }
  }
  if (!byRow.size) return []
  const edits = [...byRow].map(([row, places]) => ({
    type: 'set-row' as const, faceId: ask.face.id, row, values: { skip: [...(ask.face.array.rows[row] ?? plainRow).skip, ...places].sort((a, b) => a - b) },
  }))
  return [{ label: `Leave out ${plural([...byRow.values()].flat().length, 'module')}`, edit: { type: 'batch', edits } }]
}
