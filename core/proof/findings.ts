import type { ProofOf } from '../job'
import { type DraftFinding, onJob, plural } from '../trade'
import { count } from '../units'
import type { ProofAsk } from './ask'
import { chainsOf } from './chains'
import { goneCircuits } from './circuits'
import { causesOf, gatewayNow } from './gateway'
import { openProof } from './open'
import { astray, saidDifferently, saidTwice, serialPlaces } from './serials'
import { tightenedOf } from './torques'
import { handOverState } from './visits'

const onProof = (ask: ProofAsk, id: string) => onJob(ask, 'proof', `proof-${id}`)
/** Nothing is judged before anything was said. */
const begun = (find: (ask: ProofAsk) => DraftFinding[]) => (ask: ProofAsk): DraftFinding[] => ask.job.proof.length ? find(ask) : []
const hasModules = ({ faces }: ProofAsk): boolean => faces.some(({ plan }) => plan.modules > 0)
/** So many of one kind are said one by one. */
const MOST_SAID = 4

export const proofUnbegun = (ask: ProofAsk): DraftFinding[] => ask.job.proof.length || !hasModules(ask)
  ? []
  : [{ ...onProof(ask, 'unbegun'), severity: 'caution', sentence: 'Nothing is proved yet: no serial number, no test, no paper. Read serial numbers as modules go on, and test each string as it is finished.' }]

/** A test that came out wrong, which holds up all that comes after it. */
export const testFailed = begun(ask => chainsOf(ask).flatMap(chain => chain.steps.filter(one => one.state === 'failed').map((step): DraftFinding => ({
  ...onProof(ask, `failed-${chain.id}-${step.step}`), severity: 'stop', sentence: `${chain.name}, ${step.title.toLowerCase()}: ${step.verdict!.sentence}`,
  propose: () => [{ label: 'The reading was wrong: take it out and read again', edit: { type: 'drop-proof', entryIds: [step.entry!.id] } }],
}))))

/** A reading that does not tell what it is asked. */
export const testUntold = begun(ask => chainsOf(ask).flatMap(chain => chain.steps.filter(one => one.state === 'looked').map((step): DraftFinding => ({
  ...onProof(ask, `untold-${chain.id}-${step.step}`), severity: 'caution', sentence: `${chain.name}, ${step.title.toLowerCase()}: ${step.verdict!.sentence}`,
}))))

/** Joined while something was still to be tested. */
export const joinedEarly = begun(ask => chainsOf(ask).filter(one => one.early).map((chain): DraftFinding => ({
  ...onProof(ask, `early-${chain.id}`), severity: 'stop',
  sentence: `${chain.name} is joined and not tested. Stop what flows, prove it with a clamp, open its far end, then test; never part a plug under load.`,
})))

/** One serial number at two places: two people, or one misread. */
export const serialTwice = begun(ask => saidTwice(ask.job).map(({ first, again }): DraftFinding => ({
  ...onProof(ask, `twice-${again.id}`), severity: 'stop', sentence: `${again.serial} is said to stand at two places, by ${first.by || 'somebody'} and by ${again.by || 'somebody'}. Look at both labels.`,
  propose: () => [{ label: 'Take out what was said last', edit: { type: 'drop-proof', entryIds: [again.id] } }],
})))

/** One place at which two people read different numbers. */
export const serialDiffers = begun(ask => saidDifferently(ask.job).map(({ now, others }): DraftFinding => ({
  ...onProof(ask, `differs-${now.id}`), severity: 'stop', sentence: `At one place ${others[0]!.by || 'somebody'} read ${others[0]!.serial} and ${now.by || 'somebody'} ${now.serial}. Look at the label, and take the other out.`,
  propose: () => [{ label: `It is ${now.serial}`, edit: { type: 'drop-proof', entryIds: others.map(one => one.id) } }, { label: `It is ${others[0]!.serial}`, edit: { type: 'drop-proof', entryIds: [now.id] } }],
})))

export const serialAstray = begun((ask) => {
  const gone = astray(ask, serialPlaces(ask))
  return gone.length ? [{ ...onProof(ask, 'astray'), severity: 'caution', measured: count(gone.length, gone.length === 1 ? 'serial number' : 'serial numbers'), sentence: `${plural(gone.length, 'serial number')} stand where the plan has nothing any more: the plan was changed after they were read.` }] : []
})

export const circuitChanged = begun(ask => goneCircuits(ask).map((tag): DraftFinding => ({
  ...onProof(ask, `changed-${tag.number}-${tag.count}-${tag.first}`), severity: 'caution', sentence: `Circuit ${tag.number} was tested with ${plural(tag.count, 'module')}, and by the plan it is another now. What was read then is kept and proves nothing of it.`,
})))

export const gatewayCause = begun((ask) => {
  const { gateway, report } = gatewayNow(ask)
  return causesOf(ask, gateway, report).slice(0, MOST_SAID).map((cause, i): DraftFinding => ({ ...onProof(ask, `gateway-${cause.kind}-${i}`), severity: 'caution', sentence: `${cause.sentence} ${cause.does}` }))
})

export const torqueWrong = begun(ask => tightenedOf(ask).flatMap(({ thing, problems }) => problems.slice(0, MOST_SAID).map((words, i): DraftFinding => ({ ...onProof(ask, `torque-${thing.id}-${i}`), severity: 'caution', sentence: `${thing.name}, ${words}` }))))

/** What came cracked, short or without its label. */
export const goodsWrong = begun(ask => ask.job.proof.filter((entry): entry is ProofOf<'goods'> => entry.kind === 'goods').filter((entry, i, all) => all.findLastIndex(one => one.partId === entry.partId) === i && (entry.counted < entry.ordered || !entry.glass || !entry.frame || !entry.label)).map((entry): DraftFinding => {
  const name = ask.catalogue.modules.find(one => one.id === entry.partId)?.name ?? entry.partId
  const wrong = [...entry.counted < entry.ordered ? [`${entry.counted} of ${entry.ordered}`] : [], ...entry.glass ? [] : ['glass'], ...entry.frame ? [] : ['frame'], ...entry.label ? [] : ['label']]
  return { ...onProof(ask, `goods-${entry.partId}`), severity: 'caution', sentence: `${name} came wrong: ${wrong.join(', ')}${entry.words ? `. ${entry.words}` : ''}. Settle it before anything is lifted.` }
}))

/** Handed over, and something is open all the same. */
export const handedOverOpen = begun((ask) => {
  const { state, handedOver } = handOverState(ask)
  const open = state === 'handed-over' && !ask.trial ? openProof(ask) : []
  return open.length ? [{ ...onProof(ask, 'handed-over'), severity: 'stop', measured: count(open.length, 'open'), sentence: `It was handed over on ${handedOver!.on}, and ${open.length === 1 ? 'one thing is' : `${open.length} things are`} open: ${open[0]!.words}` }] : []
})

export const proofOpen = begun((ask) => {
  const open = ask.trial || handOverState(ask).state === 'handed-over' ? [] : openProof(ask)
  return open.length ? [{ ...onProof(ask, 'open'), severity: 'note', measured: count(open.length, 'open'), sentence: `${open.length === 1 ? 'One thing is' : `${open.length} things are`} open before it can be handed over; the rung lists ${open.length === 1 ? 'it' : 'them'}.` }] : []
})
