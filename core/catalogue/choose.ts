import type { Catalogue, ClampSet, CoveringKind, Module, Mount, Rail, SupportKind } from './schema'

/** The parts that one array is built from. */
export interface ChosenParts { module: Module, rail: Rail, mount: Mount, clamps: ClampSet }

/** The ids by which a job names its parts. */
export interface PartIds { moduleId: string, railId: string, mountId: string, clampsId: string }

/** Two chosen parts that the catalogue does not allow together, and what would go instead. */
export interface Mismatch {
  between: string
  sentence: string
  /** Part ids that would put it right, best first; each replaces the one named by `replace`. */
  replace: keyof PartIds
  withIds: string[]
}

/**
 * Looks up a job's parts.
 * @throws when an id is not in the catalogue: a job is checked against it before it is planned
 */
export function chooseParts(catalogue: Catalogue, ids: PartIds): ChosenParts {
  return {
    module: byId(catalogue.modules, ids.moduleId),
    rail: byId(catalogue.rails, ids.railId),
    mount: byId(catalogue.mounts, ids.mountId),
    clamps: byId(catalogue.clamps, ids.clampsId),
  }
}

function byId<T extends { id: string }>(items: T[], id: string): T {
  const found = items.find(item => item.id === id)
  if (!found) throw new Error(`The catalogue has no part “${id}”.`)
  return found
}

/** The ids of {@link PartIds} that this catalogue does not know, with the field each stands in. */
export function unknownParts(catalogue: Catalogue, ids: PartIds): { field: keyof PartIds, id: string }[] {
  const shelves = { moduleId: catalogue.modules, railId: catalogue.rails, mountId: catalogue.mounts, clampsId: catalogue.clamps }
  return (Object.keys(shelves) as (keyof PartIds)[])
    .filter(field => !shelves[field].some(item => item.id === ids[field]))
    .map(field => ({ field, id: ids[field] }))
}

/** What an array is built on: the covering it goes through and what its fixings hold on to. */
export interface Ground { covering: CoveringKind, support: SupportKind }

export const goesOn = (mount: Mount, { covering, support }: Ground): boolean => mount.coverings.includes(covering) && mount.into.includes(support)

/** What does not go with what among the chosen parts: rail and mount, clamps and rail, clamps and frame thickness, mount and covering, mount and support. */
export function mismatches(catalogue: Catalogue, parts: ChosenParts, ground: Ground): Mismatch[] {
  const found: Mismatch[] = []
  const { module, rail, mount, clamps } = parts
  const suitable = catalogue.mounts.filter(item => goesOn(item, ground) && rail.mountIds.includes(item.id)).map(item => item.id)
  if (!rail.mountIds.includes(mount.id)) {
    found.push({ between: 'rail-mount', replace: 'mountId', withIds: suitable, sentence: `${mount.name} does not take ${rail.name}.` })
  }
  if (!mount.coverings.includes(ground.covering)) {
    found.push({ between: 'mount-covering', replace: 'mountId', withIds: suitable, sentence: `${mount.name} is not made for this covering.` })
  }
  if (!mount.into.includes(ground.support)) {
    found.push({ between: 'mount-support', replace: 'mountId', withIds: suitable, sentence: `${mount.name} is not made to be fixed to ${supportNames[ground.support]}.` })
  }
  const fits = (set: ClampSet) => set.thicknessMm.fromMm <= module.thicknessMm && module.thicknessMm <= set.thicknessMm.toMm
  if (!clamps.railIds.includes(rail.id) || !fits(clamps)) {
    found.push({
      between: 'clamps', replace: 'clampsId', withIds: catalogue.clamps.filter(set => fits(set) && set.railIds.includes(rail.id)).map(set => set.id),
      sentence: clamps.railIds.includes(rail.id)
        ? `${clamps.name} take frames of ${clamps.thicknessMm.fromMm} to ${clamps.thicknessMm.toMm} mm; ${module.name} is ${module.thicknessMm} mm thick.`
        : `${clamps.name} do not fit ${rail.name}.`,
    })
  }
  return found
}

/** Supports as they stand in a sentence. */
export const supportNames: Record<SupportKind, string> = {
  rafters: 'rafters', purlins: 'purlins or battens', seams: 'standing seams', screws: 'the sheet’s own screws', sheathing: 'sheathing',
}
