import type { PartKind } from '../catalogue'
import type { FacePlan } from '../plan/face'

/** How much of something a face takes: pieces, or ml and mm of what is bought by the cartridge and the reel. */
export interface Amount { kind: PartKind, forId: string | null, name: string, amount: number, rule: string }

/** Cable clips to a module (common practice). */
const TIES_PER_MODULE = 3
/** Trunk cable from the array's corner to the roof box, mm (common practice; the real route comes with the wiring). */
const TO_ROOF_BOX_MM = 3000

/** What a face takes beside what its plan counts piece by piece. */
export function extrasOf(plan: FacePlan): Amount[] {
  const { mount } = plan.parts
  const rows = plan.rows.rows.filter(row => row.count > 0)
  const modules = plan.modules
  if (!modules) return []
  const fixings = plan.fixings.total
  // Along each row from the first unit to the last, over the gaps between its runs; then up to the next row.
  const alongMm = rows.reduce((sum, row) => sum + row.moduleLeftsMm.at(-1)! - row.moduleLeftsMm[0]!, 0)
  const betweenMm = rows.slice(1).reduce((sum, row, i) => sum + row.bottomMm - rows[i]!.bottomMm, 0)
  const unused = rows.reduce((sum, row) => sum + row.blocks.length - 1, 0)
  const any = (kind: PartKind, name: string, amount: number, rule: string): Amount => ({ kind, forId: null, name, amount, rule })
  return [
    ...(mount.flashed ? [{ kind: 'flashing' as const, forId: mount.id, name: `Flashing for ${mount.name}`, amount: fixings, rule: 'One a flashed fixing' }] : []),
    any('sealant', 'Roof sealant', fixings * mount.sealantMl, `${mount.sealantMl} ml a fixing, whole cartridges over the job`),
    any('cable', 'Trunk cable', alongMm + betweenMm + TO_ROOF_BOX_MM, 'From unit to unit, row to row and 3 m to the roof box, whole reels over the job'),
    any('cable-tie', 'Cable clip', modules * TIES_PER_MODULE, `${TIES_PER_MODULE} a module (common practice)`),
    any('outlet-cap', 'Outlet cap', unused, 'One at each outlet that a gap in a row leaves unused'),
    any('terminator', 'Cable terminator', 1, 'One at the end of each face’s trunk'),
  ].filter(one => one.amount > 0)
}
