import type { ChosenParts } from '../catalogue'
import type { FixingsPlan } from '../fixings'
import type { RailPlan } from '../rails'
import type { Block, RowPlan } from '../rows'
import type { SticksPlan } from '../sticks'

export type PartKind = 'module' | 'stick' | 'offcut' | 'splice' | 'mid-clamp' | 'end-clamp' | 'end-cap' | 'mount' | 'screw' | 'lug' | 'electronics'

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
  const sum = (count: (block: Block) => number) => blocks.reduce((total, block) => total + count(block), 0)
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
    { kind: 'mid-clamp', name: `${clamps.name}, mid`, maker: clamps.maker, pieces: sum(block => 2 * (block.count - 1)), lengthMm: null, massKg: null, rule: 'Between neighbours, on each rail' },
    { kind: 'end-clamp', name: `${clamps.name}, end`, maker: clamps.maker, pieces: sum(() => 4), lengthMm: null, massKg: null, rule: 'Both ends of each rail' },
    { kind: 'end-cap', name: rail.endCapName, maker: rail.maker, pieces: rails.length * 2, lengthMm: null, massKg: null, rule: 'Both ends of each rail' },
    { kind: 'mount', name: mount.name, maker: mount.maker, pieces: fixings.total, lengthMm: null, massKg: fixings.total * mount.massKg, rule: 'One at each fixing' },
    { kind: 'screw', name: mount.screw.name, maker: mount.maker, pieces: fixings.total * mount.screw.perMount, lengthMm: null, massKg: null, rule: `${mount.screw.perMount} a fixing` },
    { kind: 'lug', name: 'Grounding lug', maker: '', pieces: blocks.length, lengthMm: null, massKg: null, rule: 'One a row, or a run of it' },
    { kind: 'electronics', name: 'Module electronics unit', maker: '', pieces: modules, lengthMm: null, massKg: null, rule: 'One a module' },
  ]
  return list.filter(part => part.pieces > 0)
}
