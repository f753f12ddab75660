import type { Fasteners, Mount } from '../catalogue'
import { footOf } from '../coverings'
import type { Interval } from '../geometry'
import type { Face, Following, Job } from '../job'
import { type Drilled, drilledOn, type RailThere, railsThere, type Spot } from '../rooflog'
import { type FixingPlaces, type PlacePoint, type PlacesForRail, placesOutside, type RailLine } from '../supports'

/** A hole beside the timber, and on which side of it that was felt. */
interface Missed extends Spot { timber: Drilled['timber'] }

/** How far a screw keeps from a hole that is there, mm along the grain and across it. */
export interface Apart { alongMm: number, acrossMm: number, source: string }

/** What is there on a face, as far as fixings look at it. */
export interface ThereOnFace {
  /** Holes in which a fixing stands. */
  used: Spot[]
  /** Holes in which none does, and those about which two people differ: no new fixing goes near them. */
  abandoned: Spot[]
  /** Of those the ones that missed the timber. */
  missed: Missed[]
  following: Following
  rails: RailThere[]
}

/** What the log says is there on a face; null before anybody has drilled, cut or laid anything: then it is planned from nothing. */
export function thereOn({ log }: Pick<Job, 'log'>, face: Pick<Face, 'id' | 'following'>): ThereOnFace | null {
  if (!face.following) return null
  const holes = drilledOn(log, face.id)
  const spots = (which: (hole: Drilled) => boolean): Spot[] => holes.filter(which).map(({ xMm, yMm }) => ({ xMm, yMm }))
  return { used: spots(one => one.state === 'used'), abandoned: spots(one => one.state !== 'used'), missed: holes.filter(one => one.state === 'abandoned' && one.missed).map(({ xMm, yMm, timber }) => ({ xMm, yMm, timber })), following: face.following, rails: railsThere(log, face.id) }
}

/** A hole belongs to a line no farther from it than this, mm: a crayon's width and a hand's. */
export const ON_LINE_MM = 25
/** An abandoned hole on the edge of a flashing is neither under it nor clear of it, mm (common practice: an inch). */
const FLASHING_EDGE_MM = 25.4
/** A place of the layout followed is the nearest place that there is now, no farther off than this, mm: the rafter was found to stand otherwise. */
export const SAME_PLACE_MM = 120

/** Distances of screws in timber: 4 D along the grain and 1.5 D between rows (NDS 2018 tables 12.5.1B and D, from memory), 7 d and 3 d where the European rules are in force (EN 1995-1-1 table 8.2, from memory). */
export function apartFor({ rules }: Pick<Job['loads'], 'rules'>, fasteners: Pick<Fasteners, 'diameterMm'> | null): Apart {
  const d = fasteners?.diameterMm ?? 8
  return rules.edition.startsWith('en') ? { alongMm: 7 * d, acrossMm: 3 * d, source: '7 d along the grain, 3 d across (EN 1995-1-1 table 8.2, from memory)' } : { alongMm: 4 * d, acrossMm: 1.5 * d, source: '4 D along the grain, 1.5 D across (NDS 2018 12.5.1, from memory)' }
}

/** Where a place on the face lies beside a line: mm along the line, and off it. */
const besideLine = ({ way, lineMm }: Pick<RailLine, 'way' | 'lineMm'>, { xMm, yMm }: Spot) => way === 'across' ? { atMm: xMm, offMm: yMm - lineMm } : { atMm: yMm, offMm: xMm - lineMm }

/** Holes and places of a list that lie on a line, mm along it, in order. */
export const alongLine = (line: Pick<RailLine, 'way' | 'lineMm' | 'reach'>, spots: Spot[], withinMm = ON_LINE_MM): number[] => spots
  .map(spot => besideLine(line, spot))
  .filter(({ atMm, offMm }) => Math.abs(offMm) <= withinMm && atMm >= line.reach.fromMm && atMm <= line.reach.toMm)
  .map(({ atMm }) => atMm).sort((a, b) => a - b)

