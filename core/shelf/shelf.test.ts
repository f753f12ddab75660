import { describe, expect, it } from 'vitest'
import { type Catalogue, currentAtPower, demoCatalogue, type Module, shelves } from '../catalogue'
import { applyChanges, checkItem, companionsFor, findItem, gapsOf, judgedLines, keptBy, readShelfFile, readTables, sameItem, shelfFile, successionOf, type Used, writeTables } from './index'

const [module] = demoCatalogue.modules as [Module]
const without = <T>(item: T, change: object): T => ({ ...structuredClone(item), ...change })
const given = { shelf: null, source: { by: 'maker' as const, note: 'Data sheet 4', on: '2026-05-04' } }
const judged = (rows: string[][], shelf: 'modules' | 'rails' | null = null, used: Used = {}, catalogue = demoCatalogue, name = 'Sheet1') => {
  const { lines, notes } = readTables([{ name, rows }], catalogue, { ...given, shelf })
  return { lines: judgedLines(lines, catalogue, used), notes }
}
/** A module as a supplier's own spreadsheet has it. */
const heads = [
  'Manufacturer', 'Model', 'Pmax (W)', 'Voc (V)', 'Vmp (V)', 'Isc (A)', 'Imp (A)', 'Temperature coefficient of Pmax (%/°C)', 'Temperature coefficient of Voc (%/°C)', 'Temperature coefficient of Isc (%/°C)', 'Number of cells', 'Half-cut', 'Length (in)', 'Width (in)', 'Thickness (mm)', 'Weight (lb)',
  'Long edge, zone from (in)', 'Long edge, zone to (in)', 'Short edge, zone from (in)', 'Short edge, zone to (in)', 'Rating 1 edge', 'Rating 1 from (in)', 'Rating 1 to (in)', 'Rating 1 up (psf)', 'Rating 1 down (psf)', 'Warehouse',
]
const row = ['Puffin Panels', 'Puffin 405', '405', '37.2', '31.1', '13.8', '13.02', '-0.34', '-0.26', '0.05', '108', 'yes', '67.8', '44.6', '30', '46.7', '9 1/2"', '17', '4', '10', 'long', '9.5', '17', '50', '75', 'B4']
const changedRow = (head: string, text: string) => row.map((cell, i) => heads[i] === head ? text : cell)

describe('a data plate', () => {
  it('of 230 W, Voc 36.8 V and Vmp 29.6 V gives 7.77 A (common practice)', () => expect(currentAtPower(230, 29.6)).toBeCloseTo(7.77, 2))
  const plate = module.plate!
  it.each([
    ['Vmp over Voc', { plate: { ...plate, vmpV: 39, impA: 10.9 } }, 'plate.vmpV', 'Vmp, 39 V, is over Voc, 38.9 V'],
    ['Imp over Isc', { plate: { ...plate, iscA: 13 } }, 'plate.impA', 'Imp, 13.12 A, is over Isc, 13 A'],
    ['watts 3.5 % off', { powerW: 440 }, 'powerW', '440 W is 3.5 % off Vmp × Imp, 425.1 W'],
    ['a clamp zone outside the frame', { clampZones: { ...module.clampZones, longEdge: { fromMm: 265, toMm: 1800 } } }, 'clampZones.longEdge.toMm', 'outside the frame'],
    ['a clamp zone past the middle', { clampZones: { ...module.clampZones, shortEdge: { fromMm: 120, toMm: 600 } } }, 'clampZones.shortEdge.toMm', 'passes the middle'],
    ['a stretch of the ratings that ends before it begins', { ratings: [{ edge: 'long', fromMm: 400, toMm: 310, upPa: 1, downPa: 1 }] }, 'ratings.0.toMm', 'no farther'],
    ['a short side longer than the long one', { shortMm: 1800 }, 'shortMm', 'longer than the long side'],
    ['no watts', { powerW: undefined }, 'powerW', 'Nominal power is missing.'],
    ['a frame of 5 mm', { thicknessMm: 5 }, 'thicknessMm', 'Frame height must be at least 20 mm (0.787 in).'],
  ])('refuses %s', (_, change, path, sentence) => {
    const read = checkItem('modules', without(module, change))
    expect(read.ok).toBe(false)
    expect(read.ok || read.problems).toEqual(expect.arrayContaining([{ path, sentence: expect.stringContaining(sentence) as unknown }]))
  })
  it('takes watts that rounding put 3 % off, and no plate at all', () => {
    expect(checkItem('modules', without(module, { powerW: Math.floor(425.088 * 1.0299) })).ok).toBe(true)
    expect(checkItem('modules', without(module, { plate: null })).ok).toBe(true)
    expect(gapsOf(demoCatalogue, 'modules', without(module, { plate: null }))).toEqual(['No data plate: it can be laid out, not wired.'])
  })
})

