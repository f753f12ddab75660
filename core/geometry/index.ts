/**
 * Plane geometry in a face's own plane, mm: x along the eave from the left rake, y up the slope from the eave.
 * Polygon booleans are left to Clipper.
 */
export * from './disc'
export * from './half-plane'
export * from './interval'
export * from './plane'
export * from './point'
export * from './polygon'
export * from './ring'
export * from './strip'
export * from './across'
export * from './edge-strip'
