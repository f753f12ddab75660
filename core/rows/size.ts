import type { Module } from '../catalogue'
import type { Orientation } from '../job'

/** Lengths that miss by less than this still fit: the region's corners are kept to 0.0001 mm. */
export const FIT_TOLERANCE_MM = 0.001

/** Width along the eave and height up the slope of a module as it lies. */
export const moduleSize = (module: Pick<Module, 'shortMm' | 'longMm'>, orientation: Orientation): { widthMm: number, heightMm: number } =>
  orientation === 'upright'
    ? { widthMm: module.shortMm, heightMm: module.longMm }
    : { widthMm: module.longMm, heightMm: module.shortMm }

/** The most modules of one width that stand side by side in `lengthMm` with gaps between them. */
export const modulesThatFit = (lengthMm: number, widthMm: number, gapMm: number): number =>
  Math.max(0, Math.floor((lengthMm + gapMm + FIT_TOLERANCE_MM) / (widthMm + gapMm)))

/** Length of a run of n modules, mm. */
export const runLength = (n: number, widthMm: number, gapMm: number): number => n * widthMm + Math.max(0, n - 1) * gapMm
