import type { CoveringStep, LogEntry, LogOf } from '../job'
import { differencesOn, ONE_HOLE_MM, type Spot } from './differences'

/** One hole as it is there: a place on the face, whatever the rails above it become. */
export interface Drilled {
  id: string
  faceId: string
  xMm: number
  yMm: number
  /** A fixing stands in it or may; nothing does; or two people say it differently and nobody has settled it. */
  state: 'used' | 'abandoned' | 'disputed'
  /** It went beside the timber, whatever became of it. */
  missed: boolean
  sealed: boolean
  /** For one that missed: which way the timber lies, where somebody felt it. */
  timber: LogOf<'hole'>['timber']
  dust: LogOf<'hole'>['dust']
  by: string
  at: string
  /** Steps of closing the covering that are done, 0 first. */
  closure: CoveringStep[]
  heightMm: number | null
  torque: { nm: number, driver: LogOf<'torque'>['driver'], wrench: string, by: string } | null
}

/** The holes of a face, each once, by the log. What was said of a hole under either of two names counts for it. */
export function drilledOn(log: LogEntry[], faceId: string): Drilled[] {
  const own = log.filter(entry => entry.faceId === faceId)
  const differences = differencesOn(log, faceId)
  const over = new Set(own.flatMap(entry => entry.kind === 'settle' ? [entry.overId] : []))
  const holes: Drilled[] = []
  const named = new Map<string, Drilled>()
  for (const entry of own) {
    if (entry.kind !== 'hole' || over.has(entry.id)) continue
    const { id, xMm, yMm, result, timber, dust, by, at } = entry
    const twin = holes.find(one => Math.hypot(one.xMm - xMm, one.yMm - yMm) < ONE_HOLE_MM)
    const hole: Drilled = twin ?? { id, faceId, xMm, yMm, state: result === 'hit' ? 'used' : 'abandoned', missed: result === 'miss', sealed: false, timber, dust, by, at, closure: [], heightMm: null, torque: null }
    if (!twin) holes.push(hole)
    else hole.dust ??= dust
    if (differences.some(one => one.a.id === id || one.b.id === id)) hole.state = 'disputed'
    named.set(id, hole)
  }
  // What was said under the name that did not hold is said of the hole all the same.
  for (const entry of own) {
    const hole = entry.kind === 'settle' ? named.get(entry.holdsId) : undefined
    if (hole && entry.kind === 'settle') named.set(entry.overId, hole)
  }
  for (const entry of own) {
    const hole = 'holeId' in entry && entry.holeId ? named.get(entry.holeId) : undefined
    if (!hole) continue
    if (entry.kind === 'seal') hole.sealed = true
    else if (entry.kind === 'give-up' && hole.state === 'used') hole.state = 'abandoned'
    else if (entry.kind === 'closure') hole.closure = entry.done ? [...new Set([...hole.closure, entry.step])] : hole.closure.filter(step => step !== entry.step)
    else if (entry.kind === 'height') hole.heightMm = entry.heightMm
    else if (entry.kind === 'torque') hole.torque = { nm: entry.torqueNm, driver: entry.driver, wrench: entry.wrench, by: entry.by }
  }
  return holes
}

/** A fixing of the plan is at a hole where it stands no farther from it than this, mm. */
const AT_HOLE_MM = 2

/** The hole at a fixing's place. */
export const holeAt = (holes: Drilled[], spot: Spot): Drilled | null => holes.find(hole => Math.hypot(hole.xMm - spot.xMm, hole.yMm - spot.yMm) < AT_HOLE_MM) ?? null
