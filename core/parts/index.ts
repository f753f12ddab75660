/** Everything an array takes, counted from its plan. */
export * from './list'
