import { proxy, wrap } from 'comlink'
import type { Arrangement, ArrangeQuestion } from '#core/asks'
import type { PlannerApi } from '../workers/planner.worker'

/** Work that takes no longer than this shows no progress: it would only flicker. */
const SHOW_AFTER_MS = 200

/** Looks for good rows in a thread of its own, so that it can be stopped; says how far it is. */
export function useArranger() {
  const answers = shallowRef<Arrangement[] | null>(null)
  const share = ref(0)
  const busy = ref(false)
  const slow = ref(false)
  const problem = ref('')
  let worker: Worker | null = null
  let timer: ReturnType<typeof setTimeout> | undefined

  function stop() {
    worker?.terminate()
    worker = null
    clearTimeout(timer)
    busy.value = slow.value = false
  }

  async function look(question: ArrangeQuestion) {
    stop()
    answers.value = null
    problem.value = ''
    share.value = 0
    busy.value = true
    timer = setTimeout(() => slow.value = busy.value, SHOW_AFTER_MS)
    const own = new Worker(new URL('../workers/planner.worker.ts', import.meta.url), { type: 'module', name: 'arranger' })
    worker = own
    try {
      const found = await wrap<PlannerApi>(own).arrangeFace(question, proxy((value: number) => share.value = value))
      if (worker === own) answers.value = found
    }
    catch (error) {
      if (worker === own) problem.value = `The rows could not be worked out: ${(error as Error).message}`
    }
    if (worker === own) stop()
  }
  onScopeDispose(stop)
  return { answers, share, busy, slow, problem, look, stop }
}
