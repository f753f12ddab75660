import { createGlobalState, tryOnScopeDispose } from '@vueuse/core'

/** What the office tells as it happens: that something is there to be read. */
export interface News { jobId?: string, version?: number, sheet?: number, ticks?: string, list?: true, personId?: string, /** Something may have been missed. */ again?: true }

/** A page that has just been opened fetches what it shows first, ms. */
const AFTER_MS = 1500
const RETRY_MS = 15_000
const NAME = 'upper-deck/news'

/** One line to the office for all windows of a device: a browser has only six for each address. The window that holds it tells the others. */
const useLine = createGlobalState(() => {
  const told = new Set<(news: News) => void>()
  if (typeof EventSource === 'undefined' || typeof BroadcastChannel === 'undefined') return told
  const others = new BroadcastChannel(NAME)
  const tell = (news: News) => told.forEach(one => one(news))
  others.onmessage = ({ data }) => tell(data as News)
  const hold = () => {
    const source = new EventSource('/api/news')
    const pass = (news: News) => {
      tell(news)
      others.postMessage(news)
    }
    // Before the line stood, and while it was broken, something may have happened.
    source.onopen = () => pass({ again: true })
    source.onmessage = ({ data }) => pass(JSON.parse(data as string) as News)
    source.onerror = () => {
      // Refused for good, as after signing out: tried again later. Otherwise the browser tries by itself.
      if (source.readyState === EventSource.CLOSED) setTimeout(hold, RETRY_MS)
    }
  }
  setTimeout(() => {
    if ('locks' in navigator && navigator.locks) void navigator.locks.request(NAME, () => new Promise<never>(hold))
    else hold()
  }, AFTER_MS)
  return told
})

/** Hears what the office tells, for as long as whoever asks is there. */
export function useNews(hear: (news: News) => void): void {
  const told = useLine()
  told.add(hear)
  tryOnScopeDispose(() => told.delete(hear))
}