describe('the shelf of the demonstration', () => {
  it.each(shelves)('has %s that its own checks take', (shelf) => {
    for (const item of demoCatalogue[shelf]) expect(checkItem(shelf, item)).toEqual({ ok: true, value: item })
    expect(applyChanges({ ...demoCatalogue, [shelf]: [] } as Catalogue, [], {}).ok).toBe(true)
  })
  it('comes back from its own tables and its own file as it went', () => {
    const tables = writeTables(demoCatalogue)
    const fromTables = readTables(tables, demoCatalogue, { shelf: null, source: null })
    expect(fromTables.notes).toEqual([])
    const file = readShelfFile(JSON.parse(JSON.stringify(shelfFile(demoCatalogue))), demoCatalogue, null)
    if (!file.ok) throw new Error(file.problems[0]!.sentence)
    const count = shelves.reduce((sum, shelf) => sum + demoCatalogue[shelf].length, 0)
    for (const raw of [fromTables.lines, file.value.lines]) {
      const lines = judgedLines(raw, demoCatalogue, {})
      expect(lines.filter(line => line.standing !== 'same')).toEqual([])
      expect(lines).toHaveLength(count)
    }
  })
  it('is read onto an empty shelf whole', () => {
    const empty: Catalogue = { ...demoCatalogue, modules: [], rails: [], mounts: [], clamps: [], supplies: [], coverings: [], inRoofs: [], electronics: [], trunks: [], inverters: [], sets: [], pairs: [], approvals: [] }
    const lines = judgedLines(readTables(writeTables(demoCatalogue), empty, { shelf: null, source: null }).lines, empty, {})
    expect(lines.filter(line => line.standing !== 'new').map(line => [line.name, ...line.problems])).toEqual([])
    const taken = applyChanges(empty, lines.flatMap(line => line.changes), {})
    if (!taken.ok) throw new Error(JSON.stringify(taken.problems))
    for (const shelf of shelves) expect(sameItem(taken.value.catalogue[shelf], demoCatalogue[shelf])).toBe(true)
  })
})

