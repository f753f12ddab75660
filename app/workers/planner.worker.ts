import { expose } from 'comlink'
import { arrangeFace, balanceFace, compareRails, pricePatterns, probeFace } from '#core/asks'
import { planJob } from '#core/plan'

const planner = { planJob, balanceFace, probeFace, arrangeFace, compareRails, pricePatterns }
export type PlannerApi = typeof planner

expose(planner)
