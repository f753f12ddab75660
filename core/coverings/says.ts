import { type DraftFinding, type FaceSays, type FindingAsk, noCures } from '../trade'
import { gaugeApart, gaugeOnce, lapShort, pitchLow } from './findings'
import type { CoveringLayout } from './layout'
import { coveringShown } from './shown'

/** Bare battens wait for an array that becomes the covering; rails and hooks have nothing to do there. */
const notSetOut = ({ face }: FindingAsk<CoveringLayout>): DraftFinding[] => face.covering.kind !== 'felt-and-battens'
  ? []
  : [{
      id: `in-roof:${face.id}`, severity: 'note', stage: 'rows', faceId: face.id, about: null, measured: null, limit: null, propose: noCures,
      sentence: 'This face is felt and battens for an in-roof array. Its survey, courses and timber are kept here; trays and flashings are not set out yet.',
    }]

/** What lies on the roof. */
export const covering = {
  ...coveringShown,
  findings: { 'in-roof': notSetOut, 'gauge-apart': gaugeApart, 'lap-short': lapShort, 'pitch-low': pitchLow, 'gauge-once': gaugeOnce },
} satisfies FaceSays<CoveringLayout>
