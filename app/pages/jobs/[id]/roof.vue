<script setup lang="ts">
import { endReadings, markTasks, revisionName, spokenTask, stepProgress } from '#core/markout'
import { datumName } from '#core/roof'
import { formatQuantity } from '#core/units'

/** The mark-out on the roof: one mark a screen, readable at arm's length in the sun, read aloud, ticked with one thumb. */
useHead({ title: 'Mark-out · Upper Deck' })
const jobId = String(useRoute().params.id)
const { sheet, error } = useSheet(jobId)
const units = computed(() => sheet.value?.job.units ?? 'metric')
const last = computed(() => sheet.value?.issued[0] ?? null)
const changed = computed(() => sheet.value?.changes.reduce((sum, face) => sum + face.changes.length, 0) ?? 0)
const list = computed(() => last.value && !changed.value ? `mark-out:${revisionName(last.value.revision)}` : 'mark-out')
const { ticked, set, reached } = useTicks(jobId, list)

const tasks = computed(() => markTasks((sheet.value?.plan.faces ?? []).flatMap((plan, f) => plan.modules ? [{ faceId: plan.faceId, name: sheet.value!.job.faces[f]!.name, marks: plan.marks }] : [])))
const at = ref(0)
const task = computed(() => tasks.value[Math.min(at.value, tasks.value.length - 1)] ?? null)
const inStep = computed(() => tasks.value.filter(one => one.faceId === task.value?.faceId && one.step.id === task.value?.step.id))
const steps = computed(() => stepProgress(tasks.value, ticked.value))
/** Opens on the first mark that is not done, once the ticks are here. */
let opened = false
watch([tasks, ticked], () => {
  if (opened || !tasks.value.length) return
  const next = tasks.value.findIndex(one => !ticked.value.has(one.key))
  if (ticked.value.size) opened = true
  at.value = Math.max(0, next)
}, { immediate: true })
const done = computed(() => tasks.value.filter(one => ticked.value.has(one.key)).length)
const lists = ref(false)

const aloud = useLocalStorage('read-marks-aloud', false)
const spoken = computed(() => task.value ? spokenTask(task.value, units.value) : '')
const { isSupported, speak, stop } = useSpeechSynthesis(spoken, { rate: 0.95, lang: 'en-GB' })
function say() {
  stop()
  // The voice needs a moment to let go of what it was saying.
  setTimeout(() => speak(), 60)
}
watch(() => task.value?.key, () => {
  if (aloud.value && isSupported.value) say()
})
function toggleAloud() {
  aloud.value = !aloud.value
  if (aloud.value) say()
  else stop()
}
onBeforeUnmount(stop)

const go = (to: number) => {
  opened = true
  at.value = Math.min(Math.max(0, to), tasks.value.length - 1)
}
function finish() {
  if (!task.value) return
  if (!ticked.value.has(task.value.key)) {
    set(task.value.key, true)
    navigator.vibrate?.(30)
  }
  go(at.value + 1)
}
const where = computed(() => {
  if (!task.value || task.value.kind === 'check') return 'Check'
  return `${task.value.step.tape === 'along' ? 'Along the eave' : 'Up the slope'}${task.value.step.lineMm ? ', line at' : ''}`
})
const size = computed(() => units.value === 'imperial' ? 'text-[3.6rem]' : 'text-[4.2rem]')
</script>

