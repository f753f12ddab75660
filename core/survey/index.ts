/** The survey of a face: what is known before anything is planned on it, and what the tapes contradict. */
export * from './layout'
export { survey } from './says'
