/**
 * Arrays that take the covering's place: trays and framed modules set out on whole courses, the battens under them, the flashing kit by
 * their outline, and what holds them.
 */
export * from './battens'
export * from './cells'
export * from './edges'
export * from './kit'
export * from './laid'
export * from './layout'
export { liftHeights } from './marks'
export * from './outline'
export * from './part'
export * from './plan'
export { inRoof, inRoofOfJob } from './says'
export * from './question'
export * from './setout'
export { inRoofWorkings } from './shown'
export * from './strength'
export * from './tiles'
export * from './wind'
export * from './words'
