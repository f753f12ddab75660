/** The roof: each face's outline in its own plane, how well its taped lengths agree, how tapes on it read, and how faces lie together. */
export * from './adjust'
export * from './corners'
export * from './forms'
export * from './from-plan'
export * from './outline'
export * from './placement'
export * from './tape'
export * from './taped'
