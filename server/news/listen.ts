import pg from 'pg'
import { CHANNEL, type News } from './tell'

const AGAIN_MS = { first: 500, most: 15_000 }

type Hear = (news: News | 'again') => void
const listeners = new Map<string, Set<Hear>>()
let listening = false

/** Hears what is told of a firm from now on, by whichever copy of the server; returns what ends it. After a lost connection everybody hears `again`: something may have been missed. */
export function hear(firmId: string, told: Hear): () => void {
  const all = listeners.get(firmId) ?? new Set()
  listeners.set(firmId, all.add(told))
  if (!listening) void listen(AGAIN_MS.first)
  return () => {
    all.delete(told)
    if (!all.size && listeners.get(firmId) === all) listeners.delete(firmId)
  }
}

/** One connection a process, straight to the database: a pooler that hands connections round by transaction can't carry it. */
async function listen(waitMs: number): Promise<void> {
  listening = true
  const { directDatabaseUrl, databaseUrl } = useRuntimeConfig()
  const client = new pg.Client({ connectionString: directDatabaseUrl || databaseUrl, keepAlive: true })
  const again = (wait: number) => setTimeout(() => void listen(wait), wait).unref()
  let ended = false
  const end = () => {
    if (ended) return
    ended = true
    void client.end().catch(() => {})
    again(Math.min(waitMs * 2, AGAIN_MS.most))
  }
  client.on('error', end)
  client.on('end', end)
  client.on('notification', ({ payload }) => {
    const news = JSON.parse(payload ?? '{}') as News
    for (const told of listeners.get(news.firmId) ?? []) told(news)
  })
  try {
    await client.connect()
    await client.query(`listen ${CHANNEL}`)
    waitMs = AGAIN_MS.first
    for (const all of listeners.values()) for (const told of all) told('again')
  }
  catch {
    end()
  }
}
