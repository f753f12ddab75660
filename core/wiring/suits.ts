import type { Electronics, Trunk } from '../catalogue'
import type { Orientation, WiringSystem } from '../job'

/** The system that a unit belongs to, by what it does and how many modules it takes. */
export const systemOfUnit = ({ kind, modules }: Electronics): WiringSystem => kind === 'optimiser' ? 'optimisers' : kind === 'shutdown' ? 'shutdown-units' : modules === 1 ? 'unit-each' : modules === 2 ? 'unit-for-two' : 'unit-for-four'

/** Whether a unit belongs to a system. */
export const unitSuits = (unit: Electronics, system: WiringSystem): boolean => systemOfUnit(unit) === system

/** Whether a trunk takes a unit, is of this side of the ocean and has its drops far enough apart for all of these ways up. */
export const trunkSuits = (trunk: Trunk, unitId: string, ways: Orientation[], us: boolean): boolean => trunk.unitIds.includes(unitId) && us === trunk.conductor.endsWith('AWG') && (trunk.for === 'either' || ways.every(way => way === trunk.for))
