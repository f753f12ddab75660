import { defineStore } from 'pinia'
import { FetchError } from 'ofetch'
import { v4 as newId } from 'uuid'
import type { Catalogue } from '#core/catalogue'
import { type Edit, foldEntries, type HistoryEntry, type Job, readEdit, rebased, sentencesOf, stacksOf, touches, type UndoStacks, type UnsentEntry, wordsFor } from '#core/job'
import { done, type Outcome, refused } from '#core/outcome'
import { changesBetween, type Plan } from '#core/plan'

/** What the server has told us: everything since lies in the unsent entries. */
interface Base { jobId: string, job: Job, version: number, catalogue: Catalogue, stacks: UndoStacks }

/** A change made elsewhere, as the server tells of it. */
type RemoteEntry = HistoryEntry & { version: number, personName: string }

/** What somebody else changed while we were at it. */
export interface Meanwhile {
  who: string
  what: string
  /** Their edits of facts that we have changed too; ours stand until theirs are taken. */
  theirs: Edit[]
}

export type SaveState = 'saved' | 'saving' | 'offline' | 'signed-out' | 'refused'

const SEND_AFTER_MS = 150
const RETRY_MS = 4000
const LOOK_EVERY_MS = 4000

/** The open job: what the server has, what it has not yet, the plan of both together, and undo. */
export const useJobStore = defineStore('job', () => {
  const base = shallowRef<Base | null>(null)
  const unsent = shallowRef<UnsentEntry[]>([])
  const saveState = ref<SaveState>('saved')
  const refusal = ref('')
  const meanwhile = shallowRef<Meanwhile | null>(null)
  const loadProblem = ref('')

  const now = computed(() => base.value && foldEntries(base.value, unsent.value))
  const job = computed(() => now.value?.job ?? null)
  const catalogue = computed(() => base.value?.catalogue ?? null)
  const canUndo = computed(() => Boolean(now.value?.stacks.undo.length))
  const canRedo = computed(() => Boolean(now.value?.stacks.redo.length))

  const { plan, planned, preview, previewEdit, changes, planProblem } = usePlanOf(job, catalogue)

  async function open(jobId: string) {
    close()
    try {
      const opened = await $fetch<{ job: Job, version: number, catalogue: Catalogue, history: Pick<HistoryEntry, 'id' | 'kind' | 'inverse'>[] }>(`/api/jobs/${jobId}`)
      // The page may have gone before the server's answer came: what the server has is no longer on the way.
      dropUnsent(jobId, opened.history.map(entry => entry.id))
      unsent.value = unsentOf(jobId)
      base.value = { jobId, job: opened.job, version: opened.version, catalogue: opened.catalogue, stacks: stacksOf(opened.history) }
      loadProblem.value = ''
      if (unsent.value.length) void send()
    }
    catch (error) {
      loadProblem.value = sentenceOf(error)
    }
  }

  function close() {
    base.value = null
    unsent.value = []
    meanwhile.value = null
    refusal.value = ''
    saveState.value = 'saved'
    previewEdit(null)
  }

  function push(kind: HistoryEntry['kind'], edit: Edit): Outcome<true> {
    if (!base.value || !job.value) return refused('The job is not open yet.')
    const read = readEdit(edit, job.value, base.value.catalogue)
    if (!read.ok) return refused(sentencesOf(read.problems))
    const entry: UnsentEntry = { id: newId(), kind, edit: read.value.edit }
    keepUnsent(base.value.jobId, entry)
    unsent.value = [...unsent.value, entry]
    if (saveState.value === 'saved') saveState.value = 'saving'
    previewEdit(null)
    scheduleSend()
    return done(true)
  }

  /** Forms and keys work on the job that is shown, which trails behind what was typed. */
  const commit = (edit: Edit) => push('edit', planned.value && job.value ? rebased(edit, planned.value, job.value) : edit)
  const undo = () => now.value?.stacks.undo.length ? push('undo', now.value.stacks.undo.at(-1)!) : refused('There is nothing to undo.')
  const redo = () => now.value?.stacks.redo.length ? push('redo', now.value.stacks.redo.at(-1)!) : refused('There is nothing to redo.')

  const scheduleSend = useDebounceFn(() => void send(), SEND_AFTER_MS)
  let sending = false

  async function send() {
    const at = base.value
    const batch = unsent.value
    if (sending || !at || !batch.length) return
    sending = true
    saveState.value = 'saving'
    try {
      const answer = await $fetch<{ version: number }>(`/api/jobs/${at.jobId}/edits`, { method: 'POST', body: { baseVersion: at.version, entries: batch } })
      acknowledge(at, batch, answer.version)
    }
    catch (error) {
      await notSent(at, error)
    }
    finally {
      sending = false
      if (unsent.value.length && (saveState.value as SaveState) === 'saved') void send()
    }
  }

  /** The server has these entries: they move from unsent into the base. */
  function acknowledge(at: Base, batch: UnsentEntry[], version: number) {
    dropUnsent(at.jobId, batch.map(entry => entry.id))
    if (base.value?.jobId !== at.jobId) return
    base.value = { ...at, ...foldEntries(at, batch), version: at.version + batch.length }
    unsent.value = unsent.value.slice(batch.length)
    saveState.value = 'saved'
    // A repeat was passed over, so versions and entries no longer match one to one: read the job afresh.
    if (version !== at.version + batch.length) void reread(at.jobId)
  }

  async function reread(jobId: string) {
    const fresh = await $fetch<{ job: Job, version: number }>(`/api/jobs/${jobId}`)
    if (base.value?.jobId === jobId) base.value = { ...base.value, job: fresh.job, version: fresh.version }
  }

  async function notSent(at: Base, error: unknown) {
    const status = error instanceof FetchError ? error.statusCode : undefined
    if (status === 409) {
      const { version, job: theirJob, entries } = (error as FetchError).data.data as { version: number, job: Job, entries: RemoteEntry[] }
      // Ours go on top of theirs: every fact that only one of us touched is kept from both.
      base.value = { ...at, job: theirJob, version }
      tellMeanwhile(entries, unsent.value.map(entry => entry.edit))
      saveState.value = 'saved'
    }
    else if (status === 401) saveState.value = 'signed-out'
    else if (status !== undefined && status >= 400 && status < 500) {
      saveState.value = 'refused'
      refusal.value = sentenceOf(error)
    }
    else {
      saveState.value = 'offline'
      setTimeout(() => {
        if (saveState.value === 'offline') void send()
      }, RETRY_MS)
    }
  }

  function tellMeanwhile(entries: RemoteEntry[], ours: Edit[]) {
    const mine = new Set(ours.flatMap(touches))
    meanwhile.value = {
      who: [...new Set(entries.map(entry => entry.personName))].join(', '),
      what: [...new Set(entries.map(entry => wordsFor(entry.edit)))].join(', '),
      theirs: entries.filter(entry => touches(entry.edit).some(path => mine.has(path))).map(entry => entry.edit),
    }
  }

  /** Puts their side of every fact that both changed; ours can still be undone to. */
  function takeTheirs() {
    for (const edit of meanwhile.value?.theirs ?? []) commit(edit)
    meanwhile.value = null
  }

  /** Gives up the edits that the server refused. */
  function giveUpRefused() {
    if (base.value) dropUnsent(base.value.jobId, unsent.value.map(entry => entry.id))
    unsent.value = []
    refusal.value = ''
    saveState.value = 'saved'
  }

  /** Looks whether somebody else has changed the job while nothing of ours is on the way. */
  async function look() {
    const at = base.value
    if (!at || unsent.value.length || sending || document.hidden) return
    try {
      const { entries } = await $fetch<{ entries: RemoteEntry[] }>(`/api/jobs/${at.jobId}/edits`, { query: { since: at.version } })
      if (!entries.length || base.value !== at || unsent.value.length) return
      const { job: changed } = foldEntries(at, entries)
      base.value = { ...at, job: changed, version: entries.at(-1)!.version }
      tellMeanwhile(entries, [])
    }
    catch (error) {
      if (error instanceof FetchError && error.statusCode === 401) saveState.value = 'signed-out'
      // Otherwise the next look, or the next edit, tells whether the server is back.
    }
  }
  useIntervalFn(look, LOOK_EVERY_MS)
  useEventListener('online', () => void send())
  useEventListener('beforeunload', (event: BeforeUnloadEvent) => {
    if (unsent.value.length) event.preventDefault()
  })

  return {
    job, catalogue, plan, planned, planProblem, preview, changes, saveState, refusal, meanwhile, loadProblem, canUndo, canRedo,
    open, close, commit, undo, redo, previewEdit, takeTheirs, giveUpRefused,
  }
})

