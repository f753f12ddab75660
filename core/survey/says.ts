import { datumName, placeAlong, placeUp } from '../roof'
import { type Ask, type FaceSays, faceRef, type Layer, type Selectable, shape, type TapePlace } from '../trade'
import type { SurveyLayout } from './layout'
import { assumed, coursesAssumed } from './assumed'
import { shapeWorkings } from './workings'
import { impossible, loose, unchecked, wrong } from './tape'

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

/** The face itself: its outline, its corners on the tapes, the datum, and taped lengths that do not agree. */
export const survey = {
  findings: { assumed, 'courses-assumed': coursesAssumed, 'tape-impossible': impossible, 'tape-loose': loose, 'tape-unchecked': unchecked, 'tape-wrong': wrong },
  marks: {
    datum: ({ face }, make) => [make({
      id: 'datum', kind: 'datum', title: 'Datum', tape: 'along', lineMm: placeUp(face, 0),
      instruction: `Hook both tapes on the ${datumName(face)}. Every reading on this sheet runs from there: never add one to another.`,
      marks: [{ label: 'Datum corner', mm: placeAlong(face, 0), note: 'Tape reads zero here' }],
    })],
  },
  layers: [outline],
  workings: ({ face }) => shapeWorkings(face),
  selectable: ask => [wholeFace(ask)],
} satisfies FaceSays<SurveyLayout>