/** Why a new fixing may not stand at a place: too near a hole in the timber, or a hole under the edge of its flashing. Null where it may. */
export function nearHole(place: Spot, holes: Spot[], mount: Mount, closure: { headMm: number, footMm: number, flashWideMm: number, screwsUp: { fromMm: number, toMm: number } } | null, apart: Apart): 'timber' | 'flashing' | null {
  const { acrossMm = [0], alongMm = null } = mount.fasteners ?? {}
  const rows = alongMm === null ? 1 : Math.max(1, Math.round(mount.screw.perMount / acrossMm.length))
  const screws = acrossMm.flatMap(x => Array.from({ length: rows }, (_, k) => ({ x, y: k * (alongMm ?? 0) })))
  for (const hole of holes) {
    const [dx, dy] = [place.xMm - hole.xMm, place.yMm - hole.yMm]
    // Which screw of a mount the hole was drilled for is not known: it may be any.
    if (screws.some(a => screws.some(b => Math.abs(dx + a.x - b.x) < apart.acrossMm - 0.01 && Math.abs(dy + a.y - b.y) < apart.alongMm - 0.01))) return 'timber'
    if (!closure || closure.flashWideMm <= 0 || closure.headMm <= 0) continue
    const screwsMm = (closure.screwsUp.fromMm + closure.screwsUp.toMm) / 2
    const under = { x: Math.abs(dx) - closure.flashWideMm / 2, up: -dy - closure.headMm - screwsMm, down: dy - closure.footMm + screwsMm }
    const outside = Math.max(under.x, under.up, under.down)
    if (outside > -FLASHING_EDGE_MM && outside < FLASHING_EDGE_MM) return 'flashing'
  }
  return null
}

/**
 * Places for rails on a face where something is there: holes in use are places of their own and take that of the support they are in; near
 * holes that are not in use there is none; along open supports the layout followed has places too.
 */
export function placesAround(places: PlacesForRail, there: ThereOnFace, job: Job, face: Face, mount: Mount): PlacesForRail {
  const apart = apartFor(job.loads, mount.fasteners)
  const { closure } = footOf(face, mount)
  return (line): FixingPlaces => {
    const own = places(line)
    const spotAt = (atMm: number): Spot => line.way === 'across' ? { xMm: atMm, yMm: line.lineMm } : { xMm: line.lineMm, yMm: atMm }
    const fromFollowed = alongLine(line, there.following.fixings).flatMap((atMm): PlacePoint[] => {
      const interval = own.intervals.find(one => atMm >= one.fromMm && atMm <= one.toMm)
      return interval ? [{ atMm, member: interval.member, state: interval.state, chance: interval.chance, timber: interval.timber }] : []
    })
    const pins = alongLine(line, there.used).map((atMm): PlacePoint => {
      const near = [...own.points].sort((a, b) => Math.abs(a.atMm - atMm) - Math.abs(b.atMm - atMm))[0]
      const within = own.intervals.find(one => atMm >= one.fromMm && atMm <= one.toMm)
      const member = near && Math.abs(near.atMm - atMm) < SAME_PLACE_MM ? near.member : within?.member ?? `the hole at ${Math.round(atMm)} mm`
      return { atMm, member, state: 'proved', chance: 1, timber: 1 }
    })
    const taken = new Set(own.points.length ? pins.map(pin => pin.member) : [])
    const holes = [...there.abandoned, ...there.used]
    const isFree = (atMm: number) => nearHole(spotAt(atMm), holes, mount, closure, apart) === null
    const intervals = own.intervals.length ? placesOutside({ points: [], intervals: own.intervals }, closedStretches(alongLine({ ...line, reach: WIDE }, holes, REACHES_MM), isFree)).intervals : []
    // Beside a hole that can't be used the nearest place is wanted, on either side.
    const beside = intervals.flatMap(({ fromMm, toMm, ...of }) => [fromMm, toMm].filter(atMm => !own.intervals.some(one => one.fromMm === atMm || one.toMm === atMm)).map((atMm): PlacePoint => ({ atMm, ...of })))
    const wanted = [...own.points.filter(point => !taken.has(point.member)), ...fromFollowed]
    const free = [...wanted.filter(({ atMm }) => isFree(atMm)), ...wanted.filter(({ atMm }) => !isFree(atMm)).flatMap(point => besideMiss(point, missedOn(line, there.missed), face, isFree))]
    return { points: [...pins, ...free, ...beside].sort((a, b) => a.atMm - b.atMm), intervals }
  }
}

