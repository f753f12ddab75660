import { expose } from 'comlink'
import { balanceFace, planJob, probeFace } from '#core/plan'

const planner = { planJob, balanceFace, probeFace }
export type PlannerApi = typeof planner

expose(planner)
