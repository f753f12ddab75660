import type { ChosenParts, PartField } from './chosen'
import { offered } from './chosen'
import { type Catalogue, type ClampSet, type CoveringKind, type Module, type Mount, pairId, type SupportKind } from './schema'

/** What an array is built on: the covering it goes through and what its fixings hold on to. */
export interface Ground { covering: CoveringKind, support: SupportKind }

/** Supports as they stand in a sentence. */
export const supportNames: Record<SupportKind, string> = {
  rafters: 'rafters', purlins: 'purlins or battens', seams: 'standing seams', screws: 'the sheet’s own screws', sheathing: 'sheathing',
}

export const goesOn = (mount: Mount, { covering, support }: Ground): boolean => mount.coverings.includes(covering) && mount.into.includes(support)

const pairIds = new WeakMap<Catalogue['pairs'], Set<string>>()
/** Whether the shelf says that a rail goes with a mount or with clamps. */
export function goesWith({ pairs }: Catalogue, railId: string, withId: string): boolean {
  let known = pairIds.get(pairs)
  if (!known) pairIds.set(pairs, known = new Set(pairs.map(pair => pair.id)))
  return known.has(pairId(railId, withId))
}

/** Whether clamps take a module's frame. */
export const gripsFrame = ({ thicknessMm }: ClampSet, module: Module): boolean => thicknessMm.fromMm <= module.thicknessMm && module.thicknessMm <= thicknessMm.toMm

/** Two chosen parts that the catalogue does not allow together, and what would go instead. */
export interface Mismatch {
  between: string
  sentence: string
  /** Part ids that would put it right, best first; each replaces the one named by `replace`. */
  replace: PartField
  withIds: string[]
}

/** What does not go with what among the chosen parts: rail and mount, clamps and rail, clamps and frame thickness, mount and covering, mount and support. */
export function mismatches(catalogue: Catalogue, { module, rail, mount, clamps }: ChosenParts, ground: Ground): Mismatch[] {
  const found: Mismatch[] = []
  const suitable = () => offered(catalogue.mounts).filter(item => goesOn(item, ground) && goesWith(catalogue, rail.id, item.id)).map(item => item.id)
  if (!goesWith(catalogue, rail.id, mount.id)) {
    found.push({ between: 'rail-mount', replace: 'mountId', withIds: suitable(), sentence: `${mount.name} does not take ${rail.name}.` })
  }
  if (!mount.coverings.includes(ground.covering)) {
    found.push({ between: 'mount-covering', replace: 'mountId', withIds: suitable(), sentence: `${mount.name} is not made for this covering.` })
  }
  if (!mount.into.includes(ground.support)) {
    found.push({ between: 'mount-support', replace: 'mountId', withIds: suitable(), sentence: `${mount.name} is not made to be fixed to ${supportNames[ground.support]}.` })
  }
  const onRail = goesWith(catalogue, rail.id, clamps.id)
  if (!onRail || !gripsFrame(clamps, module)) {
    found.push({
      between: 'clamps', replace: 'clampsId', withIds: offered(catalogue.clamps).filter(set => gripsFrame(set, module) && goesWith(catalogue, rail.id, set.id)).map(set => set.id),
      sentence: onRail
        ? `${clamps.name} take frames of ${clamps.thicknessMm.fromMm} to ${clamps.thicknessMm.toMm} mm; ${module.name} is ${module.thicknessMm} mm thick.`
        : `${clamps.name} do not fit ${rail.name}.`,
    })
  }
  return found
}
