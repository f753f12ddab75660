import type { Catalogue, ClampSet, Closure, CoveringKind, Module, Mount, Rail } from './schema'

/** The parts that one array is built from. */
export interface ChosenParts { module: Module, rail: Rail, mount: Mount, clamps: ClampSet }

/** The ids by which a job names its parts. */
export interface PartIds { moduleId: string, railId: string, mountId: string, clampsId: string }
export type PartField = keyof PartIds

/** The shelf on which each part of a job stands. */
export const shelfOf = { moduleId: 'modules', railId: 'rails', mountId: 'mounts', clampsId: 'clamps' } as const satisfies Record<PartField, keyof Catalogue>
export const partFields = Object.keys(shelfOf) as PartField[]

export const idsOf = ({ module, rail, mount, clamps }: ChosenParts): PartIds => ({ moduleId: module.id, railId: rail.id, mountId: mount.id, clampsId: clamps.id })

/**
 * Looks up a job's parts, retired ones too.
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

/** The ids of an array that this catalogue does not know, with the field each stands in. */
export const unknownParts = (catalogue: Catalogue, ids: PartIds & { supplyIds: string[] }): { field: string, id: string }[] => [
  ...partFields.filter(field => !catalogue[shelfOf[field]].some(item => item.id === ids[field])).map(field => ({ field, id: ids[field] })),
  ...ids.supplyIds.filter(id => !catalogue.supplies.some(item => item.id === id)).map(id => ({ field: 'supplyIds', id })),
]

/** What may be chosen for new work. */
export const offered = <T extends { retired: boolean }>(items: T[]): T[] => items.filter(item => !item.retired)

/** The way by which a mount goes through a covering: the one named, else its usual one; null where nobody has said any. */
export const closureFor = ({ closures }: Pick<Mount, 'closures'>, covering: CoveringKind, id: string | null): Closure | null => {
  const own = closures.filter(one => one.coverings.includes(covering))
  return own.find(one => one.id === id) ?? own[0] ?? null
}
