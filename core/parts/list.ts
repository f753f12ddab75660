import type { ChosenParts, PartKind, Rail } from '../catalogue'
import type { FixingsPlan } from '../fixings'
import { clampsOn, type RailPlan, skirtedLines } from '../rails'
import type { RowPlan } from '../rows'
import type { SticksPlan } from '../sticks'

/** One line of the load-out. */
export interface Part {
  kind: PartKind
  name: string
  maker: string
  pieces: number
  /** Length of one piece, mm, for parts sold by length. */
  lengthMm: number | null
  /** Mass of all pieces, kg; null where the catalogue gives none. */
  massKg: number | null
  /** How the count comes about, in words. */
  rule: string
}

const pieces = (items: { count: number }[]): number => items.reduce((sum, item) => sum + item.count, 0)

/**
 * Counts the parts of one array. Clamp counts by common practice: on two rails a row of n modules takes 4 end clamps
 * and 2(n − 1) mid clamps; one grounding lug a row; one unit of electronics a module.
 */
export function partsOf(parts: ChosenParts, rows: RowPlan[], rails: RailPlan[], fixings: FixingsPlan, sticks: SticksPlan): Part[] {
  const { module, rail, mount, clamps } = parts
  const modules = pieces(rows)
  const blocks = rows.flatMap(row => row.blocks)
  const clamped = rails.map(rail => clampsOn(rail, clamps)).reduce((sum, one) => ({ mids: sum.mids + one.mids, ends: sum.ends + one.ends }), { mids: 0, ends: 0 })
  const bought = sticks.sticks.filter(stick => !stick.fromYard)
  const stockLengths = [...new Set(bought.map(stick => stick.stockMm))].sort((a, b) => b - a)
  const offcutLengths = [...new Set(sticks.sticks.filter(stick => stick.fromYard).map(stick => stick.stockMm))].sort((a, b) => b - a)
  const list: Part[] = [
    { kind: 'module', name: module.name, maker: module.maker, pieces: modules, lengthMm: null, massKg: modules * module.massKg, rule: 'Every module in every row' },
    ...stockLengths.map((stockMm): Part => {
      const n = bought.filter(stick => stick.stockMm === stockMm).length
      return { kind: 'stick', name: rail.name, maker: rail.maker, pieces: n, lengthMm: stockMm, massKg: n * stockMm / 1000 * rail.massKgPerM, rule: 'Sticks by the cut plan' }
    }),
    ...offcutLengths.map((mm): Part => {
      const n = sticks.sticks.filter(stick => stick.fromYard && stick.stockMm === mm).length
      return { kind: 'offcut', name: `${rail.name}, offcut from the yard`, maker: rail.maker, pieces: n, lengthMm: mm, massKg: n * mm / 1000 * rail.massKgPerM, rule: 'Used up before sticks are bought' }
    }),
    { kind: 'splice', name: rail.splice.partName, maker: rail.maker, pieces: sticks.splices.length, lengthMm: null, massKg: null, rule: 'One at each joint of the cut plan' },
    { kind: 'mid-clamp', name: `${clamps.name}, mid`, maker: clamps.maker, pieces: clamped.mids, lengthMm: null, massKg: null, rule: 'Between neighbours, on each rail' },
    { kind: 'end-clamp', name: `${clamps.name}, end`, maker: clamps.maker, pieces: clamped.ends, lengthMm: null, massKg: null, rule: 'Both ends of each rail, and where modules stand too far apart for a mid clamp' },
    ...frameParts(parts.rail, rails),
    { kind: 'end-cap', name: rail.endCapName, maker: rail.maker, pieces: (rail.frame ? skirtedLines(rails) : rails).length * 2, lengthMm: null, massKg: null, rule: rail.frame ? 'Both ends of each skirt' : 'Both ends of each rail' },
    { kind: 'mount', name: mount.name, maker: mount.maker, pieces: fixings.total, lengthMm: null, massKg: fixings.total * mount.massKg, rule: 'One at each fixing' },
    { kind: 'screw', name: mount.screw.name, maker: mount.maker, pieces: fixings.total * mount.screw.perMount, lengthMm: null, massKg: null, rule: `${mount.screw.perMount} a fixing` },
    { kind: 'lug', name: 'Grounding lug', maker: '', pieces: rails[0]?.way === 'up' ? rails.length / 2 : blocks.length, lengthMm: null, massKg: null, rule: rails[0]?.way === 'up' ? 'One a column: nothing else joins them' : 'One a row, or a run of it' },
    { kind: 'electronics', name: 'Module electronics unit', maker: '', pieces: modules, lengthMm: null, massKg: null, rule: 'One a module' },
  ]
  return list.filter(part => part.pieces > 0)
}

/** What couples the modules' own frames, and the skirt along their lowest edges. */
function frameParts(rail: Rail, rails: RailPlan[]): Part[] {
  if (!rail.frame) return []
  const { skirt } = rail.frame
  const skirts = skirtedLines(rails).reduce((sum, line) => sum + Math.ceil((line.reach.toMm - line.reach.fromMm - 0.5) / skirt.mm), 0)
  return [
    { kind: 'coupler', name: rail.splice.partName, maker: rail.maker, pieces: rails.reduce((sum, line) => sum + line.couplers.length, 0), lengthMm: null, massKg: null, rule: 'Between neighbours, on each line of frames' },
    { kind: 'skirt', name: skirt.name, maker: rail.maker, pieces: skirts, lengthMm: skirt.mm, massKg: skirts * skirt.mm / 1000 * skirt.massKgPerM, rule: 'Along the lowest edges, each line by itself' },
  ]
}
