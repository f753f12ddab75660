/** Shares of what is allowed are let go this far over 1, so that rounding never throws away what passes. */
export const OUTWARD = 1 + 1e-7
