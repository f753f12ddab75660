import { closureParts, closureWayNames, coveringNames, profileNames, sealNames } from '../../catalogue'
import type { Group } from './figure'

const supportChoices = { rafters: 'Rafters', purlins: 'Purlins or battens', seams: 'Standing seams', screws: 'The sheet’s own screws', sheathing: 'Sheathing' }

const resistances: Group = {
  title: 'What one holds, by its maker', rows: { path: 'resistances', one: 'Resistance', most: 2 }, figures: [
    { path: 'format', label: 'as', is: 'choice', choices: { asd: 'Allowable (ASD)', en: 'Design (Eurocode)' } },
    { path: 'upN', label: 'up', is: 'force', hint: 'off the roof' },
    { path: 'downN', label: 'down', is: 'force' },
    { path: 'slopeN', label: 'down the slope', is: 'force' },
  ],
}

const partNames = Object.fromEntries(closureParts.map(part => [part, `${part[0]!.toUpperCase()}${part.slice(1).replace('-', ' ')}`]))

/** A way through a covering, figure by figure. */
const closures: Group = {
  title: 'Ways through the covering', rows: { path: 'closures', one: 'Way', most: 12 }, figures: [
    { path: 'id', label: 'id', is: 'text', hint: 'small letters and dashes' },
    { path: 'name', label: 'called', is: 'text' },
    { path: 'coverings', label: 'through', is: 'choices', choices: coveringNames },
    { path: 'way', label: 'kind', is: 'choice', choices: closureWayNames },
    { path: 'profiles', label: 'made for', is: 'choices', choices: profileNames, optional: true, hint: 'seams and metal tiles; empty: any' },
    { path: 'screwsUp.fromMm', label: 'screws up from the rail, least', is: 'length' },
    { path: 'screwsUp.toMm', label: 'screws up from the rail, most', is: 'length' },
    { path: 'plateHighMm', label: 'plate up the slope', is: 'length' },
    { path: 'plateWideMm', label: 'plate across', is: 'length' },
    { path: 'armDownMm', label: 'arm leaves below the screws', is: 'length', hint: '0: no arm' },
    { path: 'armThickMm', label: 'arm thick', is: 'length' },
    { path: 'riseMm', label: 'arm above the timber at most', is: 'length' },
    { path: 'headMm', label: 'flashing above the screws', is: 'length', hint: '0: none' },
    { path: 'footMm', label: 'flashing below the screws', is: 'length' },
    { path: 'flashWideMm', label: 'flashing wide', is: 'length' },
    { path: 'cutWideMm', label: 'cut wide', is: 'length', hint: '0: nothing is cut' },
    { path: 'cutHighMm', label: 'cut high', is: 'length' },
    { path: 'cutDeepMm', label: 'cut deep', is: 'length', hint: '0: right through' },
    { path: 'cutToleranceMm', label: 'cut within', is: 'length' },
    { path: 'cutOldHighMm', label: 'slot in an old lap at most', is: 'length' },
    { path: 'cutUpMm', label: 'slot above the lower edge', is: 'length' },
    { path: 'edgeMm', label: 'clear of the unit’s edge', is: 'length' },
    { path: 'playMm', label: 'aside of the plate', is: 'length' },
    { path: 'trimMm', label: 'shingle trimmed back', is: 'length' },
    { path: 'lifts', label: 'lifts the covering', is: 'flag', yes: 'Lifts it', no: 'Lifts nothing' },
    { path: 'liftUnits', label: 'units lifted in a course', is: 'count', of: 'units' },
    { path: 'liftCourses', label: 'courses lifted', is: 'count', of: 'courses' },
    { path: 'battenCut', label: 'batten may be cut', is: 'flag', yes: 'May be cut', no: 'Stays whole' },
    { path: 'seal', label: 'sealed', is: 'choice', choices: sealNames },
    { path: 'beadMm', label: 'bead', is: 'length' },
    { path: 'sealAcrossMm', label: 'bead across, or inner ring', is: 'length' },
    { path: 'sealUpMm', label: 'bead up, or outer ring', is: 'length' },
    { path: 'filmMm', label: 'film under the underside', is: 'length' },
    { path: 'fillMl', label: 'injected', is: 'volume' },
    { path: 'dabs', label: 'dabs on tabs', is: 'count', of: 'dabs' },
    { path: 'dabMl', label: 'a dab', is: 'volume' },
    { path: 'nails', label: 'nails pulled', is: 'count', of: 'nails' },
    { path: 'parts', label: 'one each of', is: 'choices', choices: partNames, optional: true },
    { path: 'breaks', label: 'share of lifted that break', is: 'number', of: 'of 1' },
    { path: 'minutes', label: 'takes', is: 'number', of: 'minutes' },
    { path: 'leastC', label: 'not below', is: 'number', of: '°C', optional: true },
    { path: 'dry', label: 'wants it dry', is: 'flag', yes: 'Dry only', no: 'In the wet too' },
  ],
}

