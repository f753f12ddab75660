import { expose } from 'comlink'
import { arrangeFace, balanceFace, compareRails, planJob, pricePatterns, probeFace } from '#core/plan'

const planner = { planJob, balanceFace, probeFace, arrangeFace, compareRails, pricePatterns }
export type PlannerApi = typeof planner

expose(planner)
