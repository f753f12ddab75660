/** Rails cut from stock lengths: where splices may lie, and which stick each piece comes from. */
export * from './windows'
export * from './cut'
