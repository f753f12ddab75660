import { v4 as newId } from 'uuid'
import { followingOf } from '#core/fieldwork'
import { type CoveringStep, type Edit, type Face, type HitState, type LogEntry, type LogOf, MOST_HITS, type PlainEdit } from '#core/job'
import { type Outcome, refused } from '#core/outcome'
import type { FacePlan } from '#core/plan'
import { type Drilled, drilledOn, holeAt as holeAmong, ONE_HOLE_MM, type Spot } from '#core/rooflog'

/** An entry without what is the same of all that one person says of one face. */
type Said<K extends LogEntry['kind'] = LogEntry['kind']> = LogEntry extends infer E ? E extends { kind: K } ? Omit<E, 'id' | 'faceId' | 'by' | 'at'> : never : never

/** What a crew on a roof says of one face, and what is there by all that was said. Every word is an edit: kept on the phone, sent in order, undone like any other. */
export function useCrew(face: Ref<Face | null>, facePlan: Ref<FacePlan | null>, revision: Ref<number | null>) {
  const store = useJobStore()
  const me = useMe()
  const holes = computed((): Drilled[] => store.job && face.value ? drilledOn(store.job.log, face.value.id) : [])
  const holeAt = (spot: Spot): Drilled | null => holeAmong(holes.value, spot)

  const stamped = <K extends LogEntry['kind']>(said: Said<K>, id = newId()): LogOf<K> => ({ ...said, id, faceId: face.value!.id, by: me.me?.personName ?? '', at: new Date().toISOString() }) as unknown as LogOf<K>
  const log = (entries: LogEntry[]): PlainEdit => ({ type: 'log-work', entries: entries.map(entry => ({ at: null, entry })) })

  /** From the first hole on the crew follows what it had in hand. */
  const following = (): PlainEdit[] => face.value!.following || !facePlan.value ? [] : [{ type: 'follow', faceId: face.value!.id, following: followingOf(facePlan.value, revision.value), anew: false }]
  /** What is told of timber goes to the rafters' readings too, so that they are fitted anew. */
  function reading(id: string, spot: Spot, state: HitState, timber: LogOf<'hole'>['timber'] = null): PlainEdit[] {
    const { supports } = face.value!
    return supports.kind === 'rafters' ? [{ type: 'log-hits', faceId: face.value!.id, hits: [{ at: supports.hits.length, hit: { id, ...spot, state, use: 'rafter', ...timber ? { timber } : {} } }] }] : []
  }
  /** Why the last thing that was said is not kept; empty where it is. */
  const told = ref('')
  function heard(outcome: Outcome<true>): Outcome<true> {
    told.value = outcome.ok ? '' : outcome.problem
    if (outcome.ok) navigator.vibrate?.(40)
    return outcome
  }
  const make = (edit: Edit): Outcome<true> => heard(store.commit(edit))
  const commit = (edits: PlainEdit[]): Outcome<true> => make(edits.length === 1 ? edits[0]! : { type: 'batch', edits: edits as Extract<Edit, { type: 'batch' }>['edits'] })

  /** A hole, in timber or beside it. One's own word on the same hole is taken back by it. */
  function drilled(spot: Spot, result: 'hit' | 'miss', timber: LogOf<'hole'>['timber'] = null, dust: LogOf<'hole'>['dust'] = null): Outcome<true> {
    const own = store.job!.log.filter(entry => entry.kind === 'hole' && entry.faceId === face.value!.id && entry.by === me.me?.personName && Math.hypot(entry.xMm - spot.xMm, entry.yMm - spot.yMm) < ONE_HOLE_MM).map(one => one.id)
    const id = newId()
    const { supports } = face.value!
    if (supports.kind === 'rafters' && supports.hits.length >= MOST_HITS) return heard(refused(`The rafters’ hit log is full: ${MOST_HITS} readings a face at most. Ask the office to set some aside, or nothing that is drilled tells where the timber is.`))
    return commit([
      ...following(),
      ...own.length ? [{ type: 'drop-work' as const, entryIds: own }, ...face.value!.supports.kind === 'rafters' ? [{ type: 'drop-hits' as const, faceId: face.value!.id, hitIds: own }] : []] : [],
      log([stamped<'hole'>({ kind: 'hole', ...spot, result, timber, dust }, id)]),
      ...reading(id, spot, result === 'hit' ? 'pilot-hit' : 'pilot-miss', timber),
    ])
  }
  function seen(spot: Spot): Outcome<true> {
    const id = newId()
    return commit([log([stamped<'seen'>({ kind: 'seen', ...spot }, id)]), ...reading(id, spot, 'seen')])
  }
  const say = <K extends LogEntry['kind']>(...all: Said<K>[]): Outcome<true> => commit([log(all.map(one => stamped(one)))])
  /** Steps at a hole, all done. */
  const closed = (hole: Drilled, steps: { id: CoveringStep }[]): Outcome<true> => say(...steps.map(step => ({ kind: 'closure' as const, holeId: hole.id, step: step.id, done: true })))
  /** The layout as it is planned now is followed from here. */
  const followAnew = (): Outcome<true> => commit([{ type: 'follow', faceId: face.value!.id, following: followingOf(facePlan.value!, revision.value), anew: true }])

  return { holes, holeAt, told, make, drilled, seen, say, closed, followAnew }
}
