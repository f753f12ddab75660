/** So long after a page stands, what it may open is fetched: a dialog must open without a signal too. */
const AFTER_MS = 8000

/** Fetches parts that a page shows only when asked, once there is nothing better to do. */
export function useLoadedLater(names: string[]): void {
  useTimeoutFn(() => void preloadComponents(names).catch(() => {
    // Without a signal they are fetched when they are opened.
  }), AFTER_MS)
}
