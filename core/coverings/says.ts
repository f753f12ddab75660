import { type DraftFinding, type FaceSays, type FindingAsk, noCures } from '../trade'
import { gaugeApart, gaugeOnce, lapShort, pitchLow } from './findings'
import type { CoveringLayout } from './layout'
import { coveringShown } from './shown'

/** Bare battens wait for an array that becomes the covering: rails and hooks have nothing to do there. */
const notSetOut = ({ face }: FindingAsk<CoveringLayout>): DraftFinding[] => face.covering.kind !== 'felt-and-battens' || face.inRoof
  ? []
  : [{
      id: `in-roof:${face.id}`, severity: 'note', stage: 'covering', faceId: face.id, about: null, measured: null, limit: null,
      sentence: 'This face is felt and battens for an in-roof array, and no system is chosen. Say on the survey which tile or slate will lie round it, and choose the system on the covering’s rung.',
      propose: noCures,
    }]

/** What lies on the roof. */
export const covering = {
  ...coveringShown,
  findings: { 'in-roof': notSetOut, 'gauge-apart': gaugeApart, 'lap-short': lapShort, 'pitch-low': pitchLow, 'gauge-once': gaugeOnce },
} satisfies FaceSays<CoveringLayout>
