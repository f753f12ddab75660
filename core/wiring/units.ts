import { groupBy } from 'es-toolkit'
import type { Electronics } from '../catalogue'
import { type Interval, nearest, type Point } from '../geometry'
import type { Face } from '../job'
import type { InRoofLayout } from '../inroof'
import { type Carrier, carriersUnder, freeOn, middleOfSpan } from './lines'
import { placeOn, type RoofPlace, wayMm, type WiredModule } from './modules'

/** Of two leads that meet, what goes into bends and a loop that keeps plugs off the roof, mm (common practice). */
export const LOOSE_MM = 100

/** One unit where it hangs. */
export interface WiredUnit {
  /** Its face, the module it hangs under, and so its name. */
  id: string
  faceId: string
  row: number
  under: string
  modules: string[]
  place: RoofPlace
  railId: string | null
  side: Carrier['side']
  /** How far from the middle of its module, mm; what stands there, where anything does. */
  asideMm: number
  /** False where nothing is free: it is drawn at the middle all the same, and said. */
  clear: boolean
  /** Of a single module whose leads leave apart, as half-cut ones’ do: the lead that has the shorter way, and so the slack; null where both have alike. */
  slackIn: '+' | '−' | null
  /** Leads that don't reach by their way: the least extension lead, mm. */
  short: { moduleId: string, mm: number }[]
}

/** A unit that could hang as well on either side of what stands in its way hangs on the left; and on the upper rail unless the other is nearer by more than this, mm: so that a hair does not move it across. */
const LEANS_MM = 6
const OTHER_RAIL_MM = 25

interface Spot { carrier: Carrier, at: Point, asideMm: number, clear: boolean }

const pointOn = ({ along, lineMm }: Carrier, mm: number): Point => along === 'x' ? { x: mm, y: lineMm } : { x: lineMm, y: mm }

/** The free place on a carrier that is nearest to a wish. */
function spotOn(carrier: Carrier, module: WiredModule, unit: Electronics, wishMm: number): Spot {
  const free: Interval[] = freeOn(carrier, module, { halfMm: unit.wideMm / 2, highMm: unit.highMm })
  const middle = nearest(free, wishMm)
  const at = middle !== null && Math.abs(middle - wishMm) < LEANS_MM / 2 ? middle : nearest(free, wishMm - LEANS_MM / 2)
  // Marked to the millimetre from its module’s edge, inside what is free.
  const edge = carrier.along === 'x' ? module.leftMm : module.bottomMm
  const whole = at === null ? null : nearest(free, edge + Math.round(at - edge))
  return { carrier, clear: at !== null, at: pointOn(carrier, whole ?? wishMm), asideMm: Math.abs((whole ?? wishMm) - middleOfSpan(carrier)) }
}

const lead = (module: WiredModule, unit: Electronics): number | null => module.leadMm === null ? null : module.leadMm + unit.inLeadMm
/** How much longer a module's leads would have to be to reach a unit, mm; 0 where they do or nobody has said how long they are. */
function shortMm(module: WiredModule, unit: Electronics, place: RoofPlace, azimuthDeg: number): number {
  const reach = lead(module, unit)
  return reach === null ? 0 : Math.max(0, Math.max(wayMm(module.plus, place, azimuthDeg), wayMm(module.minus, place, azimuthDeg)) + LOOSE_MM - reach)
}

interface Ground { face: Face, plan: InRoofLayout, unit: Electronics }

const spotsFor = (members: WiredModule[], { plan, unit }: Ground, wish: Point): { module: WiredModule, spot: Spot }[] => members.flatMap(module =>
  carriersUnder(module, plan, unit.on !== 'rail', unit.wideMm / 2, unit.highMm).map(carrier => ({ module, spot: spotOn(carrier, module, unit, Math.min(Math.max(carrier.along === 'x' ? wish.x : wish.y, carrier.span.fromMm), carrier.span.toMm)) })))

/** The best place for one unit of several modules: a clear one, then the least of extension leads, then the shortest way of all leads. */
function hung(members: WiredModule[], ground: Ground, side: Carrier['side'] | null): WiredUnit {
  const { face, unit } = ground
  const mean = (of: (one: WiredModule) => number) => members.reduce((sum, one) => sum + of(one), 0) / members.length
  const wish = { x: mean(one => one.middle.at.x), y: mean(one => one.middle.at.y) }
  const priced = spotsFor(members, ground, wish).map(({ module, spot }) => {
    const place = placeOn(face, spot.at)
    const short = members.flatMap((one) => {
      const mm = shortMm(one, unit, place, face.place.azimuthDeg)
      return mm > 0.5 ? [{ moduleId: one.id, mm }] : []
    })
    const ways = members.reduce((sum, one) => sum + wayMm(one.plus, place, face.place.azimuthDeg) + wayMm(one.minus, place, face.place.azimuthDeg), 0)
    return { module, spot, place, short, key: [spot.clear ? 0 : 1, short.reduce((sum, one) => sum + one.mm, 0), side && spot.carrier.side !== side ? 1 : 0, members.length > 1 ? ways : spot.asideMm] }
  })
  const best = priced.reduce((a, b) => lexLess(b.key, a.key) ? b : a)
  return {
    id: `${face.id}:${best.module.id}`, faceId: face.id, row: best.module.row, under: best.module.id, modules: members.map(one => one.id), place: best.place,
    railId: best.spot.carrier.railId, side: best.spot.carrier.side, asideMm: best.spot.asideMm, clear: best.spot.clear, short: best.short, slackIn: members.length === 1 ? slackIn(members[0]!, best.place, face.place.azimuthDeg) : null,
  }
}

