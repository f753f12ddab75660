import type { Rail } from '../catalogue'
import { TOLERANCE_MM } from '../geometry'
import type { SpliceKind, Van } from '../job'
import { count, length, words } from '../units'
import type { Working } from '../working'
import { type Packing, MOST_NODES, pack, type Shop } from './pack'
import { splitChoices } from './splits'
import { type Piece, KERF_MM, type RailToCut, type StockLength } from './stock'

/** A stick with the pieces cut from it in order, and what is left over. */
export interface Stick { stockMm: number, fromYard: boolean, price: number, pieces: Piece[], offcutMm: number }

export interface Splice { railId: string, atMm: number, bridged: boolean }

export interface SticksPlan {
  sticks: Stick[]
  /** Middles of the joints, mm along each rail. */
  splices: Splice[]
  /** Rails that can't be spliced clear of their fixings from this stock; they are shown spliced wherever the stick ends. */
  unspliceable: string[]
  /** Of bought sticks and splices, in the catalogue's currency. */
  cost: number
  /** No cutting in the ways that the windows leave costs less. */
  leastCost: number
  /** No cutting uses fewer sticks than this: the total length needs as many of the longest. */
  leastSticks: number
  /** Whether cheaper ones, and as cheap ones with fewer sticks, are excluded. */
  proved: boolean
  /** True when no stick of this rail is short enough for the van: then all lengths are used. */
  tooLongForVan: boolean
  working: Working
}

export interface CutRules { rail: Rail, spliceAs: SpliceKind, van: Van }

/**
 * Cuts rails from stock for least cost and then fewest sticks: first the ways in which each may be spliced, then which way
 * for each and which piece from which stick. Lengths longer than the van takes are left in the shop; the yard's offcuts cost nothing.
 */
export function cutSticks(rails: RailToCut[], { rail, spliceAs, van }: CutRules, mostNodes = MOST_NODES): SticksPlan {
  if (!rails.length) return nothingToCut
  const carried = rail.stock.filter(one => van.longestMm === null || one.mm <= van.longestMm)
  const tooLongForVan = carried.length === 0
  const stock: StockLength[] = tooLongForVan ? rail.stock : carried
  const shop: Shop = { stock, splicePrice: rail.splice.price, yard: van.offcuts.filter(one => one.railId === rail.id && (van.longestMm === null || one.mm <= van.longestMm)) }
  const { splits, thrifty, unspliceable, start } = splitChoices(rails, {
    stock, splicePrice: rail.splice.price, lengthsMm: [
      ...stock.map(one => one.mm),
      ...shop.yard.map(one => one.mm),
    ], leastPieceMm: rail.splice.barMm * 2, bridgeMm: spliceAs === 'bridged' ? rail.splice.bridgeMm : 0,
  }, mostNodes > 1)
  // Cut short, the search is made again from its other end: ways that use up leftovers first.
  const first = pack(splits, shop, Math.ceil(mostNodes / 3), start)
  const packing = first.proved || mostNodes <= 1 ? first : pack(splits, shop, mostNodes, first, thrifty)
  const sticks = packing.sticks.map((stick): Stick => {
    const pieces = stick.cuts.map(({ rail: r, piece }): Piece => ({ railId: rails[r]!.railId, ...splits[r]![packing.choice[r]!]!.pieces[piece]! }))
    const used = pieces.reduce((sum, piece) => sum + piece.toMm - piece.fromMm + KERF_MM, 0)
    return { stockMm: stick.mm, fromYard: stick.fromYard, price: stick.price, pieces, offcutMm: Math.max(0, stick.mm - used) }
  })
  const splices = rails.flatMap((one, r): Splice[] => {
    const split = splits[r]![packing.choice[r]!]
    return split ? split.pieces.slice(1).map((piece, i) => ({ railId: one.railId, atMm: (split.pieces[i]!.toMm + piece.fromMm) / 2, bridged: split.bridged })) : []
  })
  const gaps = splices.filter(splice => splice.bridged).length * rail.splice.bridgeMm
  const totalMm = rails.reduce((sum, one) => sum + one.toMm - one.fromMm, 0) - gaps
  const leastSticks = Math.max(0, Math.ceil((totalMm - TOLERANCE_MM) / Math.max(...stock.map(one => one.mm), ...shop.yard.map(one => one.mm))))
  return {
    sticks,
    splices,
    unspliceable,
    leastSticks,
    cost: packing.cost,
    leastCost: packing.leastCost,
    proved: packing.proved,
    tooLongForVan,
    working: sticksWorking(rails, stock, packing, sticks),
  }
}

/** Where there is no rail, as with coupled frames or an empty face. */
const nothingToCut: SticksPlan = {
  sticks: [], splices: [], unspliceable: [], leastSticks: 0, cost: 0, leastCost: 0, proved: true, tooLongForVan: false,
  working: { what: 'Sticks of rail', formula: 'none', values: [], result: count(0, 'sticks'), source: 'No rail to cut', basis: 'arithmetic' },
}

const sticksWorking = (rails: RailToCut[], stock: StockLength[], packing: Packing, sticks: Stick[]): Working => ({
  what: 'Sticks of rail', formula: 'least Σ price of sticks and splices, every piece in a stick, pieces + cuts ≤ stick',
  values: [
    { symbol: 'Σℓ', what: 'length of all rails with their trim tails', value: length(rails.reduce((sum, rail) => sum + rail.toMm - rail.fromMm, 0)) },
    { symbol: 'S', what: 'longest stick', value: length(Math.max(...stock.map(one => one.mm))) },
    { symbol: 'k', what: 'one saw cut', value: length(KERF_MM) },
    { symbol: 'c', what: 'cost of what is bought; no cutting costs less than', value: words(`${packing.cost.toFixed(2)}; ${packing.leastCost.toFixed(2)}`) },
  ],
  result: count(sticks.length, sticks.length === 1 ? 'stick' : 'sticks'),
  source: packing.proved ? 'Searched through: no cutting in the ways the windows leave costs less, nor as little with fewer sticks' : 'Best found; cheaper cuttings were not all excluded',
  basis: packing.proved ? 'solved exactly' : 'best of those tried',
})
