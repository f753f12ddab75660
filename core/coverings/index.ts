/** The covering speaks twice: as limits on where rails may run, and as take-off. */
export * from './courses'
