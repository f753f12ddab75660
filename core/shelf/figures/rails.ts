import type { Group } from './figure'

export const railGroups: Group[] = [
  {
    title: 'Spans', figures: [
      { path: 'usualSpanMm', label: 'Usual span', is: 'length', hint: 'where no loads are worked out' },
      { path: 'greatestSpanMm', label: 'Greatest span', is: 'length', hint: 'by its maker, whatever the load', also: ['Max span', 'Maximum span'] },
      { path: 'overhangMm', label: 'Greatest overhang', is: 'length', optional: true, hint: 'empty: 24 in by common practice', also: ['Max overhang', 'Overhang', 'Cantilever'] },
      { path: 'longestRunMm', label: 'Longest run', is: 'length', hint: 'without an expansion break' },
    ],
  },
  {
    title: 'Sticks it is sold in', rows: { path: 'stock', one: 'Stick', most: 8 }, figures: [
      { path: 'mm', label: 'length', is: 'length' },
      { path: 'price', label: 'price', is: 'price' },
    ],
  },
  {
    title: 'Section', figures: [
      { path: 'massKgPerM', label: 'Mass a length', is: 'line-mass', also: ['Weight per length'] },
      { path: 'section.ixMm4', label: 'Ix', is: 'second-moment', hint: 'second moment, loads normal to the roof' },
      { path: 'section.zxMm3', label: 'Zx', is: 'section-modulus', hint: 'least section modulus, the same way', also: ['Wx', 'Sx'] },
      { path: 'section.iyMm4', label: 'Iy', is: 'second-moment', hint: 'loads down the slope' },
      { path: 'section.zyMm3', label: 'Zy', is: 'section-modulus', also: ['Wy', 'Sy'] },
      { path: 'section.shearAreaMm2', label: 'Shear area', is: 'small-area' },
      { path: 'section.eMpa', label: 'Modulus E', is: 'stress', hint: 'of elasticity', also: ['Elastic modulus'] },
      { path: 'section.fyMpa', label: 'Yield strength', is: 'stress', also: ['Fty', 'fo', 'Rp0.2'] },
      { path: 'section.fuMpa', label: 'Breaking strength', is: 'stress', also: ['Ftu', 'fu', 'Rm'] },
      { path: 'section.kt', label: 'Tension coefficient kt', is: 'number', of: '', hint: 'of the alloy' },
    ],
  },
  {
    title: 'Splice', figures: [
      { path: 'splice.partName', label: 'Splice', is: 'text' },
      { path: 'splice.price', label: 'Splice price', is: 'price' },
      { path: 'splice.barMm', label: 'Splice bar', is: 'length', hint: 'its length' },
      { path: 'splice.bonds', label: 'Splice joins electrically', is: 'flag', yes: 'By its listing', no: 'Needs a jumper' },
      { path: 'splice.clearMm', label: 'Splice clear of fixings', is: 'length', hint: 'from the bar’s end to a fixing' },
      { path: 'splice.continuity', label: 'Splice carries', is: 'choice', choices: { full: 'Moment, like the rail', hinged: 'No moment: a hinge' } },
      { path: 'splice.midspanShare', label: 'Splice not in the middle', is: 'share', hint: 'of a span; 0 where it may lie anywhere' },
      { path: 'splice.endSpans', label: 'Splice in end spans', is: 'flag', yes: 'Allowed', no: 'Not allowed' },
      { path: 'splice.bridgeMm', label: 'Splice bridges', is: 'length', hint: 'greatest gap; 0 where rails must touch' },
      { path: 'endCapName', label: 'End cap', is: 'text' },
    ],
  },
  {
    title: 'Coupled frames in place of rails', maybe: { path: 'frame', has: 'It couples the modules’ own frames' }, figures: [
      { path: 'frame.rowGapMm', label: 'Gap between rows', is: 'length' },
      { path: 'frame.cornerMm', label: 'Mount from a corner', is: 'length' },
      { path: 'frame.upPa', label: 'Modules take, up', is: 'pressure' },
      { path: 'frame.downPa', label: 'Modules take, down', is: 'pressure' },
      { path: 'frame.skirt.name', label: 'Skirt', is: 'text' },
      { path: 'frame.skirt.mm', label: 'Skirt length', is: 'length' },
      { path: 'frame.skirt.price', label: 'Skirt price', is: 'price' },
      { path: 'frame.skirt.massKgPerM', label: 'Skirt mass a length', is: 'line-mass' },
    ],
  },
]
