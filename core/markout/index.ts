/** What is read off the tapes on the roof, in the order in which a crew strikes lines. */
export * from './steps'
export * from './csv'
export * from './readings'
