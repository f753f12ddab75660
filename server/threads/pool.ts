import { availableParallelism } from 'node:os'
import { Semaphore } from 'es-toolkit'
import { Piscina } from 'piscina'
import type { TaskName, Tasks } from './tasks'

/** Somebody waits for it, or nobody does: what nobody waits for never keeps anybody waiting. */
export type Urgency = 'asked' | 'background'

/** A task that takes longer is given up, ms. */
export const MOST_MS: Record<Urgency, number> = { asked: 30_000, background: 20_000 }
/** A task that takes more memory is given up, MB. */
const MOST_MB = 600
/** So much of one firm may wait. */
const MOST_WAITING = 40

/** It took longer, or more memory, than anybody may have of a server that all share. */
export class TooLong extends Error {}
/** More is asked for than this server has hands for. */
export class TooBusy extends Error {}

/** Threads for what somebody waits for: two at least, so that one long plan does not hold up all others. */
const THREADS: Record<Urgency, number> = { asked: Math.max(2, availableParallelism()), background: 1 }

interface Hands { pool: Piscina, free: Semaphore }
const hands = new Map<Urgency, Hands>()
function handsOf(urgency: Urgency): Hands {
  const known = hands.get(urgency)
  if (known) return known
  const { workFile } = useRuntimeConfig()
  const maxThreads = THREADS[urgency]
  const pool = new Piscina({
    filename: workFile || new URL('./thread.mjs', import.meta.url).href,
    minThreads: 0, maxThreads, idleTimeout: 60_000, resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
  })
  const made = { pool, free: new Semaphore(maxThreads) }
  hands.set(urgency, made)
  return made
}

/** One at a time for each firm, so that nobody's long plans fill all threads. */
const lanes = new Map<string, { turn: Semaphore, waiting: number }>()
async function inLane<T>(key: string, doing: () => Promise<T>): Promise<T> {
  const lane = lanes.get(key) ?? { turn: new Semaphore(1), waiting: 0 }
  lanes.set(key, lane)
  if (lane.waiting >= MOST_WAITING) throw new TooBusy(key)
  lane.waiting++
  await lane.turn.acquire()
  try {
    return await doing()
  }
  finally {
    lane.turn.release()
    if (!--lane.waiting) lanes.delete(key)
  }
}

/**
 * Works something out in a thread, so that nobody else waits for it.
 * @param firmId whose turn it takes
 * @throws TooLong when it takes more time or memory than is given; TooBusy when too much of the firm's waits already; what the task threw
 */
export const work = <N extends TaskName>(firmId: string, name: N, data: Parameters<Tasks[N]>[0], urgency: Urgency = 'asked'): Promise<Awaited<ReturnType<Tasks[N]>>> => inLane(`${urgency} ${firmId}`, async (): Promise<Awaited<ReturnType<Tasks[N]>>> => {
  const { pool, free } = handsOf(urgency)
  await free.acquire()
  const limit = new AbortController()
  const timer = setTimeout(() => limit.abort(), MOST_MS[urgency])
  try {
    return await pool.run({ name, data }, { signal: limit.signal }) as Awaited<ReturnType<Tasks[N]>>
  }
  catch (error) {
    if (limit.signal.aborted || (error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') throw new TooLong(name)
    throw error
  }
  finally {
    clearTimeout(timer)
    free.release()
  }
})
