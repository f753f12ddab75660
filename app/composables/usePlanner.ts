import { type Remote, wrap } from 'comlink'
import type { PlannerApi } from '../workers/planner.worker'

let planner: Remote<PlannerApi> | null = null

/** The planner in its own thread, so that the page never waits for it. One for the whole page. */
export function usePlanner(): Remote<PlannerApi> {
  planner ??= wrap<PlannerApi>(new Worker(new URL('../workers/planner.worker.ts', import.meta.url), { type: 'module', name: 'planner' }))
  return planner
}
