import { nextOf, nudgeEdit, workingsOf } from '#core/hand'
import type { Face, Job } from '#core/job'
import type { FacePlan } from '#core/plan'
import type { Direction, Ref as FaceRef, RefKind } from '#core/trade'
import { formatLength, MM_PER_INCH, readingDivisionMm } from '#core/units'

const directions: Record<string, Direction> = { ArrowLeft: 'left', ArrowRight: 'right', ArrowUp: 'up', ArrowDown: 'down' }

/** What can be done to the face in hand besides typing: balancing, swapping the datum, nudging, stepping on. */
export function useFaceActions(job: Ref<Job>, face: Ref<Face>, plan: Ref<FacePlan>, selection: Ref<FaceRef>, message: Ref<string>) {
  const store = useJobStore()
  const ask = computed(() => ({ job: job.value, face: face.value, plan: plan.value }))

  async function balance() {
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

  /** Arrow keys on the drawing. */
  function nudge(event: KeyboardEvent) {
    const direction = directions[event.key]
    if (!direction || event.ctrlKey || event.metaKey) return
    const { units } = store.job!
    const stepMm = event.altKey ? 'snap' as const : event.shiftKey ? (units === 'imperial' ? MM_PER_INCH : 25) : readingDivisionMm(units)
    const edit = nudgeEdit(ask.value, selection.value, direction, stepMm)
    if (!edit) return
    // The drawing has used the key: it must not also scroll the page or climb the ladder.
    event.preventDefault()
    event.stopPropagation()
    const outcome = store.commit(edit)
    message.value = outcome.ok ? '' : outcome.problem
  }

  /** Previous or next of the kind that is selected; rails where it is no kind of which there are several. */
  function step(by: 1 | -1) {
    const single: Partial<Record<RefKind, RefKind>> = { rafters: 'rafter', rows: 'row', rails: 'rail' }
    const { kind } = selection.value
    const next = nextOf(ask.value, selection.value, single[kind] ?? kind, by)
    selection.value = next && next.kind !== 'face' && next.kind !== 'keep-clear' ? next : nextOf(ask.value, selection.value, 'rail', by) ?? selection.value
  }

  const workings = computed(() => workingsOf(ask.value, selection.value))

  return { balance, swapDatum, nudge, step, workings }
}
