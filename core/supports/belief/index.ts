/** What is believed of a row of rafters after its hits, as chances that hold: of roofs drawn from the same prior, so many are as said. */
export * from './belief'
export * from './places'
export * from './prior'
export * from './row-state'
