import { earthByDevice, thicker, type WireSize } from '../electrical'
import type { InRoofLayout } from '../inroof'
import type { BondingSchool } from '../job'
import { moduleId } from '../rows'

/** Something of metal that has to be joined to the earth: a module's frame, a length of rail between two joints, or a unit's case. */
export interface Bond { id: string, kind: 'module' | 'rail' | 'unit' | 'earth', name: string }
/** What joins two of them, and by whose word; a link that nobody's listing covers joins nothing. */
export interface BondLink { from: string, to: string, by: 'clamp' | 'splice' | 'lug' | 'washer' | 'jumper' | 'bolt' | 'coupler', holds: boolean, why: string }

export interface Bonding {
  metals: Bond[]
  links: BondLink[]
  lugs: { id: string, railId: string | null, of: string }[]
  washers: number
  /** Jumpers over joints that no listing covers. */
  jumpers: number
  /** What no chain of links joins to the earth. */
  loose: Bond[]
}

/** Sets that merge: which metals hang together. */
function chains(ids: string[]): { join: (a: string, b: string) => void, same: (a: string, b: string) => boolean } {
  const parent = new Map(ids.map(id => [id, id]))
  const root = (id: string): string => {
    let at = id
    while (parent.get(at) !== at) at = parent.get(at)!
    return at
  }
  return { join: (a, b) => parent.set(root(a), root(b)), same: (a, b) => root(a) === root(b) }
}

const EARTH: Bond = { id: 'earth', kind: 'earth', name: 'the earth wire' }

/**
 * Every frame, rail and case, and what joins them, traced from the earth wire: over lugs, listed clamps and splices, washers and jumpers. Where a
 * splice is not listed a jumper goes over it; where a clamp is not, nothing stands in for it but a washer.
 * @param cases units of this face with metal cases, each with the rail it is bolted to, or the module whose frame
 */
