/** Where no module may lie, and the region that is left. */
export * from './setbacks'
