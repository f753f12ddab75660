/**
 * Lengths, pitches and quantities: read as people write them, kept in millimetres and degrees,
 * rounded once when shown.
 */
export * from './direction'
export * from './length'
export * from './measure'
export * from './pitch'
export * from './quantity'
