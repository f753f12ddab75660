import { FetchError } from 'ofetch'
import type { ContentOf } from './entry'
import type { Sender } from './send'
import { rememberTicked } from './ticked'

const ticksOf = (content: unknown) => content as ContentOf<'ticks'>

/** Ticks of one list go together; the list they were made on is kept, whatever list is looked at by then. */
export const tickSender: Sender = {
  most: 500,
  together: ({ content }) => ticksOf(content).list,
  async send(batch, settled) {
    const { jobId } = batch[0]!
    const { list } = ticksOf(batch[0]!.content)
    const ticks = batch.map(({ content }) => ({ item: ticksOf(content).item, done: ticksOf(content).done }))
    const { items } = await $fetch<{ items: string[] }>(`/api/jobs/${jobId}/ticks?list=${encodeURIComponent(list)}`, { method: 'PUT', body: { ticks } })
    rememberTicked(jobId, list, items)
    settled([])
  },
}

/** Pictures one by one: each keeps its id, so that one that was sent and not answered is there once. */
export const photographSender: Sender = {
  most: 1,
  together: () => '',
  async send([entry], settled) {
    const { photoId, caption, picture } = entry!.content as ContentOf<'photographs'>
    await $fetch<unknown>(`/api/jobs/${entry!.jobId}/photographs` as string, { method: 'POST', body: picture, headers: { 'content-type': picture.type }, query: { caption, id: photoId } })
    settled([])
  },
}

export const captionSender: Sender = {
  most: 1,
  together: () => '',
  async send([entry], settled) {
    const { photoId, caption } = entry!.content as ContentOf<'captions'>
    try {
      await $fetch(`/api/jobs/${entry!.jobId}/photographs/${photoId}`, { method: 'PATCH', body: { caption } })
    }
    catch (error) {
      // A photograph that somebody took away needs no caption any more.
      if (!(error instanceof FetchError) || error.statusCode !== 404) throw error
    }
    settled([])
  },
}
