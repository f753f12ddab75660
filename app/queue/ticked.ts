import { createGlobalState, useLocalStorage } from '@vueuse/core'

/** What was ticked on each list when the office was last heard of, so that a list can be read without a signal. */
export const useTicked = createGlobalState(() => useLocalStorage<Record<string, string[]>>('upper-deck/ticked', {}))

export const tickedKey = (jobId: string, list: string): string => `${jobId} ${list}`
