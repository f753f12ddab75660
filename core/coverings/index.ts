/** The covering speaks twice: as limits on where rails may run, and as take-off. Its gauge, courses and joints come first. */
export * from './courses'
export * from './gauge'
export * from './limits'
export * from './names'
export * from './seats'
export * from './units'
export * from './layout'
export { covering } from './says'