describe('a supplier’s own spreadsheet', () => {
  it('gives a module in inches and pounds under the names that suppliers use, and says which column it left out', () => {
    const { lines, notes } = judged([['Price list, spring'], [], heads, row], 'modules')
    expect(lines).toHaveLength(1)
    expect(lines[0]).toMatchObject({ standing: 'new', name: 'Puffin 405', line: 4, problems: [] })
    expect(notes).toEqual(['“Sheet1”, column “Warehouse” was left out: no figure of a module is called so.'])
    const item = lines[0]!.changes[0]!.item as Module
    expect(item).toMatchObject({ id: 'puffin-405', maker: 'Puffin Panels', powerW: 405, thicknessMm: 30, leadMm: null, warranty: null, source: given.source, plate: { halfCut: true, cells: 108 } })
    // By hand: 67.8 in x 25.4, 46.7 lb x 0.45359237, 50 psf x 47.8803, -0.34 % a kelvin.
    expect(item.longMm).toBeCloseTo(1722.12, 6)
    expect(item.massKg).toBeCloseTo(21.1828, 4)
    expect(item.ratings[0]!.upPa).toBeCloseTo(2394.01, 2)
    expect(item.plate!.powerPerK).toBeCloseTo(-0.0034, 9)
    expect(item.clampZones.longEdge.fromMm).toBeCloseTo(241.3, 9)
  })
  it('has its headings found below titles, and parts of two makers with one name kept apart', () => {
    const { lines } = judged([['Price list', 'spring'], ['valid to', '2026-12-31'], heads, row, changedRow('Manufacturer', 'Dunlin')], 'modules')
    expect(lines.map(line => [line.line, line.standing, (line.changes[0]!.item as Module).id])).toEqual([[4, 'new', 'puffin-405'], [5, 'new', 'puffin-405-dunlin']])
  })
  it.each([
    ['Pmax (W)', '450', '450 W is 11.1 % off Vmp × Imp'],
    ['Length (in)', '', 'Long side is missing.'],
    ['Length (in)', 'long', 'Long side: “long” is not a figure in mm, cm, m, in or ft.'],
    ['Length (in)', '1,722 mm', 'a comma can mean two things'],
    ['Rating 1 edge', 'middle', 'Rating 1 edge: “middle” is not one of Long edges; Short edges.'],
    ['Number of cells', '10.5', 'is not a whole number'],
    ['Half-cut', 'maybe', 'is neither “Half-cut cells” nor “Whole cells”'],
    ['Long edge, zone to (in)', '40', 'passes the middle of the long edge'],
    ['Weight (lb)', '460 kg', 'Weight must be at most 60 kg (132 lb).'],
  ])('says of its line what is wrong with %s “%s”', (head, text, sentence) => {
    const [line] = judged([heads, changedRow(head, text)], 'modules').lines
    expect(line!.standing).toBe('refused')
    expect(line!.problems.join(' ')).toContain(sentence)
    expect(line!.changes).toEqual([])
  })
  it('says once that a cell can’t be read, not that it is missing too', () => {
    const [line] = judged([heads, changedRow('Weight (lb)', 'heavy')], 'modules').lines
    expect(line!.problems).toEqual(['Weight: “heavy” is not a figure in kg, g, lb or oz.'])
  })
  it('asks for the unit of a bare number that could be of several', () => {
    const [line] = judged([heads.map(head => head.replace('Width (in)', 'Width')), row], 'modules').lines
    expect(line!.problems[0]).toContain('“44.6” has no unit: write for example 44.6 mm')
  })
  it('asks on which shelf it belongs, and who says so', () => {
    expect(judged([heads, row]).notes[0]).toContain('nothing says on which shelf line 2 belongs')
    const { lines } = readTables([{ name: 'Modules', rows: [heads, row] }], demoCatalogue, { shelf: null, source: null })
    expect(judgedLines(lines, demoCatalogue, {})[0]!.problems).toEqual(['Source is missing.'])
  })
  it('may bring a rail, and the mounts that take it, by their names', () => {
    const tables = writeTables({ ...demoCatalogue, modules: [], mounts: [], clamps: [], supplies: [], coverings: [], sets: [], pairs: [], rails: [demoCatalogue.rails[0]!] })
    const [railHeads, railRow] = tables.find(table => table.name === 'Rails')!.rows as [string[], string[]]
    const own = railRow.map((cell, i) => railHeads[i] === 'Id' ? 'tern-rail' : railHeads[i] === 'Name' ? 'Tern rail' : cell)
    const read = (goesWith: string) => judged([[...railHeads, 'Goes with'], [...own, goesWith]], null, {}, demoCatalogue, 'Rails').lines[0]!
    const line = read('Limpet flashed foot; Pinch clamps, one inch past')
    expect(line).toMatchObject({ standing: 'new', problems: [], gaps: [] })
    expect(line.changes.map(change => (change.item as { id: string }).id)).toEqual(['tern-rail', 'tern-rail--limpet-flashed', 'tern-rail--pinch-inch'])
    expect(applyChanges(demoCatalogue, line.changes, {}).ok).toBe(true)
    expect(read('').gaps).toEqual(['No mount goes with it yet.', 'No clamps go with it yet.'])
    expect(read('Nobody’s foot').problems).toEqual(['Goes with: there is no mount and no clamps “Nobody’s foot” on the shelf or in this file.'])
  })
  it('changes only what it says of a part that is there, and notes who says so beside that figure', () => {
    const { lines } = judged([['Name', 'Weight (kg)'], ['Skerry 425', '21'], ['Skerry 390', '18.9']], 'modules')
    expect(lines.map(line => line.standing)).toEqual(['changed', 'same'])
    expect(lines[0]!.changes[0]!.item).toEqual({ ...module, massKg: 21, figureSources: { massKg: given.source } })
  })
  it('names a part once', () => expect(judged([heads, row, row], 'modules').lines[1]!.problems).toEqual(['It is there twice: line 2 has the same part.']))
  it.each([['EUR', false], ['USD', true]])('with prices in %s is taken for a shelf in USD: %s', (currency, taken) => {
    const { lines, notes } = judged([['Name', 'Kind of part', 'Maker', `Price (${currency})`, 'Pack of'], ['Grommet', 'cable tie', 'Gull & Mackerel', '0.2', '50']], null, {}, demoCatalogue, 'Small parts')
    expect((lines[0]!.changes[0]!.item as { price: number | null }).price).toBe(taken ? 0.2 : null)
    expect(notes).toHaveLength(taken ? 0 : 1)
  })
})

