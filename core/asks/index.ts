/** Questions to the solver about a planned job: how rows could stand, overhangs balanced, rails compared, where to knock next, a face built both ways, modules approved since. */
export * from './approved'
export * from './arrange'
export * from './balance'
export * from './both-ways'
export * from './compare'
export * from './probe'
export * from './level'
