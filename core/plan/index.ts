/** The planner: from a job to everything that follows from it, in the order of the work. */
export * from './clear'
export * from './difference'
export * from './face'
export { keepsLimits } from './field-change'
export * from './job'
export * from './layout'
export { partsOfJob } from './parts'
export * from './summary'
