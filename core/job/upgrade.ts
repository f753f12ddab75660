import { noLoads, plainBuild, plainLoadout, plainRow, plainTimber, plainVan } from './schema'

type Facts = Record<string, unknown>
const isFacts = (value: unknown): value is Facts => typeof value === 'object' && value !== null && !Array.isArray(value)

const arrayOf = (array: Facts): Facts => ({ ...plainBuild, ...array, rows: Array.isArray(array.rows) ? array.rows.map(row => isFacts(row) ? { breaks: plainRow.breaks, ...row } : row) : array.rows })

/**
 * Job files written by earlier versions, with the facts that have come since at what those versions took for granted.
 * Anything that is no job at all is handed on as it is for the schema to judge.
 */
export function upgraded(data: unknown): unknown {
  if (!isFacts(data) || !Array.isArray(data.faces)) return data
  const faces = data.faces.map(face => isFacts(face) ? { timber: plainTimber, ...face, array: isFacts(face.array) ? arrayOf(face.array) : face.array } : face)
  return { loads: noLoads, van: plainVan, loadout: plainLoadout, ...data, faces }
}
