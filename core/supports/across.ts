import { contains, type Interval } from '../geometry'
import type { ScrewPattern } from '../catalogue'
import type { PurlinSupports } from '../job'
import { chanceInTimber, safeStrip, timberStrip } from './chance'
import type { PlacesForRail, SupportState } from './places'

/** A purlin or batten across the roof. */
export interface LineAcross { number: number, name: string, centreMm: number, widthMm: number, state: SupportState, sdMm: number }

const FOUND_SD_MM = 3
/** A line at a nominal distance may be out by this (common practice). */
const NOMINAL_SD_MM = 20

/** Lines of timber from the lowest to the top of the face, each where it was found or at the typed distance. */
export function linesAcross({ member, firstMm, spacingMm, widthMm, found }: PurlinSupports, topMm: number): LineAcross[] {
  const finds = new Map(found.map(find => [find.line, find.centreMm]))
  const count = Math.max(0, Math.floor((topMm - firstMm) / spacingMm + 1e-9)) + 1
  return Array.from({ length: count }, (_, i) => {
    const measured = finds.get(i + 1)
    return {
      number: i + 1, name: `${member} ${i + 1}`, centreMm: measured ?? firstMm + i * spacingMm, widthMm,
      state: measured === undefined ? 'guessed' as const : 'proved' as const, sdMm: measured === undefined ? NOMINAL_SD_MM : FOUND_SD_MM,
    }
  })
}

/** Heights at which a rail across the roof lies over timber that all of a mount's screws can find, mm up the slope. */
export function heightsOverLines(lines: LineAcross[], fasteners: ScrewPattern | null): Interval[] {
  return lines.map(({ centreMm, widthMm }) => {
    const strip = fasteners && safeStrip(widthMm, { ...fasteners, acrossMm: [0] })
    const half = strip ? strip.toMm : fasteners ? 0 : widthMm / 2
    return { fromMm: centreMm - half, toMm: centreMm + half }
  })
}

/** A rail along a line of timber may be fixed anywhere on it, one between two lines nowhere; one up the slope where it crosses each. */
export function placesAcross(lines: LineAcross[], fasteners: ScrewPattern | null): PlacesForRail {
  const inLine = fasteners && { ...fasteners, acrossMm: [0] }
  const chancesAt = (line: LineAcross, offMm: number) => inLine
    ? { chance: chanceInTimber(safeStrip(line.widthMm, inLine), line.sdMm, offMm), timber: chanceInTimber(timberStrip(line.widthMm, inLine), line.sdMm, offMm) }
    : { chance: 1, timber: 1 }
  return ({ way, lineMm, reach }) => way === 'across'
    ? {
        points: [],
        intervals: lines.filter(line => contains({ fromMm: line.centreMm - line.widthMm / 2, toMm: line.centreMm + line.widthMm / 2 }, lineMm))
          .map(line => ({ ...reach, member: line.name, state: line.state, ...chancesAt(line, lineMm - line.centreMm) })),
      }
    : {
        points: lines.filter(line => contains(reach, line.centreMm)).map(line => ({ atMm: line.centreMm, member: line.name, state: line.state, ...chancesAt(line, 0) })),
        intervals: [],
      }
}
