/**
 * What a fixing can be driven into. Whatever the kind, a rail asks only for the places where it may be fixed
 * and gets points and intervals.
 */
export * from './places'
export * from './rafters'
