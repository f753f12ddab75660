/** Rows of modules parallel to the eave, set into the usable region: filled by rule, or solved for the best. */
export * from './blocks'
export * from './fill'
export * from './size'
export * from './stack'
export * from './solve'
