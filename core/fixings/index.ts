/** Which supports carry which rail: the fewest fixings inside the local rules, spread as the chosen pattern asks. */
export * from './candidates'
export * from './fewest'
export * from './options'
export * from './patterns'
export * from './place'
export * from './balance'
export * from './judge'
export * from './ways'
