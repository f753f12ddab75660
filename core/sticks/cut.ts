import type { Rail } from '../catalogue'
import { type Interval, TOLERANCE_MM } from '../geometry'
import { count, length } from '../units'
import type { Working } from '../working'

/** A rail to be cut: where it starts and ends with its trim tails, and where it may be spliced. */
export interface RailToCut { railId: string, fromMm: number, toMm: number, windows: Interval[] }

/** One piece of a rail, in place. */
export interface Piece { railId: string, fromMm: number, toMm: number }

/** A stick from the maker, the pieces cut from it in order, and what is left over. */
export interface Stick { stockMm: number, pieces: Piece[], offcutMm: number }

export interface SticksPlan {
  sticks: Stick[]
  /** Butt joints, mm from the left rake. */
  splices: { railId: string, xMm: number }[]
  /** Rails that can't be spliced clear of their fixings from this stock; they are shown spliced wherever the stick ends. */
  unspliceable: string[]
  /** No cutting of these lengths could use fewer sticks than this. */
  leastSticks: number
  working: Working
}

/** Width of a saw cut through aluminium, mm; common practice. */
export const KERF_MM = 3

/** One way of cutting so far, as a chain from the newest piece back. */
interface Cutting {
  sticks: number
  boughtMm: number
  /** Left of the newest stick. */
  offcutMm: number
  last: { piece: Piece, newStickMm: number | null, before: Cutting['last'] } | null
}

/**
 * Cuts rails one after another, each from left to right: a rail may begin with what is left of the stick before,
 * and then takes whole sticks, each spliced as far along as the windows and its length allow. Every combination of
 * stock lengths and of using or leaving the offcut is tried; kept is the one with fewest sticks and then least length
 * bought. Proved the fewest where it meets the bound of total length over the longest stick.
 */
export function cutSticks(rails: RailToCut[], stock: Rail['stockMm'], splice: Rail['splice']): SticksPlan {
  const longestMm = Math.max(...stock)
  const leastPieceMm = splice.barMm * 2
  const unspliceable: string[] = []
  let cuttings: Cutting[] = [{ sticks: 0, boughtMm: 0, offcutMm: 0, last: null }]
  for (const rail of rails) {
    let next = cuttings.flatMap(cutting => cutRail(rail, cutting, stock, leastPieceMm))
    if (!next.length) {
      unspliceable.push(rail.railId)
      next = cuttings.flatMap(cutting => cutRail({ ...rail, windows: [{ fromMm: rail.fromMm + leastPieceMm, toMm: rail.toMm - leastPieceMm }] }, cutting, stock, leastPieceMm))
    }
    // A stick too short to take any splice leaves the rail out: it is named among the unspliceable.
    if (next.length) cuttings = worthKeeping(next)
  }
  const best = cuttings.reduce((a, b) => b.sticks < a.sticks || (b.sticks === a.sticks && b.boughtMm < a.boughtMm) ? b : a)
  const sticks = sticksOf(best)
  const totalMm = rails.reduce((sum, rail) => sum + rail.toMm - rail.fromMm, 0)
  const leastSticks = Math.max(0, Math.ceil(totalMm / longestMm - TOLERANCE_MM))
  return { sticks, splices: splicesOf(sticks), unspliceable, leastSticks, working: sticksWorking(totalMm, longestMm, leastSticks, sticks.length) }
}

/** A cutting that has come as far as `atMm` along the rail in hand. */
interface Part { atMm: number, cutting: Cutting }

/** All ways worth keeping to cut one rail on from a cutting: piece by piece, dropping at each piece what another way beats. */
function cutRail(rail: RailToCut, from: Cutting, stock: number[], leastPieceMm: number): Cutting[] {
  const ends: Cutting[] = []
  const whole: Part = { atMm: rail.fromMm, cutting: from }
  const begun = from.offcutMm >= leastPieceMm ? takePiece(rail, whole, null, leastPieceMm, ends) : null
  for (let front = begun ? [whole, begun] : [whole]; front.length;) {
    front = foremost(front.flatMap(part => stock.flatMap(stockMm => takePiece(rail, {
      atMm: part.atMm,
      cutting: { ...part.cutting, sticks: part.cutting.sticks + 1, boughtMm: part.cutting.boughtMm + stockMm, offcutMm: stockMm },
    }, stockMm, leastPieceMm, ends) ?? [])))
  }
  return ends
}

