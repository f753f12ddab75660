import { expose } from 'comlink'
import { arrangeFace, balanceFace, compareRails, planJob, probeFace } from '#core/plan'

const planner = { planJob, balanceFace, probeFace, arrangeFace, compareRails }
export type PlannerApi = typeof planner

expose(planner)
