import { v4 as newId } from 'uuid'
import type { Entry } from './entry'

type Found = Omit<Entry, 'order' | 'content' | 'refused'> & { content: unknown }
const parsed = (text: string | null): unknown => {
  try {
    return JSON.parse(text ?? 'null')
  }
  catch {
    return null
  }
}
const list = (value: unknown): Record<string, unknown>[] => Array.isArray(value) ? value.filter(one => typeof one === 'object' && one !== null) : []

/** How earlier versions kept things on a device, each under keys of its own. */
const kept: { prefix: string, read: (rest: string, value: unknown) => Found[] }[] = [
  {
    prefix: 'upper-deck/unsent/',
    read: (jobId, value) => list(value).map(({ id, kind, edit }) => ({ id: String(id ?? newId()), jobId, content: { channel: 'edits', kind, edit } })),
  },
  { prefix: 'ticks:', read: (rest, value) => {
    const [jobId, ...name] = rest.split(':')
    return list((value as { waiting?: unknown } | null)?.waiting).map(({ item, done }) => ({
      id: newId(),
      jobId: jobId!,
      content: { channel: 'ticks', list: name.join(':'), item, done },
    }))
  } },
  {
    prefix: 'upper-deck/captions/',
    read: (jobId, value) => Object.entries(value ?? {}).map(([photoId, caption]) => ({ id: newId(), jobId, content: { channel: 'captions', photoId, caption } })),
  },
]

/** Takes out what earlier versions of this page left waiting on the device, oldest first; the keys are gone once `keep` has it all. */
export async function takeEarlier(keep: (found: Found) => Promise<unknown>): Promise<void> {
  for (const key of Object.keys(localStorage)) {
    const way = kept.find(one => key.startsWith(one.prefix))
    if (!way) continue
    for (const found of way.read(key.slice(way.prefix.length), parsed(localStorage.getItem(key)))) await keep(found)
    localStorage.removeItem(key)
  }
}
