/**
 * What a fixing can be driven into. Whatever the kind, a rail asks only for the places where it may be fixed
 * and gets points and intervals.
 */
export * from './across'
export * from './bands'
export * from './chance'
export * from './fit'
export * from './hit-log'
export * from './hit-paste'
export * from './layout'
export * from './metal'
export * from './places'
export * from './probe'
export * from './rafter'
export * from './rafters'
export { supports } from './says'
export * from './sheathing'
export * from './system'
