import { mountSuspended } from '@nuxt/test-utils/runtime'
import { computed, defineComponent, h, ref, type Component } from 'vue'
import { provideFace } from '../composables/useFace'
import { type Edit, type Job, readEdit, rebased } from '../../core/job'
import { sentencesOf } from '../../core/outcome'
import { done, type Outcome, refused } from '../../core/outcome'
import { planJob } from '../../core/plan'
import type { Ref as FaceRef } from '../../core/trade'
import { catalogue } from '../../tests/fixtures/jobs'

/**
 * Mounts a part of the planner's page on a job of its own: edits are made and planned at once, and kept in `edits`.
 * @param trails the plan never comes: what is shown of it stays as at the start
 */
export async function mountOnJob(part: Component, start: Job, props: Record<string, unknown> = {}, selected: FaceRef = { kind: 'face' }, trails = false) {
  const job = ref(start)
  const selection = ref<FaceRef>(selected)
  const edits: Edit[] = []
  const planned = computed(() => trails ? start : job.value)
  const plan = computed(() => planJob(planned.value, catalogue))
  const commit = (edit: Edit) => commitNewest(rebased(edit, planned.value, job.value))
  function commitNewest(edit: Edit): Outcome<true> {
    const read = readEdit(edit, job.value, catalogue)
    if (!read.ok) return refused(sentencesOf(read.problems))
    edits.push(read.value.edit)
    job.value = read.value.job
    return done(true)
  }
  const host = defineComponent({
    setup() {
      provideFace({
        job: planned, newest: job, plan, face: computed(() => planned.value.faces[0]!), facePlan: computed(() => plan.value.faces[0]!), catalogue: ref(catalogue), units: computed(() => planned.value.units),
        stage: ref('rows'), selection, select: (what) => { selection.value = what }, commit, commitNewest, chooseFace: () => {},
      })
      return () => h(part, props)
    },
  })
  const wrapper = await mountSuspended(host)
  const field = (label: string) => {
    const found = wrapper.findAll('label').find(one => one.text().startsWith(label))
    if (!found) throw new Error(`No field “${label}”.`)
    const input = found.find('input')
    return input.exists() ? input : wrapper.find(`#${found.attributes('for')}`)
  }
  return {
    wrapper, job, plan, edits, selection, field,
    /** Types over a field and takes it. */
    async type(label: string, text: string) {
      const typed = field(label)
      await typed.setValue(text)
      // What was taken may have taken the field with it.
      if (typed.exists()) await typed.trigger('change')
    },
    press: (name: string) => wrapper.findAll('button').find(one => one.text() === name || one.attributes('aria-label') === name)!.trigger('click'),
  }
}
