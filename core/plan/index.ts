/** The planner: from a job to everything that follows from it, in the order of the work. */
export * from './arrange'
export * from './balance'
export * from './clear'
export * from './difference'
export * from './face'
export * from './job'
export * from './nudge'
export * from './probe'
