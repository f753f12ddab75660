/** So long after a page stands, what it may open is fetched: a dialog must open without a signal too. */
const AFTER_MS = 8000

/** Fetches files that a page shows only when asked, once there is nothing better to do. Without a signal they are fetched when they are opened. */
export function useLoadedLater(files: (() => Promise<unknown>)[]): void {
  useTimeoutFn(() => {
    for (const fetchIt of files) fetchIt().catch(() => {})
  }, AFTER_MS)
}
