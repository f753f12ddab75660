/** Where no module may lie, judged over the whole roof, and the region that is left on each face. */
export * from './face'
export * from './neighbours'
export * from './pathways'
export * from './strips'
export * from './whole-roof'
export * from './layout'
export { keepClearOfJob, keepClearOnFace } from './says'
export * from './workings'
