/** Modules, rails, mounts and clamps as data, and what goes with what. */
export * from './part-kinds'
export * from './schema'
export * from './chosen'
export * from './together'
export * from './sets'
export * from './demo/parts'
