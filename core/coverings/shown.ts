import { intersect, type Interval, stretchesAt, stretchesUp } from '../geometry'
import { shape } from '../trade'
import type { CoveringLayout } from './layout'
import { coveringWorkings } from './workings'
import type { FaceShown, Ask, Layer, Shape } from '../trade'

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

/** What of it is drawn, taken hold of and worked out before eyes. */
export const coveringShown = {
  layers: [courses],
  workings: ({ face, plan }) => coveringWorkings(face, plan.courses.length),
} satisfies FaceShown<CoveringLayout>
