import { type Interval, TOLERANCE_MM } from '../geometry'
import { KERF_MM, type Piece, type RailToCut, type StockLength } from './stock'

/** One way of cutting so far, as a chain from the newest piece back. */
interface Cutting {
  sticks: number
  cost: number
  /** Left of the newest stick. */
  offcutMm: number
  last: { piece: Piece, stick: StockLength | null, before: Cutting['last'] } | null
}

/** Rails cut in turn with the offcut carried on: each stick with its pieces. */
export interface Chain { sticks: { stock: StockLength, pieces: Piece[] }[], unspliceable: string[] }

/**
 * Cuts rails one after another, each from left to right: a rail may begin with what is left of the stick before,
 * and then takes whole sticks, each spliced as far along as the windows and its length allow. Every combination of
 * stock lengths and of using or leaving the offcut is tried; kept is the cheapest and then the one with fewest sticks.
 */
export function chainCut(rails: RailToCut[], stock: StockLength[], splicePrice: number, leastPieceMm: number): Chain {
  const unspliceable: string[] = []
  let cuttings: Cutting[] = [{ sticks: 0, cost: 0, offcutMm: 0, last: null }]
  for (const rail of rails) {
    let next = cuttings.flatMap(cutting => cutRail(rail, cutting, stock, splicePrice, leastPieceMm))
    if (!next.length) {
      unspliceable.push(rail.railId)
      next = cuttings.flatMap(cutting => cutRail({
        ...rail,
        windows: [{ fromMm: rail.fromMm + leastPieceMm, toMm: rail.toMm - leastPieceMm }],
      }, cutting, stock, splicePrice, leastPieceMm))
    }
    // A stick too short to take any splice leaves the rail out: it is named among the unspliceable.
    if (next.length) cuttings = worthKeeping(next, stock)
  }
  const best = cuttings.reduce((a, b) => b.cost < a.cost - 1e-9 || (Math.abs(b.cost - a.cost) <= 1e-9 && b.sticks < a.sticks) ? b : a)
  const links: NonNullable<Cutting['last']>[] = []
  for (let link = best.last; link; link = link.before) links.unshift(link)
  const sticks: Chain['sticks'] = []
  for (const { piece, stick } of links) {
    if (stick) sticks.push({ stock: stick, pieces: [] })
    sticks.at(-1)!.pieces.push(piece)
  }
  return { sticks, unspliceable }
}

/** A cutting that has come as far as `atMm` along the rail in hand. */
interface Part { atMm: number, cutting: Cutting }

/** All ways worth keeping to cut one rail on from a cutting: piece by piece, dropping at each piece what another way beats. */
function cutRail(rail: RailToCut, from: Cutting, stock: StockLength[], splicePrice: number, leastPieceMm: number): Cutting[] {
  const ends: Cutting[] = []
  const whole: Part = { atMm: rail.fromMm, cutting: from }
  const begun = from.offcutMm >= leastPieceMm ? takePiece(rail, whole, null, leastPieceMm, ends) : null
  for (let front = begun ? [whole, begun] : [whole]; front.length;) {
    front = foremost(front.flatMap(part => stock.flatMap(one => takePiece(rail, {
      atMm: part.atMm,
      cutting: { sticks: part.cutting.sticks + 1, cost: part.cutting.cost + one.price + (part.atMm > rail.fromMm ? splicePrice : 0), offcutMm: one.mm, last: part.cutting.last },
    }, one, leastPieceMm, ends) ?? [])))
  }
  return ends
}

/** Drops every part that another beats on sticks, cost and how far it has come. */
function foremost(parts: Part[]): Part[] {
  const ordered = [...parts].sort((a, b) => a.cutting.cost - b.cutting.cost || a.cutting.sticks - b.cutting.sticks || b.atMm - a.atMm)
  const kept: Part[] = []
  for (const next of ordered) {
    if (!kept.some(one => one.cutting.sticks <= next.cutting.sticks && one.cutting.cost <= next.cutting.cost && one.atMm >= next.atMm)) kept.push(next)
  }
  return kept
}

/**
 * Cuts the next piece from what a cutting has in hand: the rest of the rail if it reaches, which goes to `ends`, else up
 * to the farthest splice, which is returned. Null when the rail is done or the piece can't be spliced.
 */
function takePiece(rail: RailToCut, { atMm, cutting }: Part, stick: StockLength | null, leastPieceMm: number, ends: Cutting[]): Part | null {
  const inHandMm = cutting.offcutMm
  const cutTo = (toMm: number): Cutting => ({
    sticks: cutting.sticks, cost: cutting.cost, offcutMm: Math.max(0, inHandMm - (toMm - atMm) - KERF_MM),
    last: { piece: { railId: rail.railId, fromMm: atMm, toMm }, stick, before: cutting.last },
  })
  if (rail.toMm - atMm <= inHandMm + TOLERANCE_MM) {
    ends.push(cutTo(rail.toMm))
    return null
  }
  const spliceMm = farthest(rail.windows, atMm + leastPieceMm, Math.min(atMm + inHandMm, rail.toMm - leastPieceMm))
  return spliceMm === null ? null : { atMm: spliceMm, cutting: cutTo(spliceMm) }
}

/** The greatest place in the windows between two limits; null when there is none. */
function farthest(windows: Interval[], fromMm: number, toMm: number): number | null {
  let best: number | null = null
  for (const window of windows) {
    const place = Math.min(window.toMm, toMm)
    if (place >= Math.max(window.fromMm, fromMm) && (best === null || place > best)) best = place
  }
  return best
}

/** More cuttings than this are not carried on to the next rail. */
const MOST_CUTTINGS = 24

/**
 * Drops every cutting that another beats on sticks, cost and what is left over, and those that the cheapest would beat if it
 * bought one stick more and threw it in.
 */
function worthKeeping(cuttings: Cutting[], stock: StockLength[]): Cutting[] {
  const ordered = cuttings.sort((a, b) => a.cost - b.cost || a.sticks - b.sticks || b.offcutMm - a.offcutMm)
  const cheapest = ordered[0]!
  const beaten = (one: Cutting) => stock.some(stick => cheapest.cost + stick.price < one.cost - 1e-9 && stick.mm >= one.offcutMm)
  const kept: Cutting[] = []
  for (const next of ordered) {
    if (kept.length >= MOST_CUTTINGS) break
    if (!beaten(next) && !kept.some(one => one.sticks <= next.sticks && one.cost <= next.cost && one.offcutMm >= next.offcutMm)) kept.push(next)
  }
  return kept
}
