/** The job: its schema, the edits that change it, and how both are read from outside. */
export * from './schema'
export * from './edit'
export * from './history'
export * from './read'
export * from './stages'
export * from './starter'
export * from './words'
