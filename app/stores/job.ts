import { defineStore } from 'pinia'
import { uniq } from 'es-toolkit'
import { FetchError } from 'ofetch'
import type { Catalogue } from '#core/catalogue'
import { bigness, collide, type Edit, foldEntries, type HistoryEntry, type Job, readEdit, readJob, rebased, settled, touches, type UndoStacks, type UnsentEntry, wordsFor } from '#core/job'
import { editRefusal } from '#core/people'
import { done, type Outcome, refused, sentencesOf } from '#core/outcome'
import { changesBetween, type Plan } from '#core/plan'
import { type Behind, type RemoteEntry, unsentEntry, watchEdits } from '../queue/edits'
import { keepJob, readKept } from '../queue/kept'

/** What the server has told us: everything since lies in the unsent entries. */
interface Base { jobId: string, job: Job, version: number, /** State of the shelf. */ shelf: number, catalogue: Catalogue, stacks: UndoStacks }

/** What somebody else, or we in another window, changed while we were at it. */
export interface Meanwhile {
  who: string[]
  /** Whether it was changed on the roof, by whoever leads there. */
  onRoof: boolean
  what: string[]
  /** Their edits of facts that we have changed too; ours stand until theirs are taken. */
  theirs: Edit[]
}

/** How it stands with what was done to this job here: edits, ticks and captions alike. */
export type SaveState = 'saved' | 'saving' | 'offline' | 'signed-out'

/** Should no news come through, it is looked so often. */
const LOOK_EVERY_MS = 20_000
/** A plan that takes longer is said to, with what makes the job big. */
const SLOW_MS = 6000

