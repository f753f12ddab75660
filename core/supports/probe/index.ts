/** Where to knock next: readings valued by what they do to the whole belief about the rafters, spacing included. */
export * from './enough'
export * from './ladder'
export * from './misses'
export { type Probe, type ProbeAsk, probeNext } from './probe'
export type { Site } from './known'
