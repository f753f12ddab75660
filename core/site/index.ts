/** What people find out and decide before anyone climbs. */
export { siteStopWords } from './findings'
export { site } from './says'
