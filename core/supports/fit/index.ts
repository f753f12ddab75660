/** Rafters from a hit log: rows by the whole belief, pilots as intervals, single rafters of an irregular set. */
export * from './fit'
export type * from './rafter-fit'
export { KNOCKED, missesOf, observationsOf, type ReadingKind, SEEN } from './observation'
