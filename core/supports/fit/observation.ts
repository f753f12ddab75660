import type { Hit, HitState, RafterSupports } from '../../job'

/** One hit as a measurement of a rafter's centre. */
export interface Observation {
  hitId: string
  /** Measured centre, mm along the eave from its left end. */
  xMm: number
  yMm: number
  sdMm: number
  /** Share of such hits that are on no rafter at all. */
  wrongShare: number
  /** True for a drilled pilot, whose error is even over the timber's width rather than bell-shaped. */
  pilot: boolean
  state: HitState
}

/** One kind of reading: how well it gives a timber's centre, as a standard deviation, mm, and the share of such readings that are on no rafter. */
export interface ReadingKind { sdMm: number, wrongShare: number }

/** How well a reading gives the timber's centre or edge, as a standard deviation, mm (common practice). */
const SD_MM: Record<'knock' | 'edge-left' | 'edge-right' | 'seen', number> = { 'knock': 12, 'edge-left': 7, 'edge-right': 7, 'seen': 2 }

/** Share of hits that are on no rafter: a nail line, a noggin, a slip of the tape (common practice). */
const WRONG_SHARE: Record<HitState, number> = { 'knock': 0.05, 'edge-left': 0.05, 'edge-right': 0.05, 'seen': 0.005, 'pilot-hit': 0.005, 'pilot-miss': 0.05 }

/** A knock from outside, and timber that is seen, as readings to take. */
export const KNOCKED: ReadingKind = { sdMm: SD_MM.knock, wrongShare: WRONG_SHARE.knock }
export const SEEN: ReadingKind = { sdMm: SD_MM.seen, wrongShare: WRONG_SHARE.seen }

/** A pilot that hit says only that the centre is within half a width: an even distribution of that width. */
const pilotSd = (widthMm: number): number => widthMm / Math.sqrt(12)

/** The hits that say where a rafter is, as measurements of its centre; misses and those set aside are left out. */
export function observationsOf(hits: Hit[], widthMm: number): Observation[] {
  return hits.filter(hit => hit.use === 'rafter' && hit.state !== 'pilot-miss').map((hit) => {
    const { id: hitId, yMm, state } = hit
    const base = { hitId, yMm, state, wrongShare: WRONG_SHARE[state] }
    switch (state) {
      case 'pilot-hit': return { ...base, xMm: hit.xMm, sdMm: pilotSd(widthMm), pilot: true }
      case 'edge-left': return { ...base, xMm: hit.xMm + widthMm / 2, sdMm: SD_MM[state], pilot: false }
      case 'edge-right': return { ...base, xMm: hit.xMm - widthMm / 2, sdMm: SD_MM[state], pilot: false }
      case 'pilot-miss': throw new Error('A miss does not measure a rafter.')
      default: return { ...base, xMm: hit.xMm, sdMm: SD_MM[state], pilot: false }
    }
  })
}

/** Pilots that missed: places no timber covers. */
export const missesOf = (hits: RafterSupports['hits']): Hit[] => hits.filter(hit => hit.state === 'pilot-miss' && hit.use !== 'set-aside')
