import type { Group } from './figure'

export const moduleGroups: Group[] = [
  { title: 'Power', figures: [{ path: 'powerW', label: 'Nominal power', is: 'power', also: ['Pmax', 'Pmpp', 'Wp', 'Power', 'Watts', 'Rated power', 'Maximum power'] }] },
  {
    title: 'Electrics at standard test conditions', maybe: { path: 'plate', has: 'The data plate is at hand' }, figures: [
      { path: 'plate.vocV', label: 'Voc', is: 'voltage', hint: 'open circuit', also: ['Open circuit voltage'] },
      { path: 'plate.vmpV', label: 'Vmp', is: 'voltage', hint: 'at greatest power', also: ['Vmpp', 'Voltage at maximum power'] },
      { path: 'plate.iscA', label: 'Isc', is: 'current', hint: 'short circuit', also: ['Short circuit current'] },
      { path: 'plate.impA', label: 'Imp', is: 'current', hint: 'at greatest power', also: ['Impp', 'Current at maximum power'] },
      { path: 'plate.powerPerK', label: 'Power with temperature', is: 'per-kelvin', hint: 'below nought', also: ['Temperature coefficient of Pmax', 'Temperature coefficient Pmax'] },
      { path: 'plate.vocPerK', label: 'Voc with temperature', is: 'per-kelvin', hint: 'below nought; empty: by the code’s table', optional: true, also: ['Temperature coefficient of Voc', 'Temperature coefficient Voc'] },
      { path: 'plate.iscPerK', label: 'Isc with temperature', is: 'per-kelvin', also: ['Temperature coefficient of Isc', 'Temperature coefficient Isc'] },
      { path: 'plate.cells', label: 'Cells', is: 'count', of: 'cells', also: ['Number of cells'] },
      { path: 'plate.seriesFuseA', label: 'Largest series fuse', is: 'current', optional: true },
      { path: 'plate.overPlate', label: 'Over its plate at most', is: 'share', hint: 'tolerance, upwards', optional: true },
      { path: 'plate.backGain', label: 'Gain from the back', is: 'share', hint: 'bifacial, by its maker', optional: true },
      { path: 'plate.diodeFactor', label: 'Diode factor', is: 'number', of: 'times the ideal', hint: 'how voltage falls with the light: about 1.1 for crystalline cells; IEC 60891 has a = this × Ns k T / (q Voc)', optional: true },
      { path: 'plate.halfCut', label: 'Cut', is: 'flag', yes: 'Half-cut cells', no: 'Whole cells', also: ['Half-cut', 'Half cut'] },
    ],
  },
  {
    title: 'Size', figures: [
      { path: 'longMm', label: 'Long side', is: 'length', also: ['Length', 'Height', 'Module length'] },
      { path: 'shortMm', label: 'Short side', is: 'length', also: ['Width', 'Module width'] },
      { path: 'thicknessMm', label: 'Frame height', is: 'length', also: ['Thickness', 'Depth', 'Frame thickness', 'Module thickness'] },
      { path: 'lipMm', label: 'Frame lip', is: 'length', optional: true, hint: 'lower return of the frame' },
      { path: 'massKg', label: 'Weight', is: 'mass', also: ['Mass', 'Module weight'] },
    ],
  },
  {
    title: 'Clamp zones, in from the nearer corner', figures: [
      { path: 'clampZones.longEdge.fromMm', label: 'Long edge, zone from', is: 'length' },
      { path: 'clampZones.longEdge.toMm', label: 'Long edge, zone to', is: 'length' },
      { path: 'clampZones.shortEdge.fromMm', label: 'Short edge, zone from', is: 'length' },
      { path: 'clampZones.shortEdge.toMm', label: 'Short edge, zone to', is: 'length' },
    ],
  },
  {
    title: 'Pressure it may take, unfactored, by where it is held', rows: { path: 'ratings', one: 'Rating', most: 12 }, figures: [
      { path: 'edge', label: 'edge', is: 'choice', choices: { long: 'Long edges', short: 'Short edges' } },
      { path: 'fromMm', label: 'from', is: 'length', hint: 'in from the nearer corner' },
      { path: 'toMm', label: 'to', is: 'length' },
      { path: 'upPa', label: 'up', is: 'pressure', hint: 'wind’s suction' },
      { path: 'downPa', label: 'down', is: 'pressure', hint: 'snow and wind' },
    ],
  },
  {
    title: 'Junction box', maybe: { path: 'junctionBox', has: 'Its place is known' }, figures: [
      { path: 'junctionBox.fromEndMm', label: 'Box from the end', is: 'length', hint: 'its middle, along the long side' },
      { path: 'junctionBox.fromMiddleMm', label: 'Box from the middle', is: 'length', hint: 'across the short side' },
      { path: 'junctionBox.leadsApartMm', label: 'Leads leave apart', is: 'length', optional: true, hint: 'across the short side; empty: in one place' },
    ],
  },
  { title: 'Leads', figures: [{ path: 'leadMm', label: 'Lead length', is: 'length', optional: true, hint: 'the shorter of the two', also: ['Cable length', 'Lead'] }, { path: 'plugs', label: 'Plugs', is: 'text', optional: true, hint: 'their make' }] },
  {
    title: 'Warranty', maybe: { path: 'warranty', has: 'It is known' }, figures: [
      { path: 'warranty.productYears', label: 'Product warranty', is: 'years' },
      { path: 'warranty.powerYears', label: 'Power warranty', is: 'years' },
      { path: 'warranty.powerShare', label: 'Power left then', is: 'share', hint: 'of the nominal power' },
    ],
  },
]
