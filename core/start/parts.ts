import { type Catalogue, type ChosenParts, type Ground, idsOf, offered, setsFor, type WholeSet, wholeSets } from '../catalogue'
import type { StartingParts } from '../job'
import { usualSupport } from './job'

/** So many sets that nobody has named are offered where none has a name. */
const MOST_UNNAMED = 8

/** Sets of the shelf that go through a covering into what usually lies under it, below a module, the firm's own first; empty where nothing does. */
export function startingSets(catalogue: Catalogue, moduleId: string | null, covering: Ground['covering']): WholeSet[] {
  const module = catalogue.modules.find(one => one.id === moduleId) ?? offered(catalogue.modules)[0]
  const [rail, mount, clamps] = [offered(catalogue.rails)[0], offered(catalogue.mounts)[0], offered(catalogue.clamps)[0]]
  if (!module || !rail || !mount || !clamps) return []
  const first: ChosenParts = { module, rail, mount, clamps }
  const ground: Ground = { covering, support: usualSupport(covering) }
  const named = setsFor(catalogue, first, ground)
  return named.length ? named : wholeSets(catalogue, first, ground).filter(one => Object.values(one.parts).every(part => !part.retired)).slice(0, MOST_UNNAMED)
}

export const setName = ({ parts: { rail, mount, clamps }, named }: WholeSet): string => named?.name ?? [rail, mount, clamps].map(part => part.name).join(', ')
export const setKey = ({ parts: { rail, mount, clamps }, named }: WholeSet): string => named?.id ?? [rail.id, mount.id, clamps.id].join('+')
export const startingParts = ({ parts, named }: WholeSet): StartingParts => ({ ...idsOf(parts), supplyIds: named?.supplyIds ?? [] })
