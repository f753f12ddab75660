import { z } from 'zod'
import { editSchema, wordsFor } from '#core/job'

/** One thing that this device knows and the office does not yet. */
const contentSchema = z.discriminatedUnion('channel', [
  z.object({ channel: z.literal('edits'), kind: z.enum(['edit', 'undo', 'redo']), edit: editSchema }),
  z.object({ channel: z.literal('ticks'), list: z.string(), item: z.string(), done: z.boolean() }),
  z.object({ channel: z.literal('captions'), photoId: z.string(), caption: z.string() }),
  z.object({ channel: z.literal('photographs'), photoId: z.string(), caption: z.string(), picture: z.instanceof(Blob) }),
])
export type Content = z.infer<typeof contentSchema>
export type Channel = Content['channel']
export type ContentOf<C extends Channel> = Extract<Content, { channel: C }>

/** It keeps its id, so that what is sent twice, by two windows or after a reload, is taken once; and its place in the order in which things were done. */
export interface Entry {
  id: string
  jobId: string
  order: number
  /** Why the office does not take it; it is then set aside and holds up nothing. Null while it waits. */
  refused: string | null
  content: Content
}
export type EntryOf<C extends Channel> = Entry & { content: ContentOf<C> }

/** What the device kept, as it was read; what this version can't read is set aside by name, never thrown away. */
const storedSchema = z.object({ id: z.string().min(1), jobId: z.string(), order: z.number(), refused: z.string().nullable(), content: z.unknown() })
export function readEntry(stored: unknown): Entry | null {
  const entry = storedSchema.safeParse(stored)
  if (!entry.success) return null
  const content = contentSchema.safeParse(entry.data.content)
  if (content.success) return { ...entry.data, content: content.data }
  return { ...entry.data, content: entry.data.content as Content, refused: entry.data.refused ?? 'An earlier version of this page made it, and this one can’t read it.' }
}

/** What an entry is, for whoever has to decide about it. */
export function wordsOf({ content }: Entry): string {
  if (!contentSchema.safeParse(content).success) return 'something typed with an earlier version'
  switch (content.channel) {
    case 'edits': return wordsFor(content.edit)
    case 'ticks': return content.done ? 'a tick' : 'a tick taken off'
    case 'captions': return 'a photograph’s caption'
    case 'photographs': return 'a photograph'
  }
}
