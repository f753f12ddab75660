/** The order in which the modules of a string are joined. */
export { lowerBound } from './bound'
export { exactTour } from './exact'
export { costTable, EXTENSION, tourCost, type WalkAsk } from './problem'
export { type Effort, type Walk, walkString } from './walk'
