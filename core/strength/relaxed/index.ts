/** What can't pass the check of a whole rail, proved from its left end: the search for the fewest fixings throws away nothing else. */
export * from './relaxed'
