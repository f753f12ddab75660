import { coveringNames, fireClassNames, inRoofKindNames, wayUpNames } from '../../catalogue'
import type { Group } from './figure'

const formats = { asd: 'Allowable (ASD)', en: 'Design (Eurocode)' }

/** Lengths in which an edge's flashing is sold. */
const lengthsOf = (edge: 'bottom' | 'top' | 'side', label: string): Group['figures'] => [
  { path: `${edge}.stockMm`, label: `${label} flashing, length`, is: 'length' },
  { path: `${edge}.overlapMm`, label: `${label} flashing, lap of two`, is: 'length' },
]

export const inRoofGroups: Group[] = [
  {
    title: 'What it is', figures: [
      { path: 'kind', label: 'System', is: 'choice', choices: inRoofKindNames },
      { path: 'coverings', label: 'Among', is: 'choices', choices: coveringNames },
      { path: 'leastPitchDeg', label: 'Least pitch', is: 'number', of: '°' },
      { path: 'greatestPitchDeg', label: 'Greatest pitch', is: 'number', of: '°' },
      { path: 'mostRows', label: 'Most rows', is: 'count', of: 'rows' },
      { path: 'waysUp', label: 'Modules lie', is: 'choices', choices: wayUpNames },
      { path: 'columnGapMm', label: 'Gap between columns', is: 'length' },
      { path: 'rowGapMm', label: 'Gap between rows', is: 'length' },
      { path: 'changeCourses', label: 'Courses where the way up changes', is: 'count', of: 'courses' },
      { path: 'apartMm', label: 'Two arrays apart at least', is: 'length' },
      { path: 'kitKg', label: 'Kit under one module', is: 'mass' },
    ],
  },
  {
    title: 'Edges', figures: [
      { path: 'bottom.downMm', label: 'Apron below the modules', is: 'length' },
      { path: 'bottom.lapMm', label: 'Apron over the course below', is: 'length', hint: 'least' },
      { path: 'bottom.clearMm', label: 'Course’s head to the modules', is: 'length', hint: 'least' },
      ...lengthsOf('bottom', 'Bottom'),
      { path: 'top.upMm', label: 'Flashing above the modules', is: 'length' },
      { path: 'top.lapMm', label: 'Under the course above', is: 'length', hint: 'least' },
      { path: 'top.gapMm', label: 'Modules to the course above', is: 'length', hint: 'least' },
      ...lengthsOf('top', 'Top'),
      { path: 'side.outMm', label: 'Flashing beside the modules', is: 'length' },
      { path: 'side.gapMm', label: 'Modules to the cut units', is: 'length' },
      ...lengthsOf('side', 'Side'),
      { path: 'innerCorners', label: 'Turns inwards', is: 'flag', yes: 'Has inner corners', no: 'Rectangles only' },
      { path: 'oneRowSides', label: 'Side one row high', is: 'flag', yes: 'In one piece with its corners', no: 'Side and two corners' },
    ],
  },
  {
    title: 'Roof windows', figures: [
      { path: 'window.nearMm', label: 'Window to module, least', is: 'length' },
      { path: 'window.farMm', label: 'Cover set bridges at most', is: 'length' },
      { path: 'window.tiledMm', label: 'With units between, least', is: 'length' },
    ],
  },
  {
    title: 'Cover sets', rows: { path: 'windowSets', one: 'Set', most: 20 }, figures: [
      { path: 'name', label: 'called', is: 'text' },
      { path: 'wideFromMm', label: 'window wide from', is: 'length' },
      { path: 'wideToMm', label: 'window wide to', is: 'length' },
      { path: 'highFromMm', label: 'window high from', is: 'length' },
      { path: 'highToMm', label: 'window high to', is: 'length' },
    ],
  },
  {
    title: 'Lines that lie on battens', rows: { path: 'lines', one: 'Line', most: 12 }, figures: [
      { path: 'wayUp', label: 'module lies', is: 'choice', choices: wayUpNames },
      { path: 'fromMm', label: 'from', is: 'length', hint: 'up from the module’s lower edge' },
      { path: 'toMm', label: 'to', is: 'length' },
      { path: 'screws', label: 'screws a module', is: 'count', of: 'screws' },
      { path: 'insetMm', label: 'outermost in from its side', is: 'length' },
    ],
  },
  {
    title: 'Screw and clamps', figures: [
      { path: 'screw.name', label: 'Screw', is: 'text' },
      { path: 'screw.diameterMm', label: 'Screw diameter', is: 'length' },
      { path: 'screw.threadMm', label: 'Screw thread', is: 'length' },
      { path: 'screw.leastMm', label: 'Least thread in the batten', is: 'length', optional: true, hint: 'by its approval; empty: the code’s 6 d' },
      { path: 'screw.edgeMm', label: 'Screw to the batten’s edge', is: 'length' },
      { path: 'clamps', label: 'Clamps a module', is: 'count', of: 'clamps' },
    ],
  },
  {
    title: 'Pulled through', rows: { path: 'screw.pullThrough', one: 'Pull-through', most: 2 }, figures: [
      { path: 'format', label: 'as', is: 'choice', choices: formats },
      { path: 'n', label: 'a screw', is: 'force' },
    ],
  },
  {
    title: 'What a module on it held in the test', rows: { path: 'holds', one: 'Test', most: 2 }, figures: [
      { path: 'format', label: 'as', is: 'choice', choices: formats },
      { path: 'upPa', label: 'up', is: 'pressure' },
      { path: 'downPa', label: 'down', is: 'pressure' },
      { path: 'slopePa', label: 'down the slope', is: 'pressure', optional: true, hint: 'on the module’s area; empty: not tested for it' },
    ],
  },
  {
    title: 'Pressure equalisation', maybe: { path: 'relief', has: 'A test says what share of the suction acts' }, figures: [
      { path: 'relief.share', label: 'Share of the outer suction', is: 'number', of: 'of 1' },
      { path: 'relief.test', label: 'Equalisation test', is: 'text' },
    ],
  },
  {
    title: 'Water, cables, work', figures: [
      { path: 'underlayBelowDeg', label: 'Closed underlay under', is: 'number', of: '°' },
      { path: 'underlay', label: 'Underlay and airing', is: 'text' },
      { path: 'cable', label: 'Cables come through', is: 'text' },
      { path: 'moduleMinutes', label: 'A module takes two people', is: 'number', of: 'minutes' },
      { path: 'pieceMinutes', label: 'A piece of flashing takes', is: 'number', of: 'minutes' },
      { path: 'tools', label: 'Tools', is: 'texts', hint: 'with ; between' },
    ],
  },
]

export const approvalGroups: Group[] = [{
  title: 'What was tested together', figures: [
    { path: 'moduleId', label: 'Module', is: 'part', on: 'modules' },
    { path: 'systemId', label: 'In-roof system', is: 'part', on: 'inRoofs' },
    { path: 'test', label: 'Test report', is: 'text' },
    { path: 'fireClass', label: 'Fire class', is: 'choice', choices: fireClassNames },
    { path: 'on', label: 'Approved on', is: 'text' },
  ],
}]
