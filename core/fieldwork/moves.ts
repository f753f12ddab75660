import { ON_LINE_MM, SAME_PLACE_MM } from '../fixings'
import type { Face, Job } from '../job'
import { onFace, type RailPlan } from '../rails'
import { readingOn, readingUp } from '../roof'
import { drilledOn, type Spot } from '../rooflog'
import type { SticksLayout } from '../sticks'
import { writer } from '../trade'

/** One mark that is not where the crew has it. */
export interface Move {
  railId: string
  rail: number
  /** Where the crew has it, on the face, mm; null for one that is new. */
  was: Spot | null
  /** Where it is now; null for one that is needed no more. */
  now: Spot | null
  /** What it is driven into now. */
  member: string
  what: 'fixing' | 'splice'
}

/** A mark has moved where a tape shows it, mm. */
const SHOWS_MM = 3

/** On one line: what each place has become. */
function onLine(rail: RailPlan, was: Spot[], now: { atMm: number, member: string }[], what: Move['what'], isDrilled: (spot: Spot) => boolean): Move[] {
  const along = ({ xMm, yMm }: Spot) => rail.way === 'across' ? xMm : yMm
  const left = new Set(now.map((_, i) => i))
  const moves: Move[] = []
  const of = { railId: rail.id, rail: rail.number, what }
  for (const spot of was) {
    const nearest = [...left].sort((a, b) => Math.abs(now[a]!.atMm - along(spot)) - Math.abs(now[b]!.atMm - along(spot)))[0]
    if (nearest === undefined || Math.abs(now[nearest]!.atMm - along(spot)) > SAME_PLACE_MM) {
      moves.push({ ...of, was: spot, now: null, member: '' })
      continue
    }
    left.delete(nearest)
    const place = onFace(rail, now[nearest]!.atMm)
    if (Math.abs(now[nearest]!.atMm - along(spot)) > SHOWS_MM && !isDrilled(place)) moves.push({ ...of, was: spot, now: place, member: now[nearest]!.member })
  }
  for (const i of left) {
    const place = onFace(rail, now[i]!.atMm)
    if (!isDrilled(place)) moves.push({ ...of, was: null, now: place, member: now[i]!.member })
  }
  return moves
}

/** What of a face is to be marked otherwise than the crew has it, rail by rail; what is drilled is not told of. Empty where nobody follows anything yet. */
export function movesOn({ log }: Pick<Job, 'log'>, face: Face, plan: SticksLayout): Move[] {
  const { following } = face
  if (!following) return []
  const used = drilledOn(log, face.id).filter(one => one.state === 'used')
  const isDrilled = (spot: Spot) => used.some(one => Math.hypot(one.xMm - spot.xMm, one.yMm - spot.yMm) < SHOWS_MM)
  return plan.rails.flatMap((rail, r) => {
    const near = (spots: Spot[]) => spots.filter(({ xMm, yMm }) => Math.abs((rail.way === 'across' ? yMm : xMm) - rail.lineMm) <= ON_LINE_MM && (rail.way === 'across' ? xMm : yMm) >= rail.fromMm - SAME_PLACE_MM && (rail.way === 'across' ? xMm : yMm) <= rail.toMm + SAME_PLACE_MM)
    return [
      ...onLine(rail, near(following.fixings), plan.fixings.rails[r]!.fixings, 'fixing', isDrilled),
      ...onLine(rail, near(following.splices), plan.sticks.splices.filter(one => one.railId === rail.id).map(({ atMm }) => ({ atMm, member: '' })), 'splice', isDrilled),
    ]
  })
}

/** A move as it is called out, by running readings from the datum. */
export function moveWords(job: Pick<Job, 'units'>, face: Face, way: RailPlan['way'], { what, was, now, member }: Move): string {
  const say = writer({ job })
  const reading = ({ xMm, yMm }: Spot) => say(way === 'across' ? readingOn(face, 'along', xMm) : readingUp(face, yMm))
  const on = member ? `, ${member}` : ''
  if (was && now) return `The ${what} at ${reading(was)} goes to ${reading(now)}${on}`
  if (now) return `A new ${what} at ${reading(now)}${on}`
  return `The ${what} at ${reading(was!)} is left out`
}
