/** What the roof log says is there: holes with their state, rails that are cut, modules that are laid. Folded from its entries, in their order. */
export * from './damages'
export * from './differences'
export * from './drilled'
export * from './laid'
