import { FetchError } from 'ofetch'
import type { Channel, Entry } from './entry'

/** Entries that the office did not take, each with the reason. */
export type Refused = { id: string, sentence: string }[]

/** How one kind of entry reaches the office. */
export interface Sender {
  /** So many go together. */
  most: number
  /** Entries that may go together have the same. */
  together: (entry: Entry) => string
  /**
   * Sends a batch. `settled` is called the moment the office's answer is in force here, so that nothing counts twice.
   * @throws what the request threw: when the office is away, or takes nothing of it
   */
  send: (batch: Entry[], settled: (refused: Refused) => void) => Promise<void>
}

export type Senders = Record<Channel, Sender>

/** The first entries in order that may go together; nothing that was set aside. */
export function nextBatch(entries: Entry[], senders: Senders): Entry[] {
  const waiting = entries.filter(entry => entry.refused === null)
  const [first] = waiting
  if (!first) return []
  const { most } = senders[first.content.channel]
  const key = (entry: Entry) => `${entry.jobId} ${entry.content.channel} ${senders[entry.content.channel].together(entry)}`
  const end = waiting.findIndex(entry => key(entry) !== key(first))
  return waiting.slice(0, Math.min(most, end < 0 ? waiting.length : end))
}

/** Whether an answer is about what was sent: not that nobody is signed in, that it was too much at once, or that the office is in trouble. */
export const isRefusal = (error: unknown): boolean =>
  error instanceof FetchError && error.statusCode !== undefined && error.statusCode >= 400 && error.statusCode < 500 && ![401, 408, 425, 429].includes(error.statusCode)

/** Whether it is about where it was sent, as a job that is gone, so that no part of it fares better. */
export const isAboutAll = (error: unknown): boolean => error instanceof FetchError && [403, 404].includes(error.statusCode ?? 0)

export const isSignedOut = (error: unknown): boolean => error instanceof FetchError && error.statusCode === 401
