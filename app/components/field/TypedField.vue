<script setup lang="ts">
import type { Outcome } from '#core/outcome'

/**
 * A value typed as text. What can't be read leaves the old value in place, stays in the field for mending, and says why
 * beside it.
 */
const { label, shown, commit, hint, wide = false, assumed = false, working = '' } = defineProps<{
  label: string
  /** The value as it stands, written out. */
  shown: string
  /** Reads and takes what was typed, or refuses with a sentence. */
  commit: (text: string) => Outcome<unknown>
  hint?: string
  /** For text rather than a figure: more room, and the text starts at the left. */
  wide?: boolean
  /** Nobody has read it: Enter says that it is so, without another figure. */
  assumed?: boolean
  /** What the working of the figure is of, where it follows from others. */
  working?: string
}>()

const readsOnly = useReadsOnly()
const text = ref(shown)
const problem = ref('')
const id = useId()
/** While somebody types here, a value that comes in from elsewhere waits: it must not wipe out half a reading. */
const typing = ref(false)
watch(() => shown, (next) => {
  if (typing.value) return
  text.value = next
  problem.value = ''
})

const root = useTemplateRef('root')
/** What was taken last: the plan takes its time, and leaving the field must not take it again. */
let taken: string | null = null
let settling: ReturnType<typeof setTimeout> | undefined
/** So long a figure that was taken stands as it was typed where nothing comes of it, as for the same figure written another way. */
const SETTLES_MS = 700
/** @param confirms Enter was pressed: a figure that is only assumed stands as read from then on */
function take(confirms = false) {
  if ((text.value === shown || text.value === taken) && !(confirms && assumed)) {
    typing.value = false
    problem.value = ''
    return
  }
  const outcome = commit(text.value)
  typing.value = !outcome.ok
  problem.value = outcome.ok ? '' : outcome.problem
  if (!outcome.ok) return
  taken = text.value
  clearTimeout(settling)
  settling = setTimeout(() => {
    if (!typing.value) text.value = shown
    taken = null
  }, SETTLES_MS)
}
/** Enter takes the figure and leaves the field, so that undo and the ladder's keys work; Tab goes on from there. */
function enter() {
  take(true)
  if (!problem.value) root.value?.focus()
}

function giveUp() {
  typing.value = false
  text.value = shown
  problem.value = ''
}
</script>

<template>
  <div
    ref="root"
    tabindex="-1"
    class="border-b border-dotted border-graphite-300 py-1 outline-none"
  >
    <div class="flex items-center justify-between gap-3">
      <label
        :for="id"
        class="text-[15px] leading-tight"
      >{{ label }}<FieldAssumed v-if="assumed" /><span
        v-if="hint && !working"
        class="block text-[13px] text-muted"
      >{{ hint }}</span></label>
      <WorkingFigure
        v-if="working"
        class="ml-auto text-[13px] text-muted"
        :what="working"
      >
        {{ hint }}
      </WorkingFigure>
      <UInput
        :id="id"
        v-model="text"
        size="sm"
        :class="wide ? 'min-w-0 flex-1' : 'w-32 shrink-0'"
        :color="problem ? 'error' : 'neutral'"
        :highlight="Boolean(problem)"
        :aria-invalid="Boolean(problem)"
        :aria-describedby="problem ? `${id}-problem` : undefined"
        :disabled="readsOnly"
        autocomplete="off"
        :ui="{ base: wide ? 'font-medium' : 'text-right font-medium' }"
        @input="typing = true"
        @change="take()"
        @keydown.enter="enter"
        @keydown.escape.stop="giveUp"
        @focus="($event.target as HTMLInputElement).select()"
      />
    </div>
    <p
      v-if="problem"
      :id="`${id}-problem`"
      role="alert"
      class="mt-1 text-sm font-medium text-brick-600"
    >
      {{ problem }}
    </p>
  </div>
</template>
