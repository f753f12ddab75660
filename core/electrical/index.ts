/**
 * What the electrical codes give as tables and formulas: copper, what it carries and loses, devices, raceways and their fill, busbars, and the
 * figures of each edition. It knows no job and no roof.
 */
export * from './ampacity'
export * from './connection'
export * from './devices'
export * from './drop'
export * from './editions'
export * from './figures'
export * from './insulation'
export * from './raceway'
export * from './resistance'
export * from './sizes'
