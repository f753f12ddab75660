import { rememberTicked, tickedKey, useTicked } from '../queue/ticked'

/**
 * Ticks of one of a job's lists. They are set at once and go to the office by the device's queue, on the list they were made on;
 * those of others are read in when the list is opened.
 */
export function useTicks(jobId: string, list: MaybeRefOrGetter<string>) {
  const queue = useQueue()
  const known = useTicked()
  const waiting = computed(() => queue.of(jobId, 'ticks'))
  const ticked = computed(() => {
    const all = new Set(known.value[tickedKey(jobId, toValue(list))])
    for (const { content } of waiting.value) {
      if (content.list !== toValue(list)) continue
      if (content.done) all.add(content.item)
      else all.delete(content.item)
    }
    return all
  })

  async function refresh() {
    const asked = toValue(list)
    try {
      const { items } = await $fetch<{ items: string[] }>(`/api/jobs/${jobId}/ticks?list=${encodeURIComponent(asked)}`)
      rememberTicked(jobId, asked, items)
    }
    catch {
      // No signal, or the server is away: the list is shown as it was last heard of.
    }
  }
  const set = (item: string, done: boolean) => void queue.add(jobId, { channel: 'ticks', list: toValue(list), item, done })

  onMounted(() => {
    void queue.open()
    void refresh()
  })
  watch(() => toValue(list), refresh)
  useNews(news => (news.again || (news.jobId === jobId && news.ticks === toValue(list))) && void refresh())
  /** Ticks that the office does not take, with its reason. */
  const refused = computed(() => queue.asideOf(jobId).filter(entry => entry.content.channel === 'ticks'))
  return { ticked, set, refused, reached: computed(() => waiting.value.length === 0 && refused.value.length === 0) }
}
