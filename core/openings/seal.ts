import type { Closure } from '../catalogue'
import type { Point } from '../geometry'

/** Sealant of one fixing: bead laid out, its section, and what it comes to with film, filling and dabs. Plus the bead's lines about the screws, mm, x along the eave and y up the slope, to be drawn. */
export interface Seal { school: Closure['seal'], beadLengthMm: number, sectionMm2: number, ml: number, dabsMl: number, lines: Point[][] }

const circle = (radiusMm: number, fromRad = 0, toRad = 2 * Math.PI): Point[] =>
  Array.from({ length: 25 }, (_, i) => fromRad + (toRad - fromRad) * i / 24).map(angle => ({ x: radiusMm * Math.cos(angle), y: radiusMm * Math.sin(angle) }))
const box = (wideMm: number, highMm: number): Point[] => [[-1, -1], [1, -1], [1, 1], [-1, 1], [-1, -1]].map(([x, y]) => ({ x: x! * wideMm / 2, y: y! * highMm / 2 }))

/** The school's figure: length of bead, mm, and its lines. */
function bead({ seal, sealAcrossMm: across, sealUpMm: up }: Pick<Closure, 'seal' | 'sealAcrossMm' | 'sealUpMm'>): { mm: number, lines: Point[][] } {
  switch (seal) {
    // Open below, so that what gets in runs out again.
    case 'inverted-u': return { mm: 2 * up + across, lines: [[{ x: -across / 2, y: -up / 2 }, { x: -across / 2, y: up / 2 }, { x: across / 2, y: up / 2 }, { x: across / 2, y: -up / 2 }]] }
    case 'half-circle': return { mm: Math.PI * across / 2, lines: [circle(across / 2, 0, Math.PI)] }
    case 'rings': return { mm: Math.PI * (across + up), lines: [circle(across / 2), circle(up / 2)] }
    case 'underside':
    case 'surface': return { mm: 2 * (across + up), lines: [box(across, up)] }
    default: return { mm: 0, lines: [] }
  }
}

/** Sealant of one fixing, ml: bead length × section, film under the underside, what is injected, and dabs on the tabs. */
export function sealOf(closure: Pick<Closure, 'seal' | 'beadMm' | 'sealAcrossMm' | 'sealUpMm' | 'filmMm' | 'fillMl' | 'dabs' | 'dabMl'>): Seal {
  const { mm, lines } = bead(closure)
  const sectionMm2 = Math.PI * closure.beadMm ** 2 / 4
  const filmMl = closure.seal === 'underside' ? closure.sealAcrossMm * closure.sealUpMm * closure.filmMm / 1000 : 0
  const fillMl = closure.seal === 'injected' ? closure.fillMl : 0
  const dabsMl = closure.dabs * closure.dabMl
  return { school: closure.seal, beadLengthMm: mm, sectionMm2, ml: mm * sectionMm2 / 1000 + filmMl + fillMl + dabsMl, dabsMl, lines }
}
