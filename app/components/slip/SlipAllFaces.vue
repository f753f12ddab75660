<script setup lang="ts">
import { isEqual, omit, pick } from 'es-toolkit'
import { type ArrayRules, type Covering, type Face, nothingRead, type PlainEdit } from '#core/job'

/** Puts what was chosen for this face on all others in one change; there only where another face has it otherwise. */
const { what, array, covering = false } = defineProps<{
  /** What it is called on the button. */
  what: string
  array: (keyof Omit<ArrayRules, 'rows'>)[]
  /** Whether the covering goes along. Where its courses and columns begin is each face's own reading. */
  covering?: boolean
}>()
const { job, face, commit } = useFace()
/** Coverings have measures of their own each. */
const factsOf = (covering: Covering) => covering as unknown as Record<string, unknown>
const begins = ['firstCourseMm', 'firstColumnMm', 'coursesRead', 'coursesCounted']
const coveringFor = (one: Face) => ({ ...face.value.covering, ...'coursesRead' in face.value.covering && nothingRead, ...(one.covering.kind === face.value.covering.kind && pick(factsOf(one.covering), begins)) }) as Covering
const differs = (one: Face) => !isEqual(pick(one.array, array), pick(face.value.array, array)) || (covering && !isEqual(omit(factsOf(one.covering), begins), omit(factsOf(face.value.covering), begins)))
const others = computed(() => job.value.faces.filter(one => one.id !== face.value.id && differs(one)))
const problem = ref('')
function put() {
  const outcome = commit({ type: 'batch', edits: others.value.flatMap((one): PlainEdit[] => [
    { type: 'set-array', faceId: one.id, values: pick(face.value.array, array) },
    ...covering ? [{ type: 'set-face' as const, faceId: one.id, values: { covering: coveringFor(one) } }] : [],
  ]) })
  problem.value = outcome.ok ? '' : outcome.problem
}
</script>

<template>
  <div
    v-if="others.length"
    class="py-2"
  >
    <UButton
      size="xs"
      color="neutral"
      variant="outline"
      icon="i-lucide-copy-check"
      :label="`Same ${what} on ${others.length === 1 ? 'the other face' : `${others.length} other faces`}`"
      @click="put"
    />
    <p
      v-if="problem"
      role="alert"
      class="mt-1 text-sm font-medium text-brick-600"
    >
      {{ problem }}
    </p>
  </div>
</template>
