import { noLoads, plainBuild, plainLoadout, plainRow, plainTimber, plainVan } from './schema'

type Facts = Record<string, unknown>
const isFacts = (value: unknown): value is Facts => typeof value === 'object' && value !== null && !Array.isArray(value)

const arrayOf = (array: Facts): Facts => ({ ...plainBuild, ...array, rows: Array.isArray(array.rows) ? array.rows.map(row => isFacts(row) ? { breaks: plainRow.breaks, ...row } : row) : array.rows })

/** Purlins whose thickness nobody was asked for. */
const supportsOf = (supports: unknown): unknown => isFacts(supports) && supports.kind === 'purlins' ? { thicknessMm: null, batten: null, ...supports } : supports

/** Facts of loads that came later, at what was taken for granted before. */
function loadsOf(loads: unknown): unknown {
  if (!isFacts(loads)) return loads
  const rules = isFacts(loads.rules) && loads.rules.edition === 'us-2022' && isFacts(loads.rules.snow) ? { ...loads.rules, snow: { riskCategory: 'II', winterWind: null, ...loads.rules.snow } } : loads.rules
  const { framing, eaveOverhangMm } = noLoads.building
  return { ...loads, rules, building: isFacts(loads.building) ? { framing, eaveOverhangMm, ...loads.building } : loads.building }
}

/**
 * Job files written by earlier versions, with the facts that have come since at what those versions took for granted.
 * Anything that is no job at all is handed on as it is for the schema to judge.
 */
export function upgraded(data: unknown): unknown {
  if (!isFacts(data) || !Array.isArray(data.faces)) return data
  const faces = data.faces.map(face => isFacts(face) ? { timber: plainTimber, ...face, supports: supportsOf(face.supports), array: isFacts(face.array) ? arrayOf(face.array) : face.array } : face)
  return { van: plainVan, loadout: plainLoadout, ...data, loads: loadsOf(data.loads ?? noLoads), faces }
}
