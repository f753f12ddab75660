import { fixingCapacity, fixingUse } from '../capacity'
import type { Mount } from '../catalogue'
import type { Face, Following } from '../job'
import { besideWindowMm, type Foot, seatedAt } from '../coverings'
import { bounded } from '../memory'
import { onFace } from '../rails'
import { shapeOf } from '../roof'
import type { StrengthLayout } from '../strength'
import { fitRafters, probeNext, rafterName, raftersOf, SEEN } from '../supports'

type Laid = Pick<StrengthLayout, 'rails' | 'fixings' | 'parts'>

const MOST_CHOICES = 60
const chosen = bounded<{ ids: string[] }>(MOST_CHOICES)

/**
 * The few fixings that are opened first because seeing their rafters tells most of all the others: by the same belief as the readings to
 * take next. Those that tell nothing more are made the quicker way, so that there may be fewer than asked for.
 * @param first the mount that opens: only where it can go through too
 */
export function openedFirst(face: Face, plan: Laid, first: Foot): string[] {
  const { openFirst } = face.array
  const { supports, outline } = face
  if (!openFirst || supports.kind !== 'rafters') return []
  const fixings = plan.fixings.rails.flatMap((rail, r) => rail.fixings.map(({ id, member, atMm }) => ({ id, member, ...onFace(plan.rails[r]!, atMm) }))).map((one) => {
    const seated = seatedAt(face.covering, outline, first, one.yMm)
    return { ...one, suits: !seated || (seated.fits && besideWindowMm(face.covering, first, seated.course.number, one.xMm) === 0) }
  })
  const { fasteners } = plan.parts.mount
  return chosen([supports, outline, openFirst.count, fasteners, fixings], () => {
    const { along, up } = shapeOf(outline)
    const fit = fitRafters(supports, along, up.toMm)
    const rafters = raftersOf(supports, outline, fit)
    // One fixing on each rafter is enough to try: the one nearest to the middle of them all.
    const heights = fixings.map(one => one.yMm)
    const middleMm = (Math.min(...heights) + Math.max(...heights)) / 2
    const suitable = rafters.flatMap(({ number }) => {
      const own = fixings.filter(one => one.suits && one.member === rafterName(number))
      return own.length ? [{ number, fixing: own.reduce((a, b) => Math.abs(b.yMm - middleMm) < Math.abs(a.yMm - middleMm) - 1e-6 ? b : a) }] : []
    })
    const only = suitable.map(({ number, fixing: { xMm, yMm } }) => ({ xMm, yMm, rafter: number }))
    const probes = probeNext({ supports, along, topMm: up.toMm, fit, rafters, fixings, fasteners, reading: SEEN, only }, openFirst.count)
    const ids = probes.flatMap(probe => suitable.find(one => one.number === probe.rafter)?.fixing.id ?? [])
    return { ids }
  }).ids
}

/** A fixing that was to be opened first and stands elsewhere now is the nearest to its place, mm, if it is no farther. */
const MOVED_MM = 300

/** The fixings opened first by the layout that a crew follows, wherever they have moved to. */
export function firstsFollowed({ firsts }: Following, plan: Pick<Laid, 'rails' | 'fixings'>): string[] {
  const places = plan.fixings.rails.flatMap((rail, r) => rail.fixings.map(({ id, atMm }) => ({ id, ...onFace(plan.rails[r]!, atMm) })))
  return firsts.flatMap((spot) => {
    const away = (one: typeof spot) => Math.hypot(one.xMm - spot.xMm, one.yMm - spot.yMm)
    const [nearest] = places.filter(one => away(one) <= MOVED_MM).sort((a, b) => away(a) - away(b))
    return nearest ? [nearest.id] : []
  })
}

/** How far fixings made with the first mount are used up, where that is more than it holds. The mount holds by its own maker's figures and screws. */
export function weakFirst(face: Face, plan: Pick<StrengthLayout, 'fixings' | 'uses' | 'strength'>, mount: Mount, ids: string[]): { fixingId: string, share: number }[] {
  const { strength } = plan
  if (!strength) return []
  const { format } = strength.loads
  const capacity = fixingCapacity(mount, face, face.array, format)
  return plan.fixings.rails.flatMap((rail, r) => rail.fixings.flatMap((fixing, i) => {
    const use = plan.uses[r]
    const duty = use?.fixings[i]
    if (!ids.includes(fixing.id) || !use || !duty) return []
    const shares = use.cases.map(({ pressN, shortest }) => {
      const { up, down, slope } = fixingUse(capacity, { format, upN: Math.max(0, -pressN[i]!), downN: Math.max(0, pressN[i]!), slopeN: duty.slopeN }, shortest)
      return Math.max(up, down, slope)
    })
    const share = Math.max(0, ...shares)
    return share > 1 + 1e-9 ? [{ fixingId: fixing.id, share }] : []
  }))
}