describe('a part that jobs use', () => {
  const used: Used = { modules: { 'skerry-425': 3 }, rails: { 'bollard-light': 2 } }
  const change = (item: Module) => [{ shelf: 'modules' as const, item, was: module }]
  it('keeps its figures', () => {
    const altered = applyChanges(demoCatalogue, change({ ...module, massKg: 21 }), used)
    expect(altered.ok || altered.problems[0]!.sentence).toContain('stands in 3 jobs and keeps its figures')
    expect(applyChanges(demoCatalogue, change({ ...module, massKg: 21 }), {}).ok).toBe(true)
  })
  it('may be retired, and have another price', () => {
    expect(applyChanges(demoCatalogue, change({ ...module, retired: true }), used).ok).toBe(true)
    const rail = demoCatalogue.rails[0]!
    const dearer = { ...rail, stock: rail.stock.map(one => ({ ...one, price: one.price + 1 })), splice: { ...rail.splice, price: 9 } }
    expect(applyChanges(demoCatalogue, [{ shelf: 'rails', item: dearer, was: rail }], used).ok).toBe(true)
    expect(applyChanges(demoCatalogue, [{ shelf: 'rails', item: { ...dearer, stock: [{ mm: 3000, price: 1 }] }, was: rail }], used).ok).toBe(false)
  })
  it('gets a successor with all that goes with it, which sets then take', () => {
    const rail = { ...demoCatalogue.rails[0]!, massKgPerM: 0.8 }
    const taken = applyChanges(demoCatalogue, successionOf(demoCatalogue, 'rails', rail), used)
    if (!taken.ok) throw new Error(JSON.stringify(taken.problems))
    const after = taken.value.catalogue
    expect(findItem(after, 'rails', rail.id)).toEqual({ ...demoCatalogue.rails[0], retired: true })
    expect(findItem(after, 'rails', 'bollard-light-2')).toEqual({ ...rail, id: 'bollard-light-2', replaces: 'bollard-light' })
    const partnersOf = (id: string) => after.pairs.filter(pair => pair.railId === id).map(pair => pair.withId)
    expect(partnersOf('bollard-light-2')).toEqual(partnersOf('bollard-light'))
    expect(after.sets.filter(set => set.railId === 'bollard-light')).toEqual([])
    expect(after.supplies.filter(supply => supply.forId === 'bollard-light-2').map(supply => supply.kind)).toEqual(['splice', 'end-cap'])
    expect(new Set(after.supplies.map(supply => supply.id)).size).toBe(after.supplies.length)
  })
  it('is followed by what a file says otherwise, under the same name', () => {
    const { lines } = judged([['Name', 'Weight (kg)'], ['Skerry 425', '21']], 'modules', used)
    expect(lines[0]).toMatchObject({ standing: 'in-place' })
    expect(applyChanges(demoCatalogue, lines[0]!.changes, used).ok).toBe(true)
  })
  it('is followed together with others that go with it: a whole system in new figures, in one file', () => {
    const all: Used = { rails: { 'bollard-light': 2 }, mounts: { 'limpet-flashed': 2 }, clamps: { 'pinch-inch': 1 } }
    const file = shelfFile({
      ...demoCatalogue, rails: demoCatalogue.rails.map(rail => ({ ...rail, massKgPerM: rail.massKgPerM + 0.01 })),
      mounts: demoCatalogue.mounts.map(mount => ({ ...mount, massKg: mount.massKg + 0.01 })), clamps: demoCatalogue.clamps.map(clamps => ({ ...clamps, gapMm: clamps.gapMm + 0.5 })),
    })
    const read = readShelfFile(JSON.parse(JSON.stringify(file)), demoCatalogue, null)
    if (!read.ok) throw new Error(read.problems[0]!.sentence)
    const lines = judgedLines(read.value.lines, demoCatalogue, all)
    expect(lines.filter(line => line.standing === 'in-place').map(line => line.name)).toEqual(['Bollard light rail', 'Limpet flashed foot', 'Pinch clamps, one inch past'])
    const taken = applyChanges(demoCatalogue, lines.flatMap(line => line.changes), all)
    if (!taken.ok) throw new Error(JSON.stringify(taken.problems))
    const after = taken.value.catalogue
    expect(after.sets.find(set => set.id === 'shingle-light')).toMatchObject({ railId: 'bollard-light-2', mountId: 'limpet-flashed-2', clampsId: 'pinch-inch-2' })
    for (const set of after.sets) expect(gapsOf(after, 'sets', set)).toEqual([])
    expect(findItem(after, 'rails', 'bollard-light')).toEqual({ ...demoCatalogue.rails[0], retired: true })
  })
  it('is not taken away for good, nor is what others name', () => {
    expect(keptBy(demoCatalogue, 'modules', 'skerry-425', used)).toContain('3 jobs')
    expect(keptBy(demoCatalogue, 'rails', 'bollard-deep', {})).toContain('Shingle, deep rail')
    expect(keptBy(demoCatalogue, 'coverings', 'marram-shingle', {})).toBeNull()
  })
  it('is copied with what goes with it, on the copier’s word', () => {
    const source = { by: 'from-memory' as const, note: 'Copied from Bollard light rail', on: '2026-05-05' }
    const companions = companionsFor(demoCatalogue, 'rails', 'bollard-light', 'tern-rail', source)
    expect(companions.map(one => (one.item as { source: object }).source)).toEqual(companions.map(() => source))
  })
})

describe('two people at one shelf', () => {
  it.each([
    ['changed it', demoCatalogue, { ...module, massKg: 19 }, 'Somebody else has changed this part'],
    ['took it away', { ...demoCatalogue, modules: [] }, module, 'Somebody else has taken this part'],
    ['made one of that id', demoCatalogue, null, 'There is a part with the id'],
  ])('are told when the other %s', (_, catalogue, was, sentence) => {
    const changed = applyChanges(catalogue, [{ shelf: 'modules', item: { ...module, massKg: 22 }, was }], {})
    expect(changed.ok || changed.problems[0]!.sentence).toContain(sentence)
  })
  it('can’t make a set of what does not go together', () => {
    const set = { ...demoCatalogue.sets[0]!, id: 'odd', mountId: 'windlass-tile-hook' }
    const changed = applyChanges(demoCatalogue, [{ shelf: 'sets', item: set, was: null }], {})
    expect(changed.ok || changed.problems).toEqual([{ path: '0.mountId', sentence: 'Nothing on the shelf says that Bollard light rail goes with Windlass tile hook: say so first, with who says it.' }])
  })
})
