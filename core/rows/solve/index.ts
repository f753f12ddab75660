/** The best rows: exact for the most modules with free columns; for other aims the best of a stated set. */
export * from './breakpoints'
export * from './close'
export * from './most'
export * from './strip-count'
