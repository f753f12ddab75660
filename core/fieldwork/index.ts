/** Work on the roof: what a crew follows, what of it is there, what moves when the roof is not as planned, feet and strings, and what is open before the day ends. */
export * from './feet'
export * from './following'
export * from './moves'
export * from './open'
export * from './photographs'
export { fieldwork } from './says'
export * from './weather'
