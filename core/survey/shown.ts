import { faceRef, shape } from '../trade'
import type { SurveyLayout } from './layout'
import { shapeWorkings } from './workings'
import type { FaceShown, Ask, Layer, Selectable, TapePlace } from '../trade'

const outline: Layer<Ask<SurveyLayout>> = {
  id: 'outline', toggle: null, depth: 30, style: { fill: null, stroke: '#22272e', width: 1.6, text: 8, ink: '#22272e', dxfColour: 7 },
  shapes: ({ plan: { shape: { region, edges } } }) => [
    shape({ kind: 'area', rings: region }),
    ...edges.filter(edge => edge.kind === 'eave' || edge.kind === 'ridge').map(edge => shape({
      kind: 'text',
      at: { x: (edge.from.x + edge.to.x) / 2, y: (edge.from.y + edge.to.y) / 2 },
      text: edge.name,
      roomMm: 0,
    })),
  ],
}

/** Places without those within a millimetre of one before. */
const distinct = (places: number[]): number[] => [...places].sort((a, b) => a - b).filter((place, i, all) => i === 0 || place - all[i - 1]! > 1)

function wholeFace({ plan }: Ask<SurveyLayout>): Selectable {
  const corners = plan.shape.region[0]!
  const corner = (placeMm: number): TapePlace => ({ placeMm, label: 'Corner', tone: 'edge' })
  return { ref: faceRef, name: 'The whole face', places: () => ({ along: distinct(corners.map(point => point.x)).map(corner), up: distinct(corners.map(point => point.y)).map(corner) }) }
}

/** What of it is drawn, taken hold of and worked out before eyes. */
export const surveyShown = {
  layers: [outline],
  workings: ({ face }) => shapeWorkings(face),
  selectable: ask => [wholeFace(ask)],
} satisfies FaceShown<SurveyLayout>
