/** A rail as a continuous beam on fixed supports: moment, shear, slope, sag and reactions, exact for uniform and point loads. */
export * from './solve'
export * from './extremes'