export const mountGroups: Group[] = [
  {
    title: 'Where it goes', figures: [
      { path: 'coverings', label: 'Coverings', is: 'choices', choices: coveringNames },
      { path: 'into', label: 'Fixed to', is: 'choices', choices: supportChoices },
      { path: 'leastSheathingMm', label: 'Least sheathing', is: 'length', optional: true, hint: 'for mounts made for sheathing' },
      { path: 'greatestSpanMm', label: 'Greatest distance of two', is: 'length', optional: true, hint: 'by its maker' },
    ],
  },
  {
    title: 'Screws that must find timber', maybe: { path: 'fasteners', has: 'It is screwed into timber' }, figures: [
      { path: 'fasteners.kind', label: 'Screw kind', is: 'choice', choices: { 'lag': 'Lag screw', 'wood-screw': 'Wood or structural screw' } },
      { path: 'fasteners.diameterMm', label: 'Screw diameter', is: 'length' },
      { path: 'fasteners.lengthMm', label: 'Screw length', is: 'length' },
      { path: 'fasteners.tipMm', label: 'Screw tip', is: 'length', hint: 'holds nothing' },
      { path: 'fasteners.threadMm', label: 'Screw thread', is: 'length', optional: true, hint: 'with its tip; empty: standard' },
      { path: 'fasteners.rootMm', label: 'Screw root', is: 'length', optional: true, hint: 'empty: 0.7 of the diameter' },
      { path: 'fasteners.yieldMpa', label: 'Screw yield strength', is: 'stress', hint: 'in bending' },
      { path: 'fasteners.pilotMm', label: 'Pilot', is: 'length', optional: true, hint: 'empty: none' },
      { path: 'fasteners.edgeDiameters', label: 'Edge distance', is: 'number', of: 'diameters' },
      { path: 'fasteners.acrossMm', label: 'Screws across', is: 'lengths', hint: 'each from the middle, with ; between' },
      { path: 'fasteners.alongMm', label: 'Screws along', is: 'length', optional: true, hint: 'apart, along the rafter; empty: one' },
      { path: 'fasteners.approval', label: 'Approval', is: 'text', optional: true, hint: 'for edges and spacings of its own' },
    ],
  },
  resistances,
  {
    title: 'Hook', maybe: { path: 'hook', has: 'It is a hook' }, figures: [
      { path: 'hook.stiffnessNPerMm', label: 'Hook stiffness', is: 'stiffness' },
      { path: 'hook.clearMm', label: 'Hook clear of the tile', is: 'length', hint: 'the tile below' },
      { path: 'hook.armMm', label: 'Hook arm', is: 'length', hint: 'its width' },
      { path: 'hook.travelMm', label: 'Hook travel', is: 'length', hint: 'to either side' },
    ],
  },
  {
    title: 'Measures', figures: [
      { path: 'underMm', label: 'Under the head', is: 'length', hint: 'foot, flashing and pad' },
      { path: 'plateMm', label: 'Plate', is: 'length', hint: 'metal the screw bears on' },
      { path: 'offsetMm', label: 'Pull up-slope of the screws', is: 'length' },
      { path: 'heelMm', label: 'Heel below the screws', is: 'length' },
      { path: 'standoffMm', label: 'Rail above the timber', is: 'length' },
      { path: 'halfFootprintMm', label: 'Half its length on a course', is: 'length' },
      { path: 'massKg', label: 'Weight', is: 'mass', also: ['Mass'] },
      { path: 'price', label: 'Price', is: 'price' },
    ],
  },
  {
    title: 'How it is fixed', figures: [
      { path: 'screw.name', label: 'Screw', is: 'text' },
      { path: 'screw.perMount', label: 'Screws a mount', is: 'count', of: 'screws' },
      { path: 'screw.pilot', label: 'Pilot in words', is: 'text' },
      { path: 'torqueNm', label: 'Torque', is: 'torque', hint: 'of the bolt that holds the rail' },
      { path: 'sealant', label: 'Made watertight', is: 'text' },
      { path: 'tools', label: 'Tools', is: 'texts', hint: 'with ; between' },
    ],
  },
  closures,
]

export const clampGroups: Group[] = [
  {
    title: 'What it takes', figures: [
      { path: 'thicknessMm.fromMm', label: 'Thinnest frame', is: 'length' },
      { path: 'thicknessMm.toMm', label: 'Thickest frame', is: 'length' },
      { path: 'gapMm', label: 'Gap between modules', is: 'length', hint: 'width of a mid clamp' },
      { path: 'railPastMm', label: 'Rail past the module', is: 'length', hint: '0 for a hidden end clamp' },
    ],
  },
  {
    title: 'How it is fixed', figures: [
      { path: 'torqueNm', label: 'Torque', is: 'torque' },
      { path: 'bonds', label: 'Bonding listing', is: 'text', optional: true, hint: 'joins frame and rail; empty: does not' },
      { path: 'bolt.name', label: 'Bolt', is: 'text' },
      { path: 'bolt.enters', label: 'Bolt enters', is: 'choice', choices: { slot: 'Dropped in and turned', end: 'From the rail’s end' } },
    ],
  },
  resistances,
]
