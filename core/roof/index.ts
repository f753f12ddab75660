/** The face: its outline in its own plane, what each edge is, how well its taped lengths agree, and how tapes on it read. */
export * from './adjust'
export * from './corners'
export * from './outline'
export * from './tape'
export * from './taped'
