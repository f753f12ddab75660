import { defineStore } from 'pinia'
import { v4 as newId } from 'uuid'
import { type Device, openDevice } from '../queue/device'
import { takeEarlier } from '../queue/earlier'
import { editSender, sentElsewhere } from '../queue/edits'
import { type Channel, type Content, type Entry, type EntryOf, readEntry } from '../queue/entry'
import { isAboutAll, isRefusal, isSignedOut, nextBatch, type Refused, type Senders } from '../queue/send'
import { captionSender, photographSender, tickSender } from '../queue/small-senders'

const senders: Senders = { edits: editSender, ticks: tickSender, captions: captionSender, photographs: photographSender }

const SEND_AFTER_MS = 150
/** While a key repeats nothing waits longer than this. */
const SEND_WITHIN_MS = 1000
const RETRY_MS = 4000

export type QueueStanding = 'clear' | 'sending' | 'offline' | 'signed-out'

/**
 * What this device knows and the office does not yet: edits, ticks, captions, in the order in which they were made. All of it is
 * kept on the device until the office has it; what the office refuses is set aside by itself and holds up nothing.
 */
export const useQueue = defineStore('queue', () => {
  const entries = shallowRef<Entry[]>([])
  const standing = ref<QueueStanding>('clear')
  /** Whether the device keeps things over a reload; in some private windows it does not. */
  const keeps = ref(true)
  /** Things that the device has not written down yet. */
  const writing = ref(0)
  let device: Device | null = null
  let opening: Promise<void> | null = null
  let lastOrder = 0

  const nextOrder = () => lastOrder = Math.max(lastOrder + 1, Date.now())
  const byOrder = (all: Entry[]) => [...new Map(all.map(entry => [entry.id, entry])).values()].sort((a, b) => a.order - b.order)

  async function write(work: (device: Device) => Promise<unknown>) {
    if (!device) return
    writing.value++
    try {
      await work(device)
    }
    catch {
      keeps.value = false
    }
    finally {
      writing.value--
    }
  }

  /** Reads what waits on the device; what was added before that is kept too. */
  function open(): Promise<void> {
    opening ??= (async () => {
      try {
        device = await openDevice()
        await takeEarlier(found => device!.keep({ ...found, order: nextOrder(), refused: null, content: found.content as Content }))
        const kept = (await device.all()).flatMap(stored => readEntry(stored) ?? [])
        for (const entry of entries.value) void write(one => one.keep(entry))
        lastOrder = Math.max(lastOrder, ...kept.map(entry => entry.order))
        entries.value = byOrder([...kept, ...entries.value])
      }
      catch {
        keeps.value = false
      }
      if (entries.value.some(entry => entry.refused === null)) void send()
    })()
    return opening
  }

  function add(jobId: string, content: Content): Entry {
    const entry: Entry = { id: newId(), jobId, order: nextOrder(), refused: null, content }
    entries.value = [...entries.value, entry]
    void write(one => one.keep(entry))
    void soon()
    return entry
  }

  function drop(ids: string[]) {
    const gone = new Set(ids)
    if (!entries.value.some(entry => gone.has(entry.id))) return
    entries.value = entries.value.filter(entry => !gone.has(entry.id))
    void write(one => one.drop(ids))
  }

  function change(id: string, to: Partial<Pick<Entry, 'refused' | 'order'>>) {
    entries.value = byOrder(entries.value.map(entry => entry.id === id ? { ...entry, ...to } : entry))
    const changed = entries.value.find(entry => entry.id === id)
    if (changed) void write(one => one.keep(changed))
  }

  function settle(batch: Entry[], refused: Refused) {
    const why = new Map(refused.map(one => [one.id, one.sentence]))
    drop(batch.filter(entry => !why.has(entry.id)).map(entry => entry.id))
    for (const [id, sentence] of why) change(id, { refused: sentence })
  }

  /** Tries one again that was set aside, after all that waits now. */
  function takeUp(id: string) {
    change(id, { refused: null, order: nextOrder() })
    void soon()
  }
  const giveUp = (id: string) => drop([id])

  const soon = useDebounceFn(() => send(), SEND_AFTER_MS, { maxWait: SEND_WITHIN_MS })
  const retry = useTimeoutFn(() => void send(), RETRY_MS, { immediate: false })
  let sending = false

  async function send() {
    await open()
    if (sending) return
    sending = true
    retry.stop()
    try {
      await alone(async () => {
        await dropSentElsewhere()
        for (let batch = nextBatch(entries.value, senders); batch.length; batch = nextBatch(entries.value, senders)) {
          standing.value = 'sending'
          await sendBatch(batch)
        }
      })
      standing.value = 'clear'
    }
    catch (error) {
      standing.value = isSignedOut(error) ? 'signed-out' : 'offline'
      if (!isSignedOut(error)) retry.start()
    }
    finally {
      sending = false
    }
    if (standing.value === 'clear' && nextBatch(entries.value, senders).length) void send()
  }

  /** A batch that the office takes nothing of is halved until the one that it can't take is alone. */
  async function sendBatch(batch: Entry[]): Promise<void> {
    try {
      await senders[batch[0]!.content.channel].send(batch, refused => settle(batch, refused))
    }
    catch (error) {
      if (!isRefusal(error)) throw error
      const sentence = sentencesFrom(error, 'The office does not take this.')
      if (batch.length === 1 || isAboutAll(error)) return settle(batch, batch.map(({ id }) => ({ id, sentence })))
      const half = Math.ceil(batch.length / 2)
      await sendBatch(batch.slice(0, half))
      await sendBatch(batch.slice(half))
    }
  }

  /** Two windows of one device take turns, so that none sends what is old by now. */
  const alone = async (work: () => Promise<void>): Promise<void> => 'locks' in navigator && navigator.locks ? await navigator.locks.request('upper-deck/queue', work) : await work()

  async function dropSentElsewhere() {
    // What the device could not write down is not there either, and has been sent by nobody.
    if (!device || writing.value || !keeps.value) return
    const there = await device.ids()
    if (writing.value || !keeps.value) return
    const sent = entries.value.filter(entry => !there.has(entry.id))
    entries.value = entries.value.filter(entry => there.has(entry.id))
    for (const jobId of new Set(sent.map(entry => entry.jobId))) sentElsewhere(jobId)
  }

  const of = <C extends Channel>(jobId: string, channel: C): EntryOf<C>[] => entries.value.filter((entry): entry is EntryOf<C> => entry.refused === null && entry.jobId === jobId && entry.content.channel === channel)
  const waitingOf = (jobId: string): Entry[] => entries.value.filter(entry => entry.refused === null && entry.jobId === jobId)
  const asideOf = (jobId: string): Entry[] => entries.value.filter(entry => entry.refused !== null && entry.jobId === jobId)

  useEventListener('online', () => void send())
  useEventListener('beforeunload', (event: BeforeUnloadEvent) => {
    if (writing.value || (!keeps.value && entries.value.length)) event.preventDefault()
  })

  return { entries, standing, keeps, writing, open, add, drop, takeUp, giveUp, of, waitingOf, asideOf, send }
})
