import { TOLERANCE_MM } from '../geometry'
import { KERF_MM, type Split, type StockLength, type YardLength } from './stock'

/** A stick with what is cut from it: rail by its place in the list, piece by its place in the rail's split. */
export interface PackedStick { mm: number, price: number, fromYard: boolean, cuts: { rail: number, piece: number }[] }

export interface Packing {
  /** The way taken for each rail. */
  choice: number[]
  sticks: PackedStick[]
  /** Of sticks bought and splices. */
  cost: number
  /** No cutting in these ways costs less. */
  leastCost: number
  /** True when the search was not cut short, or what it found meets the bound. */
  proved: boolean
}

/** The cheapest that bought sticks of so much length in all can be; no cutting of that length costs less. */
function coverCost(stock: StockLength[]): (mm: number) => number {
  const known = new Map<number, number>()
  const cover = (mm: number, i: number): number => {
    const { mm: stickMm, price } = stock[i]!
    const most = Math.max(0, Math.ceil((mm - TOLERANCE_MM) / stickMm))
    if (i === stock.length - 1) return most * price
    return Math.min(...Array.from({ length: most + 1 }, (_, n) => n * price + cover(mm - n * stickMm, i + 1)))
  }
  return (mm) => {
    const key = Math.ceil(mm / 5) - 1
    const cost = known.get(key) ?? cover(Math.max(0, key * 5), 0)
    known.set(key, cost)
    return cost
  }
}

/** Nodes of the search before it stops and says what it has. */
export const MOST_NODES = 1200

/** What can be had, and what a splice bar costs on top of the sticks. */
export interface Shop { stock: StockLength[], yard: YardLength[], splicePrice: number }

interface Open extends PackedStick { leftMm: number }

/**
 * Stage two: takes one way to cut each rail and packs all pieces into sticks for least cost, and then fewest sticks. Depth
 * first, rail by rail, piece by piece, each into an open stick, an offcut from the yard or a new stick; cut off where cost so far and
 * the price of the length still to be covered can't beat the best found.
 * @param start a packing to beat, in the same ways
 * @param wayOrders in which order each rail's ways are tried, each way of the first rail with its share of the nodes; as they stand,
 * one after the other as far as the nodes go, where not given
 */
