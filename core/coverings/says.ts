import { stretchesAt } from '../geometry'
import { type Ask, type DraftFinding, type FaceSays, type FindingAsk, type Layer, noCures, shape } from '../trade'
import type { CoveringLayout } from './layout'

/** Lower edges of the courses as far as they lie on the face, and where units meet. */
const courses: Layer<Ask<CoveringLayout>> = {
  id: 'courses', toggle: { name: 'Courses', key: 'c', on: true }, depth: 10,
  style: { fill: null, stroke: '#d8d3c6', width: 0.4, text: 0, ink: '#22272e', dxfColour: 8 },
  shapes: ({ plan: { courses, joints, shape: { region } } }) => [
    ...courses.flatMap((y, index) => stretchesAt(region, y).map(({ fromMm, toMm }) => shape({
      kind: 'line',
      from: { x: fromMm, y },
      to: { x: toMm, y },
      apartMm: (courses[1] ?? Infinity) - courses[0]!,
      index,
    }))),
    ...joints.map(({ xMm, fromMm, toMm }) => shape({
      kind: 'line',
      from: { x: xMm, y: fromMm },
      to: { x: xMm, y: toMm },
      apartMm: Math.abs((joints[1]?.xMm ?? Infinity) - joints[0]!.xMm),
    })),
  ],
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
