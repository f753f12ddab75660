import { type Catalogue, type InRoof, offered } from '../catalogue'
import { columnsOf, coursesOf, soldLike, unitsPerM2 } from '../coverings'
import type { Face, Job } from '../job'
import type { OpeningsLayout } from '../openings'
import { shapeOf } from '../roof'
import { supplyFor } from '../trade'
import { battenPlan } from './battens'
import { type ArrayPart, type Cell, cellFinder } from './cells'
import { type Kit, kitOf } from './kit'
import { laidOf } from './laid'
import type { InRoofPlan } from './layout'
import type { SetOutFace } from './part'
import { coverUse } from './strength'
import { tilesOf } from './tiles'

/** The in-roof system of a face; null for an array on rails. */
export const systemOf = (face: Pick<Face, 'inRoof'>, { inRoofs }: Pick<Catalogue, 'inRoofs'>): InRoof | null =>
  face.inRoof && (inRoofs.find(one => one.id === face.inRoof!.systemId) ?? null)

/** The latest approval of a module with a system. */
export const approvalOf = ({ approvals }: Pick<Catalogue, 'approvals'>, moduleId: string, systemId: string) =>
  offered(approvals)
    .filter(one => one.moduleId === moduleId && one.systemId === systemId)
    .sort((a, b) => b.on.localeCompare(a.on))[0] ?? null

/** All that follows from an in-roof array once it is set out. */
export function inRoofPlan(
  job: Job,
  face: Face,
  catalogue: Catalogue,
  system: InRoof,
  { parts, proof }: SetOutFace,
  plan: Pick<OpeningsLayout, 'parts' | 'supports' | 'loading'>,
): InRoofPlan {
  const facts = face.inRoof!
  const laid = laidOf(face)
  const { along } = shapeOf(face.outline)
  const battens
    = laid && battenPlan(parts, system, { covering: laid.covering, courses: laid.courses, rafters: plan.supports.rafters, along, stockMm: facts.battenStockMm })
  const { module } = plan.parts
  const kit = kitOf(parts, system, facts.school, face.obstructions)
  return {
    system,
    approval: approvalOf(catalogue, module.id, system.id),
    parts,
    proof,
    battens,
    kit,
    tiles:
      laid
      && tilesOf(
        parts.map(part => filled(part, kit)),
        system,
        laid,
      ),
    use: coverUse(job, face, facts, system, parts, battens, { loads: plan.loading.loads, supports: plan.supports, chosen: plan.parts }),
    weight: { arrayKgM2: (module.massKg + system.kitKg) / ((module.longMm * module.shortMm) / 1e6), unitsKgM2: unitsKgM2(face, catalogue) },
  }
}

/** A part with the holes filled that cover sets close: no unit is laid there. */
function filled(part: ArrayPart, { windows }: Kit): ArrayPart {
  const at = cellFinder(part)
  const [sample] = part.cells
  const holes = windows.flatMap(one => one.covers ?? [])
  if (!sample || !holes.length) return part
  const rows = new Set(part.cells.map(cell => cell.row))
  const columns = new Set(part.cells.map(cell => cell.column))
  const extra = [...rows].flatMap(row =>
    [...columns].flatMap((column): Cell[] => {
      const [leftMm, bottomMm] = [sample.leftMm + (column - sample.column) * part.pitchXMm, sample.bottomMm + (row - sample.row) * part.pitchYMm]
      const cell = { id: '', row, column, leftMm, bottomMm, rightMm: leftMm + sample.rightMm - sample.leftMm, topMm: bottomMm + sample.topMm - sample.bottomMm }
      return !at(row, column)
        && holes.some(({ along, up }) => cell.leftMm < along.toMm && cell.rightMm > along.fromMm && cell.bottomMm < up.toMm && cell.topMm > up.fromMm)
        ? [cell]
        : []
    }),
  )
  return { ...part, cells: [...part.cells, ...extra] }
}

/** What the covering's units weigh on a square metre; null where they are not on the shelf or nobody has weighed them. */
function unitsKgM2(face: Face, catalogue: Catalogue): number | null {
  const [columns, courses, sold] = [columnsOf(face.covering), coursesOf(face.covering), soldLike(catalogue, face)]
  const massKg = sold && supplyFor(catalogue, [], 'unit', { shelf: 'coverings', id: sold.id })?.massKg
  return columns && courses && massKg ? massKg * unitsPerM2(courses.gaugeMm, columns.widthMm) : null
}
