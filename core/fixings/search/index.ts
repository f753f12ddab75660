/** The cheapest placement of a rail's fixings that passes its whole check, proved from below. */
export * from './aims'
export * from './drop'
export type { LayeredRail } from './layers'
export * from './prove'
export * from './relaxed'
export * from './steps'
