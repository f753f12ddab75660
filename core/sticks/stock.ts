import type { Interval } from '../geometry'

/** A rail to be cut: where it starts and ends with its trim tails, and where it may be spliced. */
export interface RailToCut { railId: string, fromMm: number, toMm: number, windows: Interval[] }

/** One piece of a rail, in place. */
export interface Piece { railId: string, fromMm: number, toMm: number }

/** A length that is bought, with its price; or one that lies in the yard, of which there are only so many. */
export interface StockLength { mm: number, price: number }
export interface YardLength { mm: number, pieces: number }

/** Width of a saw cut through aluminium, mm; common practice. */
export const KERF_MM = 3

/** One way to make a rail of pieces: lengths cut, and where they meet, mm along the rail. */
export interface Split { pieces: Interval[], bridged: boolean }
