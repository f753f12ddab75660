/** What workings are of that others take values from. */
export const DEAD_LOAD = 'Dead load of the array'
export const UNIFORM_SNOW = 'Uniform snow normal to the roof'
export const BALANCED_SNOW = 'Balanced snow on the roof'
