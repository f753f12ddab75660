import { type CardStep, cardOf } from '../openings'
import type { Face, Job, LogOf } from '../job'
import { readingOn, readingUp } from '../roof'
import { damagesOn, differencesOn, type Drilled, drilledOn, railsThere, type Spot, thereOfRail } from '../rooflog'
import { writer } from '../trade'
import type { WiringLayout } from '../wiring'

/** What must not be left over night or in the rain, with what to do about it. */
export interface OpenItem {
  id: string
  faceId: string
  kind: 'hole' | 'course' | 'miss' | 'rail' | 'dispute' | 'damage'
  at: Spot | null
  words: string
  /** What covers or closes it. */
  close: string
  /** The hole or the damage that it is about. */
  of: string | null
  /** Whether a day may end over it: what is broken may wait, the job's end may not. */
  waits: boolean
}

const dist = (a: Spot, b: Spot | null) => b ? Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm) : 0

/** Steps in which the covering is opened and closed round a fixing, by its card; the rail's bolt is no part of it. */
export function closingSteps(job: Job, face: Face, plan: WiringLayout, spot: Spot): CardStep[] {
  const opening = plan.openings.filter(one => dist(one.railAt, spot) < NEAR_MM).sort((a, b) => dist(a.railAt, spot) - dist(b.railAt, spot))[0]
  return opening ? cardOf(job, face, plan, opening).steps.filter(step => step.id !== 'bolt') : []
}
const NEAR_MM = 60

/** What of them is not done at a hole. */
export const stepsLeft = (steps: CardStep[], hole: Pick<Drilled, 'closure'>): CardStep[] => steps.filter(step => !hole.closure.includes(step.id))

const words: Record<OpenItem['kind'], { what: string, close: string }> = {
  hole: { what: 'An open hole', close: 'Screw, flashing and sealant; or a plug and a patch for the night' },
  course: { what: 'Covering lifted', close: 'Lay the courses down, or cover with a weighted sheet lapped under the course above' },
  miss: { what: 'A miss that is not sealed', close: 'Fill it with sealant and lap a patch under the course above' },
  rail: { what: 'A rail that is loose', close: 'Bolt it down at every foot, or take it off the roof' },
  dispute: { what: 'A hole two people say differently', close: 'Look, and settle it' },
  damage: { what: 'Broken', close: 'Put a new one in, or cover it' },
}

const damageWords: Record<LogOf<'damage'>['what'], string> = { module: 'module', tile: 'covering', other: 'thing' }

/** All that is open on a face, nearest first from where somebody stands; misses and holes before what only waits. */
export function openOn(job: Job, face: Face, plan: WiringLayout, from: Spot | null): OpenItem[] {
  const say = writer({ job })
  const where = ({ xMm, yMm }: Spot) => `${say(readingOn(face, 'along', xMm))} along, ${say(readingUp(face, yMm))} up`
  const item = (kind: OpenItem['kind'], id: string, at: Spot | null, more = ''): OpenItem =>
    ({ id, faceId: face.id, kind, at, words: `${words[kind].what}${more}${at ? `: ${where(at)}` : ''}`, close: words[kind].close, of: id, waits: kind === 'damage' })
  const holes = drilledOn(job.log, face.id)
  const items = holes.flatMap((hole): OpenItem[] => {
    if (hole.state === 'abandoned') return hole.sealed ? [] : [item('miss', hole.id, hole)]
    if (hole.state === 'disputed') return []
    const steps = closingSteps(job, face, plan, hole)
    if (!steps.length) return hole.sealed || hole.torque ? [] : [item('hole', hole.id, hole)]
    const left = stepsLeft(steps, hole)
    if (!left.length) return []
    return [item(hole.closure.length ? 'course' : 'hole', hole.id, hole, hole.closure.length ? `, next: ${left[0]!.words.replace(/\.$/, '')}` : '')]
  })
  const loose = railsThere(job.log, face.id).filter(rail => rail.state === 'placed').flatMap((rail): OpenItem[] => {
    const own = plan.rails.find(one => thereOfRail([rail], one))
    const feet = own ? plan.fixings.rails[plan.rails.indexOf(own)]!.fixings : []
    const tight = feet.filter(fixing => holes.some(hole => hole.torque && dist(hole, own!.way === 'across' ? { xMm: fixing.atMm, yMm: own!.lineMm } : { xMm: own!.lineMm, yMm: fixing.atMm }) < NEAR_MM))
    const middle = (rail.fromMm + rail.toMm) / 2
    return own && tight.length >= feet.length ? [] : [item('rail', `rail-${Math.round(rail.lineMm)}`, rail.way === 'across' ? { xMm: middle, yMm: rail.lineMm } : { xMm: rail.lineMm, yMm: middle }, own ? `, rail ${own.number}: ${tight.length} of ${feet.length} bolts` : '')]
  })
  const disputes = differencesOn(job.log, face.id).map(({ a }) => item('dispute', a.id, a))
  const damages = damagesOn(job.log, face.id).filter(one => one.state !== 'new').map(({ said: one, state }) => ({
    ...item('damage', one.id, one.place, ` ${damageWords[one.what]}${one.words ? `, ${one.words}` : ''}${state === 'lent' ? ', mended with a unit lent from under the array' : ''}${one.due ? `, due ${one.due}` : ''}`),
    ...one.what === 'module' ? { close: 'Its place, its clamps and the skirt there stay open; the rest goes on' } : one.what === 'tile' ? { close: state === 'lent' ? 'Put a new unit back under the array, before modules cover the place' : 'A sound unit from under the array mends what shows; the new one goes back under it' } : {},
  }))
  return [...items, ...loose, ...disputes, ...damages].sort((a, b) => Number(a.waits) - Number(b.waits) || (a.at && b.at ? dist(a.at, from) - dist(b.at, from) : Number(!a.at) - Number(!b.at)))
}

/** Whether the day may end, or rain be let come: nothing that lets water in or a rail slide is open. */
export const mayPause = (items: OpenItem[]): boolean => items.every(item => item.waits)
