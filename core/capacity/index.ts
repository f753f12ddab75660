/**
 * What rails and fixings bear. Resistances carry the format of the loads they may be set against: allowable values for ASD,
 * design values for EN; nothing here takes one for the other.
 */
export * from './fixing'
export * from './lateral'
export * from './nails'
export * from './rail'
export * from './screws-en'
export * from './thread'
export * from './used'
export * from './withdrawal'
