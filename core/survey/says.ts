import { datumName, placeAlong, placeUp } from '../roof'
import type { FaceSays } from '../trade'
import type { SurveyLayout } from './layout'
import { assumed, coursesAssumed } from './assumed'
import { impossible, loose, unchecked, wrong } from './tape'
import { surveyShown } from './shown'

/** The face itself: its outline, its corners on the tapes, the datum, and taped lengths that do not agree. */
export const survey = {
  ...surveyShown,
  findings: { assumed, 'courses-assumed': coursesAssumed, 'tape-impossible': impossible, 'tape-loose': loose, 'tape-unchecked': unchecked, 'tape-wrong': wrong },
  marks: {
    datum: ({ face }, make) => [make({
      id: 'datum', kind: 'datum', title: 'Datum', tape: 'along', lineMm: placeUp(face, 0),
      instruction: `Hook both tapes on the ${datumName(face)}. Every reading on this sheet runs from there: never add one to another.`,
      marks: [{ label: 'Datum corner', mm: placeAlong(face, 0), note: 'Tape reads zero here' }],
    })],
  },
} satisfies FaceSays<SurveyLayout>