const WIDE = { fromMm: -Infinity, toMm: Infinity }
/** A hole shuts out places no farther along a line than this, and none from a line farther off, mm: a flashing's size. */
const REACHES_MM = 700
/** Stretches are found to this, mm: half a pencil line. */
const STEP_MM = 1

/** A bit's half and a hand's, mm: so far past half the timber's width its middle is from a hole that just missed it. */
const PAST_EDGE_MM = 6

/** Misses on a line, mm along it; the side that was felt lies along a rail across the roof only. */
const missedOn = (line: RailLine, missed: Missed[]): { atMm: number, timber: Missed['timber'] }[] => missed.flatMap(one =>
  alongLine({ ...line, reach: WIDE }, [one]).map(atMm => ({ atMm, timber: line.way === 'across' ? one.timber : null })))

/** A rafter that was drilled past: on the side where it was felt, else as likely on either side of the hole; and still to be found. */
function besideMiss(point: PlacePoint, misses: { atMm: number, timber: Missed['timber'] }[], { supports }: Face, isFree: (atMm: number) => boolean): PlacePoint[] {
  if (supports.kind !== 'rafters') return []
  const past = supports.widthMm / 2 + PAST_EDGE_MM
  const near = misses.filter(one => Math.abs(one.atMm - point.atMm) < supports.widthMm)
  return near.flatMap(({ atMm, timber }) => [...timber === 'right' ? [] : [{ atMm: atMm - past, felt: timber !== null }], ...timber === 'left' ? [] : [{ atMm: atMm + past, felt: timber !== null }]])
    .filter(({ atMm }) => isFree(atMm) && misses.every(one => Math.abs(one.atMm - atMm) >= past - 1))
    .map(({ atMm, felt }): PlacePoint => ({ ...point, atMm, state: 'guessed', chance: point.chance / (felt ? 1 : 2), timber: point.timber / (felt ? 1 : 2) }))
}

/** Stretches of a line, near holes, in which no fixing may stand, mm along it. */
function closedStretches(holesMm: number[], isFree: (atMm: number) => boolean): Interval[] {
  const stretches: Interval[] = []
  for (const holeMm of holesMm) {
    for (let atMm = holeMm - REACHES_MM; atMm <= holeMm + REACHES_MM; atMm += STEP_MM) {
      if (isFree(atMm)) continue
      const last = stretches.at(-1)
      if (last && atMm - last.toMm <= STEP_MM + 1e-9 && atMm >= last.fromMm) last.toMm = atMm
      else stretches.push({ fromMm: atMm, toMm: atMm })
    }
  }
  return stretches.map(({ fromMm, toMm }) => ({ fromMm: fromMm - STEP_MM, toMm: toMm + STEP_MM }))
}

/** The candidates that the layout followed had its fixings at, each the nearest to one of them. */
export function followedAmong(xs: number[], earlierMm: number[]): Set<number> {
  const taken = new Set<number>()
  for (const mm of earlierMm) {
    const nearest = xs.map((x, i) => ({ i, offMm: Math.abs(x - mm) })).filter(({ i, offMm }) => offMm <= SAME_PLACE_MM && !taken.has(i)).sort((a, b) => a.offMm - b.offMm)[0]
    if (nearest) taken.add(nearest.i)
  }
  return taken
}
