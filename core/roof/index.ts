/** The face: its outline in its own plane, what each edge is, and how tapes on it read. */
export * from './outline'
export * from './tape'
