/** Rows of modules parallel to the eave, set into the usable region. */
export * from './fill'
