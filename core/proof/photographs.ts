import { photographRecord } from '../fieldwork'
import type { ProofOf } from '../job'
import type { ProofAsk } from './ask'
import { circuitsOf } from './circuits'

/** A photograph that the record wants: by its own name, with the caption that its step gives it. */
export interface WantedPicture { id: string, caption: string, why: string, had: ProofOf<'photograph'> | null }

type Draft = Omit<WantedPicture, 'had'>

/** Photographs asked for by rule set; what is covered for good and what an inspector looks for (common practice; local inspectors may ask for others). */
function drafts({ job, faces, wiring }: ProofAsk): Draft[] {
  const { us } = wiring.rules
  const built = faces.filter(({ plan }) => plan.modules > 0).map(({ face }) => face)
  const things = job.ground?.things.filter(one => !one.existing) ?? []
  const each = (kind: typeof things[number]['kind'], caption: string, why: string): Draft[] => things.filter(one => one.kind === kind).map(one => ({ id: `${kind} ${one.id}`, caption: `${one.name}: ${caption}`, why }))
  return [
    ...built.map((face): Draft => ({ id: `under ${face.id}`, caption: `${face.name}: wires under the array, clear of the covering`, why: 'No conductor lies on the roof (NEC 690.31; IEC 62548)' })),
    ...built.map((face): Draft => ({ id: `bond ${face.id}`, caption: `${face.name}: earth lug and its conductor`, why: 'Bonding is seen once' })),
    ...built.map((face): Draft => ({ id: `array ${face.id}`, caption: `${face.name}: the finished array`, why: 'As built' })),
    ...each('roof-box', 'inside, conductors marked', 'Joints are covered'),
    ...each('inverter', 'its plate and its terminals', 'What is there, and that it is tight'),
    ...each('storage', 'its plate and clearances', 'What is there'),
    ...us ? [...each('ac-disconnect', 'open and closed, with its label', 'NEC 690.13'), ...each('main-panel', 'directory and labels', 'NEC 705.10')] : each('dc-isolator', 'with its label', 'IEC 60364-7-712'),
    ...us && job.ground ? [{ id: 'shutdown-label', caption: 'Rapid-shutdown label at the service', why: 'NEC 690.56(C)' }] : [],
    ...!us && job.ground ? [{ id: 'schedule', caption: 'Circuit schedule and dual-supply label at the board', why: 'IEC 60364-7-712' }] : [],
    ...circuitsOf({ wiring }).some(one => one.kind !== 'branch') ? [{ id: 'tester', caption: 'The tester with a reading on it', why: 'The record is of this job' }] : [],
  ]
}

/** All that is wanted, with what there is. */
export const wantedPictures = (ask: ProofAsk): WantedPicture[] => drafts(ask).map(one => ({ ...one, had: ask.job.proof.findLast((entry): entry is ProofOf<'photograph'> => entry.kind === 'photograph' && entry.wanted === one.id) ?? null }))

/** Photographs of holes that the roof log wants and that are not there, face by face. */
export const missingOnRoof = ({ job, faces }: ProofAsk): number => faces.filter(({ plan }) => !plan.inRoof).reduce((sum, { face, plan }) => sum + photographRecord(job, face, plan).missing.length, 0)
