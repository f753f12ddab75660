import type { LogEntry, LogOf } from '../job'
import type { Spot } from './differences'

/** Two entries about one rail lie on lines no farther apart than this, mm. */
const ONE_LINE_MM = 30

/** A rail whose pieces are cut or laid. */
export type RailThere = Pick<LogOf<'rail'>, 'way' | 'lineMm' | 'fromMm' | 'toMm' | 'splicesMm' | 'state'>

type Line = Pick<RailThere, 'way' | 'lineMm' | 'fromMm' | 'toMm'>
const isOne = (a: Line, b: Line): boolean => a.way === b.way && Math.abs(a.lineMm - b.lineMm) < ONE_LINE_MM && a.fromMm < b.toMm && b.fromMm < a.toMm

/** What is there of one rail; null where nothing of it is cut or laid. */
export const thereOfRail = (rails: RailThere[], line: Line): RailThere | null => rails.find(one => isOne(one, line)) ?? null

/** Rails of a face that are cut or laid, by what was said of each last. */
export function railsThere(log: LogEntry[], faceId: string): RailThere[] {
  const rails: RailThere[] = []
  for (const entry of log) {
    if (entry.kind !== 'rail' || entry.faceId !== faceId) continue
    const { way, lineMm, fromMm, toMm, splicesMm, state } = entry
    const rail = { way, lineMm, fromMm, toMm, splicesMm, state }
    const known = rails.findIndex(one => isOne(one, rail))
    if (known < 0) rails.push(rail)
    else rails[known] = rail
  }
  return rails
}

/** Modules of a face are one where their middles are no farther apart than this, mm. */
export const ONE_MODULE_MM = 150

/** Whether a module lies at a middle. */
export const liesAt = (laid: Spot[], at: Spot): boolean => laid.some(one => Math.hypot(one.xMm - at.xMm, one.yMm - at.yMm) <= ONE_MODULE_MM)

/** Middles of the modules that lie on a face. */
export function modulesThere(log: LogEntry[], faceId: string): Spot[] {
  let laid: Spot[] = []
  for (const entry of log) {
    if (entry.kind !== 'module' || entry.faceId !== faceId) continue
    const { xMm, yMm } = entry
    laid = laid.filter(one => Math.hypot(one.xMm - xMm, one.yMm - yMm) > ONE_MODULE_MM)
    if (entry.state === 'laid') laid.push({ xMm, yMm })
  }
  return laid
}
