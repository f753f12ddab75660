import { plainKeepClear } from './rule-sets'
import { noLoads, noPlaceLoads, plainBuild, plainFeet, plainLoadout, plainRow, plainTimber, plainVan, plainWiring } from './schema'
import { nothingRead, plainPlace, plainSite, rafterRow } from './starter'

type Facts = Record<string, unknown>
const isFacts = (value: unknown): value is Facts => typeof value === 'object' && value !== null && !Array.isArray(value)
/** Facts with those that are missing filled in. */
const filled = (plain: object, facts: unknown): unknown => isFacts(facts) ? { ...plain, ...facts } : facts ?? plain
const each = (list: unknown, change: (one: Facts) => unknown): unknown => Array.isArray(list) ? list.map(one => isFacts(one) ? change(one) : one) : list

/** Rows in the middle of their strips on common columns, from the eave up, were all there was. */
const arrayOf = (array: Facts): Facts => ({ columns: 'aligned', stackFrom: 'eave', ...plainBuild, ...array, rows: each(array.rows, row => ({ ...plainRow, ...row })) })

/** A hit log that nobody kept, purlins whose thickness nobody was asked for. */
function supportsOf(supports: unknown): unknown {
  if (!isFacts(supports)) return supports
  const { layout, timber, spacings, hits } = rafterRow(0, 0, 0)
  if (supports.kind === 'rafters') return { layout, timber, spacings, hits, ...supports }
  return supports.kind === 'purlins' ? { thicknessMm: null, batten: null, ...supports } : supports
}

/** Edges that came later are kept clear as the nearest of the old ones: an eave below, a rake beside. */
const setbacksOf = (setbacks: unknown): unknown => isFacts(setbacks)
  ? {
      hipMm: setbacks.leftRakeMm,
      valleyMm: setbacks.leftRakeMm,
      wallMm: setbacks.eaveMm,
      ...setbacks,
    }
  : setbacks

/** A covering whose courses were read at one place, and whose battens and lengths nobody was asked for: at usual sizes (common practice). */
function coveringOf(covering: unknown): unknown {
  if (!isFacts(covering)) return covering
  const battens = { battenMm: 38, battenDeepMm: 25 }
  switch (covering.kind) {
    case 'coursed-shingle': return { tabMm: null, firstColumnMm: 0, ...nothingRead, ...covering }
    case 'interlocking-tile': return { ...(typeof covering.gaugeMm === 'number' ? { lengthMm: covering.gaugeMm + 75 } : {}), ...nothingRead, ...battens, ...covering }
    case 'plain-tile': return { lengthMm: 265, ...nothingRead, ...battens, ...covering }
    case 'slate': return { mayCut: true, ...nothingRead, ...battens, battenMm: 50, ...covering }
    case 'pressed-metal-tile': return { profile: 'pan', ...nothingRead, ...covering }
    case 'standing-seam': return { profile: 'double-lock', ...covering }
    default: return covering
  }
}

const faceOf = (face: Facts): Facts => ({
  timber: plainTimber, yieldShare: 1, windStripMm: 0, reserved: [], lowEdgeMm: null, broken: [], obstructions: [], inRoof: null, feet: plainFeet, following: null, ...face, covering: coveringOf(face.covering),
  place: filled(plainPlace, face.place), supports: supportsOf(face.supports), setbacks: setbacksOf(face.setbacks), array: isFacts(face.array) ? arrayOf(face.array) : face.array,
})

/** Facts of loads that came later, at what was taken for granted before. */
function loadsOf(loads: unknown): unknown {
  if (!isFacts(loads)) return loads
  const rules = isFacts(loads.rules) && loads.rules.edition === 'us-2022' && isFacts(loads.rules.snow)
    ? {
        ...loads.rules,
        snow: { riskCategory: 'II', winterWind: null, ...loads.rules.snow },
      }
    : loads.rules
  const { framing, eaveOverhangMm } = noLoads.building
  return { place: noPlaceLoads, ...loads, rules, building: isFacts(loads.building) ? { framing, eaveOverhangMm, ...loads.building } : loads.building }
}

/**
 * Job files written by earlier versions, with the facts that have come since at what those versions took for granted.
 * Anything that is no job at all is handed on as it is for the schema to judge.
 */
export function upgraded(data: unknown): unknown {
  if (!isFacts(data) || !Array.isArray(data.faces)) return data
  return {
    codes: { kind: 'unsaid' }, wanted: null, assumed: [], log: [], proof: [], ground: null, van: plainVan, loadout: plainLoadout, ...data, site: filled(plainSite, data.site), keepClear: filled(plainKeepClear, data.keepClear), wiring: filled(plainWiring, data.wiring), loads: loadsOf(data.loads ?? noLoads), faces: each(data.faces, faceOf),
  }
}
