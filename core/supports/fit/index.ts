/** Rafters from a hit log: candidates for the row, least squares, pilots as intervals, single rafters of an irregular set. */
export * from './fit'
export type * from './rafter-fit'
export { missesOf, observationsOf } from './observation'
export { regressRow, type RowPrior, type RowObservation } from './regress'
