import { v4 as newId } from 'uuid'
import type { Edit, PlainEdit, ProofEntry, ProofKind, ProofOf } from '#core/job'
import { type Outcome, refused } from '#core/outcome'
import { chainsOf, handOverState, openProof, papersOf, type ProofAsk, serialPlaces, storageAlone } from '#core/proof'

/** Facts of an entry beside who says it and when. */
export type ProofFacts<K extends ProofKind> = Omit<ProofOf<K>, 'id' | 'by' | 'at' | 'kind'>
/** The reading part of a chain: so many entries go in one edit. */
const MOST_AT_ONCE = 200

/**
 * The proof of the open job: what is judged of it, and how something is said. Words go in by the one queue, with or without a signal; what is judged is the
 * newest record on the plan that is shown, so that nothing waits for planning.
 */
export function useProof() {
  const store = useJobStore()
  const me = useMe()
  const ask = computed((): ProofAsk | null => {
    const { planned, plan, catalogue, job } = store
    return planned && plan && catalogue && job
      ? { job: { ...planned, proof: job.proof }, catalogue, faces: plan.faces.map((own, f) => ({ face: planned.faces[f]!, plan: own })), wiring: plan.wiring, grid: plan.grid }
      : null
  })
  const of = <T>(work: (ask: ProofAsk) => T, none: T) => computed(() => ask.value ? work(ask.value) : none)

  /** Why the last thing that was said is not kept; empty where it is. */
  const told = ref('')
  function heard(outcome: Outcome<true>): Outcome<true> {
    told.value = outcome.ok ? '' : outcome.problem
    if (outcome.ok) navigator.vibrate?.(40)
    return outcome
  }
  const stamped = <K extends ProofKind>(kind: K, facts: ProofFacts<K>): ProofEntry => ({ ...facts, kind, id: newId(), by: me.me?.personName ?? '', at: new Date().toISOString() }) as unknown as ProofEntry
  const put = (entries: ProofEntry[]): Outcome<true> => {
    if (!entries.length) return refused('There is nothing to keep.')
    const edits = Array.from({ length: Math.ceil(entries.length / MOST_AT_ONCE) }, (_, i): PlainEdit => ({ type: 'say-proof', entries: entries.slice(i * MOST_AT_ONCE, (i + 1) * MOST_AT_ONCE).map(entry => ({ at: null, entry })) }))
    return heard(store.commitNewest(edits.length === 1 ? edits[0]! : { type: 'batch', edits: edits as Extract<Edit, { type: 'batch' }>['edits'] }))
  }
  const say = <K extends ProofKind>(kind: K, facts: ProofFacts<K>): Outcome<true> => put([stamped(kind, facts)])
  const drop = (...entryIds: string[]): Outcome<true> => heard(store.commitNewest({ type: 'drop-proof', entryIds }))

  return {
    ask, told, say, put, stamped, drop,
    job: computed(() => store.planned), units: computed(() => store.planned?.units ?? 'metric'),
    chains: of(chainsOf, []), places: of(serialPlaces, []), open: of(openProof, []), papers: of(papersOf, []), alone: of(storageAlone, false),
    standing: of<ReturnType<typeof handOverState>>(handOverState, { state: 'building', handedOver: null, visit: null }),
    entries: computed(() => store.job?.proof ?? []),
  }
}
