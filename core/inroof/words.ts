import type { Arrival, ArrivalThing, InRoofWork, OtherTrade, Relief, ReliefTick } from '../job'
import { checkWords } from '../strength'
import { force, moment, pressure, type Quantity } from '../units'
import type { SetOutProof } from './layout'
import type { CoverCheck } from './strength'

export const coverCheckWords: Record<CoverCheck, { name: string, of: (value: number) => Quantity }> = {
  'module-up': checkWords['module-up'],
  'module-down': checkWords['module-down'],
  'module-slope': { name: 'pull down the slope', of: pressure },
  'screw': { name: 'a screw’s pull', of: force },
  'batten-bending': { name: 'bending of a batten', of: moment },
  'batten-shear': { name: 'shear in a batten', of: force },
  'batten-nails': { name: 'pull on a batten’s nails', of: force },
}

export const workNames: Record<InRoofWork, string> = { 'new': 'New roof', 're-roof': 'Re-roof', 'retrofit': 'Retrofit, the covering stays' }
export const reliefNames: Record<Relief, string> = { 'none': 'None', 'test': 'By the system’s test', 'porous-skin': 'Porous outer skin (EN 1991-1-4, 7.2.10)' }
export const tickNames: Record<ReliefTick, string> = {
  'porous-outside': 'Covering porous all over',
  'closed-inside': 'Closed layer behind it',
  'edges-closed': 'Cavity closed at eave, ridge and verges',
  'thin-cavity': 'Cavity under 100 mm deep',
}
export const thingNames: Record<ArrivalThing, string> = { felt: 'Felt', battens: 'Battens', windows: 'Roof windows', vents: 'Vents', scaffold: 'Scaffold' }
export const arrivalNames: Record<Arrival, string> = { unseen: 'Not seen', done: 'There', missing: 'Missing' }
export const tradeNames: Record<OtherTrade, string> = {
  roofer: 'Roofer',
  carpenter: 'Carpenter',
  scaffolder: 'Scaffolder',
  electrician: 'Electrician',
  builder: 'Builder',
}
/** Who is asked for a thing that is missing, and for what. */
export const askedOf: Record<ArrivalThing, { trade: OtherTrade, what: string }> = {
  felt: { trade: 'roofer', what: 'Lay the felt over the whole face' },
  battens: { trade: 'roofer', what: 'Nail the battens to the gauge over the whole face' },
  windows: { trade: 'roofer', what: 'Set the roof windows with their frames and size written down' },
  vents: { trade: 'roofer', what: 'Set the vents clear of the array' },
  scaffold: { trade: 'scaffolder', what: 'Put up the scaffold with its lift below the eave' },
}

/** By what an array stands where it does, and what of that is shown. */
export function triedWords({ proved, as }: Pick<SetOutProof, 'proved' | 'as'>): string {
  if (as === 'typed') return 'At the origin that was typed; others may be better'
  if (!proved) return 'Not every origin was tried: better ones are not excluded'
  const all = 'Every height on whole mm that courses allow was tried with every place along it where anything changes'
  return as === 'found' ? all : `${all}; ${as === 'wanted' ? 'fewer are wanted than it holds' : 'then places were left empty'}`
}
