import { type DBSchema, openDB } from 'idb'
import { toRaw } from 'vue'
import type { Entry } from './entry'

interface QueueDb extends DBSchema { waiting: { key: string, value: Entry } }

/** What of this device keeps entries until the office has them, over reloads and dead batteries. */
export interface Device {
  all: () => Promise<unknown[]>
  ids: () => Promise<Set<string>>
  keep: (entry: Entry) => Promise<unknown>
  drop: (ids: string[]) => Promise<unknown>
}

/**
 * Opens the device's own database.
 * @throws where the browser has none, as in some private windows
 */
export async function openDevice(): Promise<Device> {
  const db = await openDB<QueueDb>('upper-deck', 1, { upgrade: fresh => void fresh.createObjectStore('waiting', { keyPath: 'id' }) })
  return {
    all: () => db.getAll('waiting'),
    ids: async () => new Set(await db.getAllKeys('waiting')),
    keep: entry => db.put('waiting', toRaw(entry)),
    drop: async (ids) => {
      const transaction = db.transaction('waiting', 'readwrite')
      await Promise.all([...ids.map(id => transaction.store.delete(id)), transaction.done])
    },
  }
}
