interface Waiting { item: string, done: boolean }

/**
 * Ticks of one of a job's lists. They are set at once, kept on this device until the office has them, and sent again when a
 * signal comes back; those of others are read in when the list is opened.
 */
export function useTicks(jobId: string, list: MaybeRefOrGetter<string>) {
  const ticked = ref(new Set<string>())
  const waiting = ref<Waiting[]>([])
  const key = () => `ticks:${jobId}:${toValue(list)}`
  const address = () => `/api/jobs/${jobId}/ticks?list=${encodeURIComponent(toValue(list))}`

  const keep = () => localStorage.setItem(key(), JSON.stringify({ ticked: [...ticked.value], waiting: waiting.value }))
  function recall() {
    try {
      const kept = JSON.parse(localStorage.getItem(key()) ?? '{}') as { ticked?: string[], waiting?: Waiting[] }
      ticked.value = new Set(kept.ticked)
      waiting.value = kept.waiting ?? []
    }
    catch {
      // What was kept here can't be read any more: the office's list is taken.
      ticked.value = new Set()
      waiting.value = []
    }
  }
  const withWaiting = (items: string[]) => {
    const all = new Set(items)
    for (const { item, done } of waiting.value) {
      if (done) all.add(item)
      else all.delete(item)
    }
    return all
  }

  let sending = false
  async function send() {
    if (sending) return
    sending = true
    let reached = true
    const of = key()
    try {
      const sent = [...waiting.value]
      const { items } = await (sent.length ? $fetch<{ items: string[] }>(address(), { method: 'PUT', body: { ticks: sent } }) : $fetch<{ items: string[] }>(address()))
      // Meanwhile another list may have been opened: this answer is not of that one.
      if (of === key()) {
        waiting.value = waiting.value.slice(sent.length)
        ticked.value = withWaiting(items)
        keep()
      }
      else setTimeout(() => void send())
    }
    catch {
      // No signal, or the server is away: what waits is sent with the next try.
      reached = false
    }
    finally {
      sending = false
    }
    if (waiting.value.length && navigator.onLine) setTimeout(() => void send(), reached ? 0 : 3000)
  }

  function set(item: string, done: boolean) {
    const next = new Set(ticked.value)
    if (done) next.add(item)
    else next.delete(item)
    ticked.value = next
    waiting.value = [...waiting.value, { item, done }]
    keep()
    void send()
  }

  const open = () => {
    recall()
    void send()
  }
  onMounted(open)
  watch(() => toValue(list), open)
  useEventListener('online', () => void send())
  return { ticked, set, reached: computed(() => waiting.value.length === 0) }
}
