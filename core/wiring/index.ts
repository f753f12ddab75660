/**
 * What runs on the roof beside the modules, and belongs to the whole of it: electronics, branches and their trunks, strings and their walks,
 * home runs, shutdown and bonding.
 */
export * from './bonding'
export * from './branch-limit'
export * from './conductors'
export * from './drop'
export { groupFor } from './groups'
export * from './heat'
export { homeRoute } from './home'
export type * from './layout'
export { type RoofPlace, wayMm, type WiredModule } from './modules'
export { type LaidFace, roofBoxOf, wireRoof } from './plan'
export { wiring, wiringOfJob } from './says'
export { type WireRules, wireRules } from './settings'
export * from './shutdown'
export * from './split'
export * from './string-sizes'
export * from './string-volts'
export { systemOfUnit, trunkSuits, unitSuits } from './suits'
export * from './trunk'
export type { WiredUnit } from './units'
export * from './words'
