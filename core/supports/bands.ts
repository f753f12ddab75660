import type { Interval, Ring } from '../geometry'
import { centreIn, numberAt, shareIn, smallestSet } from './belief'
import { gathered, type Spread } from './chance'
import type { RafterFit } from './fit'
import { type Rafter, rafterAt } from './rafter'

/** How often a band holds the centre of its timber. */
export const BAND_HOLDS = 0.95

/** A piece of the band that holds a timber's centre, from the eave's height to the ridge's, with the chance that it is in this one. */
export interface BandPiece { ring: Ring, share: number }
/** The smallest band that holds the centre of a rafter's timber 95 times in 100 at every height: several pieces where rows rival. */
export interface TimberBand { rafter: number, pieces: BandPiece[] }

/** All places that a rafter's centre may be at, at a height: by the whole belief where there is one about a row, else as it is known at all. */
function placesAt(rafter: Rafter, fit: RafterFit | null, byHits: boolean, yMm: number): Spread[] {
  if (!byHits || fit?.kind !== 'row') return rafter.spread
  const at = rafterAt(rafter, yMm)
  return gathered(fit.belief.map((row): Spread => {
    if (!row.own.length) return { weight: row.weight, offMm: 0, sdMm: row.mean[1] / Math.sqrt(12) }
    const { xMm, sdMm } = centreIn(row, numberAt(row, at, yMm), yMm)
    return { weight: row.weight, offMm: xMm - at, sdMm }
  }))
}

type Pieces = { piece: Interval, share: number }[]

const moved = (pieces: Pieces, byMm: number): Pieces => pieces.map(({ piece, share }) => ({ share, piece: { fromMm: piece.fromMm + byMm, toMm: piece.toMm + byMm } }))

/** The band's pieces at a height, mm along the eave, with the share of belief in each. */
function piecesAt(rafter: Rafter, fit: RafterFit | null, byHits: boolean, yMm: number): Pieces {
  const at = rafterAt(rafter, yMm)
  const places = placesAt(rafter, fit, byHits, yMm).map(({ weight, offMm, sdMm }) => ({ weight, mm: at + offMm, sdMm }))
  return smallestSet(places, BAND_HOLDS).map(piece => ({ piece, share: shareIn(places, piece) }))
}

/**
 * The band of every rafter that is drawn.
 * @param byHits whether the rafters are those of the fit, not of numbered finds
 */
export function timberBands(rafters: Rafter[], fit: RafterFit | null, byHits: boolean, up: Interval): TimberBand[] {
  return rafters.map((rafter): TimberBand => {
    const low = piecesAt(rafter, fit, byHits, up.fromMm)
    // What is known of it at one height only is known of it at all, along its lean.
    const high = byHits && fit?.kind === 'row' ? piecesAt(rafter, fit, byHits, up.toMm) : moved(low, rafter.lean * (up.toMm - up.fromMm))
    // Where rows part on the way up, the pieces do not run through: then each end's pieces run half the way.
    const runs = low.length === high.length ? [{ low, high, from: up.fromMm, to: up.toMm }] : halves(rafter, low, high, up)
    return { rafter: rafter.number, pieces: runs.flatMap(run => run.low.map(({ piece, share }, i): BandPiece => {
      const top = run.high[i]!.piece
      return { share, ring: [{ x: piece.fromMm, y: run.from }, { x: piece.toMm, y: run.from }, { x: top.toMm, y: run.to }, { x: top.fromMm, y: run.to }] }
    })) }
  })
}

function halves(rafter: Rafter, low: Pieces, high: Pieces, up: Interval) {
  const middle = (up.fromMm + up.toMm) / 2
  const half = rafter.lean * (middle - up.fromMm)
  return [{ low, high: moved(low, half), from: up.fromMm, to: middle }, { low: moved(high, -half), high, from: middle, to: up.toMm }]
}
