import { openOn } from '../fieldwork'
import type { ProofOf } from '../job'
import { onceFor } from '../memory'
import { plural } from '../trade'
import type { ProofAsk } from './ask'
import { type Chain, isProved, isTestedOpen } from './chain'
import { chainsOf, storageAlone } from './chains'
import { goneCircuits } from './circuits'
import { causesOf, gatewayNow } from './gateway'
import { isSettled, papersOf } from './papers'
import { missingOnRoof, wantedPictures } from './photographs'
import { astray, gaps, saidDifferently, saidTwice, serialPlaces } from './serials'
import { tightenedOf } from './torques'

export type OpenGroup = 'roof' | 'serials' | 'tests' | 'commissioning' | 'torques' | 'photographs' | 'papers' | 'items'
export const openGroupNames: Record<OpenGroup, string> = { roof: 'On the roof', serials: 'Serial numbers', tests: 'Tests', commissioning: 'Commissioning', torques: 'Terminals', photographs: 'Photographs', papers: 'Papers', items: 'Left to do' }

/** What stands between a job and “done”. */
export interface OpenProof { id: string, group: OpenGroup, words: string, who: string, due: string | null }

const open = (group: OpenGroup, id: string, words: string, who = '', due: string | null = null): OpenProof => ({ id: `${group} ${id}`, group, words, who, due })

/** Items that somebody has put down and nobody has done. */
export function itemsOpen({ job }: Pick<ProofAsk, 'job'>): ProofOf<'item'>[] {
  const done = new Set(job.proof.flatMap(entry => entry.kind === 'item-done' ? [entry.itemId] : []))
  return job.proof.filter((entry): entry is ProofOf<'item'> => entry.kind === 'item' && !done.has(entry.id))
}

function ofTests(chains: Chain[], alone: boolean): OpenProof[] {
  return chains.flatMap((chain) => {
    const capped = chain.end?.state === 'capped'
    const first = chain.steps.find(({ state }) => state === 'failed') ?? chain.steps.find(({ state }) => state === 'next' || state === 'waits')
    const failed = first?.state === 'failed'
    if (!isProved(chain) && !(capped && isTestedOpen(chain))) {
      return [open('tests', chain.id, failed ? `${chain.name}: ${first.title.toLowerCase()} is wrong. ${first.verdict?.sentence ?? ''}` : `${chain.name}: ${first?.title.toLowerCase() ?? 'a test'} is missing.`)]
    }
    if (chain.subject.of === 'circuit' && !capped && chain.end?.state !== 'joined') return [open('tests', `${chain.id} end`, `${chain.name} is tested and not joined yet.`)]
    return capped && !alone ? [open('tests', `${chain.id} capped`, `${chain.name} is tested, capped and tagged, and waits${chain.end?.until ? ` until ${chain.end.until}` : ''}.`, '', chain.end?.until ?? null)] : []
  })
}

function ofCommissioning(ask: ProofAsk): OpenProof[] {
  const { gateway, report } = gatewayNow(ask)
  const hasUnits = ask.wiring.groups.some(one => one.unit && one.unit.kind !== 'shutdown')
  return [
    ...gateway ? [] : [open('commissioning', 'gateway', 'The gateway is not said to have power and network.')],
    ...gateway && !(gateway.indoors && gateway.nearPanel) ? [open('commissioning', 'gateway-place', `The gateway is ${gateway.indoors ? 'far from the panel' : 'not indoors'}.`)] : [],
    ...causesOf(ask, gateway, report).map(one => open('commissioning', `${one.kind} ${one.places[0]?.id ?? ''}`, one.sentence)),
    ...hasUnits && !report && !storageAlone(ask) ? [open('commissioning', 'report', 'No report of the units is there: a meter that turns proves none of them.')] : [],
    ...ask.job.proof.some(entry => entry.kind === 'password') ? [] : [open('commissioning', 'password', 'Nobody has said that default passwords were changed.')],
  ]
}

/** Everything that is open, in the order of work. Nothing is done over it. */
export const openProof = onceFor((ask: ProofAsk): OpenProof[] => {
  const { job, faces } = ask
  const alone = storageAlone(ask)
  const places = serialPlaces(ask)
  const missing = gaps(places)
  const unlike = astray(ask, places)
  const gone = goneCircuits(ask)
  const onRoof = missingOnRoof(ask)
  return [
    ...faces.filter(({ plan }) => !plan.inRoof).flatMap(({ face, plan }) => openOn(job, face, plan, null).map(one => open('roof', `${face.id} ${one.kind} ${one.id}`, `${face.name}: ${one.words}.`))),
    ...(['module', 'unit'] as const).flatMap((what) => {
      const own = missing.filter(one => one.what === what)
      return own.length ? [open('serials', what, `${plural(own.length, what)} of ${places.filter(one => one.what === what).length} without a serial number.`)] : []
    }),
    ...uncounted(ask).map(name => open('serials', `goods ${name}`, `${name}: nobody has said that they were counted and looked at before they were lifted.`)),
    ...saidTwice(job).map(({ again }) => open('serials', `twice ${again.id}`, `${again.serial} is said to stand at two places.`)),
    ...saidDifferently(job).map(({ now, others }) => open('serials', `differs ${now.id}`, `Two people read one place differently: ${others[0]!.serial} and ${now.serial}.`)),
    ...unlike.length ? [open('serials', 'astray', `${plural(unlike.length, 'serial number')} stand where the plan has nothing any more: ${unlike.slice(0, 3).map(one => one.serial).join(', ')}.`)] : [],
    ...ofTests(chainsOf(ask), alone),
    ...ask.wiring.circuits.length && !ask.grid ? [open('tests', 'no-grid', 'Nothing stands between roof box and meter on the plan: what is there of alternating current is not tested.')] : [],
    ...gone.map(one => open('tests', `gone ${one.number} ${one.first}`, `Circuit ${one.number} was tested with ${plural(one.count, 'module')} and is another by the plan now: put the plan right, or test it anew.`)),
    ...ofCommissioning(ask),
    ...tightenedOf(ask).flatMap(({ thing, said, problems }) => said.length ? problems.map((words, i) => open('torques', `${thing.id} ${i}`, `${thing.name}, ${words}`)) : [open('torques', thing.id, `${thing.name}: no terminal is logged.`)]),
    ...wantedPictures(ask).filter(one => !one.had).map(one => open('photographs', one.id, `${one.caption}.`)),
    ...onRoof ? [open('photographs', 'roof', `${plural(onRoof, 'photograph')} of holes and flashings that were asked for.`)] : [],
    ...papersOf(ask).filter(one => !isSettled(one)).map(one => open('papers', one.kind, `${one.name}: ${one.state === 'waits' || one.state === 'open' ? 'not there' : one.last!.state === 'refused' ? 'refused' : 'asked for, not there'}.`, one.last?.who ?? '', one.last?.due ?? null)),
    ...itemsOpen(ask).map(one => open('items', one.id, one.words, one.who, one.due)),
  ]
})

/** Modules of the plan that nobody has counted and looked at on the ground, by name. */
function uncounted({ job, faces }: ProofAsk): string[] {
  const planned = new Map(faces.flatMap(({ plan }) => plan.modules ? [[plan.parts.module.id, `${plan.parts.module.maker} ${plan.parts.module.name}`] as const] : []))
  for (const entry of job.proof) if (entry.kind === 'goods') planned.delete(entry.partId)
  return [...planned.values()]
}
