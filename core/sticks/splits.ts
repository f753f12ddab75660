import { contains, type Interval, TOLERANCE_MM } from '../geometry'
import { chainCut } from './chain'
import type { Packing } from './pack'
import { KERF_MM, type RailToCut, type Split, type StockLength } from './stock'

/** What stage one settles: for every rail the ways it may be cut, all of which keep the windows. */
export interface SplitChoices {
  splits: Split[][]
  /** The same by place, those first that use up what is left of sticks beside other rails. */
  thrifty: number[][]
  /** Rails for which the windows leave no way; they are cut wherever a stick ends. */
  unspliceable: string[]
  /** A cutting made of every rail's first way, to be beaten. */
  start: Packing
}

/** More places than this on one rail, or ways to cut it, are thinned out. */
const MOST_PLACES = 10
const MOST_SPLITS = 24
/** Lengths left over beside other rails' pieces that are tried on each rail. */
const MOST_PAIRINGS = 12

export interface SplitRules {
  stock: StockLength[]
  splicePrice: number
  /** Lengths in the yard too. */
  lengthsMm: number[]
  leastPieceMm: number
  /** Greatest gap that a splice bar may bridge, mm; 0 for butted. */
  bridgeMm: number
}

/**
 * Stage one: the ways worth having to cut each rail. Splices stand as far along as a whole stick reaches from either end,
 * at the windows' ends, and where what is left of a stick beside another rail's piece ends; with as few splices as can be
 * or one more; and as a run of rails cut in turn has them.
 * @param all false for that last way only
 */
export function splitChoices(rails: RailToCut[], rules: SplitRules, all = true): SplitChoices {
  const chain = chainCut(rails, rules.stock, rules.splicePrice, rules.leastPieceMm)
  const piecesOf = (railId: string): Interval[] => chain.sticks.flatMap(stick => stick.pieces).filter(piece => piece.railId === railId).map(({
    fromMm,
    toMm,
  }) => ({ fromMm, toMm })).sort((a, b) => a.fromMm - b.fromMm)
  const seeds = rails.map((rail): Split[] => {
    const pieces = piecesOf(rail.railId)
    return pieces.length ? [{ pieces, bridged: false }] : []
  })
  const index = new Map(rails.map((rail, r) => [rail.railId, r]))
  const start: Packing = {
    choice: rails.map(() => 0), proved: false, leastCost: 0,
    cost: chain.sticks.reduce((sum, stick) => sum + stick.stock.price, 0) + rules.splicePrice * seeds.reduce((sum, [seed]) => sum + (seed ? seed.pieces.length - 1 : 0), 0),
    sticks: chain.sticks.map(({ stock, pieces }) => ({ mm: stock.mm, price: stock.price, fromYard: false, cuts: pieces.map(({ railId, fromMm }) => {
      const rail = index.get(railId)!
      return { rail, piece: seeds[rail]![0]!.pieces.findIndex(piece => piece.fromMm === fromMm) }
    }) })),
  }
  if (!all) return { splits: seeds, thrifty: seeds.map(ways => ways.map((_, way) => way)), unspliceable: chain.unspliceable, start }
  const longestMm = Math.max(...rules.lengthsMm)
  // Rails alike are cut alike.
  const keys = rails.map(rail => JSON.stringify([rail.fromMm, rail.toMm, rail.windows]))
  const alike = <T>(of: (rail: RailToCut) => T): T[] => {
    const known = new Map<string, T>()
    return rails.map((rail, r) => {
      const made = known.get(keys[r]!) ?? of(rail)
      known.set(keys[r]!, made)
      return made
    })
  }
  const plain = alike(rail => splitsAt(rail, basicPlaces(rail, rules.lengthsMm), rules, longestMm))
  const left = leftOver(new Set(plain), rules)
  const paired = alike(rail => splitsAt(rail, pairingPlaces(rail, left), rules, longestMm, byWaste(left)))
  const splits = rails.map((rail, r) => {
    const seed = seeds[r]!
    if (chain.unspliceable.includes(rail.railId)) return seed
    // In turns, so that neither kind crowds the other out.
    const both = plain[r]!.some(split => split.pieces.length > 1) ? inTurns(paired[r]!, plain[r]!) : plain[r]!
    return withBridged(distinct([...seed, ...both]).slice(0, MOST_SPLITS), rules)
  })
  const waste = byWaste(left)
  const thrifty = splits.map(ways => ways.map((_, way) => way).sort((a, b) => waste(ways[a]!, ways[b]!)))
  return { unspliceable: chain.unspliceable, start, splits, thrifty }
}

/** Two lists one after the other, item by item. */
const inTurns = <T>(a: T[], b: T[]): T[] => Array.from({ length: Math.max(a.length, b.length) }, (_, i) => [...a.slice(i, i + 1), ...b.slice(i, i + 1)]).flat()

