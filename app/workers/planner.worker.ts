import { expose } from 'comlink'
import { balanceFace, planJob } from '#core/plan'

const planner = { planJob, balanceFace }
export type PlannerApi = typeof planner

expose(planner)
