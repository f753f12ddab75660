/** Questions to the solver about a planned job: how rows could stand, overhangs balanced, rails compared, where to knock next. */
export * from './arrange'
export * from './balance'
export * from './compare'
export * from './probe'
