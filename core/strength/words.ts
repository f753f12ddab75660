import { force, length, moment, pressure, type Quantity } from '../units'
import type { CheckKind } from './check'
import type { HoldKind } from './modules'

/** What is checked, as it stands in a sentence. */
export const checkWords: Record<CheckKind | HoldKind, { name: string, of: (value: number) => Quantity }> = {
  'bending': { name: 'bending of the rail', of: moment },
  'shear': { name: 'shear in the rail', of: force },
  'deflection': { name: 'sag between fixings', of: length },
  'overhang-deflection': { name: 'sag past the last fixing', of: length },
  'fixing-up': { name: 'a fixing’s pull', of: force },
  'fixing-down': { name: 'a fixing’s push', of: force },
  'fixing-slope': { name: 'a fixing’s hold down the slope', of: force },
  'hook': { name: 'a hook’s give on to the tile below', of: length },
  'module-up': { name: 'suction on a module', of: pressure },
  'module-down': { name: 'pressure on a module', of: pressure },
  'clamp-up': { name: 'a clamp’s pull-off', of: force },
  'clamp-slope': { name: 'a clamp’s slip', of: force },
}
