import type { Catalogue, Shelf } from '#core/catalogue'
import { done, type Outcome, refused } from '#core/outcome'
import type { Change, Used } from '#core/shelf'

const UNREACHED = 'The server can’t be reached: nothing was changed. Try again in a minute.'

/** The firm's shelf as the server has it, and what puts parts on it, changes them and takes them away. */
export function useShelf() {
  const { data, error, refresh } = useFetch<{ catalogue: Catalogue, used: Used }>('/api/shelf', { deep: false })
  const catalogue = computed(() => data.value?.catalogue ?? null)
  const used = computed(() => data.value?.used ?? {})

  async function asked(request: Promise<unknown>): Promise<Outcome<true>> {
    try {
      await request
    }
    catch (failure) {
      return refused(sentencesFrom(failure, UNREACHED))
    }
    await refresh()
    return done(true)
  }
  const change = (changes: Change[]) => asked($fetch('/api/shelf/changes', { method: 'POST', body: { changes } }))
  const remove = (shelf: Shelf, id: string) => asked($fetch(`/api/shelf/${shelf}/${encodeURIComponent(id)}`, { method: 'DELETE' }))
  const setCurrency = (currency: string) => asked($fetch('/api/shelf/currency', { method: 'PUT', body: { currency } }))
  return { catalogue, used, error, change, remove, setCurrency }
}
