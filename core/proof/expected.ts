import type { Plate } from '../catalogue'
import type { Light } from '../job'

/** Boltzmann's constant over the elementary charge, V/K (exact by the SI of 2019). */
const K_OVER_Q = 1.380649e-23 / 1.602176634e-19
const ZERO_C_K = 273.15
export const STC = { gWm2: 1000, cellC: 25 } as const satisfies Light

/** Diode factor of crystalline cells where the maker gives none: 1.0 to 1.2 are usual (from memory), so this is their middle. */
export const USUAL_DIODE_FACTOR = 1.1

/** Cells one after the other: half-cut ones lie in two strings side by side. */
export const cellsInSeries = ({ cells, halfCut }: Pick<Plate, 'cells' | 'halfCut'>): number => halfCut ? cells / 2 : cells

/** Change of open-circuit voltage with each kelvin, as a share: the maker's, else that of power, which is a little steeper. */
export const vocPerKelvin = ({ vocPerK, powerPerK }: Pick<Plate, 'vocPerK' | 'powerPerK'>): number => vocPerK ?? powerPerK

/**
 * What less light takes from a module's open-circuit voltage, V: m Ns k T / q ln(G / 1000), below nought under 1000 W/m².
 * @see IEC 60891:2021, procedure 2: its a is this over Voc (from memory)
 */
export const lightTermV = (plate: Plate, { gWm2, cellC }: Light): number => (plate.diodeFactor ?? USUAL_DIODE_FACTOR) * cellsInSeries(plate) * K_OVER_Q * (cellC + ZERO_C_K) * Math.log(gWm2 / STC.gWm2)

/** Open-circuit voltage of one module as it should read in a light, V: Voc (1 + β (T − 25)) and the light's term. */
export const expectedVocV = (plate: Plate, light: Light): number => plate.vocV * (1 + vocPerKelvin(plate) * (light.cellC - STC.cellC)) + lightTermV(plate, light)

/** Short-circuit current of strings side by side as it should read in a light, A: n Isc G/1000 (1 + α (T − 25)). */
export const expectedIscA = ({ iscA, iscPerK }: Pick<Plate, 'iscA' | 'iscPerK'>, { gWm2, cellC }: Light, beside = 1): number => beside * iscA * gWm2 / STC.gWm2 * (1 + iscPerK * (cellC - STC.cellC))

/** A current that was read, brought to 1000 W/m², before temperature, A: 5.08 A at 351 W/m² are 14.47 A. */
export const atFullLightA = (amps: number, gWm2: number): number => amps * STC.gWm2 / gWm2

/** A string's open-circuit voltage as it would read at 1000 W/m² and 25 °C, a module, V: by it then and now are compared. */
export const vocAtStcV = (plate: Plate, light: Light, volts: number, modules: number): number => volts / modules * plate.vocV / expectedVocV(plate, light)
