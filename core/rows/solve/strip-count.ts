import { freeIntervals, type Interval, type Region, spanOf } from '../../geometry'
import type { Orientation } from '../../job'
import { modulesThatFit } from '../size'

/** One way a row's modules may lie. */
export interface RowKind { orientation: Orientation, widthMm: number, heightMm: number }

/** Gaps between modules of a row and between rows, mm. */
export interface RowGaps { columnMm: number, rowMm: number }

/** Where the strip of a row whose lower edge is at `bottomMm` is free. */
export const stripAt = (region: Region, kind: RowKind, bottomMm: number): Interval[] => freeIntervals(region, { fromMm: bottomMm, toMm: bottomMm + kind.heightMm })

/** The most modules that a row holds at a height, each stretch of its strip filled by itself. */
export const stripCount = (region: Region, kind: RowKind, gaps: RowGaps, bottomMm: number): number =>
  stripAt(region, kind, bottomMm).reduce((sum, one) => sum + modulesThatFit(spanOf(one), kind.widthMm, gaps.columnMm), 0)
