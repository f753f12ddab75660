/** Feet brought to a plane: what was read, how each is set, and rows that turn. */
export * from './foot'
export * from './level'
export * from './plane'
export * from './readings'
export * from './shims'
export * from './steps'
export * from './turn'
