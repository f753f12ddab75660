/** Rails across the roof: two under each row, each inside the module's own clamp zone, and the limits they carry. */
export * from './heights'
export * from './limits'
