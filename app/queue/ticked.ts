import { createGlobalState, useLocalStorage } from '@vueuse/core'

/** More than a season's lists; a device has room for some 5 MB. */
const MOST_LISTS = 200

/** What was ticked on each list when the office was last heard of, so that a list can be read without a signal. */
export const useTicked = createGlobalState(() => useLocalStorage<Record<string, string[]>>('upper-deck/ticked', {}))

export const tickedKey = (jobId: string, list: string): string => `${jobId} ${list}`

/** Keeps what the office says is ticked on a list, and forgets the list that was heard of longest ago where there are many. */
export function rememberTicked(jobId: string, list: string, items: string[]): void {
  const known = useTicked()
  const key = tickedKey(jobId, list)
  const others = Object.entries(known.value).filter(([one]) => one !== key)
  known.value = Object.fromEntries([...others.slice(1 - MOST_LISTS), [key, items]])
}