/** Drops every part that another beats on sticks, length bought and how far it has come. */
function foremost(parts: Part[]): Part[] {
  const ordered = [...parts].sort((a, b) => a.cutting.sticks - b.cutting.sticks || a.cutting.boughtMm - b.cutting.boughtMm || b.atMm - a.atMm)
  const kept: Part[] = []
  for (const next of ordered) {
    if (!kept.some(one => one.cutting.sticks <= next.cutting.sticks && one.cutting.boughtMm <= next.cutting.boughtMm && one.atMm >= next.atMm)) kept.push(next)
  }
  return kept
}

/**
 * Cuts the next piece from what a cutting has in hand: the rest of the rail if it reaches, which goes to `ends`, else up
 * to the farthest splice, which is returned. Null when the rail is done or the piece can't be spliced.
 */
function takePiece(rail: RailToCut, { atMm, cutting }: Part, newStickMm: number | null, leastPieceMm: number, ends: Cutting[]): Part | null {
  const inHandMm = cutting.offcutMm
  const cutTo = (toMm: number): Cutting => ({
    ...cutting, offcutMm: Math.max(0, inHandMm - (toMm - atMm) - KERF_MM),
    last: { piece: { railId: rail.railId, fromMm: atMm, toMm }, newStickMm, before: cutting.last },
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
 * Drops every cutting that another beats on sticks, length bought and what is left over, and those that are two sticks
 * or more behind: what is left of one stick can't make up for that.
 */
function worthKeeping(cuttings: Cutting[]): Cutting[] {
  const ordered = [...cuttings].sort((a, b) => a.sticks - b.sticks || a.boughtMm - b.boughtMm || b.offcutMm - a.offcutMm)
  const kept: Cutting[] = []
  for (const next of ordered) {
    if (kept.length >= MOST_CUTTINGS || next.sticks > ordered[0]!.sticks + 1) break
    if (!kept.some(one => one.sticks <= next.sticks && one.boughtMm <= next.boughtMm && one.offcutMm >= next.offcutMm)) kept.push(next)
  }
  return kept
}

function sticksOf(cutting: Cutting): Stick[] {
  const chain: NonNullable<Cutting['last']>[] = []
  for (let link = cutting.last; link; link = link.before) chain.unshift(link)
  const sticks: Stick[] = []
  for (const { piece, newStickMm } of chain) {
    if (newStickMm !== null) sticks.push({ stockMm: newStickMm, pieces: [], offcutMm: newStickMm })
    const stick = sticks.at(-1)!
    stick.pieces.push(piece)
    stick.offcutMm = Math.max(0, stick.offcutMm - (piece.toMm - piece.fromMm) - KERF_MM)
  }
  return sticks
}

function splicesOf(sticks: Stick[]): SticksPlan['splices'] {
  const pieces = sticks.flatMap(stick => stick.pieces)
  return pieces.slice(1).flatMap((piece, i) => piece.railId === pieces[i]!.railId ? [{ railId: piece.railId, xMm: piece.fromMm }] : [])
}

const sticksWorking = (totalMm: number, longestMm: number, least: number, used: number): Working => ({
  what: 'Sticks of rail', formula: 'k ≥ ⌈Σℓ / S⌉',
  values: [
    { symbol: 'Σℓ', what: 'length of all rails with their trim tails', value: length(totalMm) },
    { symbol: 'S', what: 'longest stick', value: length(longestMm) },
    { symbol: 'k', what: 'bound from length alone', value: count(least, 'sticks') },
  ],
  result: count(used, used === 1 ? 'stick' : 'sticks'),
  source: used === least ? 'Meets the bound, so no cutting has fewer' : `Rails cut one after another with the offcut carried on; fewer than ${least} excluded by length`,
  basis: used === least ? 'solved exactly' : 'best of those tried',
})
