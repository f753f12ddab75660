import { uniqBy } from 'es-toolkit'
import { v4 as newId } from 'uuid'
import { done, type Outcome, refused } from '#core/outcome'

interface JobPage { jobs: JobLine[], atWork: number, archived: number, /** The office counts so far and no further. */ mostCounted: number, next: string | null }
/** What is typed is looked for once the typing rests, ms. */
const SEEK_AFTER_MS = 200
/** News come in bursts while the office works; the list is asked for once for each, ms. */
const NEWS_MS = 700

/** The firm's jobs, a page at a time as the office has them in order, and what copies, archives and deletes one. */
export function useJobList(asked: { order: Ref<JobOrder>, archived: Ref<boolean>, sought: Ref<string> }) {
  const sought = refDebounced(asked.sought, SEEK_AFTER_MS)
  const query = computed(() => ({ order: asked.order.value, archived: String(asked.archived.value), search: sought.value }))
  const { data: first, error, refresh, status } = useFetch<JobPage>('/api/jobs', { query, deep: false })
  /** Pages behind the first, as they were asked for; another question begins anew. */
  const more = shallowRef<JobPage[]>([])
  watch(query, () => more.value = [])
  const last = computed(() => more.value.at(-1) ?? first.value ?? null)
  // A job that moved to another page since is shown where it was read last.
  const jobs = computed(() => first.value && uniqBy([first.value, ...more.value].flatMap(page => page.jobs), job => job.jobId))
  const { busy: loading, problem, ask } = useAsking()
  async function loadMore() {
    const after = last.value?.next
    if (!after || loading.value) return
    const page = await ask(() => pageAfter(after))
    if (page) more.value = [...more.value, page]
  }
  const pageAfter = (after: string) => $fetch<JobPage>('/api/jobs', { query: { ...query.value, after } })

  /** Reads all pages that are shown anew, so that whoever is far down the list stays there. */
  async function readAgain() {
    const [asked, pages] = [query.value, more.value.length]
    await refresh()
    const read: JobPage[] = []
    for (let after = first.value?.next; after && read.length < pages; after = read.at(-1)!.next) read.push(await pageAfter(after))
    if (query.value === asked && more.value.length === pages) more.value = read
  }
  const again = useDebounceFn(() => readAgain().catch(() => {}), NEWS_MS, { maxWait: NEWS_MS * 3 })
  useNews(news => (news.again || news.list || news.version !== undefined) && void again())

  async function then<T>(request: () => Promise<T>): Promise<Outcome<T>> {
    try {
      const answer = await request()
      await readAgain()
      return done(answer)
    }
    catch (failure) {
      return refused(sentencesFrom(failure, 'The server can’t be reached. Try again in a minute.'))
    }
  }
  return {
    jobs, counts: first, error, status, hasMore: computed(() => Boolean(last.value?.next)), loadMore, loading, problem,
    copy: (jobId: string) => then(() => $fetch<{ jobId: string }>(`/api/jobs/${jobId}/copy`, { method: 'POST', body: { id: newId() } })),
    archive: (jobId: string, archived: boolean) => then(() => $fetch(`/api/jobs/${jobId}`, { method: 'PATCH', body: { archived } })),
    remove: (jobId: string) => then(() => $fetch(`/api/jobs/${jobId}`, { method: 'DELETE' })),
  }
}
