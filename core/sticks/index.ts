/** Rails cut from stock lengths: where splices may lie, in which ways a rail may be cut, and which stick each piece comes from. */
export * from './windows'
export * from './stock'
export * from './splits'
export * from './pack'
export * from './cut'
export * from './layout'
export { sticks, sticksOfJob } from './says'