/** What is left of a stick beside each piece, the first few that differ: beside rails that need no splice first. */
function leftOver(ways: Iterable<Split[]>, { lengthsMm, leastPieceMm }: SplitRules): number[] {
  const left = new Set<number>()
  for (const splits of [...ways].sort((a, b) => (a[0]?.pieces.length ?? 0) - (b[0]?.pieces.length ?? 0))) {
    for (const { pieces } of splits) {
      for (const { fromMm, toMm } of pieces) {
        for (const mm of lengthsMm) {
          // Rounded down: a piece a hair too long would need a stick of its own.
          const restMm = Math.floor(mm - (toMm - fromMm) - KERF_MM)
          if (restMm >= leastPieceMm) left.add(restMm)
          if (left.size >= MOST_PAIRINGS) return [...left]
        }
      }
    }
  }
  return [...left]
}

const inWindows = (rail: RailToCut, places: number[]): number[] =>
  [...new Set(places.filter(place => rail.windows.some(window => contains(window, place))).map(mm => Math.round(mm * 1e4) / 1e4))]

/** The last place in the windows at or before `mm`, and the first at or after it. */
const before = (windows: Interval[], mm: number): number[] => windows.filter(one => one.fromMm <= mm).slice(-1).map(one => Math.min(one.toMm, mm))
const after = (windows: Interval[], mm: number): number[] => windows.filter(one => one.toMm >= mm).slice(0, 1).map(one => Math.max(one.fromMm, mm))

function basicPlaces(rail: RailToCut, lengths: number[]): number[] {
  const places: number[] = []
  for (const mm of lengths) {
    let at = rail.fromMm
    for (let k = 0; k < 4 && at < rail.toMm; k++) {
      const [next] = before(rail.windows, at + mm)
      if (next === undefined || next <= at + TOLERANCE_MM) break
      places.push(next)
      at = next
    }
    at = rail.toMm
    for (let k = 0; k < 4 && at > rail.fromMm; k++) {
      const [next] = after(rail.windows, at - mm)
      if (next === undefined || next >= at - TOLERANCE_MM) break
      places.push(next)
      at = next
    }
  }
  const ends = rail.windows.flatMap(window => [window.fromMm, window.toMm])
  const all = inWindows(rail, [...places, ...ends.slice(0, MOST_PLACES)]).sort((a, b) => a - b)
  const step = Math.ceil(all.length / MOST_PLACES)
  return all.filter((place, i) => i % step === 0 || places.includes(place))
}

const pairingPlaces = (rail: RailToCut, left: number[]): number[] =>
  inWindows(rail, left.flatMap(mm => [...before(rail.windows, rail.fromMm + mm), ...after(rail.windows, rail.toMm - mm)])).slice(0, MOST_PLACES)

/** A whole rail first, then ways whose pieces use up the lengths that are left over beside others. */
const byWaste = (left: number[]) => (a: Split, b: Split): number => {
  const fitting = ({ pieces }: Split) => pieces.length === 1
    ? 1
    : pieces.filter(({
      fromMm,
      toMm,
    }) => left.some(mm => toMm - fromMm <= mm + TOLERANCE_MM && toMm - fromMm > mm - NEAR_FIT_MM)).length - pieces.length
  return fitting(b) - fitting(a) || a.pieces.length - b.pieces.length
}
/** A piece that leaves no more than this of a length uses it up, mm. */
const NEAR_FIT_MM = 200

const byPieces = (a: Split, b: Split): number => a.pieces.length - b.pieces.length

/** Every way with as few splices as can be, or one more, at these places; the first few by an order. */
function splitsAt(rail: RailToCut, places: number[], { leastPieceMm }: SplitRules, longestMm: number, order = byPieces): Split[] {
  const found: Split[] = []
  let fewest = Infinity
  const pieces: Interval[] = []
  const walk = (fromMm: number) => {
    if (pieces.length > fewest + 1 || found.length > 4 * MOST_SPLITS) return
    if (rail.toMm - fromMm <= longestMm + TOLERANCE_MM) {
      found.push({ pieces: [...pieces, { fromMm, toMm: rail.toMm }], bridged: false })
      fewest = Math.min(fewest, pieces.length)
    }
    for (const place of places) {
      if (place - fromMm < leastPieceMm || place - fromMm > longestMm + TOLERANCE_MM || rail.toMm - place < leastPieceMm) continue
      pieces.push({ fromMm, toMm: place })
      walk(place)
      pieces.pop()
    }
  }
  walk(rail.fromMm)
  return distinct(found.filter(split => split.pieces.length <= fewest + 2)).sort(order).slice(0, MOST_SPLITS)
}

/** Ways that cut the very same lengths are one. */
function distinct(splits: Split[]): Split[] {
  const seen = new Set<string>()
  return splits.filter(({ pieces }) => {
    const key = pieces.map(one => Math.round((one.toMm - one.fromMm) * 100)).sort((a, b) => a - b).join()
    return seen.has(key) ? false : Boolean(seen.add(key))
  })
}

/** Where gaps may be bridged, every spliced way also with each joint opened as far as the maker lets it. */
const withBridged = (splits: Split[], { bridgeMm }: SplitRules): Split[] => bridgeMm <= 0
  ? splits
  : splits.flatMap(split => split.pieces.length === 1
      ? [split]
      : [split, {
          bridged: true, pieces: split.pieces.map(({ fromMm, toMm }, i) => ({
            fromMm: i === 0 ? fromMm : fromMm + bridgeMm / 2,
            toMm: i === split.pieces.length - 1 ? toMm : toMm - bridgeMm / 2,
          })),
        }])
