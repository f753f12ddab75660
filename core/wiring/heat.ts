/**
 * How many kelvin cells are over the air for each W/m²: on rails with air behind, and in the roof with little (Ross coefficients, the usual
 * table, from memory).
 */
export const ROSS = { rails: 0.026, roof: 0.0342 }
/** Light at which the hottest cells are reckoned, W/m². */
const FULL_LIGHT_WM2 = 1000

/** Cells of a hot day, °C: the air's temperature and what the sun adds. Vmp is taken at the cell's temperature, never at the air's. */
export const hotCellC = (airC: number, inRoof: boolean): number => airC + FULL_LIGHT_WM2 * (inRoof ? ROSS.roof : ROSS.rails)
