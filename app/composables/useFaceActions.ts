import { nameOf, nextKind, nextOf, nudgeEdit, workingsFor, workingsOf } from '#core/hand'
import type { Face, Job } from '#core/job'
import type { FacePlan } from '#core/plan'
import { type Direction, type Push, type Ref as FaceRef, type RefKind, sameRef } from '#core/trade'
import { formatLength, MM_PER_INCH, readingDivisionMm } from '#core/units'

const directions: Record<string, Direction> = { ArrowLeft: 'left', ArrowRight: 'right', ArrowUp: 'up', ArrowDown: 'down' }

/** What can be done to the face in hand besides typing: balancing, swapping the datum, nudging, stepping on. */
export function useFaceActions(job: Ref<Job>, face: Ref<Face>, plan: Ref<FacePlan>, selection: Ref<FaceRef>, select: (what: FaceRef) => void, message: Ref<string>) {
  const store = useJobStore()
  /** What a push did, for whoever does not see the drawing. */
  const announced = ref('')
  const ask = computed(() => ({ job: job.value, face: face.value, plan: plan.value }))

  async function balance() {
    if (face.value.inRoof) {
      message.value = 'An array in the roof has no rails: there are no overhangs to balance.'
      return
    }
    message.value = 'Balancing…'
    const { units } = store.job!
    const found = await usePlanner().balanceFace(store.job!, store.catalogue!, face.value.id)
    if (!found) {
      message.value = 'Nothing to balance: the rows must fit first.'
      return
    }
    const { shiftMm, before, after } = found.balance
    if (Math.abs(shiftMm) < readingDivisionMm(units) / 10) {
      message.value = `Balanced already: overhangs differ by ${formatLength(after.overhangDifferenceMm, units)} at most.`
      return
    }
    store.commit(found.edit)
    message.value = `Shifted ${formatLength(Math.abs(shiftMm), units)} ${shiftMm > 0 ? 'right' : 'left'}: overhangs differ by ${formatLength(after.overhangDifferenceMm, units)} at most, before ${formatLength(before.overhangDifferenceMm, units)}.`
  }

  const swapDatum = () => {
    store.commit(faceEdit(face.value.id, { datum: face.value.datum === 'left' ? 'right' : 'left' }))
    message.value = ''
  }

  interface Pushes { faceId: string, ref: FaceRef, direction: Direction, push: Push, times: number }
  /** Pushes that came while the plan was on its way: what they start from is not known before it is there. */
  let waiting: Pushes[] = []
  const isUpToDate = () => store.planned === store.job

  /** Arrow keys on the drawing. */
  function nudge(event: KeyboardEvent) {
    const direction = directions[event.key]
    if (!direction || event.ctrlKey || event.metaKey) return
    const { units } = store.job!
    const push = event.altKey ? 'snap' as const : event.shiftKey ? (units === 'imperial' ? MM_PER_INCH : 25) : readingDivisionMm(units)
    const [faceId, ref] = [face.value.id, selection.value]
    if (!nudgeEdit(ask.value, ref, direction, push)) return
    // The drawing has used the key: it must not also scroll the page or climb the ladder.
    event.preventDefault()
    event.stopPropagation()
    const last = waiting.at(-1)
    if (last && push !== 'snap' && last.push === push && last.direction === direction && last.faceId === faceId && sameRef(last.ref, ref)) last.times++
    else waiting.push({ faceId, ref, direction, push, times: 1 })
    pushOn()
  }

  /** Makes the pushes that wait, those of one kind together, each from where the one before left off. */
  function pushOn() {
    if (!waiting.length || !isUpToDate()) return
    const [{ faceId, ref, direction, push, times }] = waiting as [Pushes, ...Pushes[]]
    waiting = waiting.slice(1)
    // Another face may be in hand by now.
    const f = store.planned!.faces.findIndex(one => one.id === faceId)
    const edit = f < 0 ? null : nudgeEdit({ job: store.planned!, face: store.planned!.faces[f]!, plan: store.plan!.faces[f]! }, ref, direction, push === 'snap' ? push : push * times)
    if (!edit) return pushOn()
    const outcome = store.commit(edit)
    message.value = outcome.ok ? '' : outcome.problem
    if (!outcome.ok) waiting = []
    announced.value = outcome.ok ? `Moved ${direction} ${push === 'snap' ? 'to the next line' : `by ${formatLength(push * times, store.job!.units)}`}.` : ''
  }
  watch(() => store.planned, pushOn, { flush: 'post' })

  /** Previous or next of the kind that is selected; rails where it is no kind of which there are several. */
  function step(by: 1 | -1) {
    const single: Partial<Record<RefKind, RefKind>> = { rafters: 'rafter', rows: 'row', rails: 'rail' }
    const { kind } = selection.value
    const next = nextOf(ask.value, selection.value, single[kind] ?? kind, by)
    hold(next && next.kind !== 'face' && next.kind !== 'keep-clear' ? next : nextOf(ask.value, selection.value, 'rail', by) ?? selection.value)
  }

  /** Another kind of thing on the drawing: the whole face, an obstruction, a rafter, a row, a module, a rail, a fixing. */
  const stepKind = (by: 1 | -1) => hold(nextKind(ask.value, selection.value, by))
  function hold(what: FaceRef) {
    select(what)
    announced.value = nameOf(ask.value, what) ?? ''
  }

  const workings = computed(() => workingsOf(ask.value, selection.value))
  const allWorkings = computed(() => workingsFor(ask.value, selection.value))

  return { announced, balance, swapDatum, nudge, step, stepKind, workings, allWorkings }
}
