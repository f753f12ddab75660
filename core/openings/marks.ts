import type { Closure } from '../catalogue'
import { fromDatum } from '../coverings'
import type { Face } from '../job'
import { runTape } from '../rails'
import { type Ask, inBuildOrder, listed, type MarkStep, type StepDraft, type StepMaker, writer } from '../trade'
import type { OpeningsLayout } from './layout'
import type { Opening } from './opening'
import { unitWords } from './words'

/** Ways that open nothing which is measured from a course. */
const AS_THE_RAIL: Closure['way'][] = ['screw', 'clamp', 'strip']

/** Where the covering is opened and the plate screwed, rail by rail: not where the rail runs. */
export function openingSteps(ask: Ask<OpeningsLayout>, make: StepMaker): MarkStep[] {
  const { face, plan } = ask
  const say = writer(ask)
  const opened = plan.openings.filter(one => one.course && !AS_THE_RAIL.includes(one.way))
  // Where courses run through, and the plates stand where the rail's fixings are, a line a rail says it all.
  if (opened.length && plan.rails.every(rail => rail.way === 'across') && opened.every(one => !one.unit && Math.abs(one.plate.xMm - one.railAt.xMm) < 0.5)) return [make(byCourse(plan, opened))]
  return inBuildOrder(face, plan.rails).flatMap((rail) => {
    const own = opened.filter(one => one.railId === rail.id)
    const [first] = own
    if (!first) return []
    const across = rail.way === 'across'
    const level = own.every(one => Math.abs(one.plate.yMm - first.plate.yMm) < 0.5)
    return [make({
      id: `openings-${rail.id}`, kind: 'openings', title: `Openings for rail ${rail.number}`, tape: runTape(rail), lineMm: across ? (level ? first.plate.yMm : null) : rail.lineMm,
      instruction: `${across ? `Plates in course ${first.course!.number}, their middle ${say(first.plate.yMm - first.course!.fromMm)} above its edge.` : 'Plates by their course.'} Lift, screw, seal and close each by its card before the next.`,
      marks: own.map(one => ({
        label: `Opening ${one.place}`, mm: across ? one.plate.xMm : one.plate.yMm, key: one.member, of: { kind: 'fixing', id: one.fixingId }, note: noteOf(face, one, across),
        ...across && !level ? { upMm: one.plate.yMm } : {},
      })),
    })]
  })
}

/** The lines on which feet are screwed, one a rail, with the course that each goes through and those that are lifted. */
const byCourse = ({ rails }: OpeningsLayout, opened: Opening[]): StepDraft => ({
  id: 'openings', kind: 'openings', title: 'Feet in their courses', tape: 'up', lineMm: null,
  instruction: 'Where the feet are screwed, not where the rails run; along the eave they stand at the fixings. Lift, screw, seal and close each by its card before the next.',
  marks: rails.flatMap((rail) => {
    const one = opened.find(own => own.railId === rail.id)
    const lifted = one ? [...new Set(one.lifted.map(ref => ref.course))] : []
    return one ? [{ label: `Feet of rail ${rail.number}`, mm: one.plate.yMm, of: { kind: 'rail' as const, id: rail.id }, note: [`course ${one.course!.number}`, ...lifted.length ? [`lift ${listed(lifted.map(String))}`] : []].join(', ') }] : []
  }),
})

function noteOf(face: Face, one: Opening, across: boolean): string {
  const unit = unitWords[face.covering.kind].one
  const lifted = [...new Set(one.lifted.map(ref => ref.course))].map((course) => {
    const numbers = one.lifted.flatMap(ref => ref.course === course && ref.unit !== null ? [fromDatum(face, course, ref.unit)] : []).sort((a, b) => a - b)
    return numbers.length ? `${listed(numbers.map(String))} of course ${course}` : `course ${course}`
  })
  return [
    ...across ? [] : [`course ${one.course!.number}`], ...one.unit ? [`${unit} ${fromDatum(face, one.course!.number, one.unit.number)}`] : [], ...one.cut && one.cut.kind !== 'hole' ? [`${one.cut.kind} it`] : [],
    ...lifted.length ? [`lift ${listed(lifted)}`] : [], ...one.first ? ['opened first: look for the rafter'] : [],
  ].join(', ')
}
