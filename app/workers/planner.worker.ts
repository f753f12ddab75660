import { expose } from 'comlink'
import { arrangeFace, balanceFace, betterModules, bothWays, compareRails, pricePatterns, probeFace } from '#core/asks'
import type { Catalogue } from '#core/catalogue'
import type { Job } from '#core/job'
import { planJob } from '#core/plan'
import { planTeller, type PlanNews } from './plan-news'

const tell = planTeller()
let shelf: Catalogue | null = null

const planner = {
  balanceFace, probeFace, arrangeFace, compareRails, pricePatterns, bothWays, betterModules,
  /** @param catalogue null: the one that was given last */
  planNews(job: Job, catalogue: Catalogue | null): PlanNews {
    shelf = catalogue ?? shelf
    return tell(planJob(job, shelf!))
  },
}
export type PlannerApi = typeof planner

expose(planner)
