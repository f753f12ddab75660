import type { Face, Job } from '../job'
import { aboveOf } from './above'
import { cardOf, type OpeningCard } from './card'
import type { SectionDrawing } from './drawing'
import type { OpeningsLayout } from './layout'
import type { Opening } from './opening'
import { sectionOf } from './section'

/** Openings that are made alike, with the section and the card of one of them. */
export interface OpeningGroup { title: string, fixings: number, section: SectionDrawing, above: SectionDrawing | null, card: OpeningCard }

/** Openings that differ by less than this look alike: each rail's own readings are on its line, mm. */
const ALIKE_MM = 40
const about = (mm: number): number => Math.round(mm / ALIKE_MM)

/** What makes two openings one drawing: the way, and where in their courses plate and rail lie. */
const keyOf = ({ way, closureId, first, course, plate, railAt, cut }: Opening): string =>
  [way, closureId, first, course ? about(plate.yMm - course.fromMm) : '', about(plate.yMm - railAt.yMm), cut ? about(cut.highMm) : ''].join(' ')

/** The openings of a face by how they are made: what a sheet shows of them, one drawing each. */
export function openingGroups(job: Job, face: Face, plan: OpeningsLayout): OpeningGroup[] {
  const groups = new Map<string, Opening[]>()
  for (const opening of plan.openings) groups.set(keyOf(opening), [...groups.get(keyOf(opening)) ?? [], opening])
  return [...groups.values()].map((own) => {
    const one = own[Math.floor((own.length - 1) / 2)]!
    const rails = [...new Set(own.map(opening => opening.rail))]
    return {
      title: `${own.length} alike on ${rails.length === 1 ? 'rail' : 'rails'} ${rails.join(', ')}: as rail ${one.rail}, fixing ${one.place}`, fixings: own.length,
      section: sectionOf(job, face, plan, one), above: aboveOf(job, face, plan, one), card: cardOf(job, face, plan, one),
    }
  })
}
