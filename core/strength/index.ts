/** Every rail and fixing checked under every combination: as a continuous beam, whole, with its real fixings and splices. */
export * from './bounds'
export * from './check'
export * from './rails'
export * from './modules'
export * from './rafters'
export * from './table'
export * from './workings'
