/** The mark-out: what is struck on the roof, as a sheet that is handed out, as a table, read aloud, ticked off, and compared with an earlier one. */
export * from './changes'
export * from './csv'
export * from './sheet'
export * from './speech'
export * from './struck'
export * from './tasks'
export * from './words'
