import { serviceVolts } from '../catalogue'
import type { FoundOf, ProofOf, Subject, Thing } from '../job'
import { onceFor } from '../memory'
import type { ProofAsk } from './ask'
import { type Chain, chainOf, type ChainPlan, isProved, isTestedOpen, stepOf } from './chain'
import { circuitsOf, type ProvedCircuit, sameSubject } from './circuits'
import { insulationClass, MAINS_INSULATION, worst } from './insulation'
import { judgeCombiner, judgeContinuity, judgeGuard, judgeInsulation, judgeLoop, judgeMainsLoss, judgeMainsPolarity, judgeMainsVolts, judgePhaseOrder, judgePolarity, judgeRcd, judgeShutdown, judgeSwitch } from './judge-rest'
import { type Beside, judgeIsc, judgeStandby, judgeVoc } from './judge-string'
import { exchangedAt } from './exchanged'
import { type StepPlan, stepPlans, withElectronicsOff } from './steps'
import { unsure, type Verdict } from './verdict'

type Test = ProofOf<'test'>
const of = (subject: Subject) => (entry: { subject: Subject }): boolean => sameSubject(entry.subject, subject)
const testsOf = ({ job }: ProofAsk): Test[] => job.proof.filter((entry): entry is Test => entry.kind === 'test')

/** Readings of other strings of the same module that hold, to be set beside. */
function besideOf(ask: ProofAsk, own: ProvedCircuit, circuits: ProvedCircuit[], step: 'voc' | 'isc'): Beside[] {
  return circuits.filter(one => one !== own && one.kind !== 'branch' && one.plate && JSON.stringify(one.plate) === JSON.stringify(own.plate)).flatMap((one): Beside[] => {
    const last = testsOf(ask).findLast(entry => entry.found.step === step && of({ of: 'circuit', tag: one.tag })(entry))
    if (last?.found.step === 'voc') return last.found.units === 'standby' ? [] : [{ name: one.name, modules: one.tag.count, value: last.found.volts, light: last.found.light, at: last.at }]
    return last?.found.step === 'isc' ? [{ name: one.name, modules: 1, value: last.found.amps, light: last.found.light, at: last.at }] : []
  })
}

/** The insulation of the circuit of its kind that was tested before it. */
function insulationBefore(ask: ProofAsk, own: ProvedCircuit, circuits: ProvedCircuit[], entry: Test): { name: string, mohm: number } | null {
  const tests = testsOf(ask)
  // One that is judged before it is said comes after all of them.
  const at = tests.indexOf(entry)
  const last = (at < 0 ? tests : tests.slice(0, at)).findLast(one => one.found.step === 'insulation' && circuits.some(other => other !== own && (other.kind === 'branch') === (own.kind === 'branch') && of({ of: 'circuit', tag: other.tag })(one)))
  const name = last && circuits.find(other => of({ of: 'circuit', tag: other.tag })(last))?.name
  return last?.found.step === 'insulation' && name ? { name, mohm: worst(last.found).mohm } : null
}

function judgeCircuit(ask: ProofAsk, own: ProvedCircuit, circuits: ProvedCircuit[]): (entry: Test) => Verdict {
  const { plate, tag, kind, unit } = own
  return (entry) => {
    const { found, at } = entry
    switch (found.step) {
      case 'polarity': return judgePolarity(found)
      case 'combiner': return judgeCombiner(found)
      case 'mains-polarity': return judgeMainsPolarity(found)
      case 'mains-volts': return judgeMainsVolts(found, ask.wiring.rules)
      case 'voc':
        if (kind === 'optimisers' && found.units === 'enabled') return unsure(`${found.volts} V is what the inverter holds the string at: once optimisers are told to begin, it tells nothing of how many there are. Read it while they stand by.`)
        if ((kind === 'optimisers' || kind === 'shutdown-units') && found.units !== 'enabled') return judgeStandby(found, { modules: tag.count, standbyV: unit?.standbyV ?? null })
        return judgeVoc(found, { modules: tag.count, plate, at, beside: besideOf(ask, own, circuits, 'voc') })
      case 'isc': return judgeIsc(found, { modules: tag.count, plate, at, beside: besideOf(ask, own, circuits, 'isc') })
      case 'insulation': {
        if (kind !== 'branch' && !plate) return unsure('Nobody has given the plate of these modules, or they are not all alike: by which test voltage and limit it is judged is not known. Put the figures on the shelf.')
        const limit = kind === 'branch' || !plate ? MAINS_INSULATION : insulationClass(tag.count * plate.vocV)
        return judgeInsulation(found, { limit, before: insulationBefore(ask, own, circuits, entry) })
      }
      default: return unsure('This test does not belong to this circuit.')
    }
  }
}

