/** What is read off the tapes on the roof, in the order in which a crew strikes lines. */
export * from './changes'
export * from './csv'
export * from './readings'
export * from './speech'
export * from './square'
export * from './step'
export { markoutSteps } from './steps'
export * from './tasks'
