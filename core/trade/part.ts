import type { Catalogue, OwnerShelf, PartKind, Supply } from '../catalogue'

/** Stages of the day in which parts are wanted on the roof, in order. */
export const loadStages = ['set-up', 'fixings', 'rails', 'wiring', 'modules', 'ground', 'finish'] as const
export type LoadStage = typeof loadStages[number]
export const loadStageNames: Record<LoadStage, string> = {
  'set-up': 'Set up',
  'fixings': 'Fixings',
  'rails': 'Rails',
  'wiring': 'Roof wiring',
  'modules': 'Modules',
  'ground': 'Wall and grid',
  'finish': 'Finish',
}

/** An item of the catalogue, by its shelf. */
export interface ItemRef { shelf: OwnerShelf, id: string }

/** One line of what a face, or a job, takes. */
export interface Part {
  /** The same for the same part in every plan: by it lines are added up and ticks kept. */
  id: string
  kind: PartKind
  /** The item of the catalogue that it is or belongs to; null for what goes with any. */
  item: ItemRef | null
  name: string
  maker: string
  /** A fraction of a cartridge or a reel is rounded up once, over the whole job. */
  pieces: number
  /** Length of one piece, mm, for parts sold by length. */
  lengthMm: number | null
  /** When it is wanted on the roof. */
  stage: LoadStage
  /** Of one piece, kg and in the catalogue's currency; null where nobody has given it. */
  massKg: number | null
  price: number | null
  packOf: number
  /** Not counted piece by piece: bought by the cartridge or the reel. */
  poured: boolean
  /** How the count comes about, in words. */
  rule: string
}

/** What a trade says of a part. What it costs and weighs it must say: by its own item, or that the shelf of small parts does. */
export interface PartDraft extends Pick<Part, 'kind' | 'item' | 'name' | 'maker' | 'stage' | 'rule'> {
  /** Pieces, or ml and mm of what is bought by the cartridge and the reel. */
  amount: number
  lengthMm?: number
  /** Of one kind there are several sizes: it keeps its own name, whatever the shelf calls the first of them. */
  named?: true
  massKg: number | 'by shelf'
  price: number | 'by shelf'
}

export type PartsOf<A> = Partial<Record<PartKind, (ask: A) => PartDraft[]>>

/** The pack in which a small part is bought: the one made for its item, else the one that was named, else the first that goes with any. */
export function supplyFor({ supplies }: Catalogue, named: string[], kind: PartKind, item: ItemRef | null): Supply | null {
  const own = supplies.filter(one => one.kind === kind && (!one.retired || named.includes(one.id)))
  const forAny = own.filter(one => one.forId === null)
  return own.find(one => one.forId !== null && one.forId === item?.id) ?? forAny.find(one => named.includes(one.id)) ?? forAny[0] ?? null
}

/**
 * The line of a part, with what the shelf says of its pack, mass and price.
 * @param named ids of small parts that are wanted where several would do
 */
export function partLine(catalogue: Catalogue, named: string[], { amount, lengthMm, named: ownName, ...draft }: PartDraft): Part {
  const supply = supplyFor(catalogue, named, draft.kind, draft.item)
  const holds = supply?.holds ?? null
  // What goes with any make is called what it is sold as.
  const name = ownName || (draft.item && holds === null) ? draft.name : supply?.name ?? draft.name
  const maker = draft.maker || supply?.maker || ''
  return {
    ...draft, name, maker, id: [draft.kind, name, maker, lengthMm ?? ''].join('|'), lengthMm: lengthMm ?? null, pieces: amount / (holds ?? 1), poured: holds !== null, packOf: supply?.packOf ?? 1,
    massKg: draft.massKg === 'by shelf' ? supply?.massKg ?? null : draft.massKg,
    price: draft.price === 'by shelf' ? supply?.price ?? null : draft.price,
  }
}

/** Equal parts of several faces added up; what is poured or reeled is rounded up over all of them. */
export function mergedParts(parts: Part[]): Part[] {
  const merged = new Map<string, Part>()
  for (const part of parts) {
    const same = merged.get(part.id)
    merged.set(part.id, same ? { ...same, pieces: same.pieces + part.pieces } : part)
  }
  return [...merged.values()].map(part => ({ ...part, pieces: wholePieces(part.pieces) }))
}

/** What has to be taken along of so many, of which the last may be a part of a cartridge or reel. */
export const wholePieces = (pieces: number): number => Math.ceil(pieces - 1e-9)
