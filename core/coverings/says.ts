import { intersect, type Interval, stretchesAt, stretchesUp } from '../geometry'
import { type Ask, type DraftFinding, type FaceSays, type FindingAsk, type Layer, noCures, type Shape, shape } from '../trade'
import type { CoveringLayout } from './layout'

/** Lower edges of the courses as far as they lie on the face, and where units meet. */
const courses: Layer<Ask<CoveringLayout>> = {
  id: 'courses', toggle: { name: 'Courses', key: 'c', on: true }, depth: 10,
  style: { fill: null, stroke: '#d8d3c6', width: 0.4, text: 0, ink: '#22272e', dxfColour: 8 },
  shapes: ({ plan }) => [...courseShapes(plan), ...jointShapes(plan)],
}

const courseShapes = ({ courses, shape: { region } }: CoveringLayout): Shape[] => {
  const apartMm = (courses[1] ?? Infinity) - courses[0]!
  return courses.flatMap((y, index) => stretchesAt(region, y).map(({ fromMm, toMm }) => shape({ kind: 'line', from: { x: fromMm, y }, to: { x: toMm, y }, apartMm, index })))
}

/** Where units meet, as far as that lies on the face: beside a hip they are cut. */
function jointShapes({ joints, shape: { region } }: CoveringLayout): Shape[] {
  const apartMm = Math.abs((joints[1]?.xMm ?? Infinity) - (joints[0]?.xMm ?? 0))
  const onFace = new Map<number, Interval[]>()
  return joints.flatMap(({ xMm, fromMm, toMm }) => {
    const stretches = onFace.get(xMm) ?? stretchesUp(region, xMm)
    onFace.set(xMm, stretches)
    return intersect(stretches, [{ fromMm, toMm }]).map(one => shape({ kind: 'line', from: { x: xMm, y: one.fromMm }, to: { x: xMm, y: one.toMm }, apartMm }))
  })
}

/** Bare battens wait for an array that becomes the covering; rails and hooks have nothing to do there. */
const notSetOut = ({ face }: FindingAsk<CoveringLayout>): DraftFinding[] => face.covering.kind !== 'felt-and-battens'
  ? []
  : [{
      id: `in-roof:${face.id}`, severity: 'note', stage: 'rows', faceId: face.id, about: null, measured: null, limit: null, propose: noCures,
      sentence: 'This face is felt and battens for an in-roof array. Its survey, courses and timber are kept here; trays and flashings are not set out yet.',
    }]

/** What lies on the roof. */
export const covering = { findings: { 'in-roof': notSetOut }, layers: [courses] } satisfies FaceSays<CoveringLayout>
