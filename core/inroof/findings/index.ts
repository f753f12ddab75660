/** What is found wrong with an array in the roof, by what it concerns. */
export * from './arrival'
export * from './flashed'
export * from './holds'
export * from './stands'
export * from './suits'
