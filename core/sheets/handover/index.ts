/** The hand-over pack and the inspector's as plain data, the map of serial numbers, and the layout for a monitoring portal: all of it from the record. */
export * from './map'
export * from './names'
export * from './pack'
export * from './portal'
export * from './tests'