const plansOf = (...steps: (keyof typeof stepPlans)[]): StepPlan[] => steps.map(step => stepPlans[step])

function circuitSteps({ kind, circuit }: ProvedCircuit): { steps: StepPlan[], leftOut: string[] } {
  const combiner = circuit.kind === 'string' && circuit.together > 1 ? plansOf('combiner') : []
  const insulation = stepPlans.insulation
  if (kind === 'branch') return { steps: [...plansOf('mains-polarity'), withElectronicsOff(insulation), ...plansOf('mains-volts')], leftOut: ['No test of direct current: each module ends in its own unit. Earth continuity is tested with its face.'] }
  if (kind === 'string') return { steps: [...plansOf('polarity'), ...combiner, ...plansOf('voc', 'isc'), insulation], leftOut: [] }
  return {
    steps: [...plansOf('polarity'), ...combiner, ...plansOf('voc'), withElectronicsOff(insulation)],
    leftOut: [kind === 'optimisers' ? 'No short-circuit current: optimisers that stand by give none, and those that work set their own.' : 'No short-circuit current: shutdown units that stand by give none. Read it at the inverter once they let current through.'],
  }
}

/** Chains of all circuits. */
function circuitChains(ask: ProofAsk, earth: Chain[]): Chain[] {
  const circuits = circuitsOf(ask)
  const plan = (own: ProvedCircuit): ChainPlan => {
    const { steps, leftOut } = circuitSteps(own)
    const { tag, kind, circuit } = own
    return {
      subject: { of: 'circuit', tag }, name: own.name, steps, leftOut, judge: judgeCircuit(ask, own, circuits), since: exchangedAt(ask, own),
      about: `${tag.count} modules${circuit.kind === 'string' ? `, tracker ${circuit.tracker + 1}${circuit.together > 1 ? `, ${circuit.together} strings together` : ''}` : ''}${kind === 'optimisers' ? ', an optimiser each' : kind === 'shutdown-units' ? ', a shutdown unit each' : kind === 'branch' ? `, ${circuit.kind === 'branch' ? circuit.units.length : 0} units` : ''}`,
      after: earth.filter(one => one.subject.of === 'face' && circuit.faceIds.includes(one.subject.faceId)).map(one => ({ name: `earth continuity of ${one.name}`, right: isProved(one) })),
    }
  }
  const chains = circuits.map(own => chainOf(ask, plan(own)))
  // Of strings that will be joined, all show their polarity before the first is set beside another.
  return circuits.map((own, c) => {
    const unsigned = circuits.find((other, o) => other !== own && sharesInput(own, other) && stepOf(chains[o]!, 'polarity')?.state !== 'done')
    return unsigned ? heldBefore(chains[c]!, 'combiner', `After polarity of ${unsigned.name}`) : chains[c]!
  })
}

const sharesInput = ({ circuit: a }: ProvedCircuit, { circuit: b }: ProvedCircuit): boolean => a.kind === 'string' && b.kind === 'string' && a.groupId === b.groupId && a.inverter === b.inverter && a.tracker === b.tracker

/** A chain that goes no further than before a step. */
function heldBefore(chain: Chain, step: Test['found']['step'], why: string): Chain {
  const at = chain.steps.findIndex(one => one.step === step)
  return { ...chain, mayJoin: false, steps: chain.steps.map((one, i) => at >= 0 && i >= at && one.state === 'next' ? { ...one, state: 'waits', why } : one) }
}

/** Earth continuity of each face with modules. */
const earthChains = (ask: ProofAsk): Chain[] => ask.faces.filter(({ plan }) => plan.modules > 0).map(({ face }) => chainOf(ask, {
  subject: { of: 'face', faceId: face.id }, name: face.name, about: 'frames, rails and lugs', steps: plansOf('continuity'), leftOut: [], after: [], since: 0,
  judge: ({ found }) => found.step === 'continuity' ? judgeContinuity(found) : unsure('This test does not belong to a face.'),
}))

