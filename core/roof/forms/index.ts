/** The common roofs from plan sizes and pitch: all their faces at once. */
export * from './forms'