function slackIn({ plus, minus }: WiredModule, place: RoofPlace, azimuthDeg: number): WiredUnit['slackIn'] {
  const more = wayMm(minus, place, azimuthDeg) - wayMm(plus, place, azimuthDeg)
  return Math.abs(more) < LOOSE_MM ? null : more > 0 ? '+' : '−'
}

function lexLess(a: number[], b: number[]): boolean {
  for (let i = 0; i < a.length; i++) if (Math.abs(a[i]! - b[i]!) > 1e-6) return a[i]! < b[i]!
  return false
}

/** The rail of a row on which most units find a clear place and hang nearest to the middles, so that the trunk keeps to one line. */
function sideOf(row: WiredModule[], ground: Ground): Carrier['side'] | null {
  const sides = new Map<Carrier['side'], { blocked: number, aside: number }>()
  for (const module of row) {
    for (const { spot } of spotsFor([module], ground, module.middle.at)) {
      const own = sides.get(spot.carrier.side) ?? { blocked: 0, aside: 0 }
      sides.set(spot.carrier.side, { blocked: own.blocked + (spot.clear ? 0 : 1), aside: own.aside + spot.asideMm })
    }
  }
  const known = [...sides].sort(([a, x], [b, y]) => x.blocked - y.blocked || leaning(a, x.aside, row.length) - leaning(b, y.aside, row.length))
  return known[0]?.[0] ?? null
}

const leaning = (side: Carrier['side'], asideMm: number, units: number): number => asideMm + (side === 'upper' || side === 'left' ? 0 : OTHER_RAIL_MM * units)

const inRows = (modules: WiredModule[]): WiredModule[][] => Object.values(groupBy(modules, one => one.row))
const chunked = <T>(items: T[], size: number): T[][] => Array.from({ length: Math.ceil(items.length / size) }, (_, i) => items.slice(i * size, (i + 1) * size))

/** Modules in clusters of so many: along each row, or two rows together column by column. */
function clusterings(modules: WiredModule[], size: number): WiredModule[][][] {
  const rows = inRows(modules)
  const along = rows.flatMap(row => chunked(row, size))
  if (size < 4) return [along]
  const paired = rows.flatMap((row, i) => i % 2
    ? []
    : chunked(row, size / 2).flatMap((low) => {
        const above = rows[i + 1]?.filter(one => low.some(below => Math.abs(below.leftMm - one.leftMm) < below.widthMm / 2)) ?? []
        return [[...low, ...above]]
      }))
  const left = modules.filter(one => !paired.some(cluster => cluster.includes(one)))
  return [along, [...paired, ...chunked(left, size)]]
}

/** Clusters that are not full are put together where every lead reaches. */
function merged(clusters: WiredModule[][], size: number, ground: Ground): WiredModule[][] {
  const done = clusters.filter(one => one.length >= size)
  const open = clusters.filter(one => one.length < size)
  while (open.length) {
    const own = open.shift()!
    const with_ = open.findIndex(other => own.length + other.length <= size && hung([...own, ...other], ground, null).short.length === 0)
    if (with_ >= 0) open.push([...own, ...open.splice(with_, 1)[0]!])
    else done.push(own)
  }
  return done
}

/**
 * Hangs the units of a face: at the middle of each module on the rail that suits, never under its junction box or across two, clear of fixings
 * and splices; those for two and four where all leads reach by their way.
 */
export function hangUnits(modules: WiredModule[], ground: Ground): WiredUnit[] {
  const { unit } = ground
  if (!modules.length) return []
  if (unit.modules === 1) return inRows(modules).flatMap((row) => {
    const side = sideOf(row, ground)
    return row.map(module => hung([module], ground, side))
  })
  const tried = clusterings(modules, unit.modules).map((clusters) => {
    const units = merged(clusters, unit.modules, ground).map(members => hung(members, ground, null))
    return { units, key: [units.length, units.reduce((sum, one) => sum + one.short.reduce((mm, two) => mm + two.mm, 0), 0)] }
  })
  const best = tried.reduce((a, b) => lexLess(b.key, a.key) ? b : a)
  return best.units.sort((a, b) => a.row - b.row || a.place.at.x - b.place.at.x)
}
