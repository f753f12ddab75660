import { v4 as newId } from 'uuid'
import type { Catalogue } from '#core/catalogue'
import { type Codes, type Job, noPlaceLoads, rulesUnder } from '#core/job'
import { done, type Outcome, refused } from '#core/outcome'
import type { Plan } from '#core/plan'
import { blankRoof, facesOf, type JobDraft, setKey, startedJob, startingParts, startingSets, usualOn } from '#core/start'

export interface StartDraft extends JobDraft { moduleId: string | null, setKey: string | null }

const blank = (units: JobDraft['units'] = 'imperial'): StartDraft => ({
  title: '', place: '', units, codes: units === 'metric' ? { kind: 'european' } : { kind: 'unsaid' }, roof: structuredClone(blankRoof), carries: ['Front'], covering: null, eaveHeightMm: null,
  spacingMm: null, firstCentreMm: null, wanted: null, loads: noPlaceLoads, moduleId: null, setKey: null,
})

/** The job that is about to be opened: what was said of it, kept on this device until it is, and the plan that follows from it so far. */
export function useStart(catalogue: Ref<Catalogue | undefined>) {
  const draft = useLocalStorage<StartDraft>('new-job', blank(), { mergeDefaults: true, shallow: true })
  const set = (values: Partial<StartDraft>): Outcome<true> => {
    draft.value = { ...draft.value, ...values }
    return done(true)
  }
  const setRoof = (values: Partial<StartDraft['roof']>) => set({ roof: { ...draft.value.roof, ...values } })
  /** Codes bring their load standard along: what it asks of the place is asked next. */
  const setCodes = (codes: Codes) => {
    const loads = rulesUnder(codes)?.loads ?? null
    return set({ codes, loads: loads === draft.value.loads.edition ? draft.value.loads : { ...noPlaceLoads, edition: loads, exposure: draft.value.loads.exposure, riskCategory: draft.value.loads.riskCategory } })
  }
  /** Sizes are read in other units on another tape: what was typed of the roof stays, usual sizes and codes are that country's. */
  const setUnits = (units: JobDraft['units']) => {
    set({ units, covering: null, setKey: null })
    return setCodes(blank(units).codes)
  }

  const covering = computed(() => draft.value.covering ?? usualOn(draft.value.units))
  const sets = computed(() => catalogue.value ? startingSets(catalogue.value, draft.value.moduleId, covering.value.kind) : [])
  const taken = computed(() => sets.value.find(one => setKey(one) === draft.value.setKey) ?? sets.value[0])
  const faces = computed(() => facesOf(draft.value.roof, draft.value.units))
  const started = computed((): Outcome<Job> => {
    if (!taken.value) return refused('The shelf has no rail, mount and clamps that go together through this covering. Put them on the shelf first, and say what goes with what.')
    const { title, ...rest } = draft.value
    return startedJob({ ...rest, title: title.trim() || 'New job' }, startingParts(taken.value))
  })
  const plan = shallowRef<{ job: Job, plan: Plan } | null>(null)
  let turn = 0
  watch([started, catalogue], async ([next, shelf]) => {
    const mine = ++turn
    if (!next.ok || !shelf) return
    const planned = await usePlanner().planJob(next.value, shelf)
    if (mine === turn) plan.value = { job: next.value, plan: planned }
  }, { immediate: true })

  const id = newId()
  async function open(): Promise<Outcome<string>> {
    const job = started.value
    if (!job.ok) return job
    if (!draft.value.title.trim()) return refused('Give the job a name or an address first.')
    try {
      const { jobId } = await $fetch<{ jobId: string }>('/api/jobs', { method: 'POST', body: { id, job: job.value } })
      draft.value = blank(draft.value.units)
      return done(jobId)
    }
    catch (failure) {
      return refused(sentencesFrom(failure, 'The server can’t be reached. What you typed is kept on this device; try again in a minute.'))
    }
  }
  const clear = () => draft.value = blank(draft.value.units)
  return { draft, set, setRoof, setCodes, setUnits, covering, sets, chosenSet: taken, faces, started, plan, open, clear }
}
