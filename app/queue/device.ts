import { type DBSchema, openDB } from 'idb'
import { toRaw } from 'vue'
import type { Entry } from './entry'

interface QueueDb extends DBSchema { waiting: { key: string, value: Entry } }

/** What of this device keeps entries until the office has them, over reloads and dead batteries. */
export interface Device {
  all: () => Promise<unknown[]>
  ids: () => Promise<Set<string>>
  /** Done when it is written down. */
  keep: (entry: Entry) => Promise<void>
  drop: (ids: string[]) => Promise<void>
}

/**
 * Opens the device's own database.
 * @throws where the browser has none, as in some private windows
 */
export async function openDevice(): Promise<Device> {
  const db = await openDB<QueueDb>('upper-deck', 1, { upgrade: fresh => void fresh.createObjectStore('waiting', { keyPath: 'id' }) })
  // While one transaction is under way what comes is gathered for the next, so that a key that repeats never runs ahead of the device.
  let gathered: ((store: { put: (entry: Entry) => Promise<unknown>, delete: (id: string) => Promise<unknown> }) => Promise<unknown>)[] = []
  let writing: Promise<void> | null = null
  async function writeAll() {
    try {
      while (gathered.length) {
        const now = gathered
        gathered = []
        const transaction = db.transaction('waiting', 'readwrite')
        await Promise.all([...now.map(change => change(transaction.store)), transaction.done])
      }
    }
    finally {
      writing = null
    }
  }
  const write = (change: typeof gathered[number]) => {
    gathered.push(change)
    return writing ??= writeAll()
  }
  return {
    all: () => db.getAll('waiting'),
    ids: async () => new Set(await db.getAllKeys('waiting')),
    keep: entry => write(store => store.put(toRaw(entry))),
    drop: ids => write(store => Promise.all(ids.map(id => store.delete(id)))),
  }
}
