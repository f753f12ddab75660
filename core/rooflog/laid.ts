import type { LogEntry, LogOf } from '../job'

/** Two entries about one rail lie on lines no farther apart than this, mm. */
const ONE_LINE_MM = 30

/** A rail whose pieces are cut or laid. */
export type RailThere = Pick<LogOf<'rail'>, 'way' | 'lineMm' | 'fromMm' | 'toMm' | 'splicesMm' | 'state'>

/** Rails of a face that are cut or laid, by what was said of each last. */
export function railsThere(log: LogEntry[], faceId: string): RailThere[] {
  const rails: RailThere[] = []
  for (const entry of log) {
    if (entry.kind !== 'rail' || entry.faceId !== faceId) continue
    const { way, lineMm, fromMm, toMm, splicesMm, state } = entry
    const known = rails.findIndex(one => one.way === way && Math.abs(one.lineMm - lineMm) < ONE_LINE_MM && one.fromMm < toMm && fromMm < one.toMm)
    const rail = { way, lineMm, fromMm, toMm, splicesMm, state }
    if (known < 0) rails.push(rail)
    else rails[known] = rail
  }
  return rails
}

/** Modules of a face are one where their middles are no farther apart than this, mm. */
const ONE_MODULE_MM = 150

/** Middles of the modules that lie on a face. */
export function modulesThere(log: LogEntry[], faceId: string): { xMm: number, yMm: number }[] {
  let laid: { xMm: number, yMm: number }[] = []
  for (const entry of log) {
    if (entry.kind !== 'module' || entry.faceId !== faceId) continue
    const { xMm, yMm } = entry
    laid = laid.filter(one => Math.hypot(one.xMm - xMm, one.yMm - yMm) > ONE_MODULE_MM)
    if (entry.state === 'laid') laid.push({ xMm, yMm })
  }
  return laid
}