/** Tests that a thing on the wall asks for. */
function thingSteps(thing: Thing, { us, earthing, phases }: { us: boolean, earthing: string, phases: 1 | 3 }): StepPlan[] {
  if (thing.existing && thing.kind !== 'main-panel') return []
  const steps: StepPlan[] = []
  if (thing.kind === 'ac-disconnect' || thing.kind === 'dc-isolator') steps.push(stepPlans.switch)
  if (thing.kind === 'inverter') {
    if (us) steps.push(...plansOf('ground-fault', 'arc-fault'))
    if (phases === 3) steps.push(stepPlans['phase-order'])
  }
  if (!us && (thing.says.some(one => one === 'rcd' || one === 'rcd-b') || (thing.kind === 'main-panel' && earthing === 'tt'))) steps.push(stepPlans.rcd)
  if (!us && (thing.kind === 'main-panel' || thing.kind === 'sub-panel')) steps.push(stepPlans.loop)
  return steps
}

function judgeThing(ask: ProofAsk, thing: Thing): (entry: Test) => Verdict {
  return ({ found }) => {
    switch (found.step) {
      case 'switch': return judgeSwitch(found)
      case 'ground-fault': case 'arc-fault': return judgeGuard(found)
      case 'phase-order': return judgePhaseOrder(found)
      case 'rcd': return judgeRcd(found)
      case 'loop': return judgeLoop(found, thing, ask.job.ground?.supply.earthing ?? '', serviceVolts[ask.wiring.rules.service])
      default: return unsure('This test does not belong to this thing.')
    }
  }
}

/** The side of alternating current, thing by thing. */
function thingChains(ask: ProofAsk): Chain[] {
  const { ground } = ask.job
  if (!ground) return []
  const facts = { us: ask.wiring.rules.us, earthing: ground.supply.earthing, phases: ground.supply.phases }
  return ground.things.flatMap((thing) => {
    const steps = thingSteps(thing, facts)
    return steps.length ? [chainOf(ask, { subject: { of: 'thing', thingId: thing.id }, name: thing.name, about: 'side of alternating current', steps, leftOut: [], after: [], since: 0, judge: judgeThing(ask, thing) })] : []
  })
}

/** What is tried when all of it feeds in. */
function wholeChain(ask: ProofAsk, circuits: Chain[], storageAlone: boolean): Chain {
  const { us } = ask.wiring.rules
  const shutdown = us || (ask.job.ground?.things.some(one => one.kind === 'shutdown-button') ?? false)
  return chainOf(ask, {
    subject: { of: 'job' }, name: 'The whole of it', about: 'while it feeds in', steps: plansOf('mains-loss', ...shutdown && !storageAlone ? ['shutdown' as const] : []), since: 0,
    leftOut: [...shutdown ? [] : ['No shutdown button is planned, and no rule here asks for one.'], ...storageAlone && shutdown ? ['The shutdown button is tested when the strings are joined.'] : []],
    after: circuits.map(one => ({ name: `${one.name} is tested and joined`, right: one.end?.state === 'capped' || (one.end?.state === 'joined' && isTestedOpen(one)) })),
    judge: ({ found }) => found.step === 'mains-loss' ? judgeMainsLoss(found) : found.step === 'shutdown' ? judgeShutdown(found as FoundOf<'shutdown'>, ask.wiring.rules) : unsure('This test does not belong here.'),
  })
}

/** Whether storage begins alone, with the strings capped until later. */
export const storageAlone = ({ job }: Pick<ProofAsk, 'job'>): boolean => job.proof.findLast((entry): entry is ProofOf<'stage'> => entry.kind === 'stage')?.storageAlone ?? false

/** All chains of a job in the order of work: earth, circuits, the side of alternating current, the whole. */
export const chainsOf = onceFor((ask: ProofAsk): Chain[] => {
  const earth = earthChains(ask)
  const circuits = circuitChains(ask, earth)
  return [...earth, ...circuits, ...thingChains(ask), ...circuits.length ? [wholeChain(ask, circuits, storageAlone(ask))] : []]
})
