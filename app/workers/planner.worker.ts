import { expose } from 'comlink'
import { arrangeFace, balanceFace, betterModules, bothWays, compareRails, levelFace, pricePatterns, probeFace } from '#core/asks'
import type { Catalogue } from '#core/catalogue'
import type { Job } from '#core/job'
import { type Pace, planJob } from '#core/plan'
import { planTeller, type PlanNews } from './plan-news'

const tell = planTeller()
let shelf: Catalogue | null = null

const planner = {
  balanceFace, probeFace, arrangeFace, compareRails, pricePatterns, bothWays, betterModules, levelFace,
  /** @param catalogue null: the one that was given last */
  planNews(job: Job, catalogue: Catalogue | null, pace: Pace): PlanNews {
    shelf = catalogue ?? shelf
    return tell(planJob(job, shelf!, pace))
  },
}
export type PlannerApi = typeof planner

expose(planner)