<template>
  <div class="glare fixed inset-0 flex flex-col">
    <p
      v-if="error"
      role="alert"
      class="p-6 text-xl font-semibold"
    >
      The marks can’t be read from the server. What was ticked is kept on this phone; come back when there is a signal.
    </p>
    <template v-else-if="sheet && task">
      <header class="flex items-center gap-2 border-b-4 border-black px-3 py-2">
        <NuxtLink
          :to="`/jobs/${jobId}/mark-out`"
          class="grid size-12 place-items-center text-3xl font-bold"
          aria-label="Back to the sheet"
        >✕</NuxtLink>
        <button
          type="button"
          class="min-w-0 flex-1 text-left"
          :aria-expanded="lists"
          @click="lists = !lists"
        >
          <span class="block truncate text-lg leading-tight font-bold">{{ task.step.title }}</span>
          <span class="block truncate text-[15px] leading-tight">{{ task.faceName }}, {{ done }} of {{ tasks.length }} done, all steps ▾</span>
        </button>
        <button
          v-if="isSupported"
          type="button"
          class="grid size-12 shrink-0 place-items-center border-2 border-black"
          :class="aloud ? 'bg-black text-[#fff7c4]' : ''"
          :aria-pressed="aloud"
          aria-label="Read the marks aloud"
          @click="toggleAloud"
        >
          <UIcon
            name="i-lucide-volume-2"
            class="size-7"
          />
        </button>
      </header>
      <div class="h-2 bg-black/15">
        <div
          class="h-2 bg-black"
          :style="{ width: `${100 * done / tasks.length}%` }"
        />
      </div>

      <p
        v-if="changed"
        role="alert"
        class="border-b-4 border-black bg-black px-4 py-2 text-lg font-bold text-[#fff7c4]"
      >
        Not the issued sheet: {{ changed }} {{ changed === 1 ? 'mark has' : 'marks have' }} changed since revision {{ revisionName(last!.revision) }}. Ask the office.
      </p>
      <p
        v-else
        class="px-4 pt-2 text-[15px] font-semibold"
      >
        {{ last ? `Revision ${revisionName(last.revision)}, ${last.issuedBy}` : 'Not issued yet' }}; {{ reached ? 'ticks have reached the office' : 'ticks kept on this phone' }}
      </p>

      <ol
        v-if="lists"
        class="flex-1 overflow-y-auto px-4 py-2"
      >
        <li
          v-for="step in steps"
          :key="`${step.faceId} ${step.stepId}`"
        >
          <button
            type="button"
            class="flex min-h-14 w-full items-center justify-between gap-3 border-b-2 border-black/30 text-left text-xl font-semibold"
            @click="go(step.firstTask); lists = false"
          >
            <span>{{ step.title }}</span><span class="shrink-0">{{ step.done === step.of ? '✓' : `${step.done}/${step.of}` }}</span>
          </button>
        </li>
      </ol>
      <main
        v-else
        class="flex min-h-0 flex-1 flex-col overflow-y-auto px-4 py-3"
      >
        <p
          v-if="task.first"
          class="mb-2 text-lg leading-snug"
        >
          {{ task.step.instruction }}
        </p>
        <p class="mb-1 text-lg font-semibold">
          {{ where }} <FieldLengthText
            v-if="task.step.lineMm && task.kind !== 'check'"
            :mm="task.step.lineMm"
            :units="units"
          />
        </p>
        <div class="my-auto py-2">
          <h1 class="text-3xl leading-tight font-bold">
            {{ task.kind === 'check' ? task.check.label : task.mark.label }}
          </h1>
          <p
            class="leading-none font-extrabold whitespace-nowrap"
            :class="size"
            data-reading
          >
            <FieldLengthText
              v-if="task.kind !== 'check'"
              :mm="task.mark.readingMm"
              :units="units"
            />
            <FieldLengthText
              v-else-if="task.check.value.kind === 'length'"
              :mm="task.check.value.mm"
              :units="units"
            />
            <template v-else>
              {{ formatQuantity(task.check.value, units) }}
            </template>
          </p>
          <template v-if="task.kind !== 'check'">
            <p
              v-if="task.mark.upMm !== null"
              class="mt-3 text-3xl font-bold"
            >
              up <FieldLengthText
                :mm="task.mark.upMm"
                :units="units"
              />
            </p>
            <p
              v-for="end in endReadings(task.mark)"
              :key="end.where"
              class="mt-2 text-2xl font-bold"
            >
              {{ end.where }} <FieldLengthText
                :mm="end.mm"
                :units="units"
              />
            </p>
            <p
              v-if="task.mark.note"
              class="mt-3 text-2xl leading-tight font-semibold"
            >
              {{ task.mark.note }}
            </p>
          </template>
          <p
            v-else-if="task.check.note"
            class="mt-3 text-2xl font-semibold"
          >
            {{ task.check.note }}
          </p>
        </div>
        <p class="text-[15px]">
          {{ inStep.indexOf(task) + 1 }} of {{ inStep.length }} in this step. Tape from the {{ datumName(sheet.job.faces.find(one => one.id === task!.faceId)!) }}.
        </p>
      </main>

      <footer
        v-if="!lists"
        class="flex gap-3 border-t-4 border-black p-3"
      >
        <button
          type="button"
          class="h-20 w-24 shrink-0 border-4 border-black text-xl font-bold disabled:opacity-30"
          :disabled="at === 0"
          @click="go(at - 1)"
        >
          Back
        </button>
        <button
          type="button"
          class="h-20 flex-1 bg-black text-3xl font-bold text-[#fff7c4]"
          @click="finish"
        >
          {{ done === tasks.length ? 'All done ✓' : ticked.has(task.key) ? '✓ Next' : task.kind === 'mark' ? 'Marked' : 'It proves' }}
        </button>
      </footer>
    </template>
    <div
      v-else-if="sheet"
      class="p-6 text-2xl font-semibold"
    >
      <p>Nothing to mark out yet: no row stands on any face.</p>
      <NuxtLink
        :to="`/jobs/${jobId}/rows`"
        class="mt-4 inline-block underline"
      >Set the rows</NuxtLink>
    </div>
    <p
      v-else
      class="p-6 text-2xl font-semibold"
    >
      Working out the marks…
    </p>
  </div>
</template>