export function pack(splits: Split[][], { stock, yard, splicePrice }: Shop, mostNodes = MOST_NODES, start: Packing | null = null, wayOrders: number[][] | null = null): Packing {
  const cover = coverCost(stock)
  const longestMm = Math.max(...stock.map(one => one.mm))
  const lengthOf = (rail: number, way: number, piece: number) => splits[rail]![way]!.pieces[piece]!.toMm - splits[rail]![way]!.pieces[piece]!.fromMm
  const leastLength = splits.map(ways => Math.min(...ways.map(way => way.pieces.reduce((sum, piece) => sum + piece.toMm - piece.fromMm, 0))))
  const signature = splits.map(ways => ways.map(way => way.pieces.map(piece => Math.round((piece.toMm - piece.fromMm) * 1e3)).join(' ')).join())
  // Long rails first; those alike stand together so that only one order of their ways is tried.
  const order = splits.map((_, r) => r).filter(r => splits[r]!.length).sort((a, b) => leastLength[b]! - leastLength[a]! || signature[a]!.localeCompare(signature[b]!))
  const splicesOf = (rail: number, way: number) => splicePrice * (splits[rail]![way]!.pieces.length - 1)
  const leastSplices = splits.map((ways, r) => Math.min(...ways.map((_, w) => splicesOf(r, w))))
  const splicesAfter = order.map((_, k) => order.slice(k).reduce((sum, r) => sum + leastSplices[r]!, 0))
  const after = order.map((_, k) => order.slice(k).reduce((sum, r) => sum + leastLength[r]!, 0))
  const yardLeft = yard.map(one => one.pieces)
  const yardMm = () => yard.reduce((sum, one, i) => sum + one.mm * yardLeft[i]!, 0)
  let best: { choice: number[], sticks: PackedStick[], cost: number } | null = start && start.sticks.length ? start : null
  let nodes = 0
  const orders = wayOrders ?? splits.map(ways => ways.map((_, way) => way))
  // With shares one bad beginning does not take all the nodes.
  let limit = mostNodes
  let cut = false
  const open: Open[] = []
  const choice = splits.map(() => 0)
  const bought = (sticks: { fromYard: boolean }[]) => sticks.reduce((sum, one) => one.fromYard ? sum : sum + 1, 0)
  const beats = (cost: number, sticks: number) => !best || cost < best.cost - 1e-9 || (cost < best.cost + 1e-9 && sticks < bought(best.sticks))
  const usable = () => open.reduce((sum, one) => sum + Math.max(0, one.leftMm), 0)
  const leastCost = cover(Math.max(0, (after[0] ?? 0) - yardMm())) + (splicesAfter[0] ?? 0)

  const place = (k: number, way: number, piece: number, cost: number) => {
    if (best && nodes >= limit) {
      cut = true
      return
    }
    nodes++
    const rail = order[k]!
    if (piece === splits[rail]![way]!.pieces.length) {
      next(k + 1, cost)
      return
    }
    const mm = lengthOf(rail, way, piece)
    const cutting = { rail, piece }
    const tried = new Set<number>()
    // The tightest open stick first: a good answer early prunes most.
    for (const stick of open.filter(one => one.leftMm >= mm - TOLERANCE_MM).sort((a, b) => a.leftMm - b.leftMm)) {
      if (tried.has(Math.round(stick.leftMm * 100))) continue
      tried.add(Math.round(stick.leftMm * 100))
      stick.leftMm -= mm + KERF_MM
      stick.cuts.push(cutting)
      place(k, way, piece + 1, cost)
      stick.cuts.pop()
      stick.leftMm += mm + KERF_MM
      // A piece that fills a stick to the end wastes nothing there: no other place for it is better.
      if (Math.abs(stick.leftMm - mm) < KERF_MM) return
    }
    yard.forEach((one, i) => {
      if (!yardLeft[i] || one.mm < mm - TOLERANCE_MM) return
      yardLeft[i]!--
      open.push({ leftMm: one.mm - mm - KERF_MM, mm: one.mm, price: 0, fromYard: true, cuts: [cutting] })
      place(k, way, piece + 1, cost)
      open.pop()
      yardLeft[i]!++
    })
    for (const one of stock) {
      if (one.mm < mm - TOLERANCE_MM) continue
      open.push({ leftMm: one.mm - mm - KERF_MM, mm: one.mm, price: one.price, fromYard: false, cuts: [cutting] })
      if (beats(cost + one.price, bought(open))) place(k, way, piece + 1, cost + one.price)
      open.pop()
    }
  }
  const next = (k: number, cost: number) => {
    const needMm = k === order.length ? 0 : Math.max(0, after[k]! - usable() - yardMm())
    if (!beats(cost + cover(needMm) + (splicesAfter[k] ?? 0), bought(open) + Math.ceil((needMm - TOLERANCE_MM) / longestMm))) return
    if (k === order.length) {
      best = { cost, choice: [...choice], sticks: open.map(({ mm, price, fromYard, cuts }) => ({ mm, price, fromYard, cuts: [...cuts] })) }
      return
    }
    const rail = order[k]!
    const alike = k > 0 && signature[order[k - 1]!] === signature[rail]
    const ways = orders[rail]!
    for (let at = alike ? orders[order[k - 1]!]!.indexOf(choice[order[k - 1]!]!) : 0; at < ways.length; at++) {
      const way = ways[at]!
      choice[rail] = way
      if (k === 0 && wayOrders) limit = Math.min(mostNodes, nodes + Math.ceil((mostNodes - nodes) / (ways.length - at)))
      place(k, way, 0, cost + splicesOf(rail, way))
      if (nodes >= limit && k > 0) return
    }
  }
  next(0, 0)
  const found = best as { choice: number[], sticks: PackedStick[], cost: number } | null
  return {
    choice: found?.choice ?? choice, cost: found?.cost ?? 0, leastCost: Math.min(leastCost, found?.cost ?? leastCost), proved: !cut || Boolean(found && found.cost <= leastCost + 1e-9),
    sticks: found?.sticks ?? [],
  }
}
