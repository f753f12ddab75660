/**
 * From the roof box to the meter: what stands on the walls and leads to what, runs with their conductors and raceways, joints, busbars and taps, storage,
 * labels. It belongs to the whole job, and comes once the roof is wired.
 */
export * from './ask'
export { criticalMm } from './asked'
export { hasLoads } from './flows'
export { labelMade } from './labels'
export type * from './layout'
export { invertersFor, isAside, passesThrough } from './net'
export { perMetrePrice, wireName, wiresOfPlan } from './parts'
export { planGround } from './plan'
export { colourOf, type Function_, groundRules, type GroundRules } from './rules'
export { wantsExpansion } from './runs'
export { groundOfJob } from './says'
export { startedGround, startWays, usualThing } from './start'
export * from './wall'