/** The sentence a failed request carries, or one that says what to try. */
function sentenceOf(error: unknown): string {
  if (!(error instanceof FetchError)) return 'Something went wrong here. Load the page again; what you typed is kept.'
  return sentencesFrom(error, error.statusCode ? `The server answered ${error.statusCode}. Try again in a minute.` : 'The server can’t be reached. What you typed is kept on this device.')
}

/** The plan of a job, kept up to date by the worker; also that of an edit somebody is only looking at. */
function usePlanOf(job: Ref<Job | null>, catalogue: Ref<Catalogue | null>) {
  const plan = shallowRef<Plan | null>(null)
  /** The job that `plan` is of: it trails the job by one computation. */
  const planned = shallowRef<Job | null>(null)
  const preview = shallowRef<{ job: Job, plan: Plan } | null>(null)
  const changes = ref<string[]>([])
  const planProblem = ref('')
  let latest = 0
  let latestPreview = 0
  let plannedWith: Catalogue | null = null

  watch([job, catalogue], async ([nextJob, nextCatalogue], [lastJob]) => {
    const turn = ++latest
    if (!nextJob || !nextCatalogue) {
      plan.value = planned.value = null
      changes.value = []
      return
    }
    // The server's word that an edit arrived makes the very same job anew: what the edit changed stays told.
    if (plan.value && planned.value && plannedWith === nextCatalogue && JSON.stringify(planned.value) === JSON.stringify(nextJob)) {
      planned.value = nextJob
      return
    }
    try {
      const next = await usePlanner().planJob(nextJob, nextCatalogue)
      if (turn !== latest) return
      plannedWith = nextCatalogue
      if (plan.value && lastJob) changes.value = changesBetween(plan.value.totals, next.totals)
      plan.value = next
      planned.value = nextJob
      planProblem.value = ''
    }
    catch (error) {
      if (turn === latest) planProblem.value = `The plan could not be worked out: ${(error as Error).message}`
    }
  })

  async function previewEdit(edit: Edit | null) {
    const turn = ++latestPreview
    if (!edit || !job.value || !catalogue.value) {
      preview.value = null
      return
    }
    const read = readEdit(edit, job.value, catalogue.value)
    if (!read.ok) return
    const next = await usePlanner().planJob(read.value.job, catalogue.value)
    if (turn === latestPreview) preview.value = { job: read.value.job, plan: next }
  }

  return { plan, planned, preview, changes, planProblem, previewEdit }
}