/** The open job: what the server has, what it has not yet, the plan of both together, and undo. */
export const useJobStore = defineStore('job', () => {
  const queue = useQueue()
  const me = useMe()
  const base = shallowRef<Base | null>(null)
  const unsent = computed((): UnsentEntry[] => base.value ? queue.of(base.value.jobId, 'edits').map(unsentEntry) : [])
  /** What of this job has not reached the office, and what the office did not take. */
  const waiting = computed(() => base.value ? queue.waitingOf(base.value.jobId).length : 0)
  const aside = computed(() => base.value ? queue.asideOf(base.value.jobId) : [])
  /** Somebody who only looks finds out here that the session has run out. */
  const signedOut = ref(false)
  const saveState = computed((): SaveState => {
    if (signedOut.value) return 'signed-out'
    if (!waiting.value) return 'saved'
    // Nothing is called kept before the device has it.
    return !queue.writing && (queue.standing === 'offline' || queue.standing === 'signed-out') ? queue.standing : 'saving'
  })
  const meanwhile = shallowRef<Meanwhile | null>(null)
  const loadProblem = ref('')
  /** When the office was heard of last about this job, where it is shown as this device kept it; null where it is fresh. */
  const keptAt = ref<string | null>(null)
  /** Why the last thing that was tried is not for whoever is here. */
  const refusal = ref('')

  const now = computed(() => base.value && foldEntries(base.value, unsent.value))
  const job = computed(() => now.value?.job ?? null)
  const catalogue = computed(() => base.value?.catalogue ?? null)
  const canUndo = computed(() => Boolean(now.value?.stacks.undo.length))
  const canRedo = computed(() => Boolean(now.value?.stacks.redo.length))

  const { plan, planned, proving, preview, previewEdit, changes, planProblem, slow } = usePlanOf(job, catalogue)

  /** The firm's shelf as it was read last: as long as it is the same it is not fetched again with each job. */
  let shelf: { state: number, catalogue: Catalogue } | null = null
  /** Counts what was opened and closed: an answer that comes late must not put another job in its place, nor a page that goes late close the next one's. */
  const turn = ref(0)
  async function open(jobId: string) {
    close()
    const mine = turn.value
    await queue.open()
    try {
      const opened = await $fetch<{ job: Job, version: number, shelf: number, catalogue: Catalogue | null, stacks: UndoStacks, made: string[] }>(`/api/jobs/${jobId}`, { query: { shelf: shelf?.state } })
      if (opened.catalogue) shelf = { state: opened.shelf, catalogue: opened.catalogue }
      // The page may have gone before the server's answer came: what the server has is no longer on the way.
      queue.drop(opened.made)
      if (turn.value !== mine) return
      unwatch = watchEdits(jobId, { version: () => base.value!.version, took, overtaken, sentElsewhere: () => void look() })
      base.value = { jobId, job: opened.job, version: opened.version, shelf: opened.shelf, catalogue: shelf!.catalogue, stacks: opened.stacks }
      loadProblem.value = ''
      keptAt.value = null
      if (unsent.value.length) void queue.send()
    }
    catch (error) {
      if (turn.value !== mine) return
      if (!await openKept(jobId, mine, error) && turn.value === mine) loadProblem.value = sentenceOf(error)
    }
  }

  /** Where the office can't be reached the job is opened as it was kept here. What the office says of itself, as that a job is gone, holds. */
  async function openKept(jobId: string, mine: number, error: unknown): Promise<boolean> {
    if (!(error instanceof FetchError) || (error.statusCode !== undefined && error.statusCode < 500)) return false
    const found = await readKept(jobId).catch(() => null)
    if (!found || turn.value !== mine) return false
    // It may have been written down by an earlier version of the app.
    const read = readJob(found.kept.job, found.catalogue)
    if (!read.ok) return false
    const { version, shelf: state, stacks, at } = found.kept
    shelf = { state, catalogue: found.catalogue }
    unwatch = watchEdits(jobId, { version: () => base.value!.version, took, overtaken, sentElsewhere: () => void look() })
    base.value = { jobId, job: read.value, version, shelf: state, catalogue: found.catalogue, stacks }
    loadProblem.value = ''
    keptAt.value = at
    return true
  }
  // What the office has is written down as it changes, so that the job is here when the signal is not.
  watchDebounced(base, (now) => {
    if (!now || keptAt.value) return
    const { jobId, job: known, version, shelf: state, stacks, catalogue: parts } = now
    void keepJob({ jobId, title: known.title, place: known.place, at: new Date().toISOString(), job: known, version, shelf: state, stacks }, parts).catch(() => {})
  }, { debounce: 400, maxWait: 3000 })

  let unwatch = () => {}
  /**
   * @param left the turn of the page that goes: the next one opens its job, maybe the same, before the last one is gone
   */
  function close(left?: number) {
    if (left !== undefined && left !== turn.value) return
    turn.value++
    unwatch()
    base.value = null
    meanwhile.value = null
    previewEdit(null)
    refusal.value = ''
    keptAt.value = null
  }

  function push(kind: HistoryEntry['kind'], edit: Edit): Outcome<true> {
    if (!base.value || !job.value) return refused('The job is not open yet.')
    const mayNot = editRefusal(edit, job.value, me.rights)
    if (mayNot) {
      refusal.value = mayNot
      return refused(mayNot)
    }
    const read = readEdit(edit, job.value, base.value.catalogue)
    if (!read.ok) return refused(sentencesOf(read.problems))
    queue.add(base.value.jobId, { channel: 'edits', kind, edit: read.value.edit })
    previewEdit(null)
    return done(true)
  }

  /** Forms and keys work on the job that is shown, which trails behind what was typed. What somebody typed is assumed no more. */
  const commit = (edit: Edit) => push('edit', planned.value && job.value ? settled(job.value, rebased(edit, planned.value, job.value)) : edit)
  /** The same for what was worked out from the job as it is now, also from what is not planned yet. */
  const commitNewest = (edit: Edit) => push('edit', job.value ? settled(job.value, edit) : edit)
  const undo = () => now.value?.stacks.undo.length ? push('undo', now.value.stacks.undo.at(-1)!) : refused('There is nothing to undo.')
  const redo = () => now.value?.stacks.redo.length ? push('redo', now.value.stacks.redo.at(-1)!) : refused('There is nothing to redo.')

  /** The base after what happened since: entries of our own, whose answer was lost, are ours; others are told of. Returns what others made. */
  function catchUp(version: number, { since, job: theirJob }: Behind, ours: UnsentEntry[]): RemoteEntry[] {
    const at = base.value!
    // The office is heard of again.
    keptAt.value = null
    if (!since) {
      // Which of ours they touched isn't known: nothing is taken back over theirs.
      base.value = { ...at, job: theirJob!, version, stacks: { undo: [], redo: [] } }
      // More than can be told one by one: that it was, is told all the same.
      meanwhile.value = { who: ['others'], onRoof: false, what: ['very many things'], theirs: [] }
      return []
    }
    const own = new Set(ours.map(entry => entry.id))
    const entries = since.filter(entry => entry.version > at.version).map(entry => ({ ...entry, own: own.has(entry.id) }))
    base.value = { ...at, ...foldEntries(at, entries), version: entries.at(-1)?.version ?? at.version }
    return entries.filter(entry => !entry.own)
  }

  /** The server has these entries: they move from what is unsent into the base. */
  function took(entries: UnsentEntry[], version: number, behind: Behind) {
    const theirs = catchUp(version, behind, entries)
    const known = new Set(behind.since?.map(entry => entry.id))
    const at = base.value!
    base.value = { ...at, ...foldEntries(at, entries.filter(entry => !known.has(entry.id))), version }
    // What of ours was there already, and what can be taken back, is not known where the job came whole.
    if (!behind.since) void reread(at.jobId)
    if (theirs.length) tellMeanwhile(theirs, [])
  }

  /** Every fact that only one of us touched is kept from both. */
  function overtaken(version: number, behind: Behind, ours: UnsentEntry[]) {
    const theirs = catchUp(version, behind, ours)
    base.value = { ...base.value!, version }
    tellMeanwhile(theirs, unsent.value.map(entry => entry.edit))
  }

  async function reread(jobId: string) {
    const { job: freshJob, version, stacks } = await $fetch<{ job: Job, version: number, stacks: UndoStacks }>(`/api/jobs/${jobId}`, { query: { shelf: shelf?.state } })
    const at = base.value
    // What went in meanwhile is not in an answer of before.
    if (at?.jobId === jobId && version >= at.version) base.value = { ...at, job: freshJob, version, stacks }
  }

  function tellMeanwhile(entries: RemoteEntry[], ours: Edit[]) {
    if (!entries.length) return
    const mine = ours.flatMap(touches)
    const before = meanwhile.value
    const own = (entry: RemoteEntry) => entry.personId === me.personId
    // What was told and not answered yet is told on.
    meanwhile.value = {
      who: uniq([...before?.who ?? [], ...entries.map(entry => own(entry) ? 'you in another window' : entry.personName)]),
      onRoof: Boolean(before?.onRoof) || entries.some(entry => entry.role === 'lead'),
      what: uniq([...before?.what ?? [], ...entries.map(entry => wordsFor(entry.edit))]),
      theirs: [...before?.theirs ?? [], ...entries.filter(entry => collide(touches(entry.edit), mine)).map(entry => entry.edit)],
    }
  }

  /** Puts their side of every fact that both changed; ours can still be undone to. */
  function takeTheirs() {
    for (const edit of meanwhile.value?.theirs ?? []) commit(edit)
    meanwhile.value = null
  }

  /** Looks whether somebody else has changed the job while nothing of ours is on the way. */
  async function look() {
    const at = base.value
    if (!at || unsent.value.length || document.hidden) return
    try {
      const { entries } = await $fetch<{ entries: RemoteEntry[] }>(`/api/jobs/${at.jobId}/edits`, { query: { since: at.version } })
      signedOut.value = false
      keptAt.value = null
      if (!entries.length || base.value !== at || unsent.value.length) return
      tellMeanwhile(catchUp(entries.at(-1)!.version, { since: entries, job: null }, []), [])
    }
    catch (error) {
      // Otherwise the next look, or the next edit, tells whether the server is back.
      signedOut.value = error instanceof FetchError && error.statusCode === 401
    }
  }
  useIntervalFn(look, LOOK_EVERY_MS)
  useNews(news => (news.again || (news.jobId === base.value?.jobId && news.version !== undefined && news.version > base.value!.version)) && void look())

  return {
    job, catalogue, plan, planned, proving, keptAt, planProblem, slow, preview, changes, saveState, waiting, aside, meanwhile, loadProblem, refusal, canUndo, canRedo,
    turn, open, close, commit, commitNewest, undo, redo, previewEdit, takeTheirs,
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
  let planning = false
  let latestPreview = 0
  let plannedWith: Catalogue | null = null

  /** What makes this job big, once a plan of it has taken long. */
  const slow = ref('')
  watch([job, catalogue], () => {
    // Who takes something off a job that is too big need not wait for what it was.
    if (slow.value) usePlanner().giveUp()
    void keepUp()
  })

  /** One plan at a time, and then the newest job: while a key repeats, jobs in between are never planned. */
  async function keepUp() {
    if (planning) return
    planning = true
    while (!isPlanned()) await planNow()
    planning = false
  }

  function isPlanned(): boolean {
    if (!job.value || !catalogue.value) {
      plan.value = planned.value = null
      changes.value = []
      return true
    }
    return planned.value === job.value && plannedWith === catalogue.value
  }

  async function planNow() {
    const [nextJob, nextCatalogue] = [job.value!, catalogue.value!]
    // The server's word that an edit arrived makes the very same job anew: what the edit changed stays told.
    if (plan.value && planned.value && plannedWith === nextCatalogue && JSON.stringify(planned.value) === JSON.stringify(nextJob)) {
      planned.value = nextJob
      return
    }
    const timer = setTimeout(() => slow.value = bigness(nextJob), SLOW_MS)
    // Round holes that are there a first answer comes at once, and the proof when it is found.
    const pace = nextJob.faces.some(one => one.following) ? 'first' : 'whole'
    try {
      const next = await usePlanner().planJob(nextJob, nextCatalogue, pace)
      // Meanwhile the job may have been closed, or another opened.
      if (!job.value || catalogue.value !== nextCatalogue) return
      if (plan.value && planned.value && plannedWith === nextCatalogue) changes.value = changesBetween(plan.value.totals, next.totals)
      plan.value = next
      planProblem.value = ''
    }
    catch (error) {
      if (error instanceof GivenUp) return
      planProblem.value = `The plan could not be worked out: ${(error as Error).message}`
    }
    finally {
      clearTimeout(timer)
      slow.value = ''
    }
    plannedWith = nextCatalogue
    planned.value = nextJob
    if (pace === 'first') void prove(nextJob, nextCatalogue)
  }

  /** Whether a plan with fewer changes is still looked for. */
  const proving = ref(false)
  let proofs = 0
  /** Looks on in a thread of its own, for fewer changes and for cures, so that what is logged next never waits for it. */
  async function prove(ofJob: Job, parts: Catalogue) {
    const turn = ++proofs
    if (proving.value) useProver().giveUp()
    proving.value = true
    try {
      const whole = await useProver().planJob(ofJob, parts, 'whole')
      if (planned.value === ofJob) plan.value = whole
    }
    catch {
      // Given up for a newer one, or failed: the first answer keeps every limit, and is not said to be the fewest.
    }
    finally {
      if (turn === proofs) proving.value = false
    }
  }

  async function previewEdit(edit: Edit | null) {
    const turn = ++latestPreview
    if (!edit || !job.value || !catalogue.value) {
      preview.value = null
      return
    }
    const read = readEdit(edit, job.value, catalogue.value)
    if (!read.ok) return
    const next = await usePlanner().planJob(read.value.job, catalogue.value).catch(() => null)
    if (next && turn === latestPreview) preview.value = { job: read.value.job, plan: next }
  }

  return { plan, planned, proving, preview, changes, planProblem, slow, previewEdit }
}
