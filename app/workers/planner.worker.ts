import { expose } from 'comlink'
import { arrangeFace, balanceFace, planJob, probeFace } from '#core/plan'

const planner = { planJob, balanceFace, probeFace, arrangeFace }
export type PlannerApi = typeof planner

expose(planner)
