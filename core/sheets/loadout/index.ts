/** What goes on the van: parts by face, stage and lift, spares, packs, tools, and what is bought of whom. */
export * from './csv'
export * from './lifts'
export type * from './line'
export * from './list'
export * from './spares'