export function bondingOf({ rails, rows, sticks, parts, inRoof }: Pick<InRoofLayout, 'rails' | 'rows' | 'sticks' | 'parts' | 'inRoof'>, school: BondingSchool, cases: { id: string, name: string, railId: string | null, under: string, bonds: boolean }[]): Bonding {
  const { clamps, rail: item } = parts
  const modules = rows.rows.flatMap(row => row.moduleLeftsMm.map((_, place): Bond => ({ id: `module ${moduleId(row.index, place)}`, kind: 'module', name: `module ${place + 1} of row ${row.index + 1}` })))
  const metals: Bond[] = [EARTH, ...modules]
  const links: BondLink[] = []
  const lugs: Bonding['lugs'] = []
  const pieces = new Map<string, { id: string, fromMm: number, toMm: number }[]>()
  let [washers, jumpers] = [0, 0]
  const frames = item.frame !== null || inRoof !== null
  if (!frames) for (const rail of rails) {
    const joints = sticks.splices.filter(one => one.railId === rail.id).map(one => one.atMm).sort((a, b) => a - b)
    const ends = [rail.fromMm, ...joints, rail.toMm]
    const own = ends.slice(1).map((toMm, i) => ({ id: `rail ${rail.id} ${i + 1}`, fromMm: ends[i]!, toMm }))
    pieces.set(rail.id, own)
    own.forEach((piece, i) => {
      metals.push({ id: piece.id, kind: 'rail', name: `rail ${rail.number}${own.length > 1 ? `, length ${i + 1}` : ''}` })
      if (!i) return
      const jumper = !item.splice.bonds
      if (jumper) jumpers++
      links.push({ from: own[i - 1]!.id, to: piece.id, by: jumper ? 'jumper' : 'splice', holds: true, why: jumper ? 'a jumper over the splice' : `${item.splice.partName}, listed` })
    })
    for (const carried of rail.carries) {
      const id = `module ${moduleId(carried.row, carried.module)}`
      const middle = (carried.fromMm + carried.toMm) / 2
      const piece = own.find(one => middle >= one.fromMm && middle <= one.toMm) ?? own[0]!
      // Clamps stand at a module's edges, on whichever length lies there.
      for (const at of new Set([own.find(one => carried.fromMm >= one.fromMm && carried.fromMm <= one.toMm), own.find(one => carried.toMm >= one.fromMm && carried.toMm <= one.toMm), piece])) {
        if (at) links.push({ from: at.id, to: id, by: school === 'washer' ? 'washer' : 'clamp', holds: school === 'washer' || clamps.bonds !== null, why: school === 'washer' ? 'a toothed washer under the clamp' : clamps.bonds ?? `${clamps.name}: nobody says that it joins frame and rail` })
      }
    }
  }
  if (school === 'washer') washers = modules.length
  const earth = (to: string, railId: string | null, of: string) => {
    lugs.push({ id: `lug-${lugs.length + 1}`, railId, of })
    links.push({ from: EARTH.id, to, by: 'lug', holds: true, why: 'a listed lug, tinned, with its stainless bolt' })
  }
  if (frames) {
    // Frames that a coupler or the next frame joins are one run by the maker's listing; without it each has its lug.
    for (const row of rows.rows) {
      let first = 0
      for (const block of row.blocks) {
        const ids = Array.from({ length: block.count }, (_, i) => `module ${moduleId(row.index, first + i)}`)
        first += block.count
        const listed = clamps.bonds !== null && item.frame !== null
        ids.forEach((id, i) => {
          if (i && listed) links.push({ from: ids[i - 1]!, to: id, by: 'coupler', holds: true, why: clamps.bonds! })
          if (!i || !listed) earth(id, null, metals.find(one => one.id === id)!.name)
        })
      }
    }
  }
  else if (school === 'row-lug') {
    // One lug to whatever hangs together: a row, a run of it, or a column.
    for (const rail of rails.filter(one => one.side === 'upper' || one.side === 'left')) earth(pieces.get(rail.id)![0]!.id, rail.id, `rail ${rail.number}`)
  }
  else for (const rail of rails) earth(pieces.get(rail.id)![0]!.id, rail.id, `rail ${rail.number}`)
  for (const unit of cases) {
    const id = `unit ${unit.id}`
    metals.push({ id, kind: 'unit', name: unit.name })
    if (school === 'every-unit' || !unit.bonds) earth(id, null, unit.name)
    else links.push({ from: unit.railId === null ? `module ${unit.under}` : pieces.get(unit.railId)![0]!.id, to: id, by: 'bolt', holds: true, why: 'its bolt, listed' })
  }
  const sets = chains(metals.map(one => one.id))
  for (const link of links) if (link.holds) sets.join(link.from, link.to)
  return { metals, links, lugs, washers, jumpers, loose: metals.filter(one => !sets.same(one.id, EARTH.id)) }
}

/** Bare earth wire along rails is no thinner than this where it could be struck (NEC 250.120(C)). */
const UNGUARDED = '6 AWG'
/** Along rails none is taken thinner than this, whatever the device (common practice). */
const LEAST_ALONG = '12 AWG'

export interface EarthAsk { us: boolean, /** The largest device of a roof circuit, A; where there is none, 1.25 Isc. */ deviceA: number, guarded: boolean, lightning: boolean, classTwo: boolean }

/** The earth wire along the array; null where the country lets an array of class II go without. Not made larger for voltage drop (NEC 690.45). */
export function earthWire({ us, deviceA, guarded, lightning, classTwo }: EarthAsk): { size: string, rule: string } | null {
  if (us) {
    const byDevice = thicker<WireSize>(LEAST_ALONG, earthByDevice(deviceA))
    if (guarded || thicker(byDevice, UNGUARDED) === byDevice) return { size: byDevice, rule: `NEC 690.45, table 250.122: ${Math.round(deviceA * 10) / 10} A` }
    return { size: UNGUARDED, rule: `NEC 250.120(C): bare and unguarded; by table 250.122 it would be ${byDevice}` }
  }
  if (classTwo && !lightning) return null
  return lightning ? { size: '16 mm²', rule: 'IEC 62548, 7.4.2 (from memory): bonded to the lightning system' } : { size: '6 mm²', rule: 'IEC 62548, 7.4.2 (from memory)' }
}
