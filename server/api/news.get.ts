import { hear } from '../news/listen'

/** So often it is looked whether the session still holds, and something is sent so that nothing between closes the line, ms. */
const LOOK_MS = 25_000

/** Tells, as it happens, that something of the firm's has changed, so that pages ask for it: server-sent events. A guest hears of their job only. */
export default defineEventHandler(async (event) => {
  const { firmId, jobId } = await inFirm(event, 'read', async ({ client: _, ...me }) => me)
  const stream = createEventStream(event)
  const unhear = hear(firmId, (news) => {
    if (news === 'again' || !jobId || news.jobId === jobId) void stream.push({ data: JSON.stringify(news === 'again' ? { again: true } : { ...news, firmId: undefined }) })
  })
  const look = setInterval(async () => {
    try {
      await inFirm(event, 'read', async () => {})
      await stream.push({ event: 'here', data: '' })
    }
    catch (error) {
      // While the database is away the line stays: only an ended session ends it.
      if ((error as { statusCode?: number }).statusCode === 401) await stream.close()
    }
  }, LOOK_MS)
  stream.onClosed(async () => {
    clearInterval(look)
    unhear()
  })
  return stream.send()
})
