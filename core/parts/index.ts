/** Everything an array takes, counted from its plan. */
export * from './csv'
export * from './list'
