import { type Remote, wrap } from 'comlink'
import type { Catalogue } from '#core/catalogue'
import type { Job } from '#core/job'
import type { Pace, Plan } from '#core/plan'
import { planListener } from '../workers/plan-news'
import type { PlannerApi } from '../workers/planner.worker'

type Questions = Omit<Remote<PlannerApi>, 'planNews'>
/** Asks the planner; a plan comes as the faces that are new, put together with those that are here already. */
export interface Planner extends Pick<Questions, 'balanceFace' | 'probeFace' | 'arrangeFace' | 'compareRails' | 'pricePatterns' | 'bothWays' | 'betterModules' | 'levelFace'> {
  planJob: (job: Job, catalogue: Catalogue, pace?: Pace) => Promise<Plan>
  /** Ends what the planner is at: it begins anew with what it is asked next, and whoever waits for a plan gets `GivenUp`. */
  giveUp: () => void
}

/** Nobody waits for this plan any more. */
export class GivenUp extends Error {}

let planner: Planner | null = null
let prover: Planner | null = null

function started(gone: () => void): Planner {
  const thread = new Worker(new URL('../workers/planner.worker.ts', import.meta.url), { type: 'module', name: 'planner' })
  const remote = wrap<PlannerApi>(thread)
  const { balanceFace, probeFace, arrangeFace, compareRails, pricePatterns, bothWays, betterModules, levelFace } = remote
  const heard = planListener()
  let given: Catalogue | null = null
  let end: (reason: GivenUp) => void = () => {}
  const ended = new Promise<never>((_, reject) => end = reject)
  ended.catch(() => {})
  return {
    balanceFace, probeFace, arrangeFace, compareRails, pricePatterns, bothWays, betterModules, levelFace,
    async planJob(job, catalogue, pace = 'whole') {
      // A shelf is a hundred times as much as a key: it goes over once.
      const shelf = catalogue === given ? null : catalogue
      given = catalogue
      return heard(await Promise.race([remote.planNews(job, shelf, pace), ended]))
    },
    giveUp() {
      thread.terminate()
      gone()
      end(new GivenUp())
    },
  }
}

/** The planner in its own thread, so that the page never waits for it. One for the whole page. */
export const usePlanner = (): Planner => planner ??= started(() => planner = null)

/** A second thread, in which a plan that was made in a hurry is searched through while the first answers on. */
export const useProver = (): Planner => prover ??= started(() => prover = null)
