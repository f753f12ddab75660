import { fixingCapacity, fixingUse } from '../capacity'
import type { Mount } from '../catalogue'
import type { Face } from '../job'
import { besideWindowMm, type Foot, seatedAt } from '../coverings'
import { bounded } from '../memory'
import { onFace } from '../rails'
import { shapeOf } from '../roof'
import type { StrengthLayout } from '../strength'
import { probeNext, rafterName } from '../supports'

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
    const probes = probeNext(supports, outline, along, up.toMm, fixings.filter(one => one.suits), fasteners, openFirst.count)
    const ids = probes.flatMap((probe) => {
      const own = fixings.filter(one => one.suits && one.member === rafterName(probe.rafter))
      return own.length ? [own.reduce((a, b) => Math.abs(b.yMm - probe.yMm) < Math.abs(a.yMm - probe.yMm) - 1e-6 ? b : a).id] : []
    })
    return { ids }
  }).ids
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
