import { conductorSizes, serviceNames, services, unitKindNames } from '../../catalogue'
import type { Group } from './figure'

/** One figure at each service. */
const atEach = (path: string, label: string, figure: { is: 'current' } | { is: 'count', of: string }): Group['figures'] =>
  services.map(service => ({ path: `${path}.${service}`, label: `${label}, ${serviceNames[service]}`, ...figure, optional: true as const }))

export const electronicsGroups: Group[] = [
  {
    title: 'What it is', figures: [
      { path: 'kind', label: 'Unit', is: 'choice', choices: unitKindNames },
      { path: 'modules', label: 'Modules on one', is: 'count', of: 'modules' },
      { path: 'on', label: 'Bolted to', is: 'choice', choices: { rail: 'The rail', frame: 'The module’s frame', module: 'Comes with the module' } },
      { path: 'shutdown', label: 'Rapid-shutdown listing', is: 'text', optional: true, hint: 'empty: none' },
      { path: 'bonds', label: 'Bond by its bolt', is: 'flag', yes: 'Joins case and rail', no: 'Needs a lug' },
    ],
  },
  {
    title: 'Output and branch', figures: [
      ...atEach('outA', 'Rated output', { is: 'current' }),
      ...atEach('mostPerBranch', 'Most on a branch', { is: 'count', of: 'units' }),
      { path: 'mostDeviceA', label: 'Largest device of a branch', is: 'current', optional: true },
    ],
  },
  {
    title: 'Inputs', figures: [
      { path: 'inV', label: 'Greatest input', is: 'voltage', hint: 'open circuit, at the coldest' },
      { path: 'inA', label: 'Greatest input current', is: 'current', optional: true, hint: 'short circuit' },
      { path: 'inW', label: 'Greatest module', is: 'power', optional: true },
    ],
  },
  {
    title: 'On a string', maybe: { path: 'string', has: 'It stands on a string' }, figures: [
      { path: 'string.least', label: 'Fewest on a string', is: 'count', of: 'units' },
      { path: 'string.most', label: 'Most on a string', is: 'count', of: 'units' },
      { path: 'string.mostW', label: 'Greatest string power', is: 'power', optional: true },
    ],
  },
  {
    title: 'When told to let go', figures: [
      { path: 'standbyV', label: 'Leaves on its output', is: 'voltage', optional: true, hint: 'a unit on a string' },
    ],
  },
  {
    title: 'Size and leads', figures: [
      { path: 'wideMm', label: 'Wide, along the rail', is: 'length' },
      { path: 'highMm', label: 'High', is: 'length' },
      { path: 'deepMm', label: 'Deep', is: 'length' },
      { path: 'massKg', label: 'Weight', is: 'mass', also: ['Mass'] },
      { path: 'price', label: 'Price', is: 'price' },
      { path: 'inLeadMm', label: 'Lead to a module', is: 'length' },
      { path: 'outLeadMm', label: 'Lead along the string', is: 'length', optional: true },
      { path: 'plugs', label: 'Plugs', is: 'text', hint: 'their make' },
      { path: 'up', label: 'Upper side', is: 'choice', choices: { label: 'Label up', either: 'Either' } },
      { path: 'drop', label: 'Cable leaves', is: 'choice', choices: { left: 'On its left', right: 'On its right', below: 'Below' } },
    ],
  },
  {
    title: 'Bolt', maybe: { path: 'bolt', has: 'It is bolted' }, figures: [
      { path: 'bolt.name', label: 'Bolt', is: 'text' },
      { path: 'bolt.torqueNm', label: 'Torque', is: 'torque' },
    ],
  },
]

export const trunkGroups: Group[] = [{
  title: 'What it is', figures: [
    { path: 'unitIds', label: 'Takes', is: 'parts', on: 'electronics' },
    { path: 'for', label: 'For modules', is: 'choice', choices: { 'upright': 'Upright', 'on-side': 'On their side', 'either': 'Either way' } },
    { path: 'spacingMm', label: 'Drops apart', is: 'length' },
    { path: 'listedA', label: 'Listed for', is: 'current' },
    { path: 'conductor', label: 'Conductor', is: 'choice', choices: Object.fromEntries(conductorSizes.map(size => [size, size])) },
    { path: 'price', label: 'Price of a drop', is: 'price' },
    { path: 'massKg', label: 'Weight of a drop', is: 'mass' },
  ],
}]

export const inverterGroups: Group[] = [
  {
    title: 'Input', figures: [
      { path: 'mostV', label: 'Greatest input', is: 'voltage' },
      { path: 'windowV.from', label: 'Window from', is: 'voltage', hint: 'full power' },
      { path: 'windowV.to', label: 'Window to', is: 'voltage' },
      { path: 'startV', label: 'Starts at', is: 'voltage' },
      { path: 'mostDcW', label: 'Most array power', is: 'power', optional: true },
      { path: 'heldV', label: 'Holds a string at', is: 'voltage', optional: true, hint: 'with optimisers' },
      { path: 'unitIds', label: 'Works with', is: 'parts', on: 'electronics', hint: 'optimisers and shutdown units' },
    ],
  },
  {
    title: 'Trackers', rows: { path: 'trackers', one: 'Tracker', most: 6 }, figures: [
      { path: 'inputs', label: 'strings side by side', is: 'count', of: 'strings' },
      { path: 'workingA', label: 'working current', is: 'current' },
      { path: 'shortA', label: 'short-circuit current', is: 'current' },
    ],
  },
  {
    title: 'Output', figures: [
      { path: 'acW', label: 'Rated output', is: 'power' },
      ...atEach('outA', 'Output current', { is: 'current' }),
      { path: 'massKg', label: 'Weight', is: 'mass', also: ['Mass'] },
      { path: 'price', label: 'Price', is: 'price' },
    ],
  },
]
