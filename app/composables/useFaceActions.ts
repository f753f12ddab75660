import type { Face } from '#core/job'
import { type Direction, type FacePlan, nudgeEdit } from '#core/plan'
import { capacityWorkings, lineWorkings, railWorkings } from '#core/strength'
import { rafterName } from '#core/supports'
import { formatLength, MM_PER_INCH, readingDivisionMm } from '#core/units'
import type { Working } from '#core/working'

const directions: Record<string, Direction> = { ArrowLeft: 'left', ArrowRight: 'right', ArrowUp: 'up', ArrowDown: 'down' }

/** What can be done to the face in hand besides typing: balancing, swapping the datum, nudging, stepping on. */
export function useFaceActions(face: Ref<Face>, plan: Ref<FacePlan>, selection: Ref<string>, message: Ref<string>) {
  const store = useJobStore()

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
    const edit = nudgeEdit(face.value, plan.value, selection.value, direction, stepMm)
    if (!edit) return
    // The drawing has used the key: it must not also scroll the page or climb the ladder.
    event.preventDefault()
    event.stopPropagation()
    const outcome = store.commit(edit)
    message.value = outcome.ok ? '' : outcome.problem
  }

  /** Previous or next row, rail or rafter of the kind that is selected. */
  function step(by: 1 | -1) {
    const all = /^rafter/.test(selection.value)
      ? plan.value.supports.rafters.map(rafter => rafterName(rafter.number))
      : /^row( |s)/.test(selection.value)
        ? plan.value.rows.rows.map(row => `row ${row.index + 1}`)
        : plan.value.rails.map(rail => rail.id)
    if (!all.length) return
    const at = all.indexOf(selection.value)
    selection.value = all[at < 0 ? (by > 0 ? 0 : all.length - 1) : (at + by + all.length) % all.length]!
  }

  const workings = computed((): Working[] => {
    const rail = plan.value.rails.findIndex(one => one.id === selection.value)
    const { strength, loading, uses, limits } = plan.value
    const spans = [limits.spanWorking, limits.overhangWorking]
    if (rail >= 0) {
      const use = uses[rail]
      return [
        ...(strength && use ? railWorkings(use, strength.loads.format) : []),
        plan.value.fixings.rails[rail]!.working, ...spans, ...(strength ? lineWorkings(strength, rail) : []), plan.value.rails[rail]!.working,
      ]
    }
    const row = plan.value.rows.rows.find(one => `row ${one.index + 1}` === selection.value)
    if (row) return [row.working]
    return [
      ...plan.value.rows.rows.slice(0, 1).map(one => one.working), ...spans, ...(loading.loads?.workings ?? []),
      ...(strength ? capacityWorkings(strength, plan.value.parts) : []), plan.value.sticks.working,
    ]
  })

  return { balance, swapDatum, nudge, step, workings }
}
